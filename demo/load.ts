import { addStock, createJob, docketPage, keepPreferences, openDatabase } from "@/server";
import { demoJobWithHistory } from "./demo-history";
import { demoJobNames } from "./demo-jobs";
import { DEMO_PREFERENCES, DEMO_STOCK } from "./demo-van";

const folder = process.env.OCTACHORD_DATA;
if (!folder) throw new Error("OCTACHORD_DATA names the folder to fill");

// Fills an empty database with the demo jobs; one that holds jobs already is left as it is.
const db = await openDatabase(folder);
const { total } = await docketPage(db, { q: "", phase: null, page: 1 });
if (total === 0) {
  for (const name of demoJobNames()) await createJob(db, demoJobWithHistory(name), "import");
  for (const fields of DEMO_STOCK) await addStock(db, fields);
  await keepPreferences(db, DEMO_PREFERENCES);
  console.log("· loaded the demo jobs");
}
await db.close();
