import { actFigures, controlStateOf, householdOf, isOnPurpose } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import type { Cable, Job } from "@/core/job";
import {
  ACTS_SHARE,
  commonActs,
  easeOf,
  type Effort,
  fulfils,
  NO_EFFORT,
  playerOfAct,
  remotesNeeded,
  UNPLUGGED_POINTS,
} from "../evaluation";
import { returnWords, type Configuration, type PlanContext } from "./configurations";
import type { PlugOutcome, StandInOutcome } from "./evaluate-plug";
import { findPlayer, hasOwnLead, jobWith, type SettingChoice } from "../space";
import { easeShare, withoutSocket } from "../bounds";
import type { Plug } from "./plugs";

/** A plug on a configuration with the best settings of its player. */
export interface PlayerOption extends Omit<Plug, "most" | "reach"> {
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  readonly points: number;
  /** Remotes needed for the acts that depend on this player; other players never make them fewer. */
  readonly remotes: number;
}

/** An unplugged player neither wakes nor is woken. Acts about no particular player are counted with the first one; where that is unplugged they count as going well. */
export function unpluggedOption({ space, weights }: PlanContext, { player, kind, wire }: Plug): PlayerOption | null {
  const device = findPlayer(space, player);
  if (!(hasOwnLead(space, player) || fulfils(space, player, []))) return null;
  const isFirst = space.players[0]?.id === player;
  const ease = weights.ease * ACTS_SHARE * easeShare(space, player, (act) => isFirst || !isOnPurpose(act));
  const points = ease - UNPLUGGED_POINTS + withoutSocket(space, weights, device);
  return { player, kind, wire, settings: [], effort: NO_EFFORT, points, remotes: 1 };
}

/**
 * Simulates the acts that depend on a player for each of its outcomes and takes the best: a player's settings affect no other player, so a
 * best plan holds the best of them, and of equal ones the first. Outcomes whose upper bound is below the best so far are not simulated.
 */
export function bestOption(
  context: PlanContext,
  configuration: Configuration,
  { player, kind, wire }: Plug,
  outcomes: readonly PlugOutcome[],
  { atMost, mostRemotes }: Judging,
): PlayerOption | null {
  const { weights } = context;
  let best: PlayerOption | null = null;
  for (const one of outcomes) {
    if (best && one.points + atMost(one) < best.points) continue;
    const { ease, remotes } = actsOf(context, configuration, one.of);
    if (remotes > mostRemotes) continue;
    const { settings, effort } = one;
    const points = one.points + weights.ease * ACTS_SHARE * ease;
    if (!best || points > best.points + 1e-9) best = { player, kind, wire, settings, effort, points, remotes };
  }
  return best;
}

/** Limits for choosing an option. */
interface Judging {
  /** Upper bound of the points of the acts, for an outcome. */
  readonly atMost: (outcome: PlugOutcome) => number;
  /** Outcomes that need more remotes are dropped. */
  readonly mostRemotes: number;
}

/** The acts that depend on one player, simulated with that player alone. */
export interface ActsResult {
  /** Upper bound of their ease, as a share of all acts. */
  readonly ease: number;
  /** Lower bound of the remotes needed. */
  readonly remotes: number;
}

/**
 * Bounds for the acts that depend on one player: waking it, and for the first player those that begin while it is watched. Other players
 * can take a logical address away, never add one, so this is an upper bound for the whole room.
 */
export function actsOf({ space, ease }: PlanContext, configuration: Configuration, outcome: StandInOutcome): ActsResult {
  const { player: set, wire, rows } = outcome;
  const player = set.id;
  const key = configurationKey(configuration);
  const onConfiguration = ease.get(key) ?? new Map<string, ActsResult>();
  ease.set(key, onConfiguration);
  const known = onConfiguration.get(outcomeKey(outcome));
  if (known !== undefined) return known;
  const acts = commonActs(space).filter(({ act }) => playerOfAct(space, act) === player);
  const job = jobWith(space, configuration.hubs, [...configuration.topology.wires, wire], [set]);
  const all = [...configuration.rows, ...rows];
  const household = householdOf(job, "planned", { solved: { job, state: "planned", units: [], rows: all }, mainScreen: space.mainScreen });
  const figures = actFigures(
    household,
    acts.map(({ act }) => act),
  );
  const found = { ease: easeOf(figures, acts), remotes: remotesNeeded(figures, acts) };
  onConfiguration.set(outcomeKey(outcome), found);
  return found;
}

const outcomeKeys = new WeakMap<StandInOutcome, string>();

/** What control depends on of a player: its control settings, its wire, and the links by which its sound arrives. */
function outcomeKey(outcome: StandInOutcome): string {
  const { player, wire, rows } = outcome;
  const known = outcomeKeys.get(outcome) ?? `${player.id} ${controlStateOf(player)} ${wireKey(wire.cable)} ${linkKey(rows)}`;
  outcomeKeys.set(outcome, known);
  return known;
}

const configurationKeys = new WeakMap<Configuration, string>();

/** The part of the memo key that belongs to the configuration. */
function configurationKey(configuration: Configuration): string {
  const { topology, control, rows } = configuration;
  const known =
    configurationKeys.get(configuration) ?? [...topology.wires.map(({ cable }) => wireKey(cable)), control, linkKey(rows)].join("|");
  configurationKeys.set(configuration, known);
  return known;
}

/** A key of everything control depends on in a job: wires, control settings, return channels, and the links by which the sound of its rows arrives. */
export const controlKey = (job: Job, rows: readonly Arrival[]): string =>
  [...job.cables.map(wireKey), ...job.devices.map(controlStateOf), returnWords(job).answer, linkKey(rows)].join("|");

/** The part of a cable that control depends on: its ends, its control wire and its return wires. */
const wireKey = ({ from, to, returnWires, controlWire }: Cable): string =>
  `${from.device} ${from.port} ${to.device} ${to.port} ${returnWires} ${controlWire}`;

const linkKey = (rows: readonly Arrival[]): string =>
  rows
    .map(
      ({ id, screen, arrives, hops }) =>
        `${id} ${screen} ${arrives !== null} ${hops.map(({ device, link }) => `${device} ${link}`).join()}`,
    )
    .join(";");
