import dayjs from "dayjs";
import { monthsLater } from "@/core/handover";
import { database, dueUntil, visitDays } from "@/server";
import { DaysPlace } from "@/ui/days";
import { pagesWords } from "@/ui/words";
import { DaysQuery } from "../api/days/query";
import { DueQuery } from "../api/due/query";

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export const metadata = { title: pagesWords.daysTitle };
export const dynamic = "force-dynamic";

export default async function Page({ searchParams }: Props) {
  const today = dayjs().format("YYYY-MM-DD");
  const { from = today, days = "1" } = await searchParams;
  const query = DaysQuery.safeParse({ from, days });
  const asked = query.success ? query.data : { from: today, days: 1 };
  const db = await database();
  const planned = await visitDays(db, asked.from, asked.days);
  const due = await dueUntil(db, monthsLater(today, DueQuery.parse({}).months));
  return <DaysPlace days={asked.days} from={asked.from} planned={planned.ok ? planned.value : null} due={due} today={today} />;
}
