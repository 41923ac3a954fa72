import { readJobText } from "@/core/job";
import { troubleSentence } from "@/core/text";
import { createJob, database } from "@/server";
import { answer, bodyText } from "../../answer";
import { problem } from "../../problem";

/** Always makes a new job; nothing is ever overwritten by an import. */
export const POST = answer(async (request) => {
  const read = readJobText(await bodyText(request));
  if (!read.ok) {
    const [first] = read.refusal;
    return problem({
      status: 422,
      title: "Not a job file",
      detail: first ? troubleSentence(first) : "This is not a job file.",
      troubles: read.refusal.map(troubleSentence),
    });
  }
  const { id, revision, job } = await createJob(await database(), read.value, "import");
  return Response.json({ id, revision, name: job.name }, { status: 201, headers: { Location: `/api/jobs/${id}` } });
});
