import { CHANNEL_NAMES, type Channel } from "@/core/facts";
import type { Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import {
  CEILING_M,
  type Move,
  type Placing,
  type Proposal,
  type ReachFault,
  type RoomTrouble,
  type SecondBest,
  type Speaker,
  type Spoiler,
  type UpFiring,
} from "@/core/room";
import { formatLength, type UnitSystem } from "@/core/units";
import { deviceName, lowerFirst, upperFirst } from "./names";
import { unitName } from "./unit-name";

/** "front left". */
export const channelName = (channel: Channel): string => CHANNEL_NAMES[channel];

/** "30°", with the side where it is not straight ahead. */
export const angleWords = (azimuthDeg: number): string => {
  const away = Math.round(Math.abs(azimuthDeg));
  return away === 0 || away === 180 ? `${away}°` : `${away}° ${azimuthDeg > 0 ? "left" : "right"}`;
};

const SECOND_BEST: Readonly<Record<SecondBest, string>> = {
  "in-one-box": "In one box with other channels: its width sets the angle.",
  "by-way-of-the-ceiling": "Plays by way of the ceiling.",
  "sides-for-rears": "Second best: it is at the side instead of a little behind the seat.",
  "behind-for-beside": "Second best: it is behind the seat instead of beside it.",
  "beside-the-bar": "Second best: it is in front; surround sound will seem to come from the front.",
};

/** "Move it 0.4 m to the left along the wall". */
export const moveWords = ({ metres, way, alongWall }: Move, units: UnitSystem): string => {
  const to =
    way === "left" || way === "right"
      ? `to the ${way}`
      : way === "up" || way === "down"
        ? way
        : way === "forward"
          ? "towards the screen"
          : "away from the screen";
  return `move it ${formatLength(metres, units)} ${to}${alongWall ? " along the wall" : ""}`;
};

/** How a speaker stands to its window, in one sentence. */
export function placingSentence({ channel, window, azimuthDeg }: Speaker, placing: Placing, units: UnitSystem): string {
  switch (placing.placed) {
    case "unknown":
      return placing.lacks === "seat" ? "The main seat is not placed yet." : "Not placed yet.";
    case "in-window":
      return placing.anywhere ? "Can go anywhere; near a wall is usual." : `In its window${window ? `, ${windowWords(window)}` : ""}.`;
    case "second-best":
      return SECOND_BEST[placing.as];
    case "near":
    case "missed": {
      const where =
        window && azimuthDeg !== null
          ? ` The ${channelName(channel)} belongs at ${windowWords(window)}, it is at ${angleWords(azimuthDeg)}.`
          : "";
      const cure = placing.move ? ` ${upperFirst(moveWords(placing.move, units))}.` : "";
      return `${placing.placed === "near" ? "Nearly right" : "Outside its window"}: ${Math.ceil(placing.offDeg)}° off.${where}${cure}`;
    }
    default:
      return unreachable(placing);
  }
}

const windowWords = ({ minDeg, maxDeg, lowDeg, highDeg }: NonNullable<Speaker["window"]>): string => {
  const [a, b] = [Math.abs(minDeg), Math.abs(maxDeg)].toSorted((x, y) => x - y);
  const side = minDeg > 0 ? " left" : maxDeg < 0 ? " right" : "";
  return `${minDeg < 0 && maxDeg > 0 && maxDeg < 90 ? `within ${maxDeg}° of straight ahead` : `${a} to ${b}°${side}`}${lowDeg > 0 ? `, ${lowDeg} to ${highDeg}° up` : ""}`;
};

/** The placing as one word, for a mark. */
export const PLACING_WORDS = {
  "in-window": "in its window",
  near: "nearly",
  "second-best": "second best",
  missed: "outside",
  unknown: "not placed",
} as const satisfies Record<Placing["placed"], string>;

/** What spoils a way over the ceiling. */
export function spoilerSentence(job: Job, room: string, spoiler: Spoiler, units: UnitSystem): string {
  switch (spoiler.code) {
    case "obstacle": {
      const name = job.rooms.find(({ id }) => id === room)?.space?.obstacles.find(({ id }) => id === spoiler.id)?.name;
      return `${upperFirst(name ?? spoiler.id)} is in the way of the sound to the ceiling.`;
    }
    case "screen":
      return "The screen is in the way of the sound to the ceiling.";
    case "slope":
      return `The ceiling slopes by ${Math.round(spoiler.slopeDeg)}°: the sound is reflected past the seat. Speakers on the wall or ceiling would work.`;
    case "ceiling-low":
      return `The ceiling is only ${formatLength(spoiler.heightM, units)} high; reflected heights need ${formatLength(CEILING_M.least, units)} to ${formatLength(CEILING_M.most, units)}.`;
    case "ceiling-high":
      return `The ceiling is ${formatLength(spoiler.heightM, units)} high; above ${formatLength(CEILING_M.most, units)} the reflection gets too weak.`;
    case "distance":
      return `The reflection arrives from ${Math.round(spoiler.elevationDeg)}° up; heights are heard as such between 30° and 55°. ${spoiler.elevationDeg < 30 ? "The seat is too far away." : "The seat is too near."}`;
    default:
      return unreachable(spoiler);
  }
}

/** How an up-firing driver is heard: "Heard from 41° up, 5 ms after the bar itself, off the ceiling 1.1 m in front of it." */
export const upFiringSentence = ({ elevationDeg, lateMs, bounceM, worksFromM, worksToM }: UpFiring, units: UnitSystem): string =>
  `Heard from ${Math.round(elevationDeg)}° up, ${lateMs.toFixed(1)}\u2009ms after the straight sound; meets the ceiling ${formatLength(bounceM, units)} away. Works for seats ${formatLength(worksFromM, units)} to ${formatLength(worksToM, units)} away.`;

/** A measurement that cannot be right, with its cure. */
export function roomTroubleSentence(job: Job, room: string, trouble: RoomTrouble, units: UnitSystem): string {
  const seatName = (id: string) => job.rooms.find((one) => one.id === room)?.space?.seats.find((seat) => seat.id === id)?.name ?? id;
  switch (trouble.code) {
    case "outline-crosses":
      return "The walls cross each other; check the order of the corners.";
    case "seat-outside":
      return `${seatName(trouble.seat)} is outside the walls; check its position or the walls.`;
    case "seat-above-ceiling":
      return `The ears at ${seatName(trouble.seat)} would be above the ceiling; check both heights.`;
    case "screen-outside":
      return "The screen is outside the walls; check its position or the walls.";
    case "unit-outside":
      return `${upperFirst(unitName(job, trouble))} of ${deviceName(job, trouble.device)} is outside the walls; check its position or the walls.`;
    case "port-near-wall":
      return `${upperFirst(unitName(job, trouble))} of ${deviceName(job, trouble.device)} needs a hand's breadth of air behind it: move it off the wall.`;
    case "unit-above-ceiling":
      return `${upperFirst(unitName(job, trouble))} of ${deviceName(job, trouble.device)} is above the ceiling, which is ${formatLength(trouble.ceilingM, units)} high there.`;
    default:
      return unreachable(trouble);
  }
}

/** Two channels that sound from each other's side. */
export const swappedSentence = ([a, b]: readonly [Channel, Channel]): string =>
  `${upperFirst(channelName(a))} and ${channelName(b)} are on each other's side: swap them, or their wires.`;

export const MIRRORED_SENTENCE = "Every left speaker is on the right: the whole layout is mirrored, or the seat faces the other way.";

/** A lead that is too short, or a unit too far away for its wireless link. */
export const reachSentence = (job: Job, { one, by, needM, haveM }: ReachFault, units: UnitSystem): string =>
  by === "lead"
    ? `The lead of ${lowerFirst(one.unit.name)} is ${formatLength(haveM, units)} long and would need ${formatLength(needM, units)}; it is part of ${deviceName(job, one.device.id)} and cannot be replaced by any other.`
    : `${upperFirst(one.unit.name)} is ${formatLength(needM, units)} away; its wireless link is good for ${formatLength(haveM, units)} in one room.`;

/** Why a place is proposed. */
export function proposalSentence({ offDeg, boundBy, stays, one }: Proposal): string {
  const windows = one.unit.drivers.length === 0 || one.unit.drivers.every(({ channel }) => channel === "LFE");
  const isBox = one.unit.drivers.length > 2;
  const fit = windows
    ? "near what feeds it"
    : isBox
      ? offDeg === 0
        ? "in the middle, straight ahead; its width sets the other angles"
        : `${Math.ceil(offDeg)}° off the middle`
      : offDeg === 0
        ? "in its window"
        : `${Math.ceil(offDeg)}° outside its window`;
  const bound =
    boundBy === "lead"
      ? "; its lead keeps it from a better place"
      : boundBy === "outlet"
        ? "; the next outlet keeps it from a better place"
        : "";
  return `${stays ? "Stays: " : ""}${fit}${bound}.`;
}
