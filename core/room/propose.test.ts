import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { offAzimuth, offElevation } from "./judge-placing";
import { leadNeed } from "./pairing";
import { proposePlaces } from "./propose";
import { driverAt, seenFrom } from "./speakers";
import { placesFor } from "./spots";
import { mainSeat, type RoomScene, type RoomUnit } from "./units-in-room";
import { placed, sceneWith } from "./under-test";
import { windowOf } from "@/core/facts";
import { layoutOf } from "./units-in-room";

const SCREEN = { at: { x: 2, y: 0.05 }, widthM: 1.2, heightM: 0.7, lowerEdgeM: 0.8 };

/** Degrees outside the windows of a unit at a place, worked out apart from the search. */
function offOf({ space }: RoomScene, one: RoomUnit, placement: NonNullable<RoomUnit["placement"]>): number {
  const seat = mainSeat(space);
  if (!seat) return NaN;
  return one.unit.drivers.reduce((sum, driver) => {
    const window = windowOf(driver.channel, layoutOf(one.device));
    const at = driverAt(space, { ...one, placement }, driver);
    if (!window || !at || driver.tiltDeg !== null) return sum;
    const { azimuthDeg, elevationDeg } = seenFrom(space, seat, at);
    return sum + offAzimuth(window, azimuthDeg) + offElevation(window, elevationDeg);
  }, 0);
}

const proposed = (scene: RoomScene) => proposePlaces(scene, { gridM: 0.2 }) ?? [];

describe("proposed places", () => {
  test("of a bar with wireless rears in 4 by 5 m meet every window of the rears", () => {
    const places = proposed(sceneWith("bar-picture-mode", { screen: SCREEN }));
    expect(places.map(({ one }) => one.unit.id)).toEqual(["bar", "subwoofer", "left-rear", "right-rear"]);
    expect(places.filter(({ one }) => one.unit.id.endsWith("rear")).map(({ offDeg }) => offDeg)).toEqual([0, 0]);
  });

  test("keep within the leads that come with the system, and say which one binds", () => {
    const scene = sceneWith("bar-subwoofer-hub", { screen: SCREEN });
    const places = proposed(scene);
    const hub = places.find(({ one }) => one.unit.id === "subwoofer");
    for (const { one, placement } of places)
      if (one.unit.feed.feed === "lead")
        expect(leadNeed(hub?.placement ?? null, placement)).toBeLessThanOrEqual(one.unit.feed.lengthM + 1e-9);
    const short = sceneWith(
      "bar-subwoofer-hub",
      { screen: SCREEN },
      {
        units: scene.units.map(({ unit }) =>
          unit.feed.feed === "lead" && unit.id.startsWith("left") ? { ...unit, feed: { ...unit.feed, lengthM: 1.5 } } : unit,
        ),
      },
    );
    expect(proposed(short).find(({ one }) => one.unit.id === "left-satellite")?.boundBy).toBe("lead");
  });

  test("keep out of doors and spots that must stay clear, and near an outlet where mains is needed", () => {
    const keepClear = {
      id: "stairs",
      name: "stairs",
      kind: "keep-clear",
      at: { x: 0.2, y: 3.5 },
      widthM: 0.8,
      depthM: 3,
      fromM: 0,
      toM: 2,
    };
    const places = proposed(
      sceneWith("bar-picture-mode", { screen: SCREEN, obstacles: [keepClear], outlets: [{ id: "outlet", at: { x: 4, y: 4.8 } }] }),
    );
    for (const { placement } of places) expect(Math.abs(placement.at.x - 0.2) <= 0.4 && Math.abs(placement.at.y - 3.5) <= 1.5).toBe(false);
    const sub = places.find(({ one }) => one.unit.id === "subwoofer")?.placement.at;
    expect(sub && Math.hypot(sub.x - 4, sub.y - 4.8)).toBeLessThanOrEqual(2);
  });

  test("are never worse than what stands, and leave alone what is already best", () => {
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 3.8, noNaN: true }), fc.double({ min: 0.2, max: 4.8, noNaN: true }), (x, y) => {
        const scene = sceneWith("receiver-51", { screen: SCREEN, placements: [placed("ls", x, y, 1.1)] });
        const ls = proposed(scene).find(({ one }) => one.unit.id === "ls");
        const stands = scene.units.find(({ unit }) => unit.id === "ls");
        if (!ls || !stands?.placement) throw new Error("no surround");
        expect(ls.offDeg).toBeLessThanOrEqual(offOf(scene, stands, stands.placement) + 1e-9);
      }),
      { numRuns: 25, seed: 22 },
    );
  });

  test("are as good as the best of every spot on the grid, tried one by one", () => {
    const scene = sceneWith("receiver-51", { screen: SCREEN });
    for (const { one, placement, offDeg } of proposed(scene)) {
      const all = placesFor(scene.space, one, 0.2).map((place) => offOf(scene, one, place));
      expect(offOf(scene, one, placement)).toBeCloseTo(offDeg, 6);
      expect(offDeg).toBeLessThanOrEqual(Math.min(...all) + 1e-9);
    }
  });

  test("need walls and a seat, and can be stopped", () => {
    expect(proposePlaces(sceneWith("receiver-51", { outline: null }), { gridM: 0.2 })).toBeNull();
    expect(proposePlaces(sceneWith("receiver-51", { seats: [] }), { gridM: 0.2 })).toBeNull();
    expect(proposePlaces(sceneWith("receiver-51", {}), { gridM: 0.2, isOver: () => true })).toBeNull();
  });
});
