import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { ceilingPlane, heightAbove, mirrored } from "./ceiling-plane";
import { roomAnswer } from "./room-answer";
import { around, jobWith, placed, roomOf, sceneWith } from "./under-test";
import { areaOf, isInside, rectangle, rectangleSize } from "./walls";
import { distanceBetween } from "./vector";

const FIVE = ["l", "r", "c", "ls", "rs"] as const;
const AT = { l: 30, r: -30, c: 0, ls: 110, rs: -110 } as const;
const five = (turn = 0, metres = 1.5) => FIVE.map((unit) => ({ ...placed(unit, 0, 0), at: around(AT[unit] + turn, metres) }));
const answerOf = (placements: readonly object[], more: object = {}) => {
  const job = jobWith("receiver-51", { placements, ...more });
  return roomAnswer(job, roomOf(job));
};
const speaker = (answer: ReturnType<typeof answerOf>, channel: string) => {
  const found = answer.speakers.find((one) => one.channel === channel);
  if (!found) throw new Error(channel);
  return found;
};

describe("a floor plan", () => {
  test("of an L has its area by the shoelace formula, and the notch is outside", () => {
    const ell = [
      { x: 0, y: 0 },
      { x: 4, y: 0 },
      { x: 4, y: 2 },
      { x: 2, y: 2 },
      { x: 2, y: 5 },
      { x: 0, y: 5 },
    ];
    expect(areaOf(ell)).toBe(14);
    expect(isInside(ell, { x: 1, y: 4 })).toBe(true);
    expect(isInside(ell, { x: 3, y: 4 })).toBe(false);
    expect(rectangleSize(ell)).toBeNull();
    expect(rectangleSize(rectangle(4, 3))).toEqual({ x: 0, y: 0, width: 4, depth: 3 });
  });
});

describe("what is seen from the main seat", () => {
  test("left is positive: 1 m to the left and 1 m ahead is 45°, √2 m away", () => {
    const l = speaker(answerOf([placed("l", 1, 2)]), "L");
    expect(l.azimuthDeg).toBeCloseTo(45, 9);
    expect(l.straightM).toBeCloseTo(Math.SQRT2, 9);
    expect(l.elevationDeg).toBeCloseTo(0, 9);
  });

  test("elevation is over the ears: 1 m up at 1 m is 45°", () => {
    expect(speaker(answerOf([placed("c", 2, 2, 2.1)]), "C").elevationDeg).toBeCloseTo(45, 9);
  });

  test("a seat that faces a screen in a corner counts from that direction", () => {
    const turned = answerOf([placed("c", 0, 1)], { screen: { at: { x: 0, y: 1 }, widthM: 1, heightM: 0.6, lowerEdgeM: 0.8 } });
    expect(speaker(turned, "C").azimuthDeg).toBeCloseTo(0, 9);
  });

  test("of a bar the drivers are seen where they sit in it: 0.4 m to the left at 3 m is 7.6°", () => {
    const job = jobWith("bar-one-input", { placements: [placed("bar", 2, 0, 1.1, { facingDeg: 0 })] });
    const left = roomAnswer(job, roomOf(job)).speakers.find(({ channel }) => channel === "L");
    expect(left?.azimuthDeg).toBeCloseTo((Math.atan(0.4 / 3) * 180) / Math.PI, 6);
  });

  test("moving a unit along its ray changes no angle", () => {
    fc.assert(
      fc.property(fc.double({ min: -179, max: 179, noNaN: true }), fc.double({ min: 0.2, max: 1.8, noNaN: true }), (azimuth, metres) => {
        const near = speaker(answerOf([{ ...placed("l", 0, 0), at: around(azimuth, metres) }]), "L");
        const far = speaker(answerOf([{ ...placed("l", 0, 0), at: around(azimuth, metres * 1.5) }]), "L");
        expect(near.azimuthDeg).toBeCloseTo(azimuth, 6);
        expect(far.azimuthDeg).toBeCloseTo(near.azimuthDeg ?? NaN, 6);
      }),
      { numRuns: 100, seed: 17 },
    );
  });

  test("a mirrored room mirrors every angle and keeps every verdict", () => {
    fc.assert(
      fc.property(fc.double({ min: -40, max: 40, noNaN: true }), (turn) => {
        const one = answerOf(five(turn));
        const other = answerOf(five(turn).map((row) => ({ ...row, unit: mirroredName(row.unit), at: { x: 4 - row.at.x, y: row.at.y } })));
        for (const { channel, azimuthDeg, placing } of one.speakers.filter(({ at }) => at)) {
          const twin = speaker(other, mirroredChannel(channel));
          expect(twin.azimuthDeg).toBeCloseTo(-(azimuthDeg ?? NaN), 6);
          expect(twin.placing.placed).toBe(placing.placed);
        }
      }),
      { numRuns: 60, seed: 18 },
    );
  });
});

const mirroredName = (unit: string): string => ({ l: "r", r: "l", ls: "rs", rs: "ls" })[unit] ?? unit;
const mirroredChannel = (channel: string): string => ({ L: "R", R: "L", Ls: "Rs", Rs: "Ls" })[channel] ?? channel;

describe("windows of BS.775", () => {
  const placedAs = (unit: (typeof FIVE)[number], azimuth: number) =>
    speaker(answerOf([{ ...placed(unit, 0, 0), at: around(azimuth, 1.5) }]), unit === "ls" ? "Ls" : unit.toUpperCase()).placing;

  test("5.1 as in the standard's figure is in its windows throughout", () => {
    expect(
      answerOf(five())
        .speakers.filter(({ at }) => at)
        .map(({ placing }) => placing.placed),
    ).toEqual(Array.from({ length: 5 }, () => "in-window"));
  });

  test.each([
    ["l", 22, "in-window"],
    ["l", 30, "in-window"],
    ["l", 38, "near"],
    ["l", 60, "missed"],
    ["ls", 100, "in-window"],
    ["ls", 120, "in-window"],
    ["ls", 90, "second-best"],
    ["ls", 140, "second-best"],
    ["ls", 40, "second-best"],
    ["c", 3, "in-window"],
    ["c", 12, "near"],
  ] as const)("%s at %i° is %s", (unit, azimuth, expected) => expect(placedAs(unit, azimuth).placed).toBe(expected));

  test("rears beside the bar, at the side and behind are told apart", () => {
    expect([40, 90, 140].map((azimuth) => placedAs("ls", azimuth))).toMatchObject([
      { as: "beside-the-bar" },
      { as: "sides-for-rears" },
      { as: "behind-for-beside" },
    ]);
  });

  test("what is out of its window says how far to move, and the move brings it in", () => {
    const placing = placedAs("l", 38);
    if (placing.placed !== "near" || !placing.move) throw new Error("no move");
    const { metres, way } = placing.move;
    const by = { left: [-1, 0], right: [1, 0], forward: [0, -1], back: [0, 1], up: [0, 0], down: [0, 0] }[way];
    const from = around(38, 1.5);
    const moved = speaker(answerOf([placed("l", from.x + (by[0] ?? 0) * metres, from.y + (by[1] ?? 0) * metres)]), "L");
    expect(moved.placing.placed).toBe("in-window");
  });

  test("surrounds of 7.1 belong at the side", () => {
    const job = jobWith("receiver-92", { placements: [{ ...placed("ls", 0, 0), at: around(90, 1.5) }] });
    expect(roomAnswer(job, roomOf(job)).speakers.find(({ channel }) => channel === "Ls")?.placing.placed).toBe("in-window");
  });

  test("a swapped pair is noticed, and a layout that is mirrored as a whole", () => {
    const swapped = answerOf(
      five().map((row) => (row.unit === "ls" || row.unit === "rs" ? { ...row, unit: mirroredName(row.unit) } : row)),
    );
    expect(swapped.swapped).toEqual([["Ls", "Rs"]]);
    expect(swapped.mirrored).toBe(false);
    expect(answerOf(five().map((row) => ({ ...row, unit: mirroredName(row.unit) }))).mirrored).toBe(true);
    expect(answerOf(five()).swapped).toEqual([]);
  });
});

describe("a driver that plays to the ceiling", () => {
  const heights = (more: object, y = 0.1) => {
    const job = jobWith("bar-one-input", { placements: [placed("bar", 2, y, 0.6)], ...more });
    return roomAnswer(job, roomOf(job)).upFiring;
  };

  test("is mirrored in it: 0.6 m high under 2.5 m, image at 4.4 m, path by Pythagoras", () => {
    const [way] = heights({});
    expect(way?.imageHeightM).toBeCloseTo(4.4, 9);
    const floor = Math.hypot(2.9, 0.425);
    expect(way?.pathM).toBeCloseTo(Math.hypot(floor, 4.4 - 1.1), 6);
    expect(way?.elevationDeg).toBeCloseTo((Math.atan(3.3 / floor) * 180) / Math.PI, 6);
    // The bounce divides the floor as the heights: 1.9 up, 1.4 down.
    expect(way?.bounceM).toBeCloseTo((floor * 1.9) / 3.3, 6);
    expect(way?.spoiledBy).toBeNull();
  });

  test("is spoiled by a shelf over the bar, a slope, a low and a high ceiling, and a seat too far away", () => {
    const shelf = { id: "shelf", name: "shelf", kind: "shelf", at: { x: 2, y: 0.3 }, widthM: 3, depthM: 0.5, fromM: 1, toM: 1.05 };
    expect(heights({ obstacles: [shelf] })[0]?.spoiledBy).toEqual({ code: "obstacle", id: "shelf" });
    expect(heights({ ceiling: { shape: "sloped", runs: "along", fromM: 2, toM: 4 } })[0]?.spoiledBy).toMatchObject({ code: "slope" });
    expect(heights({ ceiling: { shape: "flat", heightM: 2.2 } })[0]?.spoiledBy).toMatchObject({ code: "ceiling-low" });
    expect(heights({ ceiling: { shape: "flat", heightM: 4.6 } })[0]?.spoiledBy).toMatchObject({ code: "ceiling-high" });
    expect(
      heights({ outline: rectangle(4, 12), seats: [{ id: "seat", name: "Seat", at: { x: 2, y: 8 }, earM: 1.1 }] })[0]?.spoiledBy,
    ).toMatchObject({ code: "distance" });
  });

  test("a point and its image are equally far from every point of the ceiling, sloped or not", () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.5, max: 4, noNaN: true }),
        fc.double({ min: 1.5, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 5, noNaN: true }),
        (fromM, toM, x, y) => {
          const plane = ceilingPlane({ outline: rectangle(4, 5), ceiling: { shape: "sloped", runs: "across", fromM, toM } });
          if (!plane) throw new Error("no plane");
          const point = { x: 1, y: 2, z: 0.7 };
          const above = { x, y, z: heightAbove(plane, { x, y }) };
          expect(distanceBetween(mirrored(plane, point), above)).toBeCloseTo(distanceBetween(point, above), 6);
        },
      ),
      { numRuns: 100, seed: 19 },
    );
  });

  test("a sloped ceiling has its two heights at its two walls", () => {
    const plane = ceilingPlane({ outline: rectangle(4, 5), ceiling: { shape: "sloped", runs: "across", fromM: 1.5, toM: 3.5 } });
    expect(plane && [0, 2, 4].map((x) => heightAbove(plane, { x, y: 1 }))).toEqual([1.5, 2.5, 3.5]);
  });
});

test("numbers that cannot be right are told: a seat outside, a unit above the ceiling, walls that cross", () => {
  const codes = (space: object) => roomAnswer(...pair(space)).troubles.map(({ code }) => code);
  expect(codes({ seats: [{ id: "seat", name: "Seat", at: { x: 9, y: 3 }, earM: 1.1 }] })).toEqual(["seat-outside"]);
  expect(codes({ placements: [placed("l", 1, 1, 2.7)] })).toEqual(["unit-above-ceiling"]);
  const bow = [
    { x: 0, y: 0 },
    { x: 4, y: 5 },
    { x: 4, y: 0 },
    { x: 0, y: 5 },
  ];
  expect(codes({ outline: bow, seats: [] })).toEqual(["outline-crosses"]);
});

const pair = (space: object) => {
  const job = jobWith("receiver-51", { ...space });
  return [job, roomOf(job)] as const;
};

test("a room of which nothing is measured answers without a figure", () => {
  const scene = sceneWith("receiver-51", { outline: null, ceiling: null, seats: [] });
  const job = jobWith("receiver-51", { outline: null, ceiling: null, seats: [] });
  expect(scene.units).toHaveLength(7);
  expect(
    roomAnswer(job, roomOf(job)).speakers.every(
      ({ azimuthDeg, placing }) => azimuthDeg === null && (placing.placed === "unknown" || placing.placed === "in-window"),
    ),
  ).toBe(true);
});
