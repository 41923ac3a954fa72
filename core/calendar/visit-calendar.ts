import { createEvents } from "ics";

/** A visit as a calendar shows it. */
export interface CalendarVisit {
  /** The same for the same visit however often it is sent: a calendar then moves it. */
  readonly id: string;
  /** Grows with each change of the job. */
  readonly revision: number;
  /** YYYY-MM-DD. */
  readonly day: string;
  /** Minutes since midnight. */
  readonly from: number;
  readonly to: number;
  readonly title: string;
  readonly address: string;
  readonly words: string;
  /** Nobody was told this time yet. */
  readonly isTentative: boolean;
}

/**
 * Visits as a calendar file, in the local time of whoever opens it: an installer's nine o'clock is nine o'clock there.
 * Source: RFC 5545, 3.3.5 form 1 (local time), 3.8.7.4 (sequence).
 * @throws where a field cannot be written
 */
export function visitCalendar(visits: readonly CalendarVisit[]): string {
  const { error, value } = createEvents(
    visits.map(({ id, revision, day, from, to, title, address, words, isTentative }) => ({
      uid: `${id}@octachord`,
      sequence: revision,
      start: moment(day, from),
      end: moment(day, to),
      startInputType: "local",
      startOutputType: "local",
      endInputType: "local",
      endOutputType: "local",
      title,
      ...(address ? { location: address } : {}),
      description: words,
      status: isTentative ? "TENTATIVE" : "CONFIRMED",
      busyStatus: "BUSY",
    })),
    { productId: "octachord", calName: "Octachord" },
  );
  if (error || value === null) throw error ?? new Error("no calendar was written");
  return value;
}

/** A visit that goes on past midnight ends on the next day. */
function moment(day: string, minutes: number): [number, number, number, number, number] {
  const at = new Date(`${day}T00:00:00Z`);
  at.setUTCMinutes(Math.round(minutes));
  return [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate(), at.getUTCHours(), at.getUTCMinutes()];
}
