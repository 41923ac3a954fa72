import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "@playwright/test";
import { answers, endAll, endServer, pngOf, startServer } from "./own-server";
import { demoFile } from "./support";

const PORT = 4198;
/** Rounds in every run of the tests, and in `npm run prove`. */
const ROUNDS = process.env.OCTACHORD_PROVE ? 200 : 10;
const base = `http://127.0.0.1:${PORT}`;

/** What was answered as kept. */
interface Kept {
  readonly revision: number;
  readonly name: string;
  readonly photos: readonly string[];
  readonly counts: ReadonlyMap<string, number>;
  readonly jobs: readonly string[];
}

const asJson = async (path: string, init?: RequestInit): Promise<unknown> => {
  const answer = await fetch(`${base}${path}`, init);
  if (!answer.ok) throw new Error(`${path}: ${answer.status}`);
  return answer.status === 204 ? null : answer.json();
};

/** Saves, photos, lines of the van and imports, all at once, until the server is gone; gives what was answered as kept. */
async function use(id: string, before: Kept, round: number): Promise<{ readonly kept: Kept; readonly tried: string }> {
  let { revision, name } = before;
  let tried = name;
  const [photos, counts, jobs] = [[...before.photos], new Map(before.counts), [...before.jobs]];
  /** Goes on until the server does not answer any more. */
  const goOn = async (step: (number: number) => Promise<void>) => {
    for (let number = 0; ; number += 1) {
      const wentWell = await step(number).then(
        () => true,
        () => false,
      );
      if (!wentWell) return;
    }
  };
  await Promise.all([
    goOn(async (number) => {
      tried = `Name ${round}.${number}`;
      const commands = [{ kind: "edit-job", fields: { name: tried } }];
      ({ revision } = (await asJson(`/api/jobs/${id}`, { method: "PUT", body: JSON.stringify({ revision, commands }) })) as {
        revision: number;
      });
      name = tried;
    }),
    goOn(async (number) => {
      const photo = (await asJson(`/api/jobs/${id}/photos?name=a.png`, { method: "POST", body: pngOf(number) })) as { id: string };
      photos.push(photo.id);
    }),
    goOn(async (number) => {
      const line = { what: { kind: "spare", name: `Ties ${round}.${number}` }, count: number, minimum: 0, price: null };
      const { id: item } = (await asJson("/api/stock", { method: "POST", body: JSON.stringify(line) })) as { id: string };
      counts.set(item, number);
    }),
    goOn(async () => {
      const made = (await asJson("/api/jobs/import", { method: "POST", body: readFileSync(demoFile("flat-4b"), "utf8") })) as {
        id: string;
      };
      jobs.push(made.id);
    }),
  ]);
  return { kept: { revision, name, photos, counts, jobs }, tried };
}

test.afterAll(endAll);

test(`everything that was answered as kept survives kill -9, ${ROUNDS} rounds of saves, photos, van lines and imports`, async () => {
  test.setTimeout(180_000 + ROUNDS * 30_000);
  const folder = mkdtempSync(join(tmpdir(), "octachord-kill-"));
  let server = await startServer(folder, PORT);
  const { id } = (await asJson("/api/jobs/import", { method: "POST", body: readFileSync(demoFile("sail-loft"), "utf8") })) as {
    id: string;
  };
  let kept: Kept = { revision: 1, name: "Sail Loft", photos: [], counts: new Map(), jobs: [] };
  let all = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    // Another moment of the stream each time, from the first save to well into it.
    const killed = new Promise<void>((resolve) => setTimeout(() => void endServer(server).then(resolve), 200 + ((round * 397) % 2600)));
    const used = await use(id, kept, round);
    await killed;
    await expect.poll(() => answers(PORT)).toBe(false);
    server = await startServer(folder, PORT);

    const found = (await asJson(`/api/jobs/${id}`)) as { revision: number; document: { name: string } };
    // The one save that was under way may be in or not; all that were answered are.
    expect([used.kept.name, used.tried]).toContain(found.document.name);
    expect(found.revision - used.kept.revision).toBeGreaterThanOrEqual(0);
    expect(found.revision - used.kept.revision).toBeLessThanOrEqual(1);
    for (const photo of used.kept.photos.slice(kept.photos.length))
      expect((await fetch(`${base}/api/jobs/${id}/photos/${photo}`)).status, `photo of round ${round}`).toBe(200);
    for (const job of used.kept.jobs.slice(kept.jobs.length)) expect((await fetch(`${base}/api/jobs/${job}`)).status).toBe(200);
    const { items } = (await asJson("/api/stock")) as { items: { id: string; count: number }[] };
    const there = new Map(items.map((item) => [item.id, item.count]));
    expect([...used.kept.counts].filter(([item, count]) => there.get(item) !== count)).toEqual([]);
    const { jobs, photos, counts } = used.kept;
    all +=
      found.revision -
      kept.revision +
      (jobs.length - kept.jobs.length) +
      (photos.length - kept.photos.length) +
      (counts.size - kept.counts.size);
    kept = { ...used.kept, revision: found.revision, name: found.document.name };
  }
  process.stdout.write(
    `${all} answers in ${ROUNDS} rounds: ${kept.photos.length} photos, ${kept.counts.size} lines, ${kept.jobs.length} jobs, the rest saves\n`,
  );
  expect(all).toBeGreaterThan(ROUNDS);
  await endServer(server);
});
