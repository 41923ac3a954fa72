import { mkdtemp, rm } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { typedWords } from "@/core/job";
import { folded } from "@/core/search";
import { createJob, docketPage, openDatabase } from "@/server";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";

const JOBS = 5000;

/** How long the server takes for a page of a docket of thousands, each with a document of its own. */
export async function benchDocket(): Promise<readonly { question: string; ms: number; found: number }[]> {
  const folder = await mkdtemp(join(tmpdir(), "octachord-bench-"));
  const db = await openDatabase(folder);
  try {
    const models = await Promise.all(
      demoJobNames().map(async (name) => {
        const job = demoJob(name);
        const { id } = await createJob(db, job, "new");
        const row = await db.models.jobs.findByPk(id);
        if (!row) throw new Error("no row");
        return { job, row: row.get({ plain: true }) };
      }),
    );
    const rows = Array.from({ length: JOBS }, (_, n) => {
      const model = models[n % models.length];
      if (!model) throw new Error("no model");
      const id = `00000000-0000-4000-8000-${String(n).padStart(12, "0")}`;
      return { id, row: { ...model.row, id, name: `${model.row.name} ${n}` }, job: { ...model.job, name: `${model.row.name} ${n}` } };
    });
    await db.models.jobs.bulkCreate(rows.map(({ row }) => row));
    await db.models.jobDocuments.bulkCreate(rows.map(({ id, job }) => ({ jobId: id, document: JSON.stringify(job) })));
    await db.models.jobWords.bulkCreate(rows.map(({ id, job }) => ({ jobId: id, words: folded(typedWords(job)) })));
    const lofts = rows.filter(({ row }) => row.name.startsWith("Sail Loft"));
    const questions = [
      { question: "first page", q: "", page: 1 },
      { question: "a page in the middle", q: "", page: 50 },
      { question: "a word many have", q: "television", page: 1 },
      { question: "words one has", q: lofts.at(-1)?.row.name ?? "", page: 1 },
      { question: "words none has", q: "nothing of the kind", page: 1 },
    ];
    const answers = [];
    for (const { question, q, page } of questions) {
      const times: number[] = [];
      let found = 0;
      for (let round = 0; round < 12; round += 1) {
        const start = performance.now();
        found = (await docketPage(db, { q, phase: null, page })).total;
        times.push(performance.now() - start);
      }
      answers.push({ question, ms: Number((times.sort((a, b) => a - b)[6] ?? 0).toFixed(1)), found });
    }
    return answers;
  } finally {
    await db.close();
    await rm(folder, { recursive: true, force: true });
  }
}
