import { database, findJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob } from "../../../problem";

/** A name that every file system takes, made from the job's own. */
const fileName = (name: string): string =>
  `${
    name
      .normalize("NFKD")
      .replace(/[^A-Za-z0-9]+/g, "-")
      .replace(/^-+|-+$/g, "")
      .toLowerCase()
      .slice(0, 60) || "job"
  }.octachord.json`;

export const GET = answer<{ id: string }>(async (_request, { id }) => {
  const found = await findJob(await database(), id);
  if (!found) return noSuchJob();
  return new Response(`${JSON.stringify(found.job, null, 2)}\n`, {
    headers: { "Content-Type": "application/json", "Content-Disposition": `attachment; filename="${fileName(found.job.name)}"` },
  });
});
