import { PHASES } from "@/core/job";
import { database, docketPage } from "@/server";
import { DocketPlace, keepingWarnings } from "@/ui/docket";
import { pagesWords } from "@/ui/words";

interface Props {
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

export const metadata = { title: pagesWords.docketTitle };

export default async function Page({ searchParams }: Props) {
  const params = await searchParams;
  const q = typeof params.q === "string" ? params.q.slice(0, 200) : "";
  const phase = PHASES.find((name) => name === params.phase) ?? null;
  const bin = params.bin === "1";
  const db = await database();
  const docket = await docketPage(db, { q, phase, bin, page: 1 });
  return <DocketPlace docket={docket} q={q} phase={phase} bin={bin} warnings={keepingWarnings(db)} />;
}
