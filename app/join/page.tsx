import { JoinPlace } from "@/ui/join";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.joinTitle };

export default function Page() {
  return <JoinPlace />;
}
