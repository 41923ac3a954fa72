import { readdir, readFile } from "node:fs/promises";
import { fileURLToPath } from "node:url";
import { readJobText } from "@/core/job";
import { troubleSentence } from "@/core/text";
import { createJob, docketPage, openDatabase } from "@/server";

const folder = process.env.OCTACHORD_DATA;
if (!folder) throw new Error("OCTACHORD_DATA names the folder to fill");

/** Fills an empty database with the demo jobs; one that holds jobs already is left as it is. */
const db = await openDatabase(folder);
const { total } = await docketPage(db, { q: "", phase: null, page: 1 });
if (total === 0) {
  const jobs = fileURLToPath(new URL("jobs/", import.meta.url));
  for (const name of (await readdir(jobs)).filter((file) => file.endsWith(".octachord.json")).sort()) {
    const read = readJobText(await readFile(`${jobs}${name}`, "utf8"));
    if (!read.ok) throw new Error(`${name}: ${read.refusal.map(troubleSentence).join(" ")}`);
    await createJob(db, read.value, "import");
  }
  console.log("· loaded the demo jobs");
}
await db.close();
