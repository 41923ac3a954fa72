import { database, findJob, jobThen } from "@/server";
import { answer } from "../../../../answer";
import { noSuchJob, problem } from "../../../../problem";

/** A job as it was after a save, and the edit that leads back there. */
export const GET = answer<{ id: string; revision: string }>(async (_request, { id, revision }) => {
  const db = await database();
  if (!(await findJob(db, id))) return noSuchJob();
  const then = /^\d{1,9}$/.test(revision) ? await jobThen(db, id, Number(revision)) : null;
  return then
    ? Response.json({ document: then.job, back: then.back, from: then.from })
    : problem({ status: 404, title: "No such moment", detail: "The log of this job has no save by that number." });
});
