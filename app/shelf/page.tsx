import { database, figuresOf, ownDevices } from "@/server";
import { ShelfPlace } from "@/ui/shelf";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.shelfTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  const db = await database();
  const { recurring } = await figuresOf(db);
  return <ShelfPlace {...await ownDevices(db)} recurring={recurring} />;
}
