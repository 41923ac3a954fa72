import type { Belief } from "./belief";
import type { Case, CureRow, LookRow } from "./case";
import { curesInOrder, sceneOf, type Scene, type SceneCure, type SceneLook } from "./scene";

/** A step with the minutes from now until the room is mended, on average, if it is taken now. */
export interface Choice {
  readonly row: LookRow | CureRow;
  readonly expectedMinutes: number;
}

export const isCure = (row: LookRow | CureRow): row is CureRow => "mends" in row;

/** So many of the steps that look best at first are looked at one step further. */
const LOOKED_FURTHER = 5;
/** And so many of the looks that look best at first may come after them. */
const LOOKS_AFTER = 12;

type SceneStep = SceneLook | SceneCure;

/**
 * The next step by bounded look-ahead: the one after which the room is mended soonest on average, where what follows is taken as cures in
 * the order of probability over cost, and for the best of them as one more look. Source: Heckerman, Breese, Rommelse 1995, expected cost of repair.
 * @param left the steps that may still be taken
 */
export function chooseByLookAhead(given: Case, belief: Belief, left: (id: string) => boolean = () => true): Choice | null {
  const scene = sceneOf(given, belief, left);
  const byCures = (weights: Float64Array) => curesInOrder(scene, weights);
  const first = [...scene.looks, ...scene.cures].map((step) => ({ step, minutes: minutesWith(step, scene.weights, byCures) }));
  const sorted = first.toSorted((a, b) => a.minutes - b.minutes);
  const after = { ...scene, looks: sorted.flatMap(({ step }) => ("answers" in step ? [step] : [])).slice(0, LOOKS_AFTER) };
  const further = sorted
    .slice(0, LOOKED_FURTHER)
    .map(({ step }): Choice => ({ row: step.row, expectedMinutes: minutesWith(step, scene.weights, (left) => bestOf(after, left)) }));
  return further.toSorted((a, b) => a.expectedMinutes - b.expectedMinutes)[0] ?? null;
}

/** Minutes until the room is mended, on average, where one step is taken now and the best after it; giving up where there is no such step. */
export function minutesIfTaken(given: Case, belief: Belief, id: string): number {
  const scene = sceneOf(given, belief, () => true);
  const step = [...scene.looks, ...scene.cures].find(({ row }) => row.id === id);
  if (step) return minutesWith(step, scene.weights, (weights) => bestOf(scene, weights));
  // It tells nothing of what is suspected now: its minutes are lost, and all is as before.
  const row = given.looks.find((one) => one.id === id) ?? given.cures.find((one) => one.id === id);
  return (row?.minutes ?? 0) + bestOf(scene, scene.weights);
}

/** The least of what cures alone, or any one look before them, bring from here. */
function bestOf(scene: Scene, weights: Float64Array): number {
  const byCures = (after: Float64Array) => curesInOrder(scene, after);
  let best = byCures(weights);
  for (const look of scene.looks) if (look.minutes < best) best = Math.min(best, minutesWith(look, weights, byCures));
  return best;
}

/** The minutes of a step and of what is expected after each of its answers. The weights add up to one, or are taken as if they did. */
function minutesWith(step: SceneStep, weights: Float64Array, after: (weights: Float64Array) => number): number {
  let total = 0;
  for (const weight of weights) total += weight;
  if (total <= 0) return 0;
  if ("mends" in step) {
    const open = Float64Array.from(weights);
    for (const kind of step.mends) open[kind] = 0;
    let still = 0;
    for (const weight of open) still += weight;
    return step.minutes + (still > total * 1e-9 ? (still / total) * after(open) : 0);
  }
  let minutes = step.minutes;
  for (const answer of step.answers) {
    const part = new Float64Array(weights.length);
    let share = 0;
    for (let kind = 0; kind < part.length; kind += 1) {
      const weight = (weights[kind] ?? 0) * (answer[kind] ?? 0);
      part[kind] = weight;
      share += weight;
    }
    if (share > total * 1e-9) minutes += (share / total) * after(part);
  }
  return minutes;
}
