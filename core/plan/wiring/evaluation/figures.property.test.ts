import fc from "fast-check";
import { expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { solve } from "@/core/chain";
import type { Job } from "@/core/job";
import { wiringSpace, type WiringSpace } from "../space";
import { NO_EFFORT } from "./effort";
import { commonFigures } from "./everyday-acts";
import { solvedRoom, weighedFigures } from "./figures";

/** What a room gives a household, as seen from the space of some job. */
function given(space: WiringSpace, job: Job) {
  const solved = solve(job, "planned");
  const { acts, ...figures } = weighedFigures(space, solved, commonFigures(space, solvedRoom(space, solved).household), NO_EFFORT);
  return { ...figures, acts: acts.map(({ verdict, steps }) => [verdict, steps]) };
}

/** The job with values planned for its settings, one after the other; a number past the options of a setting leaves it. */
function planned(job: Job, values: readonly number[]): Job {
  let at = 0;
  const next = () => values[(at += 1) % values.length] ?? 0;
  return {
    ...job,
    devices: job.devices.map((one) => ({
      ...one,
      settings: one.settings.map((row) => ({ ...row, planned: row.options[next()] ?? row.planned })),
    })),
  };
}

/** Rooms with most of their sockets in use, half of them with a receiver, which has the most to set. */
const wired = fc
  .tuple(anyRoom, fc.boolean(), fc.array(fc.nat(1000), { minLength: 6, maxLength: 12 }))
  .map(([one, isReceiver, plugs]) => anyJob({ ...one, system: isReceiver ? "receiver-51" : one.system, plugs }));

test("a room is worth what it is, whatever the job was from which it was planned: each setting is read where it is set", () => {
  fc.assert(
    fc.property(wired, fc.array(fc.nat(4), { minLength: 23, maxLength: 23 }), (before, values) => {
      const after = planned(before, values);
      const [space, asItStands] = [wiringSpace(before, { boxes: [] }), wiringSpace(after, { boxes: [] })];
      // Whose remote the household takes is the one thing that a plan does not turn.
      const own = space && asItStands && { ...asItStands, mainScreen: space.mainScreen };
      expect(own && given(own, after)).toEqual(space && given(space, after));
    }),
    tries(120, 3000, 41),
  );
}, 600_000);
