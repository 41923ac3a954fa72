import { expect, test } from "vitest";
import { NEEDLE_PERIOD_MS, NEEDLE_SPAN_MS, needleAt, ticksBetween } from "./needle-swing";

test("the needle passes the middle at every whole period, and what is right of it is later", () => {
  for (const round of [0, 1, 7]) {
    expect(needleAt(round * NEEDLE_PERIOD_MS)).toBe(0);
    expect(needleAt(round * NEEDLE_PERIOD_MS + 120)).toBe(120);
    expect(needleAt(round * NEEDLE_PERIOD_MS - 45)).toBe(-45);
  }
  expect(needleAt(700)).toBe(NEEDLE_SPAN_MS);
});

test("each tick sounds once, however the time is cut, and a tick sent 120 ms early meets the needle there", () => {
  const all = ticksBetween(0, 10_000, -120);
  expect(all).toEqual([1880, 3880, 5880, 7880, 9880]);
  expect([...ticksBetween(0, 3000, -120), ...ticksBetween(3000, 3880, -120), ...ticksBetween(3880, 10_000, -120)]).toEqual(all);
  // Sound that comes 120 ms after the picture is heard as the needle passes the middle.
  expect(needleAt((all[0] ?? 0) + 120)).toBe(0);
});
