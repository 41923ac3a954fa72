import { isHeight, mirrorOf, sideOf, type Channel, type SpeakerWindow } from "@/core/facts";
import type { Space, Spot } from "@/core/job";
import { isInside, nearestOn, wallsOf, type Wall } from "./walls";
import { mainSeat } from "./units-in-room";
import { seenFrom, type Speaker } from "./speakers";
import type { Point } from "./vector";

/** The way by which a speaker that is out of its window comes into it. */
export interface Move {
  readonly metres: number;
  /** along: along the wall it stands at, to the left or right as one faces that wall from the seat. */
  readonly way: "left" | "right" | "forward" | "back" | "up" | "down";
  readonly alongWall: boolean;
}

/** How a speaker stands to the window of its channel. */
export type Placing =
  | { readonly placed: "unknown"; readonly lacks: "seat" | "position" }
  /** The channel has no window: it may stand anywhere. */
  | { readonly placed: "in-window"; readonly anywhere: boolean }
  | { readonly placed: "near"; readonly offDeg: number; readonly move: Move | null }
  /** Allowed, and less than it could be. */
  | { readonly placed: "second-best"; readonly as: SecondBest }
  | { readonly placed: "missed"; readonly offDeg: number; readonly move: Move | null };

export type SecondBest =
  /** One box plays several channels; its width sets the angle. */
  | "in-one-box"
  /** It plays to the ceiling; where that comes from is judged apart. */
  | "by-way-of-the-ceiling"
  /** Surrounds straight at the sides, a little too far forward. */
  | "sides-for-rears"
  /** Surrounds behind the seat in place of beside it. */
  | "behind-for-beside"
  /** Surrounds in front, beside the bar or fronts. */
  | "beside-the-bar";

/** This far outside its window a speaker is near it. */
const NEAR_DEG = 10;

/** Judges one speaker against the window of its channel in the layout that its system has. Source: ITU-R BS.775-4, BS.2051-3. */
export function judgePlacing(space: Space, speaker: Speaker): Placing {
  const { window, azimuthDeg, elevationDeg, driver } = speaker;
  if (window === null) return { placed: "in-window", anywhere: true };
  if (speaker.at === null) return { placed: "unknown", lacks: "position" };
  if (azimuthDeg === null || elevationDeg === null) return { placed: "unknown", lacks: "seat" };
  if (driver.tiltDeg !== null) return { placed: "second-best", as: "by-way-of-the-ceiling" };
  const offDeg = Math.max(offAzimuth(window, azimuthDeg), offElevation(window, elevationDeg));
  if (offDeg === 0) return { placed: "in-window", anywhere: false };
  const as = secondBestOf(speaker, azimuthDeg, elevationDeg);
  if (as) return { placed: "second-best", as };
  const move = moveInto(space, speaker, window);
  return { placed: offDeg <= NEAR_DEG ? "near" : "missed", offDeg, move };
}

/** No tape places a speaker more exactly than this, so that much past the edge still counts as in. */
const EDGE_DEG = 0.5;

/** How many degrees an azimuth is outside a window; 0: within it. */
export function offAzimuth({ minDeg, maxDeg }: SpeakerWindow, azimuthDeg: number): number {
  const turned = [azimuthDeg, azimuthDeg + 360, azimuthDeg - 360].map((angle) => Math.max(minDeg - angle, angle - maxDeg, 0));
  const off = Math.min(...turned);
  return off <= EDGE_DEG ? 0 : off;
}

export function offElevation({ lowDeg, highDeg }: SpeakerWindow, elevationDeg: number): number {
  const off = Math.max(lowDeg - elevationDeg, elevationDeg - highDeg, 0);
  return off <= EDGE_DEG ? 0 : off;
}

/** The second best that is allowed for what it is; null: it is no such thing. */
function secondBestOf({ channel, unit }: Speaker, azimuthDeg: number, elevationDeg: number): SecondBest | null {
  const isLevel = Math.abs(elevationDeg) <= 25;
  const isOnItsSide = sideOf(channel) === "middle" || azimuthDeg > 0 === (sideOf(channel) === "left");
  const away = Math.abs(azimuthDeg);
  if (unit.drivers.length > 1 && isOnItsSide && away < 100) return "in-one-box";
  if (!isLevel || !isOnItsSide || isHeight(channel)) return null;
  if (channel === "Ls" || channel === "Rs") {
    if (away >= 75 && away < 100) return "sides-for-rears";
    if (away > 110 && away <= 155) return "behind-for-beside";
  }
  if (sideOf(channel) !== "middle" && channel !== "L" && channel !== "R" && away <= 65) return "beside-the-bar";
  if ((channel === "Lb" || channel === "Rb") && away >= 100 && away < 135) return "sides-for-rears";
  return null;
}

const STEP_M = 0.01;
const MOST_MOVE_M = 4;

/** The shortest straight move into the window: along the wall where it stands at one, else over the floor, or up and down. */
function moveInto(space: Space, { at, placement }: Speaker, window: SpeakerWindow): Move | null {
  const seat = mainSeat(space);
  if (!seat?.at || !at || !placement) return null;
  const fits = (point: Point) => {
    const { azimuthDeg, elevationDeg } = seenFrom(space, seat, point);
    return (
      offAzimuth(window, azimuthDeg) === 0 && offElevation(window, elevationDeg) === 0 && (!space.outline || isInside(space.outline, point))
    );
  };
  const walls = wallsOf(space.outline ?? []).filter((wall) => nearestOn(wall, placement.at).distanceM <= AT_A_WALL_M);
  const shortest = (ways: readonly Way[], alongWall: boolean): Move | null => {
    for (let step = 1; step <= MOST_MOVE_M / STEP_M; step += 1) {
      const metres = step * STEP_M;
      const found = ways.find(({ by }) => {
        const to = { x: at.x + by.x * metres, y: at.y + by.y * metres, z: at.z + by.z * metres };
        return to.z >= 0 && fits(to);
      });
      if (found) return { metres: Number(metres.toFixed(2)), way: found.way, alongWall: alongWall && found.by.z === 0 };
    }
    return null;
  };
  return (walls.length ? shortest([...walls.flatMap(alongWalls), ...UPRIGHT], true) : null) ?? shortest([...FLOOR_WAYS, ...UPRIGHT], false);
}

/** A speaker this close to a wall is taken to stand at it. */
const AT_A_WALL_M = 0.6;

interface Way {
  readonly way: Move["way"];
  readonly by: Point;
}

const UPRIGHT: readonly Way[] = [
  { way: "up", by: { x: 0, y: 0, z: 1 } },
  { way: "down", by: { x: 0, y: 0, z: -1 } },
];

const FLOOR_WAYS: readonly Way[] = [
  { way: "left", by: { x: -1, y: 0, z: 0 } },
  { way: "right", by: { x: 1, y: 0, z: 0 } },
  { way: "forward", by: { x: 0, y: -1, z: 0 } },
  { way: "back", by: { x: 0, y: 1, z: 0 } },
];

/** Both ways along a wall, named by the direction of the room they go most. */
function alongWalls({ from, to, lengthM }: Wall): readonly Way[] {
  const along: Spot = { x: (to.x - from.x) / lengthM, y: (to.y - from.y) / lengthM };
  const named = (x: number, y: number): Move["way"] =>
    Math.abs(x) >= Math.abs(y) ? (x > 0 ? "right" : "left") : y > 0 ? "back" : "forward";
  return [
    { way: named(along.x, along.y), by: { ...along, z: 0 } },
    { way: named(-along.x, -along.y), by: { x: -along.x, y: -along.y, z: 0 } },
  ];
}

/** Pairs that sound from the wrong side: each stands where the other should. */
export function swappedPairs(speakers: readonly Speaker[]): readonly (readonly [Channel, Channel])[] {
  return speakers.flatMap((speaker): (readonly [Channel, Channel])[] => {
    if (sideOf(speaker.channel) !== "left" || speaker.azimuthDeg === null) return [];
    const partner = speakers.find((other) => other.device.id === speaker.device.id && other.channel === mirrorOf(speaker.channel));
    if (!partner || partner.azimuthDeg === null) return [];
    const isWrong = speaker.azimuthDeg < 0 && partner.azimuthDeg > 0 && speaker.azimuthDeg > -180;
    return isWrong ? [[speaker.channel, partner.channel]] : [];
  });
}

/** Whether every pair of a system is on the wrong side: then the layout is mirrored as a whole, or the seat looks the other way. */
export function isMirrored(speakers: readonly Speaker[]): boolean {
  const left = speakers.filter(({ channel, azimuthDeg }) => sideOf(channel) === "left" && azimuthDeg !== null);
  return left.length > 1 && swappedPairs(speakers).length === left.length;
}
