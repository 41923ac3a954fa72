import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { speedOfSound } from "@/core/facts";
import { applyCommand } from "@/core/job";
import { solve, solveAgain } from "@/core/chain";
import { demoJob } from "@/demo/demo-jobs";
import { onDial } from "./dial-times";
import { roomAnswer } from "./room-answer";
import { alignmentMs } from "./alignment";
import { jobWith, loose, roomOf } from "./under-test";

const reading = (unit: string, value: number, of: "distance" | "level" = "distance", seat = "seat") => ({
  device: "system",
  unit,
  seat,
  of,
  value,
  by: "laser",
});
const systemOf = (system: string, space: object, change: object = {}) => {
  const job = jobWith(system, { ...space }, { ...change });
  const [found] = roomAnswer(job, roomOf(job)).systems;
  if (!found) throw new Error("no system");
  return found;
};
const METRES = { kind: "distance", min: 1, max: 7, step: 0.1, usual: 3, unit: "m" };

test("sound travels 343.2 m/s at 20 °C, 331.3 at 0 °C", () => {
  expect(speedOfSound(0)).toBeCloseTo(331.3, 9);
  expect(speedOfSound(20)).toBeCloseTo(343.21, 1);
});

describe("times", () => {
  const distances = [reading("l", 2.43), reading("r", 2.43), reading("c", 2.2), reading("ls", 1.6), reading("rs", 1.6)];

  test("without any position: the true delay is against the farthest, (2.43 − 1.6)/343.2", () => {
    const { times } = systemOf("receiver-51", { readings: distances, outline: null });
    const ls = times.find(({ speaker }) => speaker.channel === "Ls");
    expect(ls?.delayMs).toBeCloseTo(((2.43 - 1.6) / speedOfSound(20)) * 1000, 6);
    expect(times.find(({ speaker }) => speaker.channel === "L")?.delayMs).toBe(0);
  });

  test("a dial of 0.1 m from 1 m takes 2.4 for 2.43 m; 3 cm stay, which is 0.087 ms late", () => {
    const { times } = systemOf("receiver-51", { readings: distances }, { dials: { time: METRES } });
    const dial = times.find(({ speaker }) => speaker.channel === "L")?.dial;
    expect(dial).toMatchObject({ value: 2.4, unit: "m", outOfRange: false });
    expect(dial?.errorMs).toBeCloseTo(0.03 / 0.3432, 3);
  });

  test("in feet: 2.43 m is 7.97 ft, whole feet 8", () => {
    const { times } = systemOf(
      "receiver-51",
      { readings: distances },
      { dials: { time: { kind: "distance", min: 1, max: 30, step: 1, usual: 10, unit: "ft" } } },
    );
    expect(times.find(({ speaker }) => speaker.channel === "L")?.dial).toMatchObject({ value: 8, unit: "ft" });
  });

  test("a delay dial takes the delay itself, in its steps", () => {
    const { times } = systemOf(
      "receiver-51",
      { readings: distances },
      { dials: { time: { kind: "delay", min: 0, max: 20, step: 1, usual: 0, unit: "ms" } } },
    );
    const ls = times.find(({ speaker }) => speaker.channel === "Ls");
    expect(ls?.dial).toMatchObject({ kind: "delay", value: 2 });
    expect(ls?.dial?.errorMs).toBeCloseTo(2 - ((2.43 - 1.6) / speedOfSound(20)) * 1000, 6);
  });

  test("out of range says so, with what stays: 0.4 m on a dial from 1 m plays 1.75 ms early", () => {
    const { times } = systemOf("receiver-51", { readings: [reading("l", 2), reading("ls", 0.4)] }, { dials: { time: METRES } });
    const dial = times.find(({ speaker }) => speaker.channel === "Ls")?.dial;
    expect(dial).toMatchObject({ value: 1, outOfRange: true });
    expect(dial?.errorMs).toBeCloseTo((-0.6 / speedOfSound(20)) * 1000, 6);
  });

  test("a front pair within a step is kept equal, one further apart is not", () => {
    const fronts = (l: number, r: number) =>
      systemOf("receiver-51", { readings: [reading("l", l), reading("r", r)] }, { dials: { time: METRES } }).times.map(
        ({ dial }) => dial?.value,
      );
    expect(fronts(2.44, 2.52)).toEqual([2.5, 2.5]);
    expect(fronts(2.4, 2.7)).toEqual([2.4, 2.7]);
  });

  test("a pair with one dial shares it", () => {
    const { times } = systemOf(
      "receiver-51",
      { readings: [reading("l", 2), reading("ls", 1.4), reading("rs", 2.2)] },
      { dials: { time: METRES, pairsShareTime: true } },
    );
    expect(times.filter(({ speaker }) => speaker.channel === "Ls" || speaker.channel === "Rs").map(({ dial }) => dial?.value)).toEqual([
      1.8, 1.8,
    ]);
  });

  test("equal distances make equal dials and no delay", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 12, noNaN: true }), (metres) => {
        const { times } = systemOf(
          "receiver-51",
          { readings: ["l", "r", "c", "ls", "rs"].map((unit) => reading(unit, metres)) },
          { dials: { time: METRES } },
        );
        expect(new Set(times.map(({ dial }) => dial?.value)).size).toBe(1);
        expect(times.every(({ delayMs, asDeliveredMs }) => Math.abs(delayMs) < 1e-9 && Math.abs(asDeliveredMs) < 1e-9)).toBe(true);
      }),
      { numRuns: 60, seed: 20 },
    );
  });

  test("what is left on a dial within its range is never more than half a step", () => {
    fc.assert(
      fc.property(fc.double({ min: 1, max: 7, noNaN: true }), (metres) => {
        expect(Math.abs(onDial({ min: 1, max: 7, step: 0.1 }, metres) - metres)).toBeLessThanOrEqual(0.05 + 1e-9);
      }),
      { numRuns: 200, seed: 21 },
    );
  });

  test("wireless units that play 20 ms later count as 6.9 m further away, and what hangs on their leads with them", () => {
    const { times } = systemOf("bar-wireless-subwoofer", {
      readings: [reading("bar", 3), reading("subwoofer", 3), reading("left-rear", 3), reading("right-rear", 3)],
    });
    const of = (channel: string) => times.find(({ speaker }) => speaker.channel === channel);
    expect(of("LFE")?.asDeliveredMs).toBeCloseTo(20, 6);
    expect(of("Ls")?.asDeliveredMs).toBeCloseTo(20, 6);
    expect(of("L")?.dial).toMatchObject({ kind: "delay", value: 20 });
    expect(of("LFE")?.dial).toMatchObject({ value: 0 });
  });
});

describe("what fitting adds", () => {
  const space = { readings: [reading("bar", 3), reading("subwoofer", 3)] };

  test("to everything that the system plays is what its front waits", () => {
    const job = jobWith("bar-wireless-subwoofer", space);
    const [system] = job.devices;
    expect(system && alignmentMs(job, system)).toBe(20);
  });

  test("is in the delay and lip sync of Arrivals, also after an edit of the room alone", () => {
    const before = demoJob("receiver-den");
    const solved = solve(before, "planned");
    const receiver = before.devices.find(({ id }) => id === "receiver");
    const room = before.rooms[0];
    if (!receiver || !room) throw new Error("no receiver");
    const added = alignmentMs(before, receiver);
    expect(added).toBeGreaterThan(0);
    const row = (all: typeof solved) => all.rows.find(({ arrives, player }) => arrives && player === "disc-player");
    const far = applyCommand(before, {
      kind: "note-reading",
      room: room.id,
      about: { device: "receiver", unit: "ls", channel: null, seat: "sofa", of: "distance" },
      reading: { device: "receiver", unit: "ls", channel: null, seat: "sofa", of: "distance", value: 6.04, by: "tape" },
      at: null,
    });
    if (!far.ok) throw new Error("refused");
    const after = solveAgain(solved, far.value.job);
    expect(after.rows).toEqual(solve(far.value.job, "planned").rows);
    const more = alignmentMs(far.value.job, receiver) - added;
    expect(more).toBeGreaterThan(5);
    expect((row(after)?.delayMs ?? 0) - (row(solved)?.delayMs ?? 0)).toBeCloseTo(more, 6);
    expect((row(after)?.lipSyncMs ?? 0) - (row(solved)?.lipSyncMs ?? 0)).toBeCloseTo(more, 6);
  });

  test("is nothing where a system takes no times, or nothing is measured", () => {
    const without = jobWith("bar-one-input", space);
    expect(alignmentMs(without, without.devices[0] ?? never())).toBe(0);
    const bare = jobWith("bar-wireless-subwoofer", {});
    expect(alignmentMs(bare, bare.devices[0] ?? never())).toBe(0);
  });
});

const never = (): never => {
  throw new Error("no device");
};

describe("levels", () => {
  test("are target less reading first, in the dial's steps, with what is left", () => {
    const { levels } = systemOf(
      "receiver-51",
      { targetDb: 75, readings: [reading("l", 71.7, "level"), reading("ls", 2)] },
      { dials: { trim: { kind: "decibels", min: -12, max: 12, step: 0.5 } } },
    );
    const l = levels.find(({ speaker }) => speaker.channel === "L");
    expect(l).toMatchObject({ from: "measured", dial: { db: 3.5, name: null, outOfRange: false } });
    expect(l?.wantedDb).toBeCloseTo(3.3, 9);
    expect(l?.dial?.leftDb).toBeCloseTo(-0.2, 9);
  });

  test("are estimated by distance where nobody measured: twice as far needs 6 dB more", () => {
    const { levels } = systemOf("receiver-51", { readings: [reading("l", 2), reading("r", 2), reading("ls", 4), reading("rs", 1)] });
    expect(levels.map(({ speaker, from, wantedDb }) => [speaker.channel, from, Number(wantedDb.toFixed(2))])).toEqual([
      ["L", "estimated", 0],
      ["R", "estimated", 0],
      ["Ls", "estimated", 6.02],
      ["Rs", "estimated", -6.02],
    ]);
  });

  test("on coarse steps take the nearest one by its name", () => {
    const { levels } = systemOf("bar-subwoofer-hub", {
      targetDb: 75,
      readings: [reading("left-satellite", 72.2, "level"), reading("right-satellite", 72.4, "level"), reading("subwoofer", 80, "level")],
    });
    const of = (channel: string) => levels.find(({ speaker }) => speaker.channel === channel)?.dial;
    expect(of("Ls")).toMatchObject({ db: 3, name: "high" });
    expect(of("LFE")).toMatchObject({ name: "1", db: -6 });
  });

  test("at another seat are told against its own front", () => {
    const seats = [
      { id: "seat", name: "Seat", at: { x: 2, y: 3 }, earM: 1.1 },
      { id: "other", name: "Other", at: null, earM: 1.1 },
    ];
    const { otherSeats } = systemOf(
      "receiver-51",
      { seats, readings: [reading("l", 2), reading("ls", 2), reading("l", 2, "distance", "other"), reading("ls", 1, "distance", "other")] },
      { dials: { time: METRES } },
    );
    const ls = otherSeats[0]?.speakers.find(({ speaker }) => speaker.channel === "Ls");
    expect(ls?.lateMs).toBeCloseTo((-1 / speedOfSound(20)) * 1000, 6);
    expect(ls?.louderDb).toBeCloseTo(6.02, 2);
  });
});

describe("the dialling sheet", () => {
  test("begins with the calibration, for it overwrites the rest, and ends with the save", () => {
    const { sheet } = systemOf("receiver-51", { readings: [reading("l", 2), reading("c", 2), reading("l", 74, "level")] });
    expect(sheet.map(({ step }) => step)).toEqual([
      "quiet",
      "calibrate",
      "crossover",
      "time",
      "time",
      "test-tone",
      "level",
      "level",
      "save",
    ]);
  });

  test("of a bar with coarse steps ends with its long press", () => {
    const { sheet } = systemOf("bar-subwoofer-hub", { readings: [reading("bar", 2)] });
    expect(sheet.at(-1)).toEqual({ step: "save", by: "long-press" });
  });

  test("offers for clear speech only what the system has", () => {
    expect(systemOf("bar-stereo-aux", {}).speech).toEqual([]);
    expect(systemOf("bar-one-input", {}).speech.map(({ act }) => act)).toEqual([
      "voice-mode",
      "bass-down",
      "centre-up",
      "heights-down",
      "surrounds-down",
    ]);
  });
});

test("a device whose units nobody wrote down has a loose speaker for each channel, and one for what is written down", () => {
  expect(systemOf("receiver-51", { readings: [reading("ls", 2)] }).times).toHaveLength(1);
  const own = systemOf("receiver-51", { readings: [reading("box", 2)] }, { units: [loose("box", "Ls")] });
  expect(own.times.map(({ speaker }) => speaker.unit.id)).toEqual(["box"]);
});
