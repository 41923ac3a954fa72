import { jobFileText } from "@/core/report";
import { fileStem } from "@/core/text";
import { database, findJob, packJob, withRecord } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob } from "../../../problem";

/** The job with its photos as a zip, and without photos, or with `?photos=0`, the job file alone. */
export const GET = answer<{ id: string }>(async (request, { id }) => {
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return noSuchJob();
  const wish = new URL(request.url).searchParams.get("photos");
  if (wish === "1" || (wish !== "0" && found.job.attachments.length > 0))
    return new Response(Buffer.from(await packJob(db, found)), {
      headers: {
        "Content-Type": "application/zip",
        "Content-Disposition": `attachment; filename="${fileStem(found.job.name)}.octachord.zip"`,
      },
    });
  return new Response(jobFileText(await withRecord(db, found)), {
    headers: {
      "Content-Type": "application/json",
      "Content-Disposition": `attachment; filename="${fileStem(found.job.name)}.octachord.json"`,
    },
  });
});
