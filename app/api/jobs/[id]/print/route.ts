import { z } from "zod";
import { PAPERS, type Paper } from "@/core/drawing";
import { SHEET_LANGUAGES } from "@/core/job";
import { fileStem } from "@/core/text";
import { PRINTS } from "@/print";
import { database, findJob, printJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, notAnswered, notUnderstood, problem } from "../../../problem";

const Query = z.object({
  as: z.enum(PRINTS).default("household"),
  paper: z.enum(Object.keys(PAPERS) as [Paper, ...Paper[]]).default("a4"),
  language: z.enum(SHEET_LANGUAGES).optional(),
  /** The day to print on it; today if not given. */
  day: z.iso.date().optional(),
});

/** A job on paper as PDF (`?as=household`, `record`, `board`, `lists`, `runsheet`), or everything of it as a zip (`?as=package`). */
export const GET = answer<{ id: string }>(async (request, { id }) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return noSuchJob();
  const { as, paper, language = null, day = new Date().toISOString().slice(0, 10) } = query.data;
  const printed = await printJob(db, found, { print: as, paper, language, day });
  if (!printed.ok) return notAnswered(printed.refusal);
  const isPackage = as === "package";
  const name = `${fileStem(found.job.name)}${isPackage ? ".octachord.zip" : `-${as}.pdf`}`;
  return new Response(printed.value as BodyInit, {
    headers: {
      "Content-Type": isPackage ? "application/zip" : "application/pdf",
      "Content-Disposition": `attachment; filename="${name}"`,
    },
  });
});
