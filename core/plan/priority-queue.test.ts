import fc from "fast-check";
import { expect, test } from "vitest";
import { PriorityQueue } from "./priority-queue";

test("takes out whatever was put in, in order, and of equals the one pushed first, however the two are mixed", () => {
  fc.assert(
    fc.property(fc.array(fc.oneof(fc.integer({ min: 0, max: 9 }), fc.constant(null)), { maxLength: 200 }), (acts) => {
      const queue = new PriorityQueue<{ value: number; place: number }>((a, b) => a.value - b.value);
      const held: { value: number; place: number }[] = [];
      for (const [place, value] of acts.entries()) {
        if (value === null) {
          const least = held.toSorted((a, b) => a.value - b.value || a.place - b.place)[0];
          expect(queue.first).toBe(least);
          expect(queue.take()).toBe(least);
          if (least !== undefined) held.splice(held.indexOf(least), 1);
        } else {
          const item = { value, place };
          queue.push(item);
          held.push(item);
        }
        expect(queue.size).toBe(held.length);
      }
    }),
    { seed: 7 },
  );
});

test("begins with what it is given", () => {
  const queue = new PriorityQueue((a: number, b: number) => a - b, [3, 1, 2]);
  expect([queue.take(), queue.take(), queue.take(), queue.take()]).toEqual([1, 2, 3, undefined]);
});
