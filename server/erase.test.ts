import { mkdtemp, readdir, readFile } from "node:fs/promises";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { QueryTypes } from "sequelize";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import {
  binJob,
  createJob,
  customersKept,
  docketPage,
  emptyBin,
  eraseCustomer,
  eraseJob,
  findJob,
  keepPhoto,
  saveJob,
  type Database,
} from "@/server";
import { dropRemovedPhotos } from "./attachment-store";
import { openDatabase } from "./database";

let folder: string;
let db: Database;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), "octachord-erase-"));
  db = await openDatabase(folder);
});
afterEach(() => db.close());

const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
const NAMED = "Ottoline Quarrington";
const everything = { q: "", phase: null, page: 1 } as const;
const DAY_MS = 86_400_000;

/** A job of a customer with a photo and an edit, in the bin where it is asked for. */
async function jobOf(customer: string, binned = false): Promise<string> {
  const { id } = await createJob(db, { ...demoJob("sail-loft"), customer }, "new");
  const photo = await keepPhoto(db, id, { name: "rack.png", device: null, bytes: PNG });
  if (!photo.ok) throw new Error(photo.refusal.code);
  await saveJob(db, id, { revision: 1, commands: [{ kind: "attach", attachment: photo.value, at: null }] });
  if (binned) await binJob(db, id);
  return id;
}

const photos = () => readdir(join(folder, "attachments"));
/** Whether the files of the database hold some words anywhere. */
async function isHeld(words: string): Promise<boolean> {
  const files = (await readdir(folder)).filter((name) => name.startsWith("octachord.sqlite"));
  const contents = await Promise.all(files.map((name) => readFile(join(folder, name))));
  return contents.some((bytes) => bytes.includes(words));
}

describe("erasing", () => {
  test("a job in the bin leaves nothing: document, log, words, photo, not even in the bytes of the database", async () => {
    const id = await jobOf(NAMED, true);
    expect(await isHeld("Quarrington")).toBe(true);
    expect(await eraseJob(db, id)).toEqual({ ok: true, value: { id, name: "Sail Loft", customer: NAMED, saves: 2, photos: 1 } });
    expect(await photos()).toEqual([]);
    expect(await isHeld("Quarrington")).toBe(false);
    expect(await isHeld("quarrington")).toBe(false);
  });

  test("a job in the docket is refused until it lies in the bin", async () => {
    const id = await jobOf(NAMED);
    expect(await eraseJob(db, id)).toEqual({ ok: false, refusal: { code: "not-in-the-bin" } });
    expect((await findJob(db, id))?.revision).toBe(2);
  });

  test("of a customer takes the docket and the bin, and no job of another", async () => {
    await jobOf(NAMED);
    await jobOf(NAMED, true);
    const other = await jobOf("Ferdinand Aldous");
    expect(await customersKept(db)).toEqual([
      { customer: "Ferdinand Aldous", jobs: 1, inBin: 0, photos: 1 },
      { customer: NAMED, jobs: 2, inBin: 1, photos: 2 },
    ]);
    expect(await eraseCustomer(db, NAMED)).toHaveLength(2);
    expect((await docketPage(db, everything)).jobs.map(({ id }) => id)).toEqual([other]);
    expect((await findJob(db, other))?.job.attachments).toHaveLength(1);
    expect(await photos()).toHaveLength(1);
  });

  test("happens by itself after thirty days in the bin, which the bin tells before", async () => {
    const id = await jobOf(NAMED, true);
    const [line] = (await docketPage(db, { ...everything, bin: true })).jobs;
    const day = Date.parse(line?.erasedOn ?? "");
    expect(Math.round((day - Date.now()) / DAY_MS)).toBe(30);
    expect(await emptyBin(db, new Date(day - 1000))).toEqual([]);
    expect((await emptyBin(db, new Date(day + 1000))).map((one) => one.id)).toEqual([id]);
  });

  test("the log of a job that stays is append-only still", async () => {
    const id = await jobOf(NAMED);
    await expect(db.sequelize.query("DELETE FROM job_events WHERE job_id = :id", { replacements: { id } })).rejects.toThrow();
    const [row] = await db.sequelize.query<{ count: number }>("SELECT count(*) AS count FROM job_events", { type: QueryTypes.SELECT });
    expect(row?.count).toBe(2);
  });

  test("a photo that was removed from its job goes after thirty days, and not while it is named", async () => {
    const id = await jobOf(NAMED);
    const later = Date.now() + 31 * DAY_MS;
    expect(await dropRemovedPhotos(db, later)).toBe(0);
    const [photo] = (await findJob(db, id))?.job.attachments ?? [];
    await saveJob(db, id, { revision: 2, commands: [{ kind: "detach", attachment: photo?.id ?? "" }] });
    expect(await dropRemovedPhotos(db, Date.now())).toBe(0);
    expect(await dropRemovedPhotos(db, later)).toBe(1);
    expect(await photos()).toEqual([]);
  });
});
