import { expect, test } from "vitest";
import { VISIT_MINUTES } from "@/core/facts";
import { learnedMinutes, LEAST_STEPS, minutesTable } from "@/core/visit";

const took = (minutes: number, state: "done" | "put-off" = "done") => ({ state, work: "plug" as const, minutes });

test("the middle half of what the firm's own steps took is what it counts with, to the half minute", () => {
  // Sorted 1, 2, 3, 4, 5: a quarter of the way lies 2, three quarters 4.
  expect(learnedMinutes([5, 1, 3, 2, 4].map((minutes) => took(minutes)))).toEqual({ plug: { from: 2, to: 4, steps: 5 } });
});

test("few steps, steps that were not done, and ticks made afterwards or after a break teach nothing", () => {
  const usual = VISIT_MINUTES.plug;
  expect(learnedMinutes(Array.from({ length: LEAST_STEPS - 1 }, () => took(2)))).toEqual({});
  expect(learnedMinutes(Array.from({ length: 9 }, () => took(2, "put-off")))).toEqual({});
  expect(learnedMinutes(Array.from({ length: 9 }, () => took(usual.from / 10)))).toEqual({});
  expect(learnedMinutes(Array.from({ length: 9 }, () => took(usual.to * 10)))).toEqual({});
});

test("what the firm wrote down wins over what it took, and that over what is usual; waits stay the devices' own", () => {
  const learned = { plug: { from: 2, to: 4, steps: 5 }, pair: { from: 1, to: 2, steps: 9 } };
  const table = minutesTable({ plug: { from: 6, to: 7 } }, learned);
  expect(table.plug).toEqual({ from: 6, to: 7, wait: VISIT_MINUTES.plug.wait });
  expect(table.pair).toEqual({ from: 1, to: 2, wait: VISIT_MINUTES.pair.wait });
  expect(table.firmware).toEqual(VISIT_MINUTES.firmware);
});
