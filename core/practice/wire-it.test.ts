import { describe, expect, test } from "vitest";
import { applyCommand, type Job } from "@/core/job";
import { outputsToWire, roomToWire, scoreWiring } from "@/core/practice";

const bare = roomToWire(5, "mixed");
const scored = (job: Job) => {
  const score = scoreWiring(job, bare);
  if (!score) throw new Error("nothing to plan");
  return score;
};

/** Every output into the first socket that takes it: how somebody in a hurry wires. */
function inAHurry(job: Job): Job {
  const open = outputsToWire(job).find(({ cable, open: sockets }) => cable === null && sockets.length > 0)?.open[0];
  const made = open && applyCommand(job, open.command);
  return made?.ok ? inAHurry(made.value.job) : job;
}

describe("a room to be wired", () => {
  test("has no cable, every menu as from the factory, and is the same for the same number", () => {
    expect(bare.cables).toEqual([]);
    expect(bare.devices.flatMap(({ settings }) => settings).every(({ planned }) => planned === null)).toBe(true);
    expect(roomToWire(5, "mixed")).toEqual(bare);
  });

  test("without a cable earns nothing, the best plan a hundred, and a wiring in a hurry something between", () => {
    const nothing = scored(bare);
    expect(nothing.points).toBe(0);
    expect(nothing.isProven).toBe(true);
    expect(scored(nothing.best).points).toBe(100);
    const hurried = scored(inAHurry(bare)).points;
    expect(hurried).toBeGreaterThan(0);
    expect(hurried).toBeLessThan(100);
  });

  test("offers an output each socket that it fits, and none once it is plugged", () => {
    const [first] = outputsToWire(bare);
    const join = first?.open[0];
    if (!first || !join) throw new Error("no output");
    const made = applyCommand(bare, join.command);
    if (!made.ok) throw new Error("refused");
    const after = outputsToWire(made.value.job).find(({ end }) => end.device === first.end.device && end.port === first.end.port);
    expect(after).toMatchObject({ goesTo: join.to, open: [] });
  });
});
