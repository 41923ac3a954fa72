import { database, visitDays } from "@/server";
import { answer } from "../answer";
import { notAnswered, notUnderstood, problem } from "../problem";
import { DaysQuery } from "./query";

/** The visits of some days in their order, with what each takes and what the van is loaded with. */
export const GET = answer(async (request) => {
  const query = DaysQuery.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const days = await visitDays(await database(), query.data.from, query.data.days);
  return days.ok ? Response.json(days.value) : notAnswered(days.refusal);
});
