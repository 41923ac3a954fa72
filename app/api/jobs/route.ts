import { z } from "zod";
import { PHASES } from "@/core/job";
import { copyJob, database, docketPage, startJob } from "@/server";
import { answer, bodyAs } from "../answer";
import { noSuchJob, notUnderstood, problem } from "../problem";

const Query = z.object({
  q: z.string().max(200).default(""),
  phase: z.enum(PHASES).nullable().default(null),
  bin: z.enum(["0", "1"]).default("0"),
  page: z.coerce.number().int().min(1).max(100_000).default(1),
});

export const GET = answer(async (request) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  return Response.json(await docketPage(await database(), { ...query.data, bin: query.data.bin === "1" }));
});

const name = z.string().trim().min(1).max(300);
const NewJob = z.union([
  z.strictObject({ name, template: z.string().max(64).nullable().default(null) }),
  z.strictObject({ name, copyOf: z.uuid() }),
]);

/** A new job: with nothing in it, from a template, or as a copy of another. */
export const POST = answer(async (request) => {
  const wanted = await bodyAs(request, NewJob);
  const db = await database();
  const made = "copyOf" in wanted ? await copyJob(db, wanted.copyOf, wanted.name) : await startJob(db, wanted.name, wanted.template);
  if (!made)
    return "copyOf" in wanted
      ? noSuchJob()
      : problem({ status: 404, title: "No such template", detail: "There is no template by that name." });
  const { id, revision } = made;
  return Response.json({ id, revision }, { status: 201, headers: { Location: `/api/jobs/${id}` } });
});
