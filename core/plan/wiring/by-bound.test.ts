import fc from "fast-check";
import { expect, test } from "vitest";
import { ByBound } from "./by-bound";

test("whatever could bring most is looked at first, however it came; of two alike the one that is worked out further, then the earlier", () => {
  // Bounds a hair apart are alike.
  const item = fc.record({
    most: fc.integer({ min: 0, max: 5 }),
    hair: fc.constantFrom(-1e-9, 0, 1e-9),
    depth: fc.integer({ min: 0, max: 3 }),
  });
  fc.assert(
    fc.property(fc.array(item), fc.array(item), (before, after) => {
      const all = [...before, ...after].map(({ most, hair, depth }, place) => ({ bound: most + hair, most, depth, place }));
      const waiting = new ByBound(all.slice(0, before.length));
      for (const one of all.slice(before.length)) waiting.add(one);
      const taken = all.map(() => {
        const { best } = waiting;
        expect(waiting.take()).toBe(best);
        return best;
      });
      expect(taken).toEqual(all.toSorted((a, b) => b.most - a.most || b.depth - a.depth || a.place - b.place));
      expect(waiting.best).toBeUndefined();
    }),
    { seed: 7 },
  );
});
