import { database, figuresOf } from "@/server";
import { FiguresPlace } from "@/ui/figures";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.figuresTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  const { figures } = await figuresOf(await database());
  return <FiguresPlace figures={figures} />;
}
