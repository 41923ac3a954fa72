import { createJob, docketPage, openDatabase } from "@/server";
import { demoJob, demoJobNames } from "./demo-jobs";

const folder = process.env.OCTACHORD_DATA;
if (!folder) throw new Error("OCTACHORD_DATA names the folder to fill");

// Fills an empty database with the demo jobs; one that holds jobs already is left as it is.
const db = await openDatabase(folder);
const { total } = await docketPage(db, { q: "", phase: null, page: 1 });
if (total === 0) {
  for (const name of demoJobNames()) await createJob(db, demoJob(name), "import");
  console.log("· loaded the demo jobs");
}
await db.close();
