import { solve } from "@/core/chain";
import {
  MOST_SNAPSHOTS,
  stepsOf,
  wiringOf,
  editWithStates,
  type Command,
  type EventOf,
  type Job,
  type SingleCommand,
  type VisitEntry,
  type VisitReason,
} from "@/core/job";
import { runSheet } from "@/core/visit";

/** What a person says at the end of a visit. */
export interface VisitEnd {
  readonly day: string;
  readonly reason: VisitReason;
  readonly minutes: number | null;
  /** The household has the room now. */
  readonly handedOver: boolean;
}

/** Words for the states that are saved. */
export interface StateNames {
  readonly found: string;
  readonly left: string;
  readonly visit: string;
}

const VISIT_STATE = "visit-";
const stateOf = (day: string): string => `${VISIT_STATE}${day}`;

/** What follows from the end of a visit: the edit of the job, with the room saved as it was left, and the event for the record. */
export function endVisit(
  job: Job,
  record: readonly VisitEntry[],
  { day, reason, minutes, handedOver }: VisitEnd,
  names: StateNames,
  takenAt: string,
): { readonly command: Command; readonly event: EventOf<"visit-ended"> } {
  const phase = handedOver ? stepsOf(editWithStates(job, { phase: "handover" }, names, takenAt)) : [];
  const kept = savedState(job, phase, { day, name: names.visit, takenAt });
  return {
    command: { kind: "batch", commands: [...phase, ...(kept ?? [])] },
    event: {
      event: "visit-ended",
      day,
      reason,
      minutes,
      plannedMinutes: job.visit.agreedMinutes ?? plannedMinutes(job, record),
      handedOver,
      snapshot: kept ? stateOf(day) : null,
      board: boardOf(job),
    },
  };
}

/** As many minutes as the whole run sheet was to take; null where there is nothing to do in it. */
function plannedMinutes(job: Job, record: readonly VisitEntry[]): number | null {
  const { steps, minutes } = runSheet(job, job.visit.people, undefined, record);
  return steps.length ? Math.round(minutes) : null;
}

/**
 * The edits that save the room under the day of the visit: again where that day was saved already. Where there is no room for one more state the
 * oldest of an earlier visit makes way; null where none can.
 */
function savedState(
  job: Job,
  before: readonly SingleCommand[],
  { day, name, takenAt }: { readonly day: string; readonly name: string; readonly takenAt: string },
): readonly SingleCommand[] | null {
  const id = stateOf(day);
  const again = job.snapshots.some((one) => one.id === id);
  const adds = before.reduce((sum, { kind }) => sum + Number(kind === "keep-snapshot") - Number(kind === "drop-snapshot"), 0);
  const isFull = !again && job.snapshots.length + adds >= MOST_SNAPSHOTS;
  const oldest = job.snapshots.filter((one) => one.id.startsWith(VISIT_STATE)).toSorted((a, b) => a.takenAt.localeCompare(b.takenAt))[0];
  if (isFull && !oldest) return null;
  const gone = again ? id : isFull ? oldest?.id : undefined;
  return [
    ...(gone === undefined ? [] : [{ kind: "drop-snapshot", snapshot: gone } as const]),
    { kind: "keep-snapshot", snapshot: { id, name, takenAt, devices: job.devices, cables: job.cables }, at: null },
  ];
}

/** How many rows had all that can be played as the room was found, and have it as it is left. */
function boardOf(job: Job): EventOf<"visit-ended">["board"] {
  const found = wiringOf(job, "found");
  const before = solve(found ? { ...job, ...found } : job, "found").rows;
  const after = solve(job, "planned").rows;
  const whole = (rows: typeof after) => rows.filter(({ verdict }) => verdict === "full").length;
  return { rows: after.length, wholeFound: whole(before), wholeLeft: whole(after) };
}
