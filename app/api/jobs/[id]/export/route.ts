import { database, findJob, packJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob } from "../../../problem";

/** A name that every file system takes, made from the job's own. */
const fileName = (name: string): string =>
  name
    .normalize("NFKD")
    .replace(/[^A-Za-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .toLowerCase()
    .slice(0, 60) || "job";

/** The job file; with `?photos=1` a zip of it and its photos. */
export const GET = answer<{ id: string }>(async (request, { id }) => {
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return noSuchJob();
  if (new URL(request.url).searchParams.get("photos") === "1")
    return new Response(Buffer.from(await packJob(db, found)), {
      headers: {
        "Content-Type": "application/zip",
        "Content-Disposition": `attachment; filename="${fileName(found.job.name)}.octachord.zip"`,
      },
    });
  return new Response(`${JSON.stringify(found.job, null, 2)}\n`, {
    headers: {
      "Content-Type": "application/json",
      "Content-Disposition": `attachment; filename="${fileName(found.job.name)}.octachord.json"`,
    },
  });
});
