import { NeedlePlace } from "@/ui/visit";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.needleTitle };

export default function Page() {
  return <NeedlePlace />;
}
