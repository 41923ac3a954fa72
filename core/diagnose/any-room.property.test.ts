import fc from "fast-check";
import { expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { solve } from "@/core/chain";
import { everyFaultOf } from "./every-fault-under-test";

test("every fault of rooms of every kind is found, or one that nobody needs to tell from it, and is cured", () => {
  let planted = 0;
  fc.assert(
    fc.property(fc.oneof(anyRoom.map(anyJob), spelledRooms), (job) => {
      if (!solve(job, "planned").rows.some(({ plays }) => plays !== null)) return;
      const { lost, minutes } = everyFaultOf("room", job);
      planted += minutes.length;
      expect(lost).toEqual([]);
    }),
    { ...tries(40, 400, 11), endOnFailure: true },
  );
  process.stdout.write(`${planted} faults planted in rooms of every kind\n`);
  expect(planted).toBeGreaterThan(100);
});
