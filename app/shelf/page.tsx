import { database, ownDevices } from "@/server";
import { ShelfPlace } from "@/ui/shelf";

export const metadata = { title: "Shelf · Octachord" };
export const dynamic = "force-dynamic";

export default async function Page() {
  return <ShelfPlace own={await ownDevices(await database())} />;
}
