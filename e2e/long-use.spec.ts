import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { endAll, endServer, pngOf, startServer } from "./own-server";
import { demoFile } from "./support";

const PORT = 4196;
const base = `http://127.0.0.1:${PORT}`;
/** Minutes of use in every run of the tests, and in `npm run prove`. */
const MINUTES = process.env.OCTACHORD_PROVE ? 60 : 0.25;
const SAMPLES = 20;
const DEMO = ["sail-loft", "flat-4b", "village-hall", "receiver-den", "attic-screen"];

/** The memory that a process holds, in megabytes. Source: proc(5), VmRSS. */
const memoryOf = (pid: number): number => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, "utf8"))?.[1]) / 1024;

test.afterAll(endAll);

test(`${MINUTES} minutes of mixed use: no answer is a failure, every save is there, and the memory stays level`, async () => {
  test.setTimeout(180_000 + MINUTES * 60_000);
  const server = await startServer(mkdtempSync(join(tmpdir(), "octachord-use-")), PORT);
  const counts = { asked: 0, failed: 0, saved: 0 };
  const ask = async (path: string, init: RequestInit = {}): Promise<Response> => {
    const answer = await fetch(`${base}${path}`, init);
    counts.asked += 1;
    if (answer.status >= 500) counts.failed += 1;
    return answer;
  };
  const post = async (path: string, body: string | Uint8Array<ArrayBuffer> | null, method = "POST"): Promise<unknown> =>
    (await ask(path, { method, body })).json();

  /** A visit as a page makes it: a job comes in, is looked at, edited, planned, photographed, copied, sent out, and goes. */
  async function visit(number: number): Promise<void> {
    const { id } = (await post("/api/jobs/import", readFileSync(demoFile(DEMO[number % DEMO.length] ?? "sail-loft"), "utf8"))) as {
      id: string;
    };
    for (const place of ["brief", "gear", "plans", "patch", "arrivals", "control"]) await (await ask(`/jobs/${id}/${place}`)).text();
    for (let revision = 1; revision <= 5; revision += 1) {
      const commands = [{ kind: "edit-job", fields: { name: `Visit ${number} ${revision}` } }];
      await post(`/api/jobs/${id}`, JSON.stringify({ revision, commands }), "PUT");
      counts.saved += 1;
    }
    await post(`/api/jobs/${id}/photos?name=rack.png`, pngOf(number));
    for (const path of ["arrivals", "export", "log", "log/3"]) await (await ask(`/api/jobs/${id}/${path}`)).arrayBuffer();
    if (number % 10 === 0) await (await ask(`/api/jobs/${id}/plans`)).text();
    await (await ask(`/?q=visit+${number}`)).text();
    await (await ask("/api/stock")).json();
    const { document } = (await (await ask(`/api/jobs/${id}`)).json()) as { document: { name: string } };
    expect(document.name).toBe(`Visit ${number} 5`);
    if (number % 3 === 0) return;
    await ask(`/api/jobs/${id}`, { method: "DELETE" });
    await post(`/api/jobs/${id}/erase`, null);
  }

  const memory: number[] = [];
  const begun = Date.now();
  const span = MINUTES * 60_000;
  for (let number = 0; Date.now() - begun < span; number += 1) {
    await visit(number);
    if (memory.length < ((Date.now() - begun) / span) * SAMPLES) memory.push(memoryOf(server.pid ?? 0));
  }
  await endServer(server, "SIGTERM");
  process.stdout.write(`${counts.asked} questions, ${counts.saved} saves; memory in MB: ${memory.map(Math.round).join(" ")}\n`);
  expect(counts.failed).toBe(0);
  expect(counts.saved).toBeGreaterThan(5);
  // The first quarter fills what is remembered; from then on the memory goes up and down and does not climb.
  const warm = memory.slice(Math.ceil(memory.length / 4));
  const half = Math.ceil(warm.length / 2);
  const mean = (some: readonly number[]) => some.reduce((sum, one) => sum + one, 0) / Math.max(1, some.length);
  if (process.env.OCTACHORD_PROVE) expect(mean(warm.slice(half))).toBeLessThan(mean(warm.slice(0, half)) * 1.15);
});
