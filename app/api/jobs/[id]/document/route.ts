import { damagedJob, database } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob } from "../../../problem";

/** The stored text of a document that no longer reads, byte for byte. */
export const GET = answer<{ id: string }>(async (_request, { id }) => {
  const damaged = await damagedJob(await database(), id);
  if (!damaged) return noSuchJob();
  return new Response(damaged.text, {
    headers: { "Content-Type": "text/plain; charset=utf-8", "Content-Disposition": 'attachment; filename="damaged-job.txt"' },
  });
});
