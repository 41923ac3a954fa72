import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { roomsReport } from "./room-report";

const den = () => {
  const [room] = roomsReport(demoJob("receiver-den")).rooms;
  if (!room) throw new Error("no room");
  return room;
};

describe("octachord room --json", () => {
  test("gives each speaker its angles, window, true delay, dial and trim", () => {
    const ls = den().speakers.find(({ channel }) => channel === "Ls");
    expect(ls).toMatchObject({
      unit: "ls",
      distanceM: 2.04,
      distanceFrom: "measured",
      window: { minDeg: 100, maxDeg: 120 },
      placed: "in-window",
      dial: { kind: "distance", value: 2, unit: "m", outOfRange: false },
      trimDb: 2.5,
      trimLeftDb: 0,
      trimFrom: "measured",
    });
    expect(ls?.azimuthDeg).toBeCloseTo(107.1, 1);
    // The subwoofer is farthest: (2.95 − 2.04) m at 343.2 m/s.
    expect(ls?.delayMs).toBeCloseTo(2.651, 2);
    expect(ls?.dial.errorMs).toBeCloseTo(0.117, 2);
  });

  test("gives wire in Ω of the most that is allowed, and fixings with their rating", () => {
    expect(den().wire.find(({ unit }) => unit === "ls")).toMatchObject({
      lengthM: 9.5,
      ohm: 0.3325,
      limitOhm: 0.4,
      mm2: 1,
      awg: 16,
      ok: true,
    });
    expect(den().mounting[0]).toMatchObject({ unit: "ls", ratedKg: 8.8, anchors: 2 });
  });

  test("of a speaker that nobody placed says that it is not known", () => {
    const [flat] = roomsReport(demoJob("flat-4b")).rooms;
    expect(flat?.speakers.find(({ unit }) => unit === "subwoofer")).toMatchObject({
      azimuthDeg: null,
      delayMs: null,
      dial: { kind: "none" },
      trimFrom: "none",
    });
  });

  test("of the loft says that its slope spoils the heights, of the flat that nothing does", () => {
    const first = (name: string) => roomsReport(demoJob(name)).rooms[0]?.upFiring[0]?.blockedBy;
    expect(first("sail-loft")).toBe("slope");
    expect(first("flat-4b")).toBeNull();
    expect(first("attic-screen")).toBe("ceiling-low");
  });

  test.each(demoJobNames())("of %s is plain numbers, and every angle is within half a turn", (name) => {
    const { rooms } = roomsReport(demoJob(name));
    expect(rooms.length).toBeGreaterThan(0);
    expect(JSON.parse(JSON.stringify(rooms))).toEqual(rooms);
    for (const { azimuthDeg } of rooms.flatMap(({ speakers }) => speakers))
      if (azimuthDeg !== null) expect(Math.abs(azimuthDeg)).toBeLessThanOrEqual(180);
  });
});
