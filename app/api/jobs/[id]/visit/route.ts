import { z } from "zod";
import { unreachable } from "@/core/outcome";
import { VisitEntry } from "@/core/job";
import { database, findJob, keepEntries, visitRecord } from "@/server";
import { answer, bodyAs } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

/** The record of the visits of a job. */
export const GET = answer<{ id: string }>(async (_request, { id }) => {
  const db = await database();
  const found = await findJob(db, id);
  return found ? Response.json({ entries: await visitRecord(db, id), revision: found.revision }) : noSuchJob();
});

const Entries = z.strictObject({ entries: z.array(VisitEntry).min(1).max(500) });

/** Adds entries; those that are there already are not added again. Answers with the whole record. */
export const POST = answer<{ id: string }>(async (request, { id }) => {
  const { entries } = await bodyAs(request, Entries);
  const kept = await keepEntries(await database(), id, entries);
  if (kept.ok) return Response.json(kept.value);
  switch (kept.refusal.code) {
    case "no-such-job":
      return noSuchJob();
    case "too-many":
      return problem({ status: 422, title: "Too many entries", detail: `A job keeps at most ${kept.refusal.most} entries of its visits.` });
    default:
      return unreachable(kept.refusal);
  }
});
