import { z } from "zod";
import { runSheetReport } from "@/core/report";
import { database, findJob, firmMinutes, visitRecord } from "@/server";
import { answer } from "../../../answer";
import { noSuchJob, notUnderstood, problem } from "../../../problem";

const Query = z.object({ people: z.enum(["1", "2"]).default("1") });

/** The steps of the visit of a job, in the order that takes least time. */
export const GET = answer<{ id: string }>(async (request, { id }) => {
  const query = Query.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return noSuchJob();
  const { table } = await firmMinutes(db);
  return Response.json(runSheetReport(found.job, query.data.people === "1" ? 1 : 2, table, await visitRecord(db, id)));
});
