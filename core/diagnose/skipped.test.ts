import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { finderOf, standOf, type Observed } from "./index";

const finder = finderOf(demoJob("sail-loft"));

/** The checks that are proposed one after the other to somebody who gives each the same answer. */
function proposed(symptom: string, answer: string, most: number): readonly string[] {
  const observed: Observed[] = [];
  for (let count = 0; count < most; count += 1) {
    const stand = standOf(finder, [symptom], observed);
    if (!stand.ok) throw new Error(stand.refusal.code);
    const { next } = stand.value;
    if (!next) break;
    observed.push({ check: next.row.id, answer });
  }
  return observed.map(({ check }) => check);
}

describe("somebody who cannot do a step", () => {
  test.each(finder.singles.symptoms.map(({ id }) => id))("is asked for another one each time: %s", (symptom) => {
    const asked = proposed(symptom, "not-known", 25);
    expect(asked.length).toBeGreaterThan(1);
    expect(asked.filter((check, index) => asked.indexOf(check) !== index)).toEqual([]);
  });
});
