import { database, jobParts, stockLines } from "@/server";
import { StockPlace } from "@/ui/stock";
import { pagesWords } from "@/ui/words";

export const metadata = { title: pagesWords.vanStockTitle };
export const dynamic = "force-dynamic";

export default async function Page() {
  const db = await database();
  return <StockPlace {...await stockLines(db)} jobs={await jobParts(db)} />;
}
