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

/** What comes of a plug on a configuration with one choice of its player's settings; how easy its acts are is still open. */
export interface PlugOutcome {
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  /** The player as it is set, or another that is alike and stands for it. */
  readonly player: Device;
  readonly wire: Wire;
  readonly rows: readonly Arrival[];
  /** It can be watched while the sound system sleeps. */
  readonly isAlone: boolean;
  /** Its points without its acts. */
  readonly points: number;
  /** No more than this, without its acts, with other formats for sound at the same hubs: its picture stays, its sound could be whole. */
  readonly most: number;
}

/**
 * Sends the sound and picture of a player through the full engine, with its settings in order. What a player sends for sound does not
 * touch its picture: once no content could sound better, only settings that ask for fewer menus are looked at, with HDMI control on and
 * without it. Nothing is outcomes where it
 * cannot fulfil what is required of it, or is not plugged. With it come the questions that all of it depends on.
 * @param mostSounds how much of its sound each content could keep at most, in the order of its contents; all of it where nothing is told
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
  // What can be watched alone depends on wires, and on no setting of the player.
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
    // The points of the same rows, were all their sound whole: music without a picture then counts whole for its picture too.
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

/** Every content sounds as well as it could at most. */
function soundsBest(space: WiringSpace, player: Device, rows: readonly Arrival[], most: readonly number[]): boolean {
  const contents = contentsOf(player);
  return rows.every((row) => soundKept(space.job, row) >= (most[contents.indexOf(row.content)] ?? 1) - 1e-9);
}

const contentsOf = ({ sources }: Device): readonly Content[] => sources.flatMap(({ contents }) => contents);
