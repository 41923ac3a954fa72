import { takesPart } from "@/core/cec";
import { type ActsUpperBound, asPlanned, type KeptUpperBound } from "../bounds";
import type { Topology } from "../topology";
import { ActsBounds, type HubsAsSet } from "./acts-bounds";
import type { Configuration, PlanContext } from "./configurations";
import { type PlugOutcome, standInOfPlug } from "./evaluate-plug";
import { ACTS_SHARE, allowsRemotes } from "../evaluation";
import { hubChoices } from "./hub-choices";
import { PassedBounds } from "./passed-bounds";
import type { StagedWorth } from "./plug-assignment";
import { PlugOutcomes } from "./plug-outcomes";
import type { Plug } from "./plugs";
import type { PlugTables } from "./school-needs";
import { equalsOf, reachOf, undecided } from "../space";

/** The bound of a plug as far as it is refined. */
interface KnownBound {
  readonly most: number;
  readonly acts: number;
  /** The sound in it, and what it lost because the screen's volume keys do not reach that. */
  readonly sound: number;
  readonly volume: number;
  readonly alone: boolean;
  /** What passes of sound and picture, where the bound includes it. */
  readonly passed: PassedUpperBound | null;
}

/** Upper bounds of what passes of a player. */
type PassedUpperBound = Pick<KeptUpperBound, "sounds" | "pictures">;

/** Upper bound of a plug, and the sound in it. */
export interface SoundLimit {
  readonly most: number;
  readonly sound: number;
}

/**
 * Upper bounds of the plugs of a topology, refined on demand: first by the reach of the socket, then by what can pass along the path of sound
 * and by who is on whose control wire.
 */
export class PlugBounds {
  private readonly known = new Map<Plug, KnownBound>();
  private readonly acts: ActsBounds;
  readonly outcomes: PlugOutcomes;
  /** What passes of sound whatever is set, and what of pictures as it is planned. */
  private sounds: PassedBounds | undefined;
  private pictures: PassedBounds | undefined;
  private ownSound: number | undefined;

  constructor(
    private readonly context: PlanContext,
    private readonly topology: Topology,
  ) {
    this.acts = new ActsBounds(context, topology);
    this.outcomes = new PlugOutcomes(context, (standIn) => this.passing.soundOf(standIn));
  }

  of(plug: Plug): number {
    return this.known.get(plug)?.most ?? plug.most;
  }

  isRefined(plug: Plug): boolean {
    return plug.kind === null || Boolean(this.known.get(plug)?.passed);
  }

  /** The bounds in two stages: the control half, which is the quicker one, then all of it. Equal players go through them together. */
  staged(tables: PlugTables): StagedWorth {
    return {
      of: (plug) => this.of(plug),
      stageOf: (plug) => (this.isRefined(plug) ? Infinity : Number(this.known.has(plug))),
      refine: (plug) => {
        const isStarted = this.known.has(plug);
        // Otherwise an equal player would take its place.
        for (const one of this.alike(plug, tables))
          if (isStarted) this.refine(one);
          else if (!this.known.has(one)) this.tighten(one, null);
      },
    };
  }

  /** How easy its acts can be, as a share of all acts. */
  easeOf(plug: Plug): number {
    return this.known.get(plug)?.acts ?? Infinity;
  }

  /** Upper bound of the points of a player's acts on a configuration, for an outcome. */
  actPointsOn(configuration: Pick<Configuration, "hubs" | "rows">, plug: Plug, outcome: PlugOutcome): number {
    const acts = this.acts.of(configuration, plug, takesPart(outcome.of.player));
    if (!acts) return Infinity;
    const rows = [...outcome.of.rows, ...configuration.rows];
    const isArc = rows.some(({ hops }) => hops.some(({ link }) => link === "arc"));
    const sounds = outcome.of.rows.some(({ arrives }) => arrives) && this.ownSoundOn(configuration) > 0;
    return this.actPoints(acts.ease - (sounds ? (isArc ? acts.volume : acts.volumeBesideArc) : 0));
  }

  /** Whether the main screen's own sound comes from the sound system on a configuration: its volume keys can do without reaching that only where not. */
  soundsItself = (configuration: Configuration): boolean => this.ownSoundOn(configuration) > 0;

  /** Upper bound of a plug on a configuration, or on any of some that share their control settings: less what its acts lose there. */
  on(set: HubsAsSet, plug: Plug): number {
    const looked = this.known.get(plug);
    const acts = looked && this.acts.of(set, plug, true);
    if (!looked || !acts) return this.of(plug);
    if (!allowsRemotes(this.context.space, acts.remotes)) return -Infinity;
    const volume = this.lostByVolume(acts, looked.sound, this.ownSoundOn(set));
    return looked.most + looked.volume - volume - this.actPoints(looked.acts - acts.ease) - (looked.alone && !acts.alone ? this.alone : 0);
  }

  /** The points of a player that can be watched while the sound system sleeps. */
  private get alone(): number {
    const { space, weights } = this.context;
    return (weights.ease * (1 - ACTS_SHARE)) / space.players.length;
  }

  private readonly actPoints = (ease: number): number => this.context.weights.ease * ACTS_SHARE * ease;

  /**
   * How many points are lost because the main screen's volume keys do not reach what sounds. They do where nothing of the player, or nothing
   * of the screen itself, comes from the sound system; then its sound is lost, and whatever is less bounds both.
   */
  private readonly lostByVolume = ({ volume }: ActsUpperBound, sound: number, ownSound: number): number =>
    Math.min(this.actPoints(volume), sound, ownSound);

  /** The points of the main screen's own sound: how many at most, or on a configuration whether there are any. A mute screen never sounds itself. */
  private ownSoundOn({ rows, ownSound }: Partial<HubsAsSet>): number {
    const { space } = this.context;
    const main = space.screens.find(({ id }) => id === space.mainScreen);
    if (!main?.speakers) return Infinity;
    if (rows) return rows.some(({ player, arrives }) => player === main.id && arrives) ? Infinity : 0;
    return ownSound ?? (this.ownSound ??= this.ownSoundBy(this.passing));
  }

  /** The points of the main screen's own sound at most, by what passes. */
  ownSoundBy({ soundOfOwn }: PassedBounds): number {
    const { space, most } = this.context;
    const main = space.screens.find(({ id }) => id === space.mainScreen);
    return main ? most.soundOfOwn(main, reachOf(space, this.topology), soundOfOwn) : 0;
  }

  /** Upper bound of a plug by how easy its acts can be, whatever leads for sound there are. */
  byControl(plug: Plug): number {
    const acts = this.acts.of(null, plug, true);
    return acts ? this.byActs(plug, acts) : plug.most;
  }

  /** What it brings at most less what its acts lose; -Infinity where they take more remotes than there may be. */
  private byActs(plug: Plug, acts: ActsUpperBound): number {
    const { space, most } = this.context;
    return allowsRemotes(space, acts.remotes)
      ? plug.most - most.lostByActs(plug.player, { acts: acts.ease, alone: acts.alone })
      : -Infinity;
  }

  /** Computes all of the bound, what passes of sound and picture included. */
  refine(plug: Plug): void {
    if (!this.isRefined(plug)) this.tighten(plug, this.passedBy(plug));
  }

  /** The plugs of equal players into the same kind of socket, itself included. */
  private alike({ player, kind }: Plug, tables: PlugTables): readonly Plug[] {
    return equalsOf(this.context.space, player).flatMap((index) => tables[index]?.filter((other) => other.kind === kind) ?? []);
  }

  private tighten(plug: Plug, passed: PassedUpperBound | null): void {
    const { most } = this.context;
    const { player, wire, reach } = plug;
    const acts = this.acts.of(null, plug, true);
    if (!acts || !wire || !reach) return;
    const goes = { acts: acts.ease, alone: acts.alone };
    const byPassed = passed ? most.ofPlayer(player, { reach, wire }, { ...passed, ...goes }) : Infinity;
    const sound = most.soundOfPlayer(player, { reach, wire }, passed ?? undefined);
    const volume = this.lostByVolume(acts, sound, this.ownSoundOn({}));
    this.known.set(plug, { most: Math.min(this.byActs(plug, acts), byPassed) - volume, ...goes, sound, volume, passed });
  }

  /** Upper bound of a plug where its player keeps no more than so much of its sound, once all of its bound is computed; null before. */
  withSounds(set: HubsAsSet, plug: Plug, sounds: readonly number[]): SoundLimit | null {
    const { most } = this.context;
    const { player, wire, reach } = plug;
    const looked = this.known.get(plug);
    const acts = this.acts.of(set, plug, true);
    if (!acts || !wire || !reach || !looked?.passed) return null;
    const kept = { ...looked.passed, sounds, acts: acts.ease, alone: acts.alone };
    return { most: most.ofPlayer(player, { reach, wire }, kept), sound: most.soundOfPlayer(player, { reach, wire }, { sounds }) };
  }

  /** The same bound less what is lost because the screen's volume keys do not reach what sounds. */
  limitedTo({ most, sound }: SoundLimit, set: HubsAsSet, plug: Plug): number {
    const acts = this.acts.of(set, plug, true);
    return acts ? most - this.lostByVolume(acts, sound, this.ownSoundOn(set)) : most;
  }

  /** What can pass by a plug at most; null where it is unplugged. */
  private passedBy(plug: Plug): PassedUpperBound | null {
    const { space } = this.context;
    const standIn = standInOfPlug(space, plug);
    if (!standIn) return null;
    this.pictures ??= new PassedBounds(this.context, this.topology.hubs.map(asPlanned), this.topology.wires);
    return { sounds: this.passing.soundOf(standIn), pictures: this.pictures.pictureOf(standIn) };
  }

  /** What passes of sound, whatever is set. */
  get passing(): PassedBounds {
    const { space } = this.context;
    const { hubs, wires } = this.topology;
    return (this.sounds ??= new PassedBounds(
      this.context,
      hubs.map((hub) => undecided(hub, hubChoices(space, this.topology, hub))),
      wires,
    ));
  }
}
