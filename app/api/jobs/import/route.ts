import { readJobText } from "@/core/job";
import { createJob, database } from "@/server";
import { answer, bodyText } from "../../answer";
import { troubledDocument } from "../../problem";

/** Always makes a new job; nothing is ever overwritten by an import. */
export const POST = answer(async (request) => {
  const read = readJobText(await bodyText(request));
  if (!read.ok) return troubledDocument("Not a job file", read.refusal);
  const { id, revision, job } = await createJob(await database(), read.value, "import");
  return Response.json({ id, revision, name: job.name }, { status: 201, headers: { Location: `/api/jobs/${id}` } });
});
