import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { made, planned } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { applyCommand, joinSockets } from "@/core/job";
import { compareBoards, excludesEachOther, isAlike, possibleChanges, together } from "@/core/plan";

const loft = demoJob("sail-loft");
const board = (job: typeof loft) => solve(job, "planned").rows;

describe("two boards side by side", () => {
  test("a board beside itself differs in nothing", () => {
    for (const name of demoJobNames()) expect(compareBoards(board(demoJob(name)), board(demoJob(name))).every(isAlike)).toBe(true);
  });

  test("eARC off: the two rows of the disc are worse on the right, the others alike", () => {
    const rows = compareBoards(board(loft), board(made(loft, planned("television", "earc", "off"))));
    expect(rows.filter((row) => !isAlike(row)).map(({ id, sound }) => [id.split("/")[0], Math.sign(sound)])).toEqual([
      ["disc-player", -1],
      ["disc-player", -1],
    ]);
  });

  test("a player that only one side has is told and not judged", () => {
    const without = {
      ...loft,
      devices: loft.devices.filter(({ id }) => id !== "console"),
      cables: loft.cables.filter(({ id }) => id !== "console-bar"),
    };
    const rows = compareBoards(board(without), board(loft));
    expect(rows.filter(({ left }) => left === null).map(({ right, sound }) => [right?.player, sound])).toEqual([["console", 0]]);
  });
});

describe("changes made together", () => {
  test("two new cables thought of apart get names of their own", () => {
    const job = made(loft, { kind: "unplug", cable: "disc-tv" }, { kind: "unplug", cable: "streamer-tv" });
    const cable = (player: string, port: string) => ({
      kind: "cable" as const,
      count: 1,
      decides: [player],
      command: joinSockets(job, { device: player, port: "hdmi-out" }, { device: "television", port }),
    });
    const both = together(job, [cable("disc-player", "hdmi1"), cable("streamer", "hdmi2")]);
    const applied = both.ok ? applyCommand(job, both.value) : null;
    expect(applied?.ok && applied.value.job.cables).toHaveLength(job.cables.length + 2);
  });

  test("whatever is ticked, one undo takes all of it back", () => {
    fc.assert(
      fc.property(fc.constantFrom(...demoJobNames()), fc.array(fc.nat(), { maxLength: 6 }), (name, picks) => {
        const job = demoJob(name);
        const all = possibleChanges(job);
        const chosen = picks.flatMap((pick) => all[pick % all.length] ?? []);
        const command = together(job, chosen);
        const applied = command.ok ? applyCommand(job, command.value) : null;
        if (!applied?.ok) return;
        const back = applyCommand(applied.value.job, applied.value.inverse);
        expect(back.ok && back.value.job).toEqual(job);
      }),
      { numRuns: 60, seed: 5 },
    );
  });

  test("two values of one setting exclude each other, two settings do not", () => {
    const settings = possibleChanges(loft).filter(({ kind }) => kind === "setting");
    const same = settings.filter(({ decides }) => decides[0] === "setting television digital-output");
    const [first, second] = same;
    const other = settings.find(({ decides }) => decides[0] === "setting television earc");
    expect(first && second && excludesEachOther(first, second)).toBe(true);
    expect(first && other && excludesEachOther(first, other)).toBe(false);
  });
});
