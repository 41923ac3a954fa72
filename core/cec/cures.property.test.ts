import fc from "fast-check";
import { expect, test } from "vitest";
import { compareArrivals, comparePictures, solve } from "@/core/chain";
import { applyCommand } from "@/core/job";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { eventOf, householdOf, judgeAll, roomCures } from "./index";

const ROOMS = fc.oneof(anyRoom.map(anyJob), spelledRooms, disturbedRooms);

test("a change that is offered for the whole room can be made, lowers no sound and no picture, and the acts that it names go on being there", () => {
  let played = 0;
  fc.assert(
    fc.property(ROOMS, (job) => {
      const before = solve(job, "planned").rows;
      for (const { cure, betters } of roomCures(householdOf(job))) {
        if (!("command" in cure)) continue;
        const made = applyCommand(job, cure.command);
        expect(made.ok).toBe(true);
        if (!made.ok) continue;
        played += 1;
        const after = new Map(solve(made.value.job, "planned").rows.map((row) => [row.id, row]));
        for (const row of before) {
          const now = after.get(row.id);
          if (!now) expect([row.arrives, row.picture], `${row.id} is gone`).toEqual([null, null]);
          else {
            expect(compareArrivals(now, row), `the sound of ${row.id}`).toBeGreaterThanOrEqual(0);
            expect(comparePictures(now, row), `the picture of ${row.id}`).toBeGreaterThanOrEqual(0);
          }
        }
        const acts = new Set(judgeAll(householdOf(made.value.job)).map(({ act }) => eventOf(act)));
        for (const event of betters) expect(acts).toContain(event);
      }
    }),
    tries(250, 5000, 20_261_129),
  );
  expect(played).toBeGreaterThan(50);
});
