import type { FixStep, VisitEntry } from "@/core/job";
import { FAULT_KIND_IDS, type FaultKind } from "@/core/facts";
import type { Observed } from "./belief";

/** A search for a fault, as its record tells it. */
export interface Walk {
  readonly id: string;
  readonly startedAt: string;
  readonly symptoms: readonly string[];
  readonly line: readonly (Observed & {
    readonly at: string;
    readonly minutes: number | null;
    readonly who: string;
    readonly note: string;
  })[];
  /** The fault that was found, or none: given up; null: it goes on. */
  readonly end: { readonly found: string | null; readonly at: string } | null;
}

/** The step of the record that an entry of a search belongs to: an entry that takes it back has the same. */
export const walkStep = ({ walk, step, id }: Pick<FixStep, "walk" | "step" | "id">, count = 0): string =>
  `fix ${walk} ${step} ${id}${count ? ` ${count}` : ""}`.slice(0, 400);

/** The searches of a job, the latest last. What was taken back is left out. */
export function walksOf(entries: readonly VisitEntry[]): readonly Walk[] {
  const last = new Map<string, VisitEntry>();
  for (const entry of [...entries].filter(({ fix }) => fix !== null).sort((a, b) => a.at.localeCompare(b.at))) {
    // It keeps the place that it had first.
    last.set(entry.step, entry);
  }
  const counted = [...last.values()].filter(({ state }) => state !== "open");
  const ids = [...new Set(counted.flatMap(({ fix }) => (fix ? [fix.walk] : [])))];
  return ids.map((id): Walk => {
    const own = counted.filter(({ fix }) => fix?.walk === id);
    const end = own.find(({ fix }) => fix?.step === "found" || fix?.step === "given-up");
    return {
      id,
      startedAt: own[0]?.at ?? "",
      symptoms: own.flatMap(({ fix }) => (fix?.step === "symptom" ? [fix.id] : [])),
      line: own.flatMap(({ fix, at, minutes, who, note }) =>
        fix?.step === "check" ? [{ check: fix.id, answer: fix.answer, at, minutes, who, note }] : [],
      ),
      end: end?.fix ? { found: end.fix.step === "found" ? end.fix.id : null, at: end.at } : null,
    };
  });
}

/** The faults that a record says were found, by their ids. */
export const foundIn = (entries: readonly VisitEntry[]): readonly string[] =>
  walksOf(entries).flatMap(({ end }) => (end?.found ? [end.found] : []));

/** How many faults of each kind were found. */
export function foundByKind(faults: readonly string[]): Partial<Record<FaultKind, number>> {
  const counts: Partial<Record<FaultKind, number>> = {};
  for (const id of faults) {
    const kind = FAULT_KIND_IDS.find((one) => id === one || id.startsWith(`${one}:`));
    if (kind) counts[kind] = (counts[kind] ?? 0) + 1;
  }
  return counts;
}
