import { MAX_PACKED_BYTES } from "@/core/job";
import { zipSentence } from "@/core/text";
import { database, importJob } from "@/server";
import { answer, bodyBytes } from "../../answer";
import { problem, troubledDocument } from "../../problem";

/** A job file, or a zip of one with its photos. Always makes a new job; nothing is ever overwritten by an import. */
export const POST = answer(async (request) => {
  const isPacked = request.headers.get("content-type") === "application/zip";
  const bytes = await bodyBytes(request, ...(isPacked ? [MAX_PACKED_BYTES] : []));
  const imported = await importJob(await database(), bytes);
  if (!imported.ok)
    return imported.refusal.why === "zip"
      ? problem({ status: 422, title: "Not a package", detail: zipSentence(imported.refusal.zip) })
      : troubledDocument("Not a job file", imported.refusal.troubles);
  const { stored, withoutBytes } = imported.value;
  const { id, revision, job } = stored;
  return Response.json(
    { id, revision, name: job.name, photosLeftOut: withoutBytes.map((photo) => photo.name) },
    { status: 201, headers: { Location: `/api/jobs/${id}` } },
  );
});
