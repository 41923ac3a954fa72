import { describe, expect, test } from "vitest";
import { awgMm2 } from "@/core/facts";
import { axialModes, bassCurves, cuboidOf } from "./modes";
import { roomAnswer } from "./room-answer";
import { templateOf } from "./template";
import { jobWith, loose, placed, roomOf, sceneWith } from "./under-test";
import { wireOhm, wireRuns, wireTotals } from "./wire";
import { bassSpots } from "./bass-spots";

const answerOf = (system: string, space: object, change: object = {}) => {
  const job = jobWith(system, { ...space }, { ...change });
  return roomAnswer(job, roomOf(job));
};
const passive = (id: string, channel: string, ohm: number) => loose(id, channel, { passive: { ohm } });
const amplifier = { id: "amplifier", name: "amplifier", feed: { feed: "own" } };

describe("speaker wire", () => {
  test("of 10 m and 1.5 mm² has 0.233 Ω there and back", () => expect(wireOhm(10, 1.5)).toBeCloseTo((0.0175 * 20) / 1.5, 9));

  test("AWG 16 has 1.31 mm², AWG 12 has 3.31", () => {
    expect(awgMm2(16)).toBeCloseTo(1.309, 2);
    expect(awgMm2(12)).toBeCloseTo(3.309, 2);
  });

  test("is the thinnest stocked size under 5 % of the impedance: 20 m to 8 Ω needs 1.75, so 2.5 mm² or AWG 14", () => {
    const [run] = answerOf(
      "receiver-51",
      { placements: [placed("ls", 1, 1, 1, { wireM: 20 })] },
      { units: [amplifier, passive("ls", "Ls", 8)] },
    ).wire;
    expect(run).toMatchObject({ lengthM: 20, limitOhm: 0.4, mm2: 2.5, awg: 14 });
    expect(run?.ohm).toBeCloseTo(0.28, 9);
  });

  test("by position runs along the walls and down, a tenth more, and 30 cm at each end", () => {
    const [run] = answerOf(
      "receiver-51",
      { placements: [placed("amplifier", 1, 0, 0.5), placed("ls", 3, 4, 1.5)] },
      { units: [amplifier, passive("ls", "Ls", 8)] },
    ).wire;
    expect(run?.lengthM).toBeCloseTo((2 + 4 + 1) * 1.1 + 0.6, 9);
  });

  test("that no stocked size can serve says so: 100 m to 4 Ω", () => {
    const [run] = answerOf(
      "receiver-51",
      { placements: [placed("ls", 1, 1, 1, { wireM: 100 })] },
      { units: [amplifier, passive("ls", "Ls", 4)] },
    ).wire;
    expect(run).toMatchObject({ mm2: null, awg: null });
  });
});

test("the van's wire is weighed size by size; what thicker wire leaves serves the thinner", () => {
  const runs = wireRuns(
    sceneWith(
      "receiver-51",
      { placements: [placed("ls", 1, 1, 1, { wireM: 20 }), placed("l", 1, 1, 1, { wireM: 9 })] },
      { units: [amplifier, passive("ls", "Ls", 8), passive("l", "L", 8)] },
    ),
  );
  expect(wireTotals(runs, [{ mm2: 2.5, metres: 25 }])).toEqual([
    { mm2: 2.5, needM: 20, haveM: 25 },
    { mm2: 1, needM: 9, haveM: 5 },
  ]);
});

describe("loads", () => {
  test("two of 6 Ω in parallel are 3 Ω, and refused where the amplifier wants 4", () => {
    const { loads } = answerOf(
      "receiver-51",
      {},
      { units: [amplifier, passive("one", "L", 6), passive("two", "L", 6), passive("three", "R", 6)] },
    );
    expect(loads).toEqual([
      { device: "system", channel: "L", units: ["one", "two"], ohm: 3, leastOhm: 4, isAllowed: false },
      { device: "system", channel: "R", units: ["three"], ohm: 6, leastOhm: 4, isAllowed: true },
    ]);
  });
});

describe("fixings", () => {
  test("hold four times the weight: a bar of 4.5 kg on two anchors needs 9 kg each, behind the board", () => {
    const [one] = answerOf("bar-one-input", { placements: [placed("bar", 2, 0.1, 0.6, { mount: "wall" })] }).mounting;
    expect(one).toMatchObject({ ratedKg: 18, anchors: 2, eachKg: 9, anchor: "toggle" });
    expect(one?.needs).toContain("two-people");
  });

  test("at the ceiling go into a joist, from a ladder", () => {
    const [one] = answerOf("bar-picture-mode", { placements: [placed("left-rear", 1, 3, 2.4, { mount: "ceiling" })] }).mounting;
    expect(one).toMatchObject({ anchor: "stud-or-masonry" });
    expect(one?.needs).toContain("ladder");
  });

  test("are not asked for what stands", () =>
    expect(answerOf("bar-one-input", { placements: [placed("bar", 2, 0.1, 0.6, { mount: "shelf" })] }).mounting).toEqual([]));
});

describe("leads and links", () => {
  test("a lead of 6 m does not reach 4 + 3 + 1 m along the floor and up", () => {
    const { reach } = answerOf("bar-subwoofer-hub", { placements: [placed("subwoofer", 0, 0, 0.2), placed("left-satellite", 4, 3, 1.2)] });
    expect(reach).toMatchObject([{ by: "lead", haveM: 6 }]);
    expect(reach[0]?.needM).toBeCloseTo(8, 9);
  });

  test("pairing follows the update, one unit at a time, and is confirmed at the end", () => {
    const [system] = answerOf("bar-battery-rears", {}).systems;
    expect(system?.pairing.map((step) => ("unit" in step ? `${step.act} ${step.unit}` : step.act))).toEqual([
      "firmware",
      "charge left-rear",
      "charge right-rear",
      "pairing-mode",
      "pair subwoofer",
      "pair left-rear",
      "pair right-rear",
      "confirm",
    ]);
  });

  test("a battery of 10 h lasts three days of 3 h", () => {
    expect(answerOf("bar-battery-rears", { hoursPerDay: 3 }).charging.map(({ days }) => days && Math.floor(days))).toEqual([3, 3]);
  });
});

test("a subwoofer with its port to the wall is told to move off it", () => {
  const codes = (y: number) =>
    answerOf("bar-one-input", { placements: [placed("subwoofer", 2, y, 0.2, { mount: "floor" })] }).troubles.map(({ code }) => code);
  expect(codes(0.16)).toEqual(["port-near-wall"]);
  expect(codes(0.3)).toEqual([]);
});

describe("the screen", () => {
  const screen = { at: { x: 2, y: 0 }, widthM: 1.6, heightM: 0.9, lowerEdgeM: 0.8 };

  test("of 1.6 m at 3 m fills 29.9°, its middle 2.9° above the eyes", () => {
    const { view } = answerOf("bar-one-input", { screen });
    expect(view?.viewingDeg).toBeCloseTo(29.86, 2);
    expect(view?.upDeg).toBeCloseTo(2.86, 2);
  });

  test("is covered by a bar whose top is above its lower edge", () => {
    const covers = (heightM: number) => answerOf("bar-one-input", { screen, placements: [placed("bar", 2, 0.1, heightM)] }).covers;
    expect(covers(0.7)).toEqual([]);
    // Two centimetres under the picture: it may hide the infrared eye.
    expect(covers(0.75)[0]?.byM).toBeCloseTo(-0.0175, 6);
    expect(covers(0.8)[0]?.byM).toBeCloseTo(0.0325, 6);
  });
});

describe("standing waves", () => {
  const room = cuboidOf(sceneWith("bar-one-input", {}).space);

  test("of 5 m begin at c/2L: 34.3 Hz; 4 m 42.9; 2.5 m 68.6", () => {
    expect(room && axialModes(room, 70, 20).map(({ along, order, hertz }) => [along, order, Number(hertz.toFixed(1))])).toEqual([
      ["depth", 1, 34.3],
      ["width", 1, 42.9],
      ["depth", 2, 68.6],
      ["height", 1, 68.6],
    ]);
  });

  test("a seat in the middle does not hear the first wave along, one at the wall hears it most", () => {
    if (!room) throw new Error("no room");
    const corner = { x: 0, y: 0, z: 0 };
    const [middle, wall] = bassCurves(
      room,
      corner,
      [
        { x: 0, y: 2.5, z: 0 },
        { x: 0, y: 5, z: 0 },
      ],
      20,
    );
    const at = (hertz: number, curve: typeof middle) => curve?.db[curve.hertz.indexOf(hertz)] ?? NaN;
    // Between its neighbours the middle has no peak at 34 Hz; the wall has one.
    expect(at(34, wall)).toBeGreaterThan(at(28, wall) + 3);
    expect(at(34, middle)).toBeLessThan(at(34, wall) - 8);
  });

  test("what sounds at one place and is heard at another is the same the other way round", () => {
    if (!room) throw new Error("no room");
    const [a, b] = [
      { x: 0.4, y: 0.3, z: 0.2 },
      { x: 2, y: 3.1, z: 1.1 },
    ];
    expect(bassCurves(room, a, [b], 20)[0]?.db).toEqual(bassCurves(room, b, [a], 20)[0]?.db.map((level) => expect.closeTo(level, 6)));
  });

  test("the places told for the subwoofer are the most even of all that are tried, and no more uneven than a corner", () => {
    const scene = sceneWith("bar-one-input", {});
    const spots = bassSpots(scene, 3);
    expect(spots).toHaveLength(3);
    expect(spots.map(({ spreadDb }) => spreadDb)).toEqual(spots.map(({ spreadDb }) => spreadDb).toSorted((a, b) => a - b));
    const all = bassSpots(scene, 999).map(({ spreadDb }) => spreadDb);
    expect(spots[0]?.spreadDb).toBe(Math.min(...all));
    expect(bassSpots(sceneWith("bar-one-input", { seats: [] }), 3)).toEqual([]);
  });

  test("are not guessed for a room that is no box", () => {
    expect(
      cuboidOf({ outline: sceneWith("bar-one-input", {}).space.outline, ceiling: { shape: "sloped", runs: "along", fromM: 2, toM: 3 } }),
    ).toBeNull();
  });
});

describe("a drilling template", () => {
  const scene = sceneWith("bar-one-input", {
    screen: { at: { x: 2, y: 0 }, widthM: 1.6, heightM: 0.9, lowerEdgeM: 0.8 },
    placements: [placed("bar", 2, 0.1, 0.65, { mount: "wall" })],
  });

  test("has the holes of the bracket and the screen's edge above the middle", () => {
    const template = templateOf([scene], "bar");
    if ("code" in template) throw new Error(template.code);
    expect(template.holes).toEqual([
      { x: -330, y: 0, diameterMm: 6 },
      { x: 330, y: 0, diameterMm: 6 },
    ]);
    expect(template.screenEdgeMm).toBeCloseTo(150, 6);
    expect(template.freeAboveMm).toBe(100);
    expect(template.middleMm).toBe(650);
  });

  test("is refused for a unit that is not there or has no holes", () => {
    expect(templateOf([scene], "rear")).toMatchObject({ code: "no-such-unit", units: ["system/bar", "system/subwoofer"] });
    expect(templateOf([scene], "system/subwoofer")).toEqual({ code: "no-holes", unit: "system/subwoofer" });
  });
});
