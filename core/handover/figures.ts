import type { Reason } from "@/core/chain";
import { foundByKind, foundIn } from "@/core/diagnose";
import type { FaultKind } from "@/core/facts";
import type { VisitEntry } from "@/core/job";
import { countedEntries, visitsOf } from "./visits";

/** A job as the firm's figures count it. */
export interface CountedJob {
  readonly id: string;
  readonly name: string;
  /** How many rows of its board lose something on the way, by the first reason. */
  readonly losses: Readonly<Partial<Record<Reason["code"], number>>>;
  readonly record: readonly VisitEntry[];
}

/** What a firm's own jobs tell it. Everything is counted from records and boards; nothing is typed in. */
export interface FirmFigures {
  readonly jobs: number;
  /** Visits of which both are known, in the order of their days. */
  readonly visits: readonly {
    readonly job: string;
    readonly name: string;
    readonly day: string;
    readonly planned: number;
    readonly taken: number;
  }[];
  /** Rows with all that can be played, of jobs that were handed over: as found and as left. */
  readonly board: { readonly jobs: number; readonly rows: number; readonly wholeFound: number; readonly wholeLeft: number };
  readonly proof: { readonly proven: number; readonly otherwise: number };
  readonly losses: readonly { readonly code: Reason["code"]; readonly rows: number }[];
  readonly faults: readonly { readonly fault: FaultKind; readonly count: number }[];
  /** What a cure was, by its first word, and how often it mended. */
  readonly cures: readonly { readonly cure: string; readonly count: number }[];
}

const most = <Row extends object>(rows: readonly Row[], count: (row: Row) => number, limit: number): readonly Row[] =>
  rows.toSorted((a, b) => count(b) - count(a)).slice(0, limit);

const MOST_BARS = 8;
const MOST_VISITS = 24;

/** Counts the firm's jobs. */
export function firmFigures(jobs: readonly CountedJob[]): FirmFigures {
  const visits = jobs.flatMap(({ id, name, record }) =>
    visitsOf(record).flatMap(({ day, minutes, ended }) =>
      minutes !== null && ended !== null && ended.plannedMinutes !== null
        ? [{ job: id, name, day, planned: ended.plannedMinutes, taken: Math.round(minutes) }]
        : [],
    ),
  );
  const boards = jobs.flatMap(({ record }) => visitsOf(record).findLast((visit) => visit.handedOver)?.ended?.board ?? []);
  const seen = jobs.flatMap(({ record }) => countedEntries(record).flatMap(({ sees }) => sees ?? []));
  const losses = new Map<Reason["code"], number>();
  for (const job of jobs)
    for (const [code, rows] of Object.entries(job.losses) as [Reason["code"], number][]) losses.set(code, (losses.get(code) ?? 0) + rows);
  const faults = Object.entries(foundByKind(jobs.flatMap(({ record }) => foundIn(record)))) as [FaultKind, number][];
  const cures = new Map<string, number>();
  for (const { record } of jobs)
    for (const { fix } of countedEntries(record)) {
      if (fix?.step !== "check" || fix.answer !== "mended") continue;
      const cure = fix.id.split(":")[0] ?? "";
      cures.set(cure, (cures.get(cure) ?? 0) + 1);
    }
  return {
    jobs: jobs.length,
    visits: visits.toSorted((a, b) => a.day.localeCompare(b.day)).slice(-MOST_VISITS),
    board: {
      jobs: boards.length,
      rows: boards.reduce((sum, { rows }) => sum + rows, 0),
      wholeFound: boards.reduce((sum, { wholeFound }) => sum + wholeFound, 0),
      wholeLeft: boards.reduce((sum, { wholeLeft }) => sum + wholeLeft, 0),
    },
    proof: {
      proven: seen.filter((sees) => sees === "as-predicted").length,
      otherwise: seen.filter((sees) => sees !== "as-predicted").length,
    },
    losses: most(
      [...losses].map(([code, rows]) => ({ code, rows })),
      ({ rows }) => rows,
      MOST_BARS,
    ),
    faults: most(
      faults.map(([fault, count]) => ({ fault, count })),
      ({ count }) => count,
      MOST_BARS,
    ),
    cures: most(
      [...cures].map(([cure, count]) => ({ cure, count })),
      ({ count }) => count,
      MOST_BARS,
    ),
  };
}
