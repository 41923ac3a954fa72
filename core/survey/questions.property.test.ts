import fc from "fast-check";
import { expect, test } from "vitest";
import { solve, type Arrival } from "@/core/chain";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { foundOut } from "@/demo/found-out-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { openQuestions } from "./index";

const ROOMS = fc.oneof(spelledRooms, anyRoom.map(anyJob), disturbedRooms);

/** Its sound or its picture, or whether more could come another way, depends on something that nobody has read. */
const isUnsure = ({ verdict, losses, pictureLosses }: Arrival): boolean =>
  verdict === "unknown" ||
  losses.some(({ reason }) => "unknown" in reason) ||
  pictureLosses.some(({ code }) => code === "picture-unknown" || code === "picture-setting-unknown");

test("every row that depends on something unknown has a question for the visit, and once all is found out nothing is unknown", () => {
  let unsure = 0;
  fc.assert(
    fc.property(ROOMS, fc.array(fc.nat(), { minLength: 40, maxLength: 40 }), (job, numbers) => {
      const { rows } = solve(job, "planned");
      const asked = new Set(openQuestions(job, rows).flatMap((question) => question.rows));
      const waiting = rows.filter(isUnsure);
      unsure += waiting.length;
      for (const row of waiting) expect(asked, JSON.stringify(row.losses)).toContain(row.id);
      const answered = foundOut(job, numbers);
      const after = solve(answered, "planned").rows;
      expect(after.filter(isUnsure)).toEqual([]);
      expect(openQuestions(answered, after).filter((question) => question.rows.length > 0)).toEqual([]);
    }),
    tries(600, 20_000, 20_261_129),
  );
  expect(unsure).toBeGreaterThan(20);
});
