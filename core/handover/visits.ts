import { foundIn } from "@/core/diagnose";
import type { EventOf, JobEvent, VisitEntry, VisitReason } from "@/core/job";
import { lastEntries } from "@/core/visit";

/** A day on which somebody was there, as the record has it. */
export interface PastVisit {
  /** YYYY-MM-DD. */
  readonly day: string;
  readonly who: readonly string[];
  readonly reason: VisitReason | null;
  /** On site: as it was entered at the end, else what the steps were timed at; null: neither. */
  readonly minutes: number | null;
  readonly steps: number;
  readonly checks: number;
  /** Faults that were found, by their ids. */
  readonly faults: readonly string[];
  /** The saved state of the room as it was left; null: none. */
  readonly snapshot: string | null;
  readonly handedOver: boolean;
  readonly ended: EventOf<"visit-ended"> | null;
  /** What was written of the visit as a whole. */
  readonly note: string;
}

/** Entries that count: of each step the last one, if it was not taken back. */
export const countedEntries = (record: readonly VisitEntry[]): readonly VisitEntry[] =>
  [...lastEntries(record).values()].filter(({ state }) => state !== "open").toSorted((a, b) => a.at.localeCompare(b.at));

/** An event of one kind, with the entry that holds its moment, its author and its note. */
export interface RecordedEvent<Kind extends JobEvent["event"]> {
  readonly event: EventOf<Kind>;
  readonly entry: VisitEntry;
}

/** The events of a kind in the order of their moments. */
export const eventsOf = <Kind extends JobEvent["event"]>(record: readonly VisitEntry[], kind: Kind): readonly RecordedEvent<Kind>[] =>
  countedEntries(record).flatMap((entry) => (entry.event?.event === kind ? [{ event: entry.event as EventOf<Kind>, entry }] : []));

const dayOf = (entry: VisitEntry): string => (entry.event?.event === "visit-ended" ? entry.event.day : entry.at.slice(0, 10));

/** Every day of the record as a visit, the first first. A day on which a call came in and nobody went is none. */
export function visitsOf(record: readonly VisitEntry[]): readonly PastVisit[] {
  const days = new Map<string, VisitEntry[]>();
  for (const entry of countedEntries(record)) days.set(dayOf(entry), [...(days.get(dayOf(entry)) ?? []), entry]);
  return [...days]
    .toSorted(([a], [b]) => a.localeCompare(b))
    .flatMap(([day, entries]): PastVisit[] => {
      const end = entries.findLast(({ event }) => event?.event === "visit-ended");
      const ended = end?.event?.event === "visit-ended" ? end.event : null;
      const work = entries.filter(({ event }) => event === null);
      if (!ended && work.length === 0) return [];
      const timed = work.flatMap(({ minutes }) => minutes ?? []);
      return [
        {
          day,
          ended,
          reason: ended?.reason ?? null,
          who: [...new Set(entries.flatMap(({ who }) => who || []))],
          minutes: ended?.minutes ?? (timed.length ? timed.reduce((sum, one) => sum + one, 0) : null),
          steps: work.filter(({ state, sees, fix }) => state === "done" && sees === null && fix === null).length,
          checks: work.filter(({ sees }) => sees !== null).length,
          faults: foundIn(work),
          snapshot: ended?.snapshot ?? null,
          handedOver: ended?.handedOver ?? false,
          note: end?.note ?? "",
        },
      ];
    });
}
