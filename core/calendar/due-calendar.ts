import { createEvents } from "ics";

/** Something that is due from a day on, as a calendar shows it. */
export interface CalendarDue {
  /** The same for the same thing however often it is sent. */
  readonly id: string;
  /** YYYY-MM-DD. */
  readonly day: string;
  readonly title: string;
  readonly address: string;
  readonly words: string;
}

/**
 * What is due as a calendar file: whole days that keep nobody busy. Source: RFC 5545, 3.3.4 (date), 3.8.2.7 (transparency).
 * @throws where a field cannot be written
 */
export function dueCalendar(due: readonly CalendarDue[]): string {
  const { error, value } = createEvents(
    due.map(({ id, day, title, address, words }) => {
      const [year = 1970, month = 1, date = 1] = day.split("-").map(Number);
      return {
        uid: `${id}@octachord`,
        start: [year, month, date],
        duration: { days: 1 },
        title,
        ...(address ? { location: address } : {}),
        description: words,
        status: "TENTATIVE",
        busyStatus: "FREE",
        transp: "TRANSPARENT",
      };
    }),
    { productId: "octachord", calName: "Octachord, due" },
  );
  if (error || value === null) throw error ?? new Error("no calendar was written");
  return value;
}
