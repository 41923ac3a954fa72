import { takesPart } from "@/core/cec";
import type { Device } from "@/core/device";
import type { CableEnd } from "@/core/job";
import { actsUpperBound, type ActsUpperBound, asPlanned, controlOffKey, type ControlReach, controlReachOf, type SoundsOf } from "../bounds";
import type { Topology } from "../topology";
import { JobFacts, SettingMemo } from "../memo";
import type { Configuration, PlanContext } from "./configurations";
import { evaluatePlug, type PlugOutcome } from "./evaluate-plug";
import { ACTS_SHARE, allowsRemotes } from "../evaluation";
import { passedUpperBound, type PassedUpperBound } from "./passed-bound";
import type { Plug } from "./plugs";
import { equalsOf, jobWith, seenAloneFrom, type StandIn, standInOf, type Wire } from "../space";

/** What was looked into of a plug. */
interface KnownBound {
  readonly most: number;
  readonly acts: number;
  /** What passes of sound and picture is known too. */
  readonly isWhole: boolean;
}

/** Who hears whom, and how the acts of plugs go at best then: with a player that takes part, and with one that does not. */
interface ControlBounds {
  readonly hearing: ControlReach;
  readonly acts: { readonly outcomes: Map<Plug, ActsUpperBound>; readonly silentRows: Map<Plug, ActsUpperBound> };
}

/**
 * What the plugs of a topology can bring at most, looked into no further than a search asks: at first by what their socket reaches at
 * all, then by what could come along the way of their sound, and by who hears whom.
 */
export class PlugBounds {
  private readonly known = new Map<Plug, KnownBound>();
  private readonly outcomes = new Map<Plug, SettingMemo<readonly PlugOutcome[]>>();
  /** What passes by each wire of a player that stands for others. */
  private readonly passed = new Map<Wire, PassedUpperBound>();
  private readonly planned: readonly Device[];
  private room: JobFacts | undefined;
  private hearing: ControlReach | undefined;
  /** The same for every choice of hubs that take no part, with how the acts of plugs go then. */
  private readonly hearings = new Map<string, ControlBounds>();
  /** Whether whoever sits in a socket is seen while the sound system sleeps. */
  private seenAlone: ((socket: CableEnd) => boolean) | undefined;

  constructor(
    private readonly context: PlanContext,
    private readonly topology: Topology,
  ) {
    this.planned = topology.hubs.map(asPlanned);
  }

  of(plug: Plug): number {
    return this.known.get(plug)?.most ?? plug.most;
  }

  isRefined(plug: Plug): boolean {
    return plug.kind === null || this.known.get(plug)?.isWhole === true;
  }

  /** It is known who hears whom, which is the quicker half. */
  isStarted(plug: Plug): boolean {
    return plug.kind === null || this.known.has(plug);
  }

  /** The points that the acts of its player bring at most, once it was looked into. */
  actsOf(plug: Plug): number {
    return this.context.weights.ease * ACTS_SHARE * this.easeOf(plug);
  }

  /** The same as a share of all acts. */
  easeOf(plug: Plug): number {
    return this.known.get(plug)?.acts ?? Infinity;
  }

  /** The same with the hubs as they are set on a configuration, and with a player that takes part or not; null: it is unplugged. */
  private actsOn(configuration: Pick<Configuration, "hubs">, plug: Plug, takesPart: boolean): ActsUpperBound | null {
    const { space } = this.context;
    const { hearing, acts } = this.hearingOn(configuration);
    const known = takesPart ? acts.outcomes : acts.silentRows;
    const found = known.get(plug);
    if (found) return found;
    const player = space.players.find(({ id }) => id === plug.player);
    if (!player || !plug.wire) return null;
    const { to, controlWire } = plug.wire.cable;
    const fresh = actsUpperBound(space, hearing, player, hearing.ofSocket(to, takesPart && controlWire));
    known.set(plug, fresh);
    return fresh;
  }

  private hearingOn({ hubs }: Pick<Configuration, "hubs">): ControlBounds {
    const deaf = controlOffKey(hubs);
    const known = this.hearings.get(deaf);
    if (known) return known;
    const { space } = this.context;
    const hearing = controlReachOf(space, jobWith(space, hubs, this.topology.wires), (hub) => takesPart(hub));
    const fresh = { hearing, acts: { outcomes: new Map(), silentRows: new Map() } };
    this.hearings.set(deaf, fresh);
    return fresh;
  }

  /** The points that the acts of a player bring at most on a configuration, as it is set. */
  actPointsOn(configuration: Pick<Configuration, "hubs">, plug: Plug, outcome: PlugOutcome): number {
    return this.context.weights.ease * ACTS_SHARE * (this.actsOn(configuration, plug, takesPart(outcome.player))?.ease ?? Infinity);
  }

  /** What a plug brings at most on a configuration: what its acts lose there is known from what was tried. */
  on(configuration: Pick<Configuration, "hubs">, plug: Plug): number {
    const looked = this.known.get(plug);
    const acts = looked && this.actsOn(configuration, plug, true);
    if (!looked || !acts) return this.of(plug);
    if (!allowsRemotes(this.context.space, acts.remotes)) return -Infinity;
    return looked.most - this.context.weights.ease * ACTS_SHARE * (looked.acts - acts.ease);
  }

  /** Looks into who hears whom, and whether its player is seen alone. */
  start(plug: Plug): void {
    if (!this.isStarted(plug)) this.tighten(plug, null);
  }

  /** Looks into all of it, what passes of sound and picture too. */
  refine(plug: Plug): void {
    const passed = this.isRefined(plug) ? null : this.passedBy(plug);
    if (passed) this.tighten(plug, passed);
  }

  /** The plugs of equal players into the same kind of socket, itself among them: what is known of one is soon known of all. */
  alike({ player, kind }: Plug, tables: readonly (readonly Plug[])[]): readonly Plug[] {
    return equalsOf(this.context.space, player).flatMap((index) => tables[index]?.filter((other) => other.kind === kind) ?? []);
  }

  private tighten(plug: Plug, passed: PassedUpperBound | null): void {
    const { space, most } = this.context;
    const player = space.players.find(({ id }) => id === plug.player);
    const { wire, reach } = plug;
    if (!player || !wire || !reach) return;
    const { hubs, wires } = this.topology;
    const { to, controlWire } = wire.cable;
    this.hearing ??= controlReachOf(space, jobWith(space, hubs, wires));
    const acts = actsUpperBound(space, this.hearing, player, this.hearing.ofSocket(to, controlWire));
    this.seenAlone ??= seenAloneFrom(space, jobWith(space, hubs, wires));
    const goes = { acts: acts.ease, alone: this.seenAlone(to) };
    const cap = passed ? most.ofPlayer(player.id, { reach, wire }, { ...passed, ...goes }) : plug.most - most.lostByActs(player.id, goes);
    const isBorne = allowsRemotes(space, acts.remotes);
    this.known.set(plug, { most: isBorne ? Math.min(plug.most, cap) : -Infinity, acts: acts.ease, isWhole: passed !== null });
  }

  /** What passes at most by a plug; null where it is unplugged. */
  private passedBy({ player: id, wire, kind }: Plug): PassedUpperBound | null {
    const { space } = this.context;
    const player = space.players.find((one) => one.id === id);
    if (!player || !wire || !kind) return null;
    const standing = standInOf(space, player, { wire, kind });
    const known = this.passed.get(standing.wire) ?? this.passedOf(standing);
    this.passed.set(standing.wire, known);
    return known;
  }

  private passedOf({ device: standIn, wire }: StandIn): PassedUpperBound {
    const { space } = this.context;
    const { wires } = this.topology;
    const device = asPlanned(standIn);
    this.room ??= new JobFacts(jobWith(space, this.planned, wires));
    const room = new JobFacts({ devices: [device], cables: [wire.cable] }, this.room);
    return passedUpperBound(this.context, room, device, () => jobWith(space, this.planned, [...wires, wire], [device]));
  }

  /** What is outcomes of a plug on a configuration: as on another configuration of the topology where every switch that was asked about stands alike. */
  outcomesOn(configuration: Configuration, plug: Plug): readonly PlugOutcome[] {
    const told = this.outcomes.get(plug) ?? new SettingMemo();
    this.outcomes.set(plug, told);
    return told.of(configuration.hubs, () => evaluatePlug(this.context, configuration, plug, this.passedBy(plug)?.sounds)).answer;
  }

  /** What the hubs play themselves can keep of its sound. */
  readonly ownSounds: SoundsOf = (device) => {
    const { space } = this.context;
    const job = jobWith(space, this.planned, this.topology.wires);
    this.room ??= new JobFacts(job);
    return passedUpperBound(this.context, this.room, device, () => job).sounds;
  };
}
