import type { Seat, Space } from "@/core/job";
import type { DialledLevel } from "./dial-levels";
import type { DialledTime } from "./dial-times";
import { distancesFrom, speedIn } from "./distances";
import type { Speaker } from "./speakers";

/** What the values that suit the main seat do at another one. */
export interface SeatEffect {
  readonly seat: Seat;
  readonly speakers: readonly {
    readonly speaker: Speaker;
    /** Against the front of the same seat: positive is late. */
    readonly lateMs: number;
    /** Against the front of the same seat, estimated by distance. */
    readonly louderDb: number;
  }[];
}

/** For every seat but the main one whose distances are known. */
export function otherSeats(space: Space, times: readonly DialledTime[], levels: readonly DialledLevel[]): readonly SeatEffect[] {
  const speakers = times.map(({ speaker }) => speaker);
  const speed = speedIn(space);
  return space.seats.slice(1).flatMap((seat): SeatEffect[] => {
    const distances = distancesFrom(space, speakers, seat.id);
    const rows = times.flatMap((time, index) => {
      const there = distances[index]?.metres;
      if (there === undefined || there <= 0) return [];
      // Dialled in step at the main seat, so only the difference of the ways counts, with the error that stays.
      const ms = ((there - time.distance.metres) / speed) * 1000 + (time.dial ? time.dial.errorMs : time.asDeliveredMs);
      const trim = levels.find(({ speaker }) => speaker === time.speaker);
      const db = 20 * Math.log10(time.distance.metres / there) - (trim?.dial?.leftDb ?? trim?.wantedDb ?? 0);
      return [{ speaker: time.speaker, ms, db }];
    });
    const front = rows.find(({ speaker }) => speaker.channel === "L") ?? rows[0];
    if (!front) return [];
    return [{ seat, speakers: rows.map(({ speaker, ms, db }) => ({ speaker, lateMs: ms - front.ms, louderDb: db - front.db })) }];
  });
}
