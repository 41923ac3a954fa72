import { monthsLater } from "@/core/handover";
import { database, dueUntil } from "@/server";
import { answer } from "../answer";
import { notUnderstood, problem } from "../problem";
import { DueQuery } from "./query";

/** What is due in all jobs: firmware, batteries, promised visits (`?months=` ahead). */
export const GET = answer(async (request) => {
  const query = DueQuery.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const today = new Date().toISOString().slice(0, 10);
  return Response.json({ due: await dueUntil(await database(), monthsLater(today, query.data.months)) });
});
