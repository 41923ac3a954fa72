import { randomUUID } from "node:crypto";
import { z } from "zod";
import { applyAll, Command, readJob, type Job, type JobTrouble, type Refusal } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import type { Database } from "./database";
import { appendEvent, findJob, insertJob, revisionOfSave, setBinned, updateJob, type StoredJob } from "./job-repository";

const base = { revision: z.number().int().min(1), saveId: z.uuid().optional() };

/** A save: edits to make on top of a revision, or a whole document in its place. `saveId` makes a repeated save harmless. */
export const SaveRequest = z.union([
  z.strictObject({ ...base, commands: z.array(Command).min(1).max(2000) }),
  z.strictObject({ ...base, document: z.unknown() }),
]);
export type SaveRequest = z.infer<typeof SaveRequest>;

export type SaveRefusal =
  | { readonly code: "no-such-job" }
  | { readonly code: "stale"; readonly current: StoredJob }
  | { readonly code: "edit-refused"; readonly refusal: Refusal; readonly job: Job }
  | { readonly code: "document-refused"; readonly troubles: readonly JobTrouble[] };

const now = () => new Date().toISOString();

/** Keeps a new job. An import never overwrites: it always comes here. */
export async function createJob(db: Database, job: Job, origin: "new" | "import" | "copy"): Promise<StoredJob> {
  const [id, at] = [randomUUID(), now()];
  await db.transact(async (transaction) => {
    await insertJob(db, { id, job, at }, transaction);
    await appendEvent(db, { jobId: id, revision: 1, saveId: randomUUID(), at, event: { kind: origin, document: job } }, transaction);
  });
  return { id, revision: 1, updatedAt: at, job };
}

/** Takes in a save if it was made on the newest revision; otherwise gives back the current job, for the client to replay its edits on. */
export async function saveJob(db: Database, id: string, request: SaveRequest): Promise<Outcome<StoredJob, SaveRefusal>> {
  const saveId = request.saveId ?? randomUUID();
  return db.transact(async (transaction) => {
    const current = await findJob(db, id, transaction);
    if (!current) return refused({ code: "no-such-job" });
    // The answer to an earlier try was lost on the way: the save is already in.
    if ((await revisionOfSave(db, id, saveId, transaction)) !== null) return done(current);
    if (current.revision !== request.revision) return refused({ code: "stale", current });
    const changed = changedJob(current.job, request);
    if (!changed.ok) return changed;
    const [revision, at] = [current.revision + 1, now()];
    await updateJob(db, { id, job: changed.value, revision, at }, transaction);
    const event = "commands" in request ? { kind: "commands", commands: request.commands } : { kind: "document", document: changed.value };
    await appendEvent(db, { jobId: id, revision, saveId, at, event }, transaction);
    return done({ id, revision, updatedAt: at, job: changed.value });
  });
}

function changedJob(job: Job, request: SaveRequest): Outcome<Job, SaveRefusal> {
  if (!("commands" in request)) {
    const read = readJob(request.document);
    return read.ok ? read : refused({ code: "document-refused", troubles: read.refusal });
  }
  const made = applyAll(job, request.commands);
  return made.ok ? made : refused({ code: "edit-refused", ...made.refusal });
}

export const binJob = (db: Database, id: string): Promise<boolean> => db.transact((transaction) => setBinned(db, id, now(), transaction));
export const restoreJob = (db: Database, id: string): Promise<boolean> =>
  db.transact((transaction) => setBinned(db, id, null, transaction));
