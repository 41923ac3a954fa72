import { z } from "zod";
import { labelPages, labelStrip, PAPERS, type Paper } from "@/core/drawing";
import { cableLabels, labelTable } from "@/core/report";
import { fileStem } from "@/core/text";
import { pdfOfPages } from "@/print";
import { database, findJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, notUnderstood, problem } from "../../../problem";

const whole = (least: number, most: number, usual: number) => z.coerce.number().int().min(least).max(most).default(usual);
const Query = z.object({
  as: z.enum(["pdf", "csv"]).default("pdf"),
  paper: z.enum(["strip", ...(Object.keys(PAPERS) as Paper[])]).default("a4"),
  columns: whole(1, 8, 3),
  rows: whole(1, 30, 8),
  margin: whole(0, 40, 8),
  start: whole(1, 240, 1),
  /** 1: the table begins with a byte order mark, which some spreadsheets need to read it as UTF-8. */
  mark: whole(0, 1, 0),
});

/** Labels for both ends of every cable and speaker wire of a job. */
export const GET = answer<{ id: string }>(async (request, { id }) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const found = await findJob(await database(), id);
  if (!found) return noSuchJob();
  const { job } = found;
  const { as, paper, columns, rows, margin, start, mark } = query.data;
  const name = `${fileStem(job.name)}-labels.${as}`;
  const headers = { "Content-Disposition": `attachment; filename="${name}"` };
  if (as === "csv")
    return new Response(labelTable(job, { mark: mark === 1 }), { headers: { ...headers, "Content-Type": "text/csv; charset=utf-8" } });
  const words = cableLabels(job).map((label) => label.words);
  const pages =
    paper === "strip"
      ? labelStrip(words)
      : labelPages(words, { paper, columns, rows, marginMm: margin, start: Math.min(start, columns * rows) });
  return new Response((await pdfOfPages(pages, `${job.name}: labels`, process.cwd())) as BodyInit, {
    headers: { ...headers, "Content-Type": "application/pdf" },
  });
});
