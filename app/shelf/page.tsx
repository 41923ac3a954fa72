import { database, ownDevices } from "@/server";
import { ShelfPlace } from "@/ui/shelf";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.shelfTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  return <ShelfPlace {...await ownDevices(await database())} />;
}
