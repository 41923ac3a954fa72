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
import type { PlugOutcome } from "./evaluate-plug";
import { hasOwnLead, jobWith, type SettingChoice } from "../space";
import { easeShare, withoutSocket } from "../bounds";
import type { Plug } from "./plugs";

/** A plug worked out on a configuration: with the settings of its player that bring most, and at most how many points that is. */
export interface PlayerOption extends Omit<Plug, "most" | "reach"> {
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  readonly points: number;
  /** The acts that depend on its player alone take so many remotes; with others in the room never fewer. */
  readonly remotes: number;
  /** No more points than this with other formats for sound at the same hubs: its picture stays, its sound could be whole. */
  readonly most: number;
}

/** Who does not sit anywhere is not woken, and wakes nobody; for the first one another player is watched, of whom nothing is known here. */
export function unpluggedOption({ space, weights }: PlanContext, { player, kind, wire }: Plug): PlayerOption | null {
  const device = space.players.find(({ id }) => id === player);
  if (!device || !(hasOwnLead(space, player) || fulfils(space, player, []))) return null;
  const isFirst = space.players[0]?.id === player;
  const ease = weights.ease * ACTS_SHARE * easeShare(space, player, (act) => isFirst || !isOnPurpose(act));
  const points = ease - UNPLUGGED_POINTS + withoutSocket(space, weights, device);
  return { player, kind, wire, settings: [], effort: NO_EFFORT, points, remotes: 1, most: points };
}

/**
 * Judges the acts that depend on a player for each choice of its settings that was outcomes, and takes the best: settings of a player are its
 * own affair, so only the best of them can stand in a best plan, and of equal ones the first.
 * Choices that cannot be the best by what their acts bring at most are not judged.
 */
export function bestOption(
  context: PlanContext,
  configuration: Configuration,
  { player, kind, wire }: Plug,
  outcomes: readonly PlugOutcome[],
  { atMost, mostRemotes }: Judging,
): PlayerOption | null {
  const { weights } = context;
  let [best, most]: [PlayerOption | null, number] = [null, -Infinity];
  for (const one of outcomes) {
    const limit = atMost(one);
    if (best && one.points + limit < best.points) {
      most = Math.max(most, one.most + limit);
      continue;
    }
    const { ease, remotes } = actsOf(context, configuration, one);
    if (remotes > mostRemotes) continue;
    const acts = weights.ease * ACTS_SHARE * ease;
    const isWhole = allArrive(one.rows) && allArrive(configuration.rows);
    most = Math.max(most, one.most + (isWhole ? acts : limit));
    const { settings, effort } = one;
    const points = one.points + acts;
    if (!best || points > best.points + 1e-9) best = { player, kind, wire, settings, effort, points, remotes, most };
  }
  return best && { ...best, most };
}

/** What judging a plug goes by. */
interface Judging {
  /** The points that acts bring at most, with a choice of the player's settings. */
  readonly atMost: (outcome: PlugOutcome) => number;
  /** Choices whose acts take more remotes are none. */
  readonly mostRemotes: number;
}

const allArrive = (rows: readonly Arrival[]): boolean => rows.every(({ arrives }) => arrives !== null);

/** How the acts that depend on one player go where it is alone. */
export interface ActsResult {
  /** At most so easy. */
  readonly ease: number;
  /** At least so many remotes. */
  readonly remotes: number;
}

/**
 * At most so easy can the acts be that depend on one player: waking it, and for the first player those that begin while it is watched.
 * With others in the room an address can be missing, never be more.
 */
export function actsOf({ space, ease }: PlanContext, configuration: Configuration, { player: set, wire, rows }: PlugOutcome): ActsResult {
  const player = set.id;
  // All on which control rests: the wires, the switches of the player itself and of the hubs, and by which links sound arrives.
  const key = `${player} ${controlStateOf(set)} ${wireKey(wire.cable)} ${configurationKey(configuration)} ${linkKey(rows)}`;
  const known = ease.get(key);
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
  ease.set(key, found);
  return found;
}

const configurationKeys = new WeakMap<Configuration, string>();

/** What a configuration adds to the key of ease. */
function configurationKey(configuration: Configuration): string {
  const { topology, control, rows } = configuration;
  const known =
    configurationKeys.get(configuration) ?? [...topology.wires.map(({ cable }) => wireKey(cable)), control, linkKey(rows)].join("|");
  configurationKeys.set(configuration, known);
  return known;
}

/** All on which control rests in a room: its wires, its switches and return channels, and by which links the sound of its rows arrives. */
export const controlKey = (job: Job, rows: readonly Arrival[]): string =>
  [...job.cables.map(wireKey), ...job.devices.map(controlStateOf), returnWords(job).answer, linkKey(rows)].join("|");

/** What control asks of a cable: where it leads, and its wires for control and return. */
const wireKey = ({ from, to, returnWires, controlWire }: Cable): string =>
  `${from.device} ${from.port} ${to.device} ${to.port} ${returnWires} ${controlWire}`;

const linkKey = (rows: readonly Arrival[]): string =>
  rows
    .map(
      ({ id, screen, arrives, hops }) =>
        `${id} ${screen} ${arrives !== null} ${hops.map(({ device, link }) => `${device} ${link}`).join()}`,
    )
    .join(";");
