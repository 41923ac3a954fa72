import { takesPart } from "@/core/cec";
import type { Device } from "@/core/device";
import type { CableEnd } from "@/core/job";
import { actsAtBest, deafOf, hearingOf, type ActsAtBest, type Hearing } from "./ease-most";
import type { Backbone } from "./backbones";
import { Room } from "./by-questions";
import type { Ground, Measure } from "./grounds";
import { hear, type Heard } from "./hear";
import type { SoundsOf } from "./most";
import { bearsRemotes } from "./musts";
import { passedIn, type Passed } from "./passed";
import { asPlanned } from "./picture-on";
import type { Plug } from "./plugs";
import { seenAloneFrom } from "./reach";
import { jobWith } from "./room-of";
import { equalsOf, standInOf, type Standing } from "./stand-in";
import { BySwitches } from "./switches";
import { ACTS_SHARE } from "./weights";
import type { Wire } from "./wires";

/** What was looked into of a plug. */
interface Looked {
  readonly most: number;
  readonly acts: number;
  /** What passes of sound and picture is known too. */
  readonly isWhole: boolean;
}

/** Who hears whom, and how the acts of plugs go at best then: with a player that takes part, and with one that does not. */
interface OfHearing {
  readonly hearing: Hearing;
  readonly acts: { readonly heard: Map<Plug, ActsAtBest>; readonly unheard: Map<Plug, ActsAtBest> };
}

/**
 * What the plugs of a backbone can bring at most, looked into no further than a search asks: at first by what their socket reaches at
 * all, then by what could come along the way of their sound, and by who hears whom.
 */
export class Caps {
  private readonly looked = new Map<Plug, Looked>();
  private readonly told = new Map<Plug, BySwitches<readonly Heard[]>>();
  /** What passes by each wire of a player that stands for others. */
  private readonly passed = new Map<Wire, Passed>();
  private readonly planned: readonly Device[];
  private room: Room | undefined;
  private hearing: Hearing | undefined;
  /** The same for every choice of hubs that take no part, with how the acts of plugs go then. */
  private readonly hearings = new Map<string, OfHearing>();
  /** Whether whoever sits in a socket is seen while the sound system sleeps. */
  private seenAlone: ((socket: CableEnd) => boolean) | undefined;

  constructor(
    private readonly measure: Measure,
    private readonly backbone: Backbone,
  ) {
    this.planned = backbone.hubs.map(asPlanned);
  }

  of(plug: Plug): number {
    return this.looked.get(plug)?.most ?? plug.most;
  }

  isLooked(plug: Plug): boolean {
    return plug.kind === null || this.looked.get(plug)?.isWhole === true;
  }

  /** It is known who hears whom, which is the quicker half. */
  isBegun(plug: Plug): boolean {
    return plug.kind === null || this.looked.has(plug);
  }

  /** The points that the acts of its player bring at most, once it was looked into. */
  actsOf(plug: Plug): number {
    return this.measure.weights.ease * ACTS_SHARE * this.easeOf(plug);
  }

  /** The same as a share of all acts. */
  easeOf(plug: Plug): number {
    return this.looked.get(plug)?.acts ?? Infinity;
  }

  /** The same with the hubs as they are set on a ground, and with a player that takes part or not; null: it is unplugged. */
  private actsOn(ground: Pick<Ground, "hubs">, plug: Plug, takesPart: boolean): ActsAtBest | null {
    const { space } = this.measure;
    const { hearing, acts } = this.hearingOn(ground);
    const known = takesPart ? acts.heard : acts.unheard;
    const found = known.get(plug);
    if (found) return found;
    const player = space.players.find(({ id }) => id === plug.player);
    if (!player || !plug.wire) return null;
    const { to, controlWire } = plug.wire.cable;
    const fresh = actsAtBest(space, hearing, player, hearing.ofSocket(to, takesPart && controlWire));
    known.set(plug, fresh);
    return fresh;
  }

  private hearingOn({ hubs }: Pick<Ground, "hubs">): OfHearing {
    const deaf = deafOf(hubs);
    const known = this.hearings.get(deaf);
    if (known) return known;
    const { space } = this.measure;
    const hearing = hearingOf(space, jobWith(space, hubs, this.backbone.wires), (hub) => takesPart(hub));
    const fresh = { hearing, acts: { heard: new Map(), unheard: new Map() } };
    this.hearings.set(deaf, fresh);
    return fresh;
  }

  /** The points that the acts of a player bring at most on a ground, as it is set and was heard there. */
  actPointsOn(ground: Pick<Ground, "hubs">, plug: Plug, heard: Heard): number {
    return this.measure.weights.ease * ACTS_SHARE * (this.actsOn(ground, plug, takesPart(heard.player))?.ease ?? Infinity);
  }

  /** What a plug brings at most on a ground: what its acts lose there is known from what was tried. */
  on(ground: Pick<Ground, "hubs">, plug: Plug): number {
    const looked = this.looked.get(plug);
    const acts = looked && this.actsOn(ground, plug, true);
    if (!looked || !acts) return this.of(plug);
    if (!bearsRemotes(this.measure.space, acts.remotes)) return -Infinity;
    return looked.most - this.measure.weights.ease * ACTS_SHARE * (looked.acts - acts.ease);
  }

  /** Looks into who hears whom, and whether its player is seen alone. */
  begin(plug: Plug): void {
    if (!this.isBegun(plug)) this.lookInto(plug, null);
  }

  /** Looks into all of it, what passes of sound and picture too. */
  look(plug: Plug): void {
    const passed = this.isLooked(plug) ? null : this.passedBy(plug);
    if (passed) this.lookInto(plug, passed);
  }

  /** The plugs of equal players into the same kind of socket, itself among them: what is known of one is soon known of all. */
  alike({ player, kind }: Plug, tables: readonly (readonly Plug[])[]): readonly Plug[] {
    return equalsOf(this.measure.space, player).flatMap((index) => tables[index]?.filter((other) => other.kind === kind) ?? []);
  }

  private lookInto(plug: Plug, passed: Passed | null): void {
    const { space, most } = this.measure;
    const player = space.players.find(({ id }) => id === plug.player);
    const { wire, reach } = plug;
    if (!player || !wire || !reach) return;
    const { hubs, wires } = this.backbone;
    const { to, controlWire } = wire.cable;
    this.hearing ??= hearingOf(space, jobWith(space, hubs, wires));
    const acts = actsAtBest(space, this.hearing, player, this.hearing.ofSocket(to, controlWire));
    this.seenAlone ??= seenAloneFrom(space, jobWith(space, hubs, wires));
    const goes = { acts: acts.ease, alone: this.seenAlone(to) };
    const cap = passed ? most.ofPlayer(player.id, { reach, wire }, { ...passed, ...goes }) : plug.most - most.lostByActs(player.id, goes);
    const isBorne = bearsRemotes(space, acts.remotes);
    this.looked.set(plug, { most: isBorne ? Math.min(plug.most, cap) : -Infinity, acts: acts.ease, isWhole: passed !== null });
  }

  /** What passes at most by a plug; null where it is unplugged. */
  private passedBy({ player: id, wire, kind }: Plug): Passed | null {
    const { space } = this.measure;
    const player = space.players.find((one) => one.id === id);
    if (!player || !wire || !kind) return null;
    const standing = standInOf(space, player, { wire, kind });
    const known = this.passed.get(standing.wire) ?? this.passedOf(standing);
    this.passed.set(standing.wire, known);
    return known;
  }

  private passedOf({ device: standIn, wire }: Standing): Passed {
    const { space } = this.measure;
    const { wires } = this.backbone;
    const device = asPlanned(standIn);
    this.room ??= new Room(jobWith(space, this.planned, wires));
    const room = new Room({ devices: [device], cables: [wire.cable] }, this.room);
    return passedIn(this.measure, room, device, () => jobWith(space, this.planned, [...wires, wire], [device]));
  }

  /** What is heard of a plug on a ground: as on another ground of the backbone where every switch that was asked about stands alike. */
  heardOn(ground: Ground, plug: Plug): readonly Heard[] {
    const told = this.told.get(plug) ?? new BySwitches();
    this.told.set(plug, told);
    return told.of(ground.hubs, () => hear(this.measure, ground, plug, this.passedBy(plug)?.sounds)).answer;
  }

  /** What the hubs play themselves can keep of its sound. */
  readonly ownSounds: SoundsOf = (device) => {
    const { space } = this.measure;
    const job = jobWith(space, this.planned, this.backbone.wires);
    this.room ??= new Room(job);
    return passedIn(this.measure, this.room, device, () => job).sounds;
  };
}
