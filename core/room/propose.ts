import { isHeight, type SpeakerWindow, windowOf } from "@/core/facts";
import type { Placement } from "@/core/job";
import { leadNeed } from "./pairing";
import { offAzimuth, offElevation } from "./judge-placing";
import { driverAt, seenFrom } from "./speakers";
import { hasPower, placesFor } from "./spots";
import { layoutOf, mainSeat, type RoomScene, type RoomUnit } from "./units-in-room";
import { spotDistance } from "./vector";

/** A place for one unit, with what it is good for and what binds it. */
export interface Proposal {
  readonly one: RoomUnit;
  readonly placement: Placement;
  /** Degrees outside the windows of its channels, all together; 0: every one is met. */
  readonly offDeg: number;
  /** Its lead is what keeps it from a better place. */
  readonly boundBy: "lead" | "outlet" | null;
  /** It may stay where it is. */
  readonly stays: boolean;
}

export interface ProposalOptions {
  /** How far apart the spots are that are tried. */
  readonly gridM: number;
  /** Told from time to time; true ends the search with nothing. */
  readonly isOver?: () => boolean;
}

/**
 * The best place for every unit of the sound systems in a room, of all spots along the walls and on a grid of the floor: each of them is
 * tried with each of its feeder's, so nothing better is on that grid. The places where units stand now are among them, so that it is never
 * worse than what stands. Null where outline or main seat are not known, or the time is over.
 */
export function proposePlaces(scene: RoomScene, { gridM, isOver = () => false }: ProposalOptions): readonly Proposal[] | null {
  const { space, units } = scene;
  if (!space.outline || !mainSeat(space)?.at) return null;
  const made: Proposal[] = [];
  for (const one of units) {
    if (feederOf(units, one)) continue;
    const [best] = rankedPlaces(scene, one, gridM, isOver);
    if (isOver()) return null;
    if (best) made.push(...proposalsOf(best, null));
  }
  return made.toSorted((a, b) => units.indexOf(a.one) - units.indexOf(b.one));
}

const feederOf = (units: readonly RoomUnit[], { device, unit: { feed } }: RoomUnit): RoomUnit | null =>
  feed.feed === "lead" ? (units.find((other) => other.device === device && other.unit.id === feed.from) ?? null) : null;

interface Candidate {
  readonly one: RoomUnit;
  readonly placement: Placement;
  readonly cost: number;
  readonly offDeg: number;
  readonly stays: boolean;
}

/** A place of a unit with the best places, from there, of all that it feeds. */
interface Ranked extends Candidate {
  /** Its own cost and that of all it feeds. */
  readonly total: number;
  readonly fed: readonly { readonly pick: Ranked; readonly isBound: boolean }[];
  readonly isUnpowered: boolean;
}

/** What it costs that a fed unit is within no lead's reach of its feeder: more than any angle. */
const OUT_OF_REACH = 1e6;

/** The places of a unit, best first, each with the best of what hangs on its leads. */
function rankedPlaces(scene: RoomScene, one: RoomUnit, gridM: number, isOver: () => boolean): readonly Ranked[] {
  const children = scene.units
    .filter((other) => feederOf(scene.units, other) === one)
    .map((child) => rankedPlaces(scene, child, gridM, isOver));
  const candidates = candidatesFor(scene, one, gridM);
  const ranked = candidates.places.map((candidate): Ranked => {
    if (isOver()) return { ...candidate, total: candidate.cost, fed: [], isUnpowered: false };
    const fed = children.flatMap((places) => {
      const pick = places.find((place) => reaches(place.one, candidate.placement, place.placement));
      return pick ? [{ pick, isBound: pick !== places[0] }] : [];
    });
    const total = candidate.cost + fed.reduce((sum, { pick }) => sum + pick.total, 0) + (children.length - fed.length) * OUT_OF_REACH;
    return { ...candidate, total, fed, isUnpowered: candidates.outletBinds };
  });
  return ranked.toSorted((a, b) => a.total - b.total || Number(b.stays) - Number(a.stays));
}

const proposalsOf = ({ one, placement, offDeg, stays, fed, isUnpowered }: Ranked, lead: "lead" | null): readonly Proposal[] => [
  { one, placement, offDeg, stays, boundBy: lead ?? (isUnpowered ? "outlet" : null) },
  ...fed.flatMap(({ pick, isBound }) => proposalsOf(pick, isBound ? "lead" : null)),
];

const reaches = ({ unit }: RoomUnit, feeder: Placement, at: Placement): boolean =>
  unit.feed.feed !== "lead" || (leadNeed(feeder, at) ?? Infinity) <= unit.feed.lengthM + 1e-9;

/** Every place that a unit can have, where it stands among them, and whether an outlet keeps it from the best. */
function candidatesFor(
  scene: RoomScene,
  one: RoomUnit,
  gridM: number,
): { readonly places: readonly Candidate[]; readonly outletBinds: boolean } {
  const judged = (placement: Placement, stays: boolean): Candidate => ({ one, placement, stays, ...costOf(scene, one, placement) });
  const all = placesFor(scene.space, one, gridM).map((placement) => judged(placement, false));
  const powered = all.filter(({ placement }) => hasPower(scene.space, one, placement));
  const least = (places: readonly Candidate[]) => Math.min(...places.map(({ cost }) => cost));
  const usable = powered.length ? powered : all;
  const places = one.placement ? [judged(one.placement, true), ...usable] : usable;
  return { places, outletBinds: least(all) < least(places) - 1e-9 };
}

/** A place on the floor in the middle of a room is in the way of people. */
const ON_THE_FLOOR = 4;
const TOO_CLOSE_M = 0.8;

/** What a place is worth: degrees outside the windows count most, then how far it is from the ideal, then whether it is in the way. */
function costOf(scene: RoomScene, one: RoomUnit, placement: Placement): { readonly cost: number; readonly offDeg: number } {
  const { space } = scene;
  const seat = mainSeat(space);
  if (!seat?.at) return { cost: 0, offDeg: 0 };
  const layout = layoutOf(one.device);
  let [offDeg, awayDeg] = [0, 0];
  // A box of several channels has its angles from its width: what can be chosen is where its middle is.
  const judged = one.unit.drivers.length > 2 ? one.unit.drivers.filter(({ channel }) => channel === "C") : one.unit.drivers;
  for (const driver of judged) {
    const window = windowOf(driver.channel, layout);
    const at = window && driver.tiltDeg === null ? driverAt(space, { ...one, placement }, driver) : null;
    if (!window || !at) continue;
    const { azimuthDeg, elevationDeg } = seenFrom(space, seat, at);
    offDeg += offAzimuth(window, azimuthDeg) + offElevation(window, elevationDeg);
    awayDeg +=
      fromIdeal(window, azimuthDeg) +
      Math.abs(elevationDeg - Math.max(window.lowDeg, Math.min(window.highDeg, isHeight(driver.channel) ? 40 : 0))) / 4;
  }
  const near = spotDistance(placement.at, seat.at);
  const crowded = near < TOO_CLOSE_M ? (TOO_CLOSE_M - near) * 40 : 0;
  const inTheWay = placement.mount === "stand" && one.unit.drivers.length > 0 ? ON_THE_FLOOR : 0;
  return { cost: offDeg * 10 + awayDeg / 10 + crowded + inTheWay + pull(scene, one, placement), offDeg };
}

const fromIdeal = ({ idealDeg }: SpeakerWindow, azimuthDeg: number): number => {
  const off = Math.abs(azimuthDeg - idealDeg) % 360;
  return Math.min(off, 360 - off);
};

/** What has no window stands near what feeds it, and an amplifier near the screen. */
function pull({ space, units }: RoomScene, one: RoomUnit, { at }: Placement): number {
  if (one.unit.drivers.some(({ channel }) => channel !== "LFE")) return 0;
  const hub = units.find((other) => other.device === one.device && other !== one && other.unit.feed.feed === "own")?.placement?.at;
  const target = hub ?? space.screen?.at ?? mainSeat(space)?.at;
  return target ? spotDistance(target, at) / 2 : 0;
}
