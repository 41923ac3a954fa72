import { z } from "zod";
import { PHASES } from "@/core/job";
import { createEmptyJob, database, docketPage } from "@/server";
import { answer, bodyAs } from "../answer";
import { problem } from "../problem";

const Query = z.object({
  q: z.string().max(200).default(""),
  phase: z.enum(PHASES).nullable().default(null),
  page: z.coerce.number().int().min(1).max(100_000).default(1),
});

export const GET = answer(async (request) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem({ status: 400, title: "Not understood", detail: z.prettifyError(query.error) });
  return Response.json(await docketPage(await database(), query.data));
});

const NewJob = z.strictObject({ name: z.string().trim().min(1).max(300) });

export const POST = answer(async (request) => {
  const { name } = await bodyAs(request, NewJob);
  const { id, revision } = await createEmptyJob(await database(), name);
  return Response.json({ id, revision }, { status: 201, headers: { Location: `/api/jobs/${id}` } });
});
