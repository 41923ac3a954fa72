import { dueCalendar } from "@/core/calendar";
import { monthsLater } from "@/core/handover";
import { database, dueUntil } from "@/server";
import { answer } from "../../answer";
import { notUnderstood, problem } from "../../problem";
import { DueQuery } from "../query";

/** The same as a calendar file (RFC 5545), each as a whole day. */
export const GET = answer(async (request) => {
  const query = DueQuery.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const today = new Date().toISOString().slice(0, 10);
  const due = await dueUntil(await database(), monthsLater(today, query.data.months));
  const text = dueCalendar(
    due.map(({ id, on, name, customer, address, says }) => ({
      id,
      day: on,
      title: `${name}: ${says}`,
      address,
      words: [customer, says].filter(Boolean).join("\n"),
    })),
  );
  return new Response(text, {
    headers: { "Content-Type": "text/calendar; charset=utf-8", "Content-Disposition": `attachment; filename="due-${today}.ics"` },
  });
});
