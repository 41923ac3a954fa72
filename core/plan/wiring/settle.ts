import { actFigures, householdOf, isOnPurpose } from "@/core/cec";
import { solveAgain, type Arrival } from "@/core/chain";
import type { SettingKey } from "@/core/facts";
import type { Device } from "@/core/device";
import type { Cable, Job } from "@/core/job";
import { addEffort, effortPoints, menuEffort, NO_EFFORT, wireEffort, type Effort } from "./effort";
import { commonActs, contentShare, easeOf, playerOfAct, rowPoints } from "./figures";
import type { Ground, Measure } from "./grounds";
import { choicesOf, combinations, withSettings, type SettingChoice } from "./hub-settings";
import { fulfils } from "./musts";
import { easeShare } from "./most";
import type { Plug } from "./plugs";
import { jobWith } from "./room-of";
import { isSeenAlone } from "./reach";
import { ACTS_SHARE, soundKept, UNPLUGGED_POINTS } from "./weights";

/** A plug worked out on a ground: with the settings of its player that bring most, and at most how many points that is. */
export interface PlayerOption extends Omit<Plug, "most"> {
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  readonly points: number;
  /** No more points than this with other formats for sound at the same hubs: its picture stays, its sound could be whole. */
  readonly most: number;
}

/**
 * Works out a plug through the full engine. The settings of the player are tried in order; once all of its sound is whole no other is looked at.
 * Null where it cannot fulfil what is wished of the player.
 */
export function settle(measure: Measure, ground: Ground, { player: id, kind, wire }: Plug): PlayerOption | null {
  const { space, weights, memo } = measure;
  const player = space.players.find((one) => one.id === id);
  if (!player) return null;
  if (!wire) {
    if (!fulfils(space.musts, id, [])) return null;
    // Who does not sit anywhere is not woken, and wakes nobody; for the first one another player is watched, of whom nothing is known here.
    const isFirst = space.players[0]?.id === id;
    const ease = weights.ease * ACTS_SHARE * easeShare(space, id, (act) => isFirst || !isOnPurpose(act));
    const points = ease - UNPLUGGED_POINTS;
    return { player: id, kind, wire, settings: [], effort: NO_EFFORT, points, most: points };
  }
  const share = contentShare(space.job);
  /** The points of rows whose pictures stay as they are, and whose sound were whole. */
  const wholeSound = (rows: readonly Arrival[]) =>
    rowPoints(space, rows, share, { ...weights, sound: 0 }) + contentsOf(player) * share * weights.sound;
  const laying = wireEffort(space, wire);
  const tried: PlayerOption[] = [];
  for (const settings of combinations(choicesOf(player, false))) {
    const job = jobWith(space, ground.hubs, [...ground.backbone.wires, wire], [withSettings(player, settings)]);
    const rows = memo.rowsOf(job, id, () => solveAgain(ground.solved, job));
    if (!fulfils(space.musts, id, rows)) continue;
    const effort = addEffort(laying, menuEffort([player], settings));
    const alone = (weights.ease * (1 - ACTS_SHARE) * Number(isSeenAlone(space, job, player))) / space.players.length;
    const acts = weights.ease * ACTS_SHARE * actsBound(measure, ground, job, { player: id, kind, wire }, rows);
    const ease = acts + alone;
    const easeElsewhere =
      allArrive(rows) && allArrive(ground.solved.rows) ? ease : weights.ease * ACTS_SHARE * easeShare(space, id) + alone;
    const points = rowPoints(space, rows, share, weights) + ease - effortPoints(effort, weights);
    const most = wholeSound(rows) + easeElsewhere - effortPoints(laying, weights);
    tried.push({ player: id, kind, wire, settings, effort, points, most });
    // What a player sends for sound does not touch its picture: once all of its sound is whole nothing else is worth trying.
    if (player.control.quirks.length === 0 && rows.every((row) => soundKept(space.job, row) === 1)) break;
  }
  // Settings of a player are its own affair: only the best of them can stand in a best plan, and of equal ones the first.
  const [first] = tried;
  if (!first) return null;
  const best = tried.reduce((top, one) => (one.points > top.points + 1e-9 ? one : top), first);
  return { ...best, most: Math.max(...tried.map(({ most }) => most)) };
}

const contentsOf = ({ sources }: Device): number => sources.reduce((sum, { contents }) => sum + contents.length, 0);

const allArrive = (rows: readonly Arrival[]): boolean => rows.every(({ arrives }) => arrives !== null);

/**
 * At most so easy can the acts be that hang on one player: waking it, and for the first player those that begin while it is watched.
 * With others in the room an address can be missing, never be more.
 */
function actsBound(
  { space, ease }: Measure,
  ground: Ground,
  job: Job,
  { player, wire }: Omit<Plug, "most">,
  rows: readonly Arrival[],
): number {
  // All on which control rests: the wires, its switches, and by which links sound arrives.
  const key = `${player} ${wire ? wireKey(wire.cable) : ""} ${groundKey(ground)} ${linkKey(rows)}`;
  const known = ease.get(key);
  if (known !== undefined) return known;
  const acts = commonActs(space).filter(({ act }) => playerOfAct(space, act) === player);
  const all = [...ground.solved.rows, ...rows];
  const household = householdOf(job, "planned", { solved: { ...ground.solved, job, rows: all }, mainScreen: space.mainScreen });
  const found = easeOf(
    actFigures(
      household,
      acts.map(({ act }) => act),
    ),
    acts,
  );
  ease.set(key, found);
  return found;
}

const CONTROL_KEYS: ReadonlySet<SettingKey> = new Set<SettingKey>(["cec", "arc", "earc", "speakers", "arc-take", "power", "standby-pass"]);

/** How the control switches of a ground's hubs stand. */
export const switchesOf = ({ hubs }: Pick<Ground, "hubs">): string =>
  hubs
    .flatMap(({ id, settings }) =>
      settings.flatMap((row) => (CONTROL_KEYS.has(row.key) ? [`${id} ${row.key} ${row.planned ?? row.found}`] : [])),
    )
    .join("|");

const groundKeys = new WeakMap<Ground, string>();

/** What a ground adds to the key of ease: its wires, its control switches, and the links of the rows that it has itself. */
function groundKey(ground: Ground): string {
  const known = groundKeys.get(ground);
  if (known !== undefined) return known;
  const key = [...ground.backbone.wires.map(({ cable }) => wireKey(cable)), switchesOf(ground), linkKey(ground.solved.rows)].join("|");
  groundKeys.set(ground, key);
  return key;
}

/** What control asks of a cable: where it leads, and its wires for control and return. */
const wireKey = ({ from, to, returnWires, controlWire }: Cable): string =>
  `${from.device} ${from.port} ${to.device} ${to.port} ${returnWires} ${controlWire}`;

const linkKey = (rows: readonly Arrival[]): string =>
  rows.map(({ id, arrives, hops }) => `${id} ${arrives !== null} ${hops.map(({ link }) => link).join()}`).join(";");
