import { settingQuestion, type Arrival, type Question } from "@/core/chain";
import { PASS_SETTING, type Content, type Device } from "@/core/device";
import { present } from "@/core/outcome";
import {
  ACTS_SHARE,
  addEffort,
  contentShare,
  type Effort,
  effortPoints,
  fulfils,
  hopePoints,
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
  findPlayer,
  jobWith,
  type SettingChoice,
  type StandIn,
  standInOf,
  type Wire,
  type WiringSpace,
  withSettings,
} from "../space";
import type { Plug } from "./plugs";

/** What comes of a player, or of all that are equal to it, with one choice of its settings: whatever wire it needs, and the ease of its acts, left out. */
export interface StandInOutcome {
  /** The player with its settings, by the wire in the first socket of the kind. */
  readonly player: Device;
  readonly wire: Wire;
  readonly settings: readonly SettingChoice[];
  readonly menus: Effort;
  readonly rows: readonly Arrival[];
  /** It can be watched while the sound system sleeps. */
  readonly isAlone: boolean;
  /** Its points without the ease of its acts. */
  readonly points: number;
}

/** A plug evaluated on a configuration with one choice of its player's settings; the ease of its acts is still open. */
export interface PlugOutcome {
  readonly of: StandInOutcome;
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  readonly points: number;
}

/** Answers with the questions on which they depend. */
interface Evaluated<Outcome> {
  readonly answer: readonly Outcome[];
  readonly asked: readonly Question[];
}

/**
 * Sends the sound and picture of a player through the engine, for one choice of its settings after the other. Its sound format does not
 * affect its picture: once no content can sound better, only choices that need fewer menus are tried, with HDMI control on and
 * off. Empty where a required wish is not met. The questions that the outcomes depend on come with them.
 * @param mostSounds upper bound of the sound kept for each content, in the order of its contents; 1 where none is given
 */
export function evaluateStandIn(
  context: PlanContext,
  configuration: Configuration,
  { device, wire }: StandIn,
  mostSounds: readonly number[] = [],
): Evaluated<StandInOutcome> {
  const { space, weights } = context;
  const { id } = device;
  const share = contentShare(space.job);
  const wires = [...configuration.topology.wires, wire];
  // Whether it can be watched alone depends on the wires and on the sound system, not on the player's settings.
  const isAlone = isSeenAlone(space, jobWith(space, configuration.hubs, wires, [device]), device);
  const alone = (weights.ease * (1 - ACTS_SHARE) * Number(isAlone)) / space.players.length;
  const outcomes: StandInOutcome[] = [];
  const questions = new Set<Question>([settingQuestion(space.system.id, PASS_SETTING)]);
  const fewestMinutes = new Map<string | undefined, number>();
  for (const settings of combinations(choicesOf(device, false))) {
    const menus = menuEffort([device], settings);
    const control = settings.find(({ key }) => key === "cec")?.value;
    if (menus.minutes >= (fewestMinutes.get(control) ?? Infinity)) continue;
    const player = withSettings(device, settings);
    const { answer: rows, asked } = rowsIn(context, jobWith(space, configuration.hubs, wires, [player]), id);
    for (const question of asked) questions.add(question);
    if (!fulfils(space, id, rows)) continue;
    const points = rowPoints(space, rows, share, weights) + hopePoints(space, id, rows) + alone - effortPoints(menus, weights);
    outcomes.push({ player, wire, settings, menus, rows, isAlone, points });
    if (soundsBest(space, device, rows, mostSounds)) fewestMinutes.set(control, menus.minutes);
  }
  return { answer: outcomes, asked: [...questions] };
}

/** The outcomes of a plug by those of who stands for its player: what its own wire takes is counted, and its settings are its own. */
export function outcomesOf(
  { space, weights }: PlanContext,
  { player, wire }: Plug,
  outcomes: readonly StandInOutcome[],
): readonly PlugOutcome[] {
  const laying = wireEffort(space, present(wire, "the wire of a plug"));
  const lost = effortPoints(laying, weights);
  return outcomes.map((of) => ({
    of,
    settings: of.settings.map((choice) => ({ ...choice, device: player })),
    effort: addEffort(laying, of.menus),
    points: of.points - lost,
  }));
}

/** Plugs are never changed in place, so who stands for the player of each is looked up once. */
const standIns = new WeakMap<Plug, StandIn | null>();

/** Who stands for the player of a plug; null where it is not plugged. */
export function standInOfPlug(space: WiringSpace, plug: Plug): StandIn | null {
  const known = standIns.get(plug);
  if (known !== undefined) return known;
  const { player: id, wire, kind } = plug;
  const found = wire && kind ? standInOf(space, findPlayer(space, id), { wire, kind }) : null;
  standIns.set(plug, found);
  return found;
}

/** The outcomes of a plug, computed. Empty where it is not plugged. */
export function evaluatePlug(context: PlanContext, configuration: Configuration, plug: Plug): readonly PlugOutcome[] {
  const standIn = standInOfPlug(context.space, plug);
  return standIn ? outcomesOf(context, plug, evaluateStandIn(context, configuration, standIn).answer) : [];
}

/** Whether every content reaches its upper bound for sound. */
function soundsBest(space: WiringSpace, player: Device, rows: readonly Arrival[], most: readonly number[]): boolean {
  const contents = contentsOf(player);
  return rows.every((row) => soundKept(space.job, row) >= (most[contents.indexOf(row.content)] ?? 1) - 1e-9);
}

const contentsOf = ({ sources }: Device): readonly Content[] => sources.flatMap(({ contents }) => contents);
