import fc from "fast-check";
import { expect, test } from "vitest";
import { solve, solveAgain, type Solved } from "@/core/chain";
import { applyCommand } from "@/core/job";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { made } from "@/demo/room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { makeBounds } from "./bounds";
import { possibleChanges } from "./changes";
import { movedRows } from "./moved-rows";
import { totalOf } from "./row-worth";
import { smallestChanges } from "./smallest-changes";

const KINDS = ["setting", "plug", "cable"] as const;
/** So many changes are made one after the other, and then a new way is begun. */
const STEPS = 4;

/** What the rows of a room bring together; -Infinity where one of them stands lower than at the start. */
function worthOf(start: Solved): (solved: Solved) => number {
  const bounds = makeBounds(start, KINDS);
  return (solved) => {
    const { lowers, pictureLowers } = movedRows(start.rows, solved.rows);
    if (lowers.length + pictureLowers.length > 0) return -Infinity;
    return solved.units.reduce((sum, unit) => (bounds.units.includes(unit.key) ? sum + totalOf(bounds.worth(solved, unit)) : sum), 0);
  };
}

/** The most that any room on ways of single changes brings, chosen by numbers: it knows nothing of questions, parts or bounds. */
function wandered(start: Solved, worth: (solved: Solved) => number, tape: readonly number[]): number {
  let [at, steps, most] = [start, 0, -Infinity];
  for (const number of tape) {
    if (steps === STEPS) [at, steps] = [start, 0];
    const changes = possibleChanges(at.job).filter(({ kind }) => KINDS.some((one) => one === kind));
    const change = changes[number % Math.max(1, changes.length)];
    const applied = change && applyCommand(at.job, change.command);
    if (!applied?.ok) continue;
    [at, steps] = [solveAgain(at, applied.value.job), steps + 1];
    most = Math.max(most, worth(at));
  }
  return most;
}

test("no way of several changes brings more than the set that is called best, in rooms of any kind and gear spelled out by hand", () => {
  let proven = 0;
  fc.assert(
    fc.property(
      fc.oneof({ arbitrary: spelledRooms, weight: 3 }, anyRoom.map(anyJob)),
      fc.array(fc.nat(100_000), { minLength: 60, maxLength: 60, size: "max" }),
      (job, tape) => {
        const smallest = smallestChanges(job, { kinds: KINDS, mostNodes: 400 });
        if (smallest.proof === "not-proven") return;
        proven += 1;
        const start = solve(job, "planned");
        const worth = worthOf(start);
        const best = solve(made(job, ...smallest.best.changes.map(({ command }) => command)), "planned");
        expect(wandered(start, worth, tape)).toBeLessThanOrEqual(worth(best) + 1e-4);
      },
    ),
    tries(30, 1500, 97),
  );
  expect(proven).toBeGreaterThan(15);
}, 900_000);
