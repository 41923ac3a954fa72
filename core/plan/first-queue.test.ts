import fc from "fast-check";
import { expect, test } from "vitest";
import { FirstQueue } from "./first-queue";

test("takes out whatever was put in, in order, however the two are mixed", () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(fc.integer(), fc.constant(null)), { maxLength: 200 }), (steps) => {
      const queue = new FirstQueue<number>((a, b) => a - b);
      const held: number[] = [];
      for (const step of steps) {
        if (step === null) {
          const least = held.toSorted((a, b) => a - b)[0];
          expect(queue.take()).toBe(least);
          if (least !== undefined) held.splice(held.indexOf(least), 1);
        } else {
          queue.push(step);
          held.push(step);
        }
        expect(queue.size).toBe(held.length);
      }
    }),
    { seed: 7 },
  );
});
