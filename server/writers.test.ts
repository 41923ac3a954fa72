import { mkdtemp } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { fromShelfOrThrow } from "@/core/device";
import type { Command } from "@/core/job";
import { addStock, adjustStock, createJob, findJob, openDatabase, saveJob, stockItems } from "@/server";

const WRITERS = 20;
/** Edits of each writer in every run of the tests, and in `npm run prove`. */
const EDITS = process.env.OCTACHORD_PROVE ? 20 : 2;

test(`${WRITERS} writers on one job and one line of the van: every edit that was answered stands, and nothing is counted twice`, async () => {
  const db = await openDatabase(await mkdtemp(join(tmpdir(), "octachord-writers-")));
  const { id } = await createJob(db, demoJob("sail-loft"), "new");
  const line = await addStock(db, { what: { kind: "spare", name: "Ties" }, count: 0, minimum: 0, price: null });
  const box = fromShelfOrThrow("splitter-1x2", { id: "box", name: "Box" });
  let [stale, repeated] = [0, 0];
  const write = async (writer: number) => {
    let revision = 1;
    for (let edit = 0; edit < EDITS; edit += 1) {
      const saveId = crypto.randomUUID();
      const x = writer * 1000 + edit;
      for (;;) {
        // Each writer moves a plate of its own further along; the newest of each must stand in the end.
        const plate = `p${writer}`;
        const device = { ...box, id: plate, name: plate };
        const move: Command = { kind: "arrange", device: plate, to: { x, y: writer } };
        const commands: Command[] = edit === 0 ? [{ kind: "add-device", device, at: null }, move] : [move];
        const saved = await saveJob(db, id, { revision, saveId, commands });
        if (saved.ok) {
          ({ revision } = saved.value);
          // As when the answer was lost on its way: asked again under the same name it is not done again.
          if (edit % 5 === 0) {
            const again = await saveJob(db, id, { revision: revision - 1, saveId, commands });
            expect(again.ok).toBe(true);
            repeated += 1;
          }
          break;
        }
        if (saved.refusal.code !== "stale") throw new Error(saved.refusal.code);
        ({ revision } = saved.refusal.current);
        stale += 1;
      }
      expect(await adjustStock(db, line.id, { countBy: 1 })).toBe(true);
    }
  };
  await Promise.all(Array.from({ length: WRITERS }, (_, writer) => write(writer)));
  const found = await findJob(db, id);
  expect(found?.revision).toBe(1 + WRITERS * EDITS);
  for (let writer = 0; writer < WRITERS; writer += 1)
    expect(found?.job.arrangement).toContainEqual({ device: `p${writer}`, x: writer * 1000 + EDITS - 1, y: writer });
  expect((await stockItems(db))[0]?.count).toBe(WRITERS * EDITS);
  expect(stale).toBeGreaterThan(WRITERS);
  expect(repeated).toBeGreaterThanOrEqual(WRITERS);
  await db.close();
}, 300_000);
