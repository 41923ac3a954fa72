import fc from "fast-check";
import { expect, test } from "vitest";
import { acrossInto, apartLabels, firstClear } from "./labels";

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

test("a name at a wall is moved into the room, by no more than it takes", () => {
  expect(acrossInto({ x: 10, width: 60 }, 0, 500)).toBe(20);
  expect(acrossInto({ x: 490, width: 60 }, 0, 500)).toBe(-20);
  expect(acrossInto({ x: 250, width: 60 }, 0, 500)).toBe(0);
  // Wider than the room: over its middle.
  expect(acrossInto({ x: 10, width: 60 }, 0, 40)).toBe(10);
});

test("the first clear place is taken, and the first of all where none is clear", () => {
  const at = (y: number) => ({ x: 0, y, width: 20, height: 10 });
  expect(firstClear([at(0), at(30), at(60)], [at(5), at(65)])).toEqual(at(30));
  expect(firstClear([at(0), at(30)], [at(5), at(25)])).toEqual(at(0));
});
