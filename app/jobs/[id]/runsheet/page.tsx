import { database, firmMinutes } from "@/server";
import { RunSheetPlace } from "@/ui/visit";

export default async function Page() {
  const { table } = await firmMinutes(await database());
  return <RunSheetPlace minutes={table} />;
}
