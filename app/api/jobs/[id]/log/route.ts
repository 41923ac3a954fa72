import { database, findJob, momentsOf } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob } from "../../../problem";

/** The moments of a job, the newest first, by the names of their edits. */
export const GET = answer<{ id: string }>(async (_request, { id }) => {
  const db = await database();
  return (await findJob(db, id)) ? Response.json(await momentsOf(db, id)) : noSuchJob();
});
