import { database, jobNames } from "@/server";
import { PracticePlace } from "@/ui/practice";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.practiceTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  return <PracticePlace jobs={await jobNames(await database())} />;
}
