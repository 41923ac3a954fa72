import type { Channel } from "@/core/facts";
import type { RoomReading, SingleCommand } from "@/core/job";
import { distancesFrom } from "./distances";
import type { Speaker } from "./speakers";
import { mainSeat, type RoomScene } from "./units-in-room";

/** What a microphone heard of a channel against the first one. */
export interface HeardDifference {
  readonly channel: Channel;
  /** Null: not heard. */
  readonly distanceDiffM: number | null;
  readonly levelDb: number | null;
  readonly trusted: boolean;
}

/** The distance of a speaker by tape and by sound, and the readings that the sound would make. */
export interface Compared {
  readonly speaker: Speaker;
  readonly tapeM: number | null;
  readonly soundM: number | null;
  /** They are further apart than a tape errs: a wireless unit is late, or one of them is wrong. */
  readonly disagrees: boolean;
  readonly levelDb: number | null;
  readonly trusted: boolean;
}

/** A tape and the sound may differ by so much. */
export const AGREES_M = 0.15;

/**
 * What was heard beside what was measured, for the speakers of one system. A recording tells differences alone, so the distances by sound
 * are fitted to those by tape: by the middle one of all speakers that have both, those that were heard clearly first.
 */
export function compareHeard({ space }: RoomScene, speakers: readonly Speaker[], heard: readonly HeardDifference[]): readonly Compared[] {
  const seat = mainSeat(space);
  const tape = seat ? distancesFrom(space, speakers, seat.id) : [];
  const of = ({ channel }: Speaker) => heard.find((one) => one.channel === channel);
  const anchors = speakers.flatMap((speaker, index) => {
    const [one, metres] = [of(speaker), tape[index]?.metres ?? null];
    const diff = one?.distanceDiffM ?? null;
    return !one || diff === null || metres === null || speaker.channel === "LFE" ? [] : [{ at: metres - diff, isClear: one.trusted }];
  });
  const clear = anchors.filter(({ isClear }) => isClear);
  // The middle one of them, so that one wrong tape does not move them all.
  const sorted = (clear.length ? clear : anchors).map(({ at }) => at).toSorted((a, b) => a - b);
  const anchor = sorted.length
    ? ((sorted[Math.floor((sorted.length - 1) / 2)] ?? 0) + (sorted[Math.floor(sorted.length / 2)] ?? 0)) / 2
    : null;
  return speakers.map((speaker, index) => {
    const one = of(speaker);
    const tapeM = tape[index]?.metres ?? null;
    const soundM = one && one.distanceDiffM !== null && anchor !== null ? one.distanceDiffM + anchor : null;
    return {
      speaker,
      tapeM,
      soundM,
      disagrees: tapeM !== null && soundM !== null && Math.abs(tapeM - soundM) > AGREES_M,
      levelDb: one?.levelDb ?? null,
      trusted: one?.trusted ?? false,
    };
  });
}

/** The edits that make the distances by sound the readings of the room, and its levels against the target at the main front speaker. */
export function readingsOf({ space, room }: RoomScene, compared: readonly Compared[]): readonly SingleCommand[] {
  const seat = mainSeat(space);
  if (!seat) return [];
  const front =
    compared.find(({ speaker, levelDb }) => speaker.channel === "L" && levelDb !== null) ??
    compared.find(({ levelDb }) => levelDb !== null);
  return compared.flatMap(({ speaker, soundM, levelDb, trusted }): SingleCommand[] => {
    const about = { device: speaker.device.id, unit: speaker.unit.id, channel: speaker.channel, seat: seat.id };
    const note = (of: RoomReading["of"], value: number): SingleCommand => ({
      kind: "note-reading",
      room: room.id,
      about: { ...about, of },
      reading: { ...about, of, value: Number(value.toFixed(3)), by: "sound" },
      at: null,
    });
    return [
      ...(soundM !== null && soundM > 0 && trusted ? [note("distance", soundM)] : []),
      ...(levelDb !== null && front && front.levelDb !== null && speaker.channel !== "LFE"
        ? [note("level", space.targetDb + levelDb - front.levelDb)]
        : []),
    ];
  });
}
