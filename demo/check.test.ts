import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { atHand, checkedPlans, checkPlan, PRESETS, weightsOf, wiringSpace, worthOfRoom } from "@/core/plan";
import { changeWords } from "@/core/text";
import { demoJob, demoJobNames } from "./demo-jobs";
import { rooms, spaceOf } from "./small-rooms-under-test";

const names = [
  ...demoJobNames().map((name) => [name, "jobs"] as const),
  ...demoJobNames("systems").map((name) => [name, "systems"] as const),
];

describe("the best plan of every demo job and system, judged from outside", () => {
  test.each(names)(
    "%s: no single setting, plug, removal, cable or box makes it better, and a room is worth what the search says",
    (name, folder) => {
      const job = demoJob(name, folder);
      const space = wiringSpace(job, atHand(job));
      expect(space).not.toBeNull();
      if (!space) return;
      const weights = weightsOf(job.brief);
      const found = checkedPlans(space, weights, { onlyBest: true });
      const [best] = found.plans;
      if (!best) return;
      expect(found.check?.better.map(({ change, more }) => `${changeWords(best.job, change)} ${more}`)).toEqual([]);
      expect(found.proven).toBe(true);
      // Two ways to the same figure: the search adds up a plan, the judge reads it off the room.
      expect(worthOfRoom(space, weights, best.job)).toBeCloseTo(best.points, 6);
    },
  );
});

test("in random rooms, with and without quarrels, boxes and second screens, no neighbour of what is called proven is better", () => {
  let judged = 0;
  fc.assert(
    fc.property(rooms, fc.constantFrom(...Object.values(PRESETS)), (one, weights) => {
      const space = spaceOf(one);
      const found = checkedPlans(space, weights, { onlyBest: true });
      const [best] = found.plans;
      if (!best || !found.proven) return;
      judged += 1;
      expect(checkPlan(space, weights, best).better.map(({ change }) => changeWords(best.job, change))).toEqual([]);
    }),
    { seed: 14, numRuns: 40 },
  );
  expect(judged).toBeGreaterThan(30);
}, 120_000);
