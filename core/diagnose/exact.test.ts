import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import {
  chooseByLookAhead,
  chooseExactly,
  finderOf,
  fitsSymptom,
  generator,
  minutesOfPolicy,
  nextByProbabilityOverCost,
  nextOfChecklist,
  standOf,
  withoutErrors,
  type Case,
} from "@/core/diagnose";

/** A made-up room: how likely each fault is, what each look shows of it, and which each cure mends. */
interface Puzzle {
  readonly weights: readonly number[];
  readonly looks: readonly { readonly minutes: number; readonly shows: readonly number[] }[];
  readonly cures: readonly { readonly minutes: number; readonly mends: readonly number[] }[];
}

function puzzle(seed: number): Puzzle {
  const draw = generator(seed);
  const faults = 4;
  const each = <Item>(count: number, make: () => Item) => Array.from({ length: count }, make);
  return {
    weights: each(faults, () => 1 + Math.floor(draw() * 9)),
    looks: each(3, () => ({ minutes: 0.25 + Math.floor(draw() * 8) / 4, shows: each(faults, () => Math.floor(draw() * 2)) })),
    cures: [
      ...Array.from({ length: faults }, (_, index) => ({ minutes: 0.5 + Math.floor(draw() * 30) / 2, mends: [index] })),
      { minutes: 6 + Math.floor(draw() * 10), mends: [0, 1] },
    ],
  };
}

const GIVE_UP = 120;

/** The least expected minutes, by trying every step at every point: no memory, no order, nothing of the product's own. */
function leastMinutes({ weights, looks, cures }: Puzzle, left: readonly number[] = [0, 1, 2, 3]): number {
  if (left.length === 0) return 0;
  const total = (of: readonly number[]) => of.reduce((sum, fault) => sum + (weights[fault] ?? 0), 0);
  let best = total(left) * GIVE_UP;
  for (const { minutes, mends } of cures) {
    const still = left.filter((fault) => !mends.includes(fault));
    if (still.length < left.length) best = Math.min(best, total(left) * minutes + leastMinutes({ weights, looks, cures }, still));
  }
  for (const { minutes, shows } of looks) {
    const [yes, no] = [left.filter((fault) => shows[fault] === 1), left.filter((fault) => shows[fault] !== 1)];
    if (yes.length && no.length)
      best = Math.min(
        best,
        total(left) * minutes + leastMinutes({ weights, looks, cures }, yes) + leastMinutes({ weights, looks, cures }, no),
      );
  }
  return best;
}

const { singles } = finderOf(demoJob("16-aux-path", "systems"));

/** The same room as a case. Only what choosing reads is filled in. */
function asCase({ weights, looks, cures }: Puzzle): Case {
  const [first] = singles.suspects;
  const [look] = singles.looks.filter((row) => row.look.does === "play");
  const [cure] = singles.cures;
  if (!first || !look || !cure) throw new Error("no room");
  return {
    ...singles,
    suspects: weights.map((_, index) => ({ ...first, id: `fault ${index}` })),
    priors: Float64Array.from(weights),
    looks: looks.map(({ minutes, shows }, index) => ({
      ...look,
      id: `look ${index}`,
      minutes,
      answers: ["no", "yes"],
      shows: Int16Array.from(shows),
      likelihood: shows.map((shown) => Float64Array.from([shown === 0 ? 1 : 0, shown === 1 ? 1 : 0])),
    })),
    cures: cures.map(({ minutes, mends }, index) => ({
      ...cure,
      id: `cure ${index}`,
      minutes,
      mends: Uint8Array.from(weights, (_, fault) => (mends.includes(fault) ? 1 : 0)),
      mendsPart: new Uint8Array(weights.length),
    })),
  };
}

describe("the exact policy", () => {
  test.each(Array.from({ length: 40 }, (_, index) => index + 1))("of made-up room %i is that of trying everything", (seed) => {
    const made = puzzle(seed);
    const total = made.weights.reduce((sum, one) => sum + one, 0);
    const belief = Float64Array.from(made.weights, (weight) => weight / total);
    expect(chooseExactly(asCase(made), belief)?.expectedMinutes).toBeCloseTo(leastMinutes(made) / total, 6);
  });
});

test("look-ahead stays within a tenth of the exact policy, and beats the checklist and probability over cost", { timeout: 120_000 }, () => {
  const minutes = { exact: 0, ahead: 0, list: 0, rate: 0, rooms: 0 };
  for (const name of demoJobNames("systems").slice(1, 6)) {
    const finder = finderOf(demoJob(name, "systems"));
    const given = finder.singles;
    const plain = withoutErrors(given);
    for (const symptom of given.symptoms) {
      const stand = standOf(finder, [symptom.id], []);
      if (!stand.ok) continue;
      // Only what surely brings about the complaint: there the exact answer is known.
      const belief = stand.value.belief.map((share, index) => {
        const suspect = given.suspects[index];
        const fits = suspect && suspect.faults[0]?.kind !== "unknown" && fitsSymptom(symptom, suspect.seen, given.healthy.seen) === "told";
        return fits ? share : 0;
      });
      const exact = chooseExactly(plain, belief);
      if (!exact) continue;
      minutes.rooms += 1;
      minutes.exact += exact.expectedMinutes;
      minutes.ahead += minutesOfPolicy(
        plain,
        belief,
        (left) =>
          chooseByLookAhead(
            plain,
            left.map((one) => one / left.reduce((a, b) => a + b, 0)),
          )?.row ?? null,
      );
      minutes.list += minutesOfPolicy(plain, belief, (left, taken) => nextOfChecklist(plain, left, taken));
      minutes.rate += minutesOfPolicy(plain, belief, (left, taken) => nextByProbabilityOverCost(plain, left, taken));
    }
  }
  expect(minutes.rooms).toBeGreaterThan(50);
  expect(minutes.ahead).toBeLessThanOrEqual(minutes.exact * 1.1);
  expect(minutes.ahead).toBeGreaterThanOrEqual(minutes.exact - 1e-6);
  expect(minutes.ahead).toBeLessThan(minutes.list);
  expect(minutes.ahead).toBeLessThan(minutes.rate);
});
