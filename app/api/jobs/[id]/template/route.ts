import { z } from "zod";
import { PAPERS, templatePages, templateSvg, type Paper } from "@/core/drawing";
import { sceneOf, templateOf } from "@/core/room";
import { fileStem, templateRefusalSentence } from "@/core/text";
import { pdfOfPages } from "@/print";
import { database, findJob } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, notUnderstood, problem } from "../../../problem";

const Query = z.object({
  unit: z.string().min(1).max(140),
  as: z.enum(["pdf", "svg"]).default("pdf"),
  paper: z.enum(Object.keys(PAPERS) as [Paper, ...Paper[]]).default("a4"),
});

/** The drilling template of a unit, true to size. */
export const GET = answer<{ id: string }>(async (request, { id }) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const found = await findJob(await database(), id);
  if (!found) return noSuchJob();
  const { job } = found;
  const template = templateOf(
    job.rooms.map((room) => sceneOf(job, room)),
    query.data.unit,
  );
  if ("code" in template) return problem({ status: 404, title: "No template", detail: templateRefusalSentence(template) });
  const name = `${fileStem(job.name)}-${template.one.unit.id}-template`;
  const isPdf = query.data.as === "pdf";
  const content = isPdf
    ? await pdfOfPages(templatePages(template, job.name, query.data.paper), `${job.name}: ${template.one.unit.name}`, process.cwd())
    : templateSvg(template, job.name);
  return new Response(content as BodyInit, {
    headers: {
      "Content-Type": isPdf ? "application/pdf" : "image/svg+xml",
      "Content-Disposition": `attachment; filename="${name}.${query.data.as}"`,
    },
  });
});
