import { randomUUID } from "node:crypto";
import type { Transaction } from "sequelize";
import { z } from "zod";
import { Command, editToKeep, readJob, textToKeep, VisitEntry, type EditRefusal, type Job, type JobTrouble } from "@/core/job";
import { replacedIn } from "@/core/handover";
import { done, refused, type Outcome } from "@/core/outcome";
import type { Database } from "./database";
import { insertEntries } from "./visit-service";
import { appendEvent, findJob, findSave, insertJob, setBinned, updateJob, type StoredJob } from "./job-repository";

const base = { revision: z.number().int().min(1), saveId: z.uuid().optional() };

/** A save: edits to make on top of a revision, or a whole document in its place. `saveId` makes a repeated save harmless. */
export const SaveRequest = z.union([
  z.strictObject({ ...base, commands: z.array(Command).min(1).max(2000) }),
  z.strictObject({ ...base, document: z.unknown() }),
]);
export type SaveRequest = z.infer<typeof SaveRequest>;

export type SaveRefusal =
  | { readonly code: "no-such-job" }
  /** The name of this save was used for another job. */
  | { readonly code: "save-id-taken" }
  | { readonly code: "stale"; readonly current: StoredJob }
  | { readonly code: "edit-refused"; readonly refusal: EditRefusal; readonly job: Job }
  | { readonly code: "document-refused"; readonly troubles: readonly JobTrouble[] };

const now = () => new Date().toISOString();

export type JobOrigin = "new" | "import" | "copy";

/** Keeps a new job. An import never overwrites: it always comes here. */
export const createJob = (db: Database, job: Job, origin: JobOrigin): Promise<StoredJob> =>
  db.transact((transaction) => createJobIn(db, { id: randomUUID(), job, origin }, transaction));

/** The same within a transaction that holds more, such as its photos. A document that would not open again is a mistake of the program. */
export async function createJobIn(
  db: Database,
  { id, job, origin }: { readonly id: string; readonly job: Job; readonly origin: JobOrigin },
  transaction: Transaction,
): Promise<StoredJob> {
  const { record, ...document } = job;
  const kept = textToKeep({ ...document, record: [] });
  if (!kept.ok) throw new UnsoundDocument(`A new job would not open again: ${JSON.stringify(kept.refusal)}`);
  const at = now();
  await insertJob(db, { id, ...kept.value, at }, transaction);
  await appendEvent(
    db,
    { jobId: id, revision: 1, saveId: randomUUID(), at, event: { kind: origin, document: kept.value.job } },
    transaction,
  );
  await insertEntries(db, id, record, transaction);
  return { id, revision: 1, updatedAt: at, job: kept.value.job };
}

/** A document that is about to be kept and would not read: it is not kept. */
export class UnsoundDocument extends Error {
  override readonly name = "UnsoundDocument";
}

/** Takes in a save if it was made on the newest revision; otherwise gives back the current job, for the client to replay its edits on. */
export async function saveJob(db: Database, id: string, request: SaveRequest): Promise<Outcome<StoredJob, SaveRefusal>> {
  const saveId = request.saveId ?? randomUUID();
  return db.transact(async (transaction) => {
    const current = await findJob(db, id, transaction);
    if (!current) return refused({ code: "no-such-job" });
    // The answer to an earlier try was lost on the way: the save is already in.
    const made = await findSave(db, saveId, transaction);
    if (made && made.jobId !== id) return refused({ code: "save-id-taken" });
    if (made) return done(current);
    if (current.revision !== request.revision) return refused({ code: "stale", current });
    const changed = changedJob(current.job, request);
    if (!changed.ok) return changed;
    const [revision, at] = [current.revision + 1, now()];
    const { job } = changed.value;
    await updateJob(db, { id, ...changed.value, revision, at }, transaction);
    const event = "commands" in request ? { kind: "commands", commands: request.commands } : { kind: "document", document: job };
    await appendEvent(db, { jobId: id, revision, saveId, at, event }, transaction);
    if ("commands" in request) await noteReplaced(db, { id, job: current.job, commands: request.commands, at }, transaction);
    return done({ id, revision, updatedAt: at, job });
  });
}

/** Writes down which devices others took the place of, once the room is wired: what is there later keeps its history. */
async function noteReplaced(
  db: Database,
  { id, job, commands, at }: { readonly id: string; readonly job: Job; readonly commands: readonly Command[]; readonly at: string },
  transaction: Transaction,
): Promise<void> {
  const entries = replacedIn(job, commands).map((event) =>
    VisitEntry.parse({ id: randomUUID(), step: `event replaced ${event.device} ${at}`, state: "done", event, at }),
  );
  if (entries.length) await insertEntries(db, id, entries, transaction);
}

/** The job after a save with the text that is kept of it, which was read as a file is: what is answered with "saved" can be opened again. */
function changedJob(job: Job, request: SaveRequest): Outcome<{ readonly job: Job; readonly text: string }, SaveRefusal> {
  if ("commands" in request) {
    const made = editToKeep(job, request.commands);
    return made.ok ? made : refused({ code: "edit-refused", ...made.refusal });
  }
  const read = readJob(request.document);
  if (!read.ok) return refused({ code: "document-refused", troubles: read.refusal });
  // The record of visits grows by its own entries alone.
  const kept = textToKeep({ ...read.value, record: [] });
  return kept.ok ? kept : refused({ code: "document-refused", troubles: [kept.refusal] });
}

export const binJob = (db: Database, id: string): Promise<boolean> => db.transact((transaction) => setBinned(db, id, now(), transaction));
export const restoreJob = (db: Database, id: string): Promise<boolean> =>
  db.transact((transaction) => setBinned(db, id, null, transaction));
