import { visitCalendar } from "@/core/calendar";
import { calendarWords } from "@/core/text";
import { database, visitDays } from "@/server";
import { answer } from "../../answer";
import { notAnswered, notUnderstood, problem } from "../../problem";
import { DaysQuery } from "../query";

/** The visits of some days as a calendar file (RFC 5545). */
export const GET = answer(async (request) => {
  const query = DaysQuery.safeParse(Object.fromEntries(new URL(request.url).searchParams));
  if (!query.success) return problem(notUnderstood(query.error));
  const planned = await visitDays(await database(), query.data.from, query.data.days);
  if (!planned.ok) return notAnswered(planned.refusal);
  const { days, from } = planned.value;
  const text = visitCalendar(
    days.flatMap(({ day, visits }) =>
      visits.map(({ id, revision, from: begins, to, isAgreed, brief, load, missing }) => ({
        id,
        revision,
        day,
        from: begins,
        to,
        title: brief.name,
        address: brief.address,
        words: calendarWords({ ...brief, load, missing }),
        isTentative: !isAgreed,
      })),
    ),
  );
  return new Response(text, {
    headers: { "Content-Type": "text/calendar; charset=utf-8", "Content-Disposition": `attachment; filename="visits-${from}.ics"` },
  });
});
