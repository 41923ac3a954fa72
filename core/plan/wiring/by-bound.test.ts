import fc from "fast-check";
import { expect, test } from "vitest";
import { ByBound } from "./by-bound";

test("whatever could bring most is looked at first, however it came; of two alike the earlier", () => {
  const item = fc.integer({ min: 0, max: 9 });
  fc.assert(
    fc.property(fc.array(item), fc.array(item), (before, after) => {
      const all = [...before, ...after].map((bound, place) => ({ bound, place }));
      const waiting = new ByBound(all.slice(0, before.length));
      for (const one of all.slice(before.length)) waiting.add(one);
      const taken = all.map(() => {
        const { best } = waiting;
        expect(waiting.take()).toBe(best);
        return best;
      });
      expect(taken).toEqual(all.toSorted((a, b) => b.bound - a.bound || a.place - b.place));
      expect(waiting.best).toBeUndefined();
    }),
    { seed: 7 },
  );
});
