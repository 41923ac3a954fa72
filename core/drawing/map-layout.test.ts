import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { curvePath, directCurve, passingCurve, zigzagAlong } from "./curve";
import { passingHeight, passingHeights, placePlates } from "./map-layout";

const plates = placePlates(demoJob("sail-loft"));
const plate = (id: string) => {
  const found = plates.find(({ device }) => device.id === id);
  if (!found) throw new Error("no plate");
  return found;
};

describe("the map", () => {
  test("has players left of the screen and the screen left of the sound system", () => {
    expect(plate("streamer").x).toBe(plate("console").x);
    expect(plate("streamer").x).toBeLessThan(plate("television").x);
    expect(plate("television").x).toBeLessThan(plate("bar").x);
  });

  test("never lays two plates of a lane over each other", () => {
    for (const a of plates)
      for (const b of plates) if (a !== b && a.x === b.x) expect(a.y + a.height <= b.y || b.y + b.height <= a.y).toBe(true);
  });

  test("turns each plug to where its cable goes", () => {
    expect(plate("television").sides.get("hdmi1")).toBe("left");
    expect(plate("television").sides.get("hdmi3")).toBe("right");
    expect(plate("bar").sides.get("hdmi-out")).toBe("left");
  });

  test("gives each cable past the same plate a height of its own", () => {
    const den = demoJob("receiver-den");
    const heights = [...passingHeights(placePlates(den), den.cables).values()];
    expect(heights.length).toBeGreaterThan(2);
    expect(new Set(heights).size).toBe(heights.length);
  });

  test("lies the same way for the same job", () => expect(placePlates(demoJob("sail-loft"))).toEqual(plates));

  test("leads a cable past the lane between its ends, clear of the plates there", () => {
    const height = passingHeight(plates, "console", "bar") ?? Number.NaN;
    const tv = plate("television");
    expect(height > tv.y + tv.height || height < tv.y).toBe(true);
    expect(passingHeight(plates, "streamer", "television")).toBeNull();
  });
});

describe("the run of a cable", () => {
  const from = { x: 0, y: 0, side: 1 };
  const to = { x: 200, y: 80, side: -1 };

  test("starts and ends at its sockets", () => {
    expect(curvePath(directCurve(from, to))).toMatch(/^M0 0C.* 200 80$/);
    expect(curvePath(passingCurve(from, { x: 600, y: 40 }, 300, 90))).toMatch(/^M0 0C.* 600 40$/);
  });

  test("past a lane is level at its height", () =>
    expect(curvePath(passingCurve(from, { x: 600, y: 40 }, 300, 90))).toContain("C90 300 510 300 510 300"));

  test("of objects swings around the line it follows", () => {
    const ys = [...zigzagAlong(directCurve(from, { x: 200, y: 0, side: -1 }), 10).matchAll(/ (-?[\d.]+)/g)].map(([, y]) => Number(y));
    expect(ys.length).toBeGreaterThan(20);
    for (const y of ys) expect(Math.abs(y + 10)).toBeLessThanOrEqual(2.6);
  });
});

describe("a map with boxes", () => {
  const hall = placePlates(demoJob("village-hall"));
  const at = (id: string) => hall.find(({ device }) => device.id === id);

  test("has four lanes in the order of the signal", () => {
    const xs = ["disc", "matrix", "projector", "receiver"].map((id) => at(id)?.x ?? -1);
    expect(xs).toEqual([...xs].sort((a, b) => a - b));
    expect(new Set(xs).size).toBe(4);
  });

  test("turns a box's inputs to the players and its outputs to the screens and the sound", () => {
    const sides = at("matrix")?.sides;
    expect(["hdmi-in1", "hdmi-in4", "output-a", "earc-out"].map((id) => sides?.get(id))).toEqual(["left", "left", "right", "right"]);
  });

  test("lets a cable that skips the screens pass above or below them", () =>
    expect(passingHeight(hall, "receiver", "matrix")).not.toBeNull());
});
