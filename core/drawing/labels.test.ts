import fc from "fast-check";
import { expect, test } from "vitest";
import { apartLabels } from "./labels";

test("names that would lie on each other are moved apart, the others stay", () => {
  const moved = apartLabels([
    { key: "a", x: 0, y: 0, width: 40 },
    { key: "b", x: 20, y: 2, width: 40 },
    { key: "c", x: 100, y: 0, width: 40 },
  ]);
  expect([...moved]).toEqual([
    ["a", 0],
    ["c", 0],
    ["b", 15],
  ]);
});

test("a name is never moved by more than four lines", () => {
  const label = fc.record({ x: fc.nat(50), y: fc.nat(20), width: fc.constant(60) });
  fc.assert(
    fc.property(fc.array(label, { maxLength: 30 }), (labels) => {
      const moved = apartLabels(labels.map((one, index) => ({ ...one, key: String(index) })));
      expect([...moved.values()].every((down) => down >= 0 && down <= 60)).toBe(true);
    }),
    { numRuns: 50, seed: 24 },
  );
});
