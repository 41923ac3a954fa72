import dayjs from "dayjs";
import { database, visitDays } from "@/server";
import { DaysPlace } from "@/ui/days";
import { pagesWords } from "@/ui/words";
import { DaysQuery } from "../api/days/query";

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
  const planned = await visitDays(await database(), asked.from, asked.days);
  return <DaysPlace days={asked.days} from={asked.from} planned={planned.ok ? planned.value : null} />;
}
