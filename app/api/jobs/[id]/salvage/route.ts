import { createJob, damagedJob, database } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

/** Makes a new job of what can be saved of a damaged one; the damaged one stays as it is. */
export const POST = answer<{ id: string }>(async (_request, { id }) => {
  const db = await database();
  const damaged = await damagedJob(db, id);
  if (!damaged) return noSuchJob();
  if (!damaged.saved)
    return problem({
      status: 422,
      title: "Nothing to save",
      detail: "Neither the document nor its log reads; its text can still be saved as it is.",
    });
  const made = await createJob(db, damaged.saved.job, "import");
  return Response.json({ id: made.id }, { status: 201, headers: { Location: `/api/jobs/${made.id}` } });
});
