import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { IS_PROVING } from "./tries-under-test";
import { atHand, checkedPlans, checkPlan, weightsOf, wiringSpace, worthOfRoom } from "@/core/plan";
import { changeWords } from "@/core/text";
import { anyRoom, anySpace, variedIn } from "./any-room-under-test";
import { demoJob, demoJobNames } from "./demo-jobs";

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

/** Rooms tried: a few in every run of the tests, all that are promised by `npm run prove`. */
const ROOMS = IS_PROVING ? 500 : 40;

test(`in ${ROOMS} rooms that differ in everything no neighbour of the best plan is better, and few plans hold a lead that the search does not think of`, () => {
  const tried = fc.sample(anyRoom, { seed: 14, numRuns: ROOMS });
  let [planned, beyond] = [0, 0];
  for (const one of tried) {
    const space = anySpace(one);
    const weights = weightsOf(space.job.brief);
    const found = checkedPlans(space, weights, { onlyBest: true, clock: () => performance.now(), mostMs: 20_000 });
    const [best] = found.plans;
    if (!best) continue;
    planned += 1;
    beyond += Number(found.beyond > 0);
    const better = checkPlan(space, weights, best).better.map(({ change }) => changeWords(best.job, change));
    expect(better, JSON.stringify(one)).toEqual([]);
    expect(worthOfRoom(space, weights, best.job), JSON.stringify(one)).toBeCloseTo(best.points, 6);
  }
  console.info(`${variedIn(tried)}: ${planned} planned, ${beyond} with leads beyond the search`);
  expect(planned).toBeGreaterThan(ROOMS / 2);
  // Measured on 500 rooms: 49 of 370, most of them a player’s own optical lead.
  expect(beyond).toBeLessThan(planned / 5);
}, 900_000);
