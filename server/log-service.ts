import { QueryTypes } from "sequelize";
import { z } from "zod";
import { applyCommand, readCommands, readJob, stepsOf, type Command, type Job, type SingleCommand } from "@/core/job";
import { commandWords } from "@/core/text";
import type { Database } from "./database";
import { readStored } from "./stored";

const Event = z.union([
  z.object({ kind: z.enum(["new", "import", "copy", "document"]), document: z.unknown() }),
  z.object({ kind: z.literal("commands"), commands: z.array(z.unknown()) }),
]);
type Event = z.infer<typeof Event>;

/** An entry of a job's log, played: the job after it, the edits by name, and what takes them back; null where a whole document came. */
export interface LogEntry {
  readonly revision: number;
  readonly at: string;
  readonly kind: Event["kind"];
  readonly job: Job;
  readonly words: readonly string[];
  /** What takes it back, the last edit first. */
  readonly back: readonly SingleCommand[] | null;
}

/** The log of a job, played from its beginning as far as it reads. */
export interface Log {
  readonly entries: readonly LogEntry[];
  /** Every save that was accepted still reads. */
  readonly isWhole: boolean;
}

/** Plays the saves of a job that were accepted, up to the first that no longer reads. */
export async function readLog(db: Database, id: string): Promise<Log> {
  const rows = await db.sequelize.query<{ revision: number; at: string; event: string; version: number }>(
    "SELECT revision, at, event, version FROM job_events WHERE job_id = :id ORDER BY revision",
    { type: QueryTypes.SELECT, replacements: { id } },
  );
  const entries: LogEntry[] = [];
  for (const [index, { revision, at, event, version }] of rows.entries()) {
    const read = readStored(Event, event);
    const made = read.sound && revision === index + 1 ? played(entries.at(-1)?.job ?? null, read.value, version) : null;
    if (!made) return { entries, isWhole: false };
    entries.push({ revision, at, ...made });
  }
  return { entries, isWhole: true };
}

/** A job after an entry of its log; null where the entry cannot be made. What the documents break is judged by who keeps it. */
function played(job: Job | null, event: Event, version: number): Omit<LogEntry, "revision" | "at"> | null {
  if ("document" in event) {
    const read = readJob(event.document);
    return read.ok ? { kind: event.kind, job: read.value, words: [], back: null } : null;
  }
  const commands = readCommands(version, event.commands);
  if (!job || !commands) return null;
  let current = job;
  const words: string[] = [];
  const back: SingleCommand[] = [];
  for (const command of commands) {
    words.push(commandWords(current, command));
    const applied = applyCommand(current, command);
    if (!applied.ok) return null;
    back.unshift(...stepsOf(applied.value.inverse));
    current = applied.value.job;
  }
  return { kind: event.kind, job: current, words, back };
}

/** A moment of a job: a save that was accepted, by the names of its edits. */
export type Moment = Pick<LogEntry, "revision" | "at" | "kind" | "words">;

/** So many moments are listed, the newest ones. */
const MOST_MOMENTS = 200;

/** The moments of a job, the newest first, and how many there are in all. */
export async function momentsOf(db: Database, id: string): Promise<{ readonly moments: readonly Moment[]; readonly total: number }> {
  const { entries } = await readLog(db, id);
  const moments = entries.slice(-MOST_MOMENTS).map(({ revision, at, kind, words }) => ({ revision, at, kind, words }));
  return { moments: moments.toReversed(), total: entries.length };
}

/** A job as it was at a moment. */
export interface JobThen {
  readonly job: Job;
  /** The edit that leads back there from the newest; null where a whole document came since, or there are too many for one edit. */
  readonly back: Command | null;
  /** The revision from which it leads back. */
  readonly from: number;
}

/** One edit holds no more steps. */
const MOST_STEPS = 1000;

/** A job as it was after a save; null where there is no such save, or the log does not read that far. */
export async function jobThen(db: Database, id: string, revision: number): Promise<JobThen | null> {
  const { entries } = await readLog(db, id);
  const then = entries.find((entry) => entry.revision === revision);
  if (!then) return null;
  const since = entries.filter((entry) => entry.revision > revision).toReversed();
  const steps = since.flatMap(({ back }) => back ?? []);
  const leads = since.every(({ back }) => back !== null) && steps.length > 0 && steps.length <= MOST_STEPS;
  return { job: then.job, back: leads ? { kind: "batch", commands: [...steps] } : null, from: entries.at(-1)?.revision ?? revision };
}
