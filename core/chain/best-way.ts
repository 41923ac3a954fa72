import type { Content, Device } from "@/core/device";
import { follow, type Followed } from "./follow";
import { compareStreams } from "./quality";
import type { Rig } from "./rig";
import { streamsOf, type Stream } from "./stream";
import { waysTo } from "./way";
import { isByNature } from "./why-not";

/** The way by which a content is heard. */
export interface ChosenWay extends Followed {
  /** What nobody knows of other ways that may bring more than this one. */
  readonly unsure?: Followed["unknown"];
}

/**
 * The way that brings most; among ways that bring nothing, one that is merely unknown before one that is shut, the one with the fewest
 * obstacles, one that a switch, a wire or a list shuts before one that a device cannot carry at all, and the one that gets furthest.
 */
export function bestWay(rig: Rig, device: Device, source: string, content: Content, system: Device): ChosenWay | null {
  // On screens between which no sound is switched the sound is the same.
  const lit = rig.litOutputs.size === 0 ? "" : [...rig.litOutputs].map(([box, output]) => `${box} ${output}`).join();
  const key = `best ${device.id} ${source} ${content.id} ${system.id} ${lit}`;
  return rig.recall(key, () => chooseWay(rig, device, source, content, system), null);
}

function chooseWay(rig: Rig, device: Device, source: string, content: Content, system: Device): ChosenWay | null {
  const tracks = streamsOf(content);
  const followed = waysTo(rig, device, source, system).map((way) => follow(rig, way, tracks));
  const [first, ...rest] = followed;
  if (!first) return null;
  const best = rest.reduce((one, other) => (compareFollowed(other, one, system) < 0 ? other : one), first);
  const { arrives } = best;
  if (arrives === null) return best;
  const isMore = (stream: Stream) => compareStreams(stream, arrives, system) > 0;
  const unsure = followed.flatMap((other) => (isUnknown(other) && other.mayArrive.some(isMore) ? other.unknown : []));
  return unsure.length ? { ...best, unsure } : best;
}

/** Orders two ways of one content, the better one first. */
const compareFollowed = (a: Followed, b: Followed, system: Device): number =>
  compareStreams(b.arrives, a.arrives, system) ||
  Number(isUnknown(b)) - Number(isUnknown(a)) ||
  a.blocks.length - b.blocks.length ||
  countByNature(a) - countByNature(b) ||
  firstBlock(b) - firstBlock(a) ||
  a.way.length - b.way.length;

const countByNature = ({ blocks }: Followed): number => blocks.filter(({ reason }) => isByNature(reason)).length;

/** Where the sound first stops; 0 where nothing stops it. */
const firstBlock = ({ blocks }: Followed): number => (blocks.length ? Math.min(...blocks.map(({ hop }) => hop)) : 0);

/** Whether nobody knows if anything arrives. */
export const isUnknown = (followed: Followed): boolean => followed.unknown.length > 0 && followed.blocks.length === 0;
