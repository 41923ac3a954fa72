import { MAX_PACKED_BYTES } from "@/core/job";
import { database, importJob } from "@/server";
import { answer, bodyBytes } from "../../answer";
import { troubledDocument } from "../../problem";

/** A job file, or a zip of one with its photos. Always makes a new job; nothing is ever overwritten by an import. */
export const POST = answer(async (request) => {
  const isPacked = request.headers.get("content-type") === "application/zip";
  const imported = await importJob(await database(), await bodyBytes(request, ...(isPacked ? [MAX_PACKED_BYTES] : [])));
  if (!imported.ok) return troubledDocument("Not a job file", imported.refusal);
  const { id, revision, job } = imported.value;
  return Response.json({ id, revision, name: job.name }, { status: 201, headers: { Location: `/api/jobs/${id}` } });
});
