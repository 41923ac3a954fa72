import { database, jobParts, stockItems } from "@/server";
import { StockPlace } from "@/ui/stock";

export const metadata = { title: "Van stock · Octachord" };
export const dynamic = "force-dynamic";

export default async function Page() {
  const db = await database();
  return <StockPlace items={await stockItems(db)} jobs={await jobParts(db)} />;
}
