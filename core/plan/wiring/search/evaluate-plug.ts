import type { Arrival, Question } from "@/core/chain";
import type { Content, Device } from "@/core/device";
import {
  ACTS_SHARE,
  addEffort,
  contentShare,
  type Effort,
  effortPoints,
  fulfils,
  hopePoints,
  hopesAtMost,
  menuEffort,
  rowPoints,
  soundKept,
  wireEffort,
} from "../evaluation";
import { rowsIn, type Configuration, type PlanContext } from "./configurations";
import {
  choicesOf,
  combinations,
  isSeenAlone,
  jobWith,
  setLike,
  type SettingChoice,
  standInOf,
  type Wire,
  type WiringSpace,
} from "../space";
import type { Plug } from "./plugs";

/** A plug evaluated on a configuration with one choice of its player's settings; the ease of its acts is still open. */
export interface PlugOutcome {
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  /** The player with its settings, or its stand-in. */
  readonly player: Device;
  readonly wire: Wire;
  readonly rows: readonly Arrival[];
  /** It can be watched while the sound system sleeps. */
  readonly isAlone: boolean;
  /** Its points without the ease of its acts. */
  readonly points: number;
  /** Upper bound, without the ease of its acts, for other sound formats of the same hubs: the picture stays, the sound could be complete. */
  readonly most: number;
}

/**
 * Sends the sound and picture of a player through the engine, for one choice of its settings after the other. Its sound format does not
 * affect its picture: once no content can sound better, only choices that need fewer menus are tried, with HDMI control on and
 * off. Empty where it is not plugged or a required wish is not met. The questions that the outcomes depend on come with them.
 * @param mostSounds upper bound of the sound kept for each content, in the order of its contents; 1 where none is given
 */
export function evaluatePlug(
  context: PlanContext,
  configuration: Configuration,
  { player: id, wire: own, kind }: Plug,
  mostSounds: readonly number[] = [],
): { readonly answer: readonly PlugOutcome[]; readonly asked: readonly Question[] } {
  const { space, weights } = context;
  const player = space.players.find((one) => one.id === id);
  if (!player || !own || !kind) return { answer: [], asked: [] };
  const { device: standIn, wire } = standInOf(space, player, { wire: own, kind });
  const share = contentShare(space.job);
  const laying = wireEffort(space, own);
  // Whether it can be watched alone depends on the wires, not on the player's settings.
  const isAlone = isSeenAlone(space, jobWith(space, configuration.hubs, [...configuration.topology.wires, wire], [standIn]), standIn);
  const alone = (weights.ease * (1 - ACTS_SHARE) * Number(isAlone)) / space.players.length;
  const outcomes: PlugOutcome[] = [];
  const questions = new Set<Question>();
  const fewestMinutes = new Map<string | undefined, number>();
  for (const settings of combinations(choicesOf(player, false))) {
    const menus = menuEffort([player], settings);
    const control = settings.find(({ key }) => key === "cec")?.value;
    if (menus.minutes >= (fewestMinutes.get(control) ?? Infinity)) continue;
    const set = setLike(standIn, settings);
    const job = jobWith(space, configuration.hubs, [...configuration.topology.wires, wire], [set]);
    const { answer: rows, asked } = rowsIn(context, job, standIn.id);
    for (const question of asked) questions.add(question);
    if (!fulfils(space, id, rows)) continue;
    const effort = addEffort(laying, menus);
    const points = rowPoints(space, rows, share, weights) + hopePoints(space, id, rows) + alone - effortPoints(effort, weights);
    // The points of the same rows with complete sound; music without a picture then counts as complete for its picture too.
    const silentRows = rows.filter(({ content, arrives }) => !content.picture && !arrives).length;
    const whole =
      rowPoints(space, rows, share, { ...weights, sound: 0 }) +
      (contentsOf(player).length * weights.sound + silentRows * weights.picture) * share;
    outcomes.push({
      settings,
      effort,
      isAlone,
      player: set,
      wire,
      rows,
      points,
      most: whole + hopesAtMost(space, id) + alone - effortPoints(laying, weights),
    });
    if (soundsBest(space, standIn, rows, mostSounds)) fewestMinutes.set(control, menus.minutes);
  }
  return { answer: outcomes, asked: [...questions] };
}

/** Whether every content reaches its upper bound for sound. */
function soundsBest(space: WiringSpace, player: Device, rows: readonly Arrival[], most: readonly number[]): boolean {
  const contents = contentsOf(player);
  return rows.every((row) => soundKept(space.job, row) >= (most[contents.indexOf(row.content)] ?? 1) - 1e-9);
}

const contentsOf = ({ sources }: Device): readonly Content[] => sources.flatMap(({ contents }) => contents);
