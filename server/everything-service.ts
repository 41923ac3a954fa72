import { mkdir, rm, stat } from "node:fs/promises";
import { dirname, extname, join } from "node:path";
import { z } from "zod";
import { readJobText, writeShelfFile, type Attachment, type Job, type JobTrouble } from "@/core/job";
import { done, refused, type Outcome } from "@/core/outcome";
import { defaultPreferences, Preferences } from "@/core/preferences";
import { StockFields } from "@/core/stock";
import { jobFileText, PACKAGE_DOCUMENT as JOB, packagePhoto } from "@/core/report";
import { fileStem } from "@/core/text";
import { migrate, STORED_VERSION } from "@/core/versions";
import { readZip, type ZipRefusal } from "@/core/zip";
import { findPhoto } from "./attachment-store";
import { backupFolder, stampOf } from "./backup-file";
import type { Database } from "./database";
import { documentText, idsOfDocket } from "./job-repository";
import { createWithPhotos } from "./new-job";
import { keepPreferences, preferences } from "./preferences-service";
import { importOwnDevices, ownDevices } from "./shelf-service";
import { addStock, stockItems } from "./stock-service";
import { readStored } from "./stored";
import { withRecord } from "./visit-service";
import { partOfText, writeZip, type ZipPart } from "./zip-file";

const SHELF = "shelf.octachord.json";
const VAN = "van.octachord.json";
const SETTINGS = "settings.octachord.json";
const README = `Everything that one Octachord holds, as files that other programs can read.

jobs/       a folder for each job of the docket: its document (JSON, described in docs/job-file.md) and its photos
${SHELF}    devices of one's own, as a shelf file (JSON)
${VAN}      the lines of the van's list (JSON)
${SETTINGS} the settings of the firm (JSON)

Brought into another Octachord (Settings), it adds to what is there and replaces nothing.
`;

const json = (value: unknown): string => `${JSON.stringify(value, null, 2)}\n`;
const photoFile = (folder: string, photo: Pick<Attachment, "id" | "type">) => `${folder}/${packagePhoto(photo)}`;

/** A package that was written. */
export interface Packed {
  readonly file: string;
  readonly bytes: number;
  readonly forget: () => Promise<void>;
}

/** Writes every job of the docket with its photos, the shelf, the van's list and the settings into one package of open files. */
export async function packEverything(db: Database, at = new Date()): Promise<Packed> {
  const folder = backupFolder(dirname(db.file));
  await mkdir(folder, { recursive: true, mode: 0o700 });
  const file = join(folder, `octachord-everything-${stampOf(at)}.zip`);
  await writeZip(file, partsOfEverything(db));
  return { file, bytes: (await stat(file)).size, forget: () => rm(file, { force: true }) };
}

/** One part after the other, so that no more than one job is held in memory. */
async function* partsOfEverything(db: Database): AsyncIterable<ZipPart> {
  yield partOfText("README.txt", README);
  for (const [index, id] of (await idsOfDocket(db)).entries()) yield* await partsOfJob(db, id, index + 1);
  const { own } = await ownDevices(db);
  if (own.length) yield partOfText(SHELF, writeShelfFile(own.map(({ device }) => device)));
  const lines = (await stockItems(db)).map(({ id: _id, ...fields }) => fields);
  if (lines.length) yield partOfText(VAN, json({ format: "octachord-van", version: STORED_VERSION, lines }));
  yield partOfText(SETTINGS, json({ format: "octachord-settings", version: STORED_VERSION, settings: await preferences(db) }));
}

/** The files of a job; a document that does not read goes out as the text that is stored there. */
async function partsOfJob(db: Database, id: string, number: number): Promise<readonly ZipPart[]> {
  const text = (await documentText(db, id)) ?? "";
  const read = readJobText(text);
  const folder = `jobs/${String(number).padStart(4, "0")}-${read.ok ? fileStem(read.value.name) : "damaged"}`;
  if (!read.ok) return [partOfText(`${folder}/damaged.txt`, text)];
  return [
    partOfText(`${folder}/${JOB}`, jobFileText(await withRecord(db, { id, job: read.value }))),
    ...read.value.attachments.map((photo): ZipPart => ({
      name: photoFile(folder, photo),
      chunks: async function* () {
        const found = await findPhoto(db, id, photo.id);
        if (found) yield found.bytes;
      },
    })),
  ];
}

/** What came in, and what did not. Nothing that was there is changed. */
export interface BroughtIn {
  readonly jobs: readonly string[];
  /** Photos that a job names and of which the package holds no picture. */
  readonly photosLeftOut: readonly string[];
  readonly devices: number;
  readonly lines: number;
  /** The settings came in: only where the firm had set none. */
  readonly settings: boolean;
  readonly refused: readonly { readonly file: string; readonly troubles: readonly JobTrouble[] }[];
}

export type EverythingRefusal = { readonly code: "zip"; readonly zip: ZipRefusal } | { readonly code: "nothing-in-it" };

/** The package that comes in holds no more than this unpacked, in bytes. */
const MOST_BYTES = 2 ** 32 - 1;

/** Takes a package of everything in: each job as a new one, devices and lines that are not there yet, settings where none were set. */
export async function bringIn(db: Database, bytes: Uint8Array): Promise<Outcome<BroughtIn, EverythingRefusal>> {
  const files = readZip(bytes, { files: 65_535, bytes: MOST_BYTES }, isPart);
  if (!files.ok) return refused({ code: "zip", zip: files.refusal });
  const texts = (name: string) => new TextDecoder().decode(files.value.get(name) ?? new Uint8Array());
  const documents = [...files.value.keys()].filter((name) => name.endsWith(`/${JOB}`)).toSorted();
  if (documents.length === 0 && ![SHELF, VAN, SETTINGS].some((name) => files.value.has(name))) return refused({ code: "nothing-in-it" });
  const jobs: string[] = [];
  const photosLeftOut: string[] = [];
  const troubled: BroughtIn["refused"][number][] = [];
  for (const file of documents) {
    const read = readJobText(texts(file));
    if (read.ok) {
      const made = await bringJob(db, read.value, file, files.value);
      jobs.push(read.value.name);
      photosLeftOut.push(...made);
    } else troubled.push({ file, troubles: read.refusal });
  }
  const devices = files.value.has(SHELF) ? await newDevices(db, texts(SHELF)) : done(0);
  if (!devices.ok) troubled.push({ file: SHELF, troubles: devices.refusal });
  const lines = await newLines(db, texts(VAN));
  const settings = await newSettings(db, texts(SETTINGS));
  return done({ jobs, photosLeftOut, devices: devices.ok ? devices.value : 0, lines, settings, refused: troubled });
}

const isPart = (name: string): boolean =>
  [SHELF, VAN, SETTINGS].includes(name) || (name.startsWith("jobs/") && (name.endsWith(`/${JOB}`) || extname(name) !== ".txt"));

async function bringJob(db: Database, job: Job, file: string, files: ReadonlyMap<string, Uint8Array>): Promise<readonly string[]> {
  const folder = file.slice(0, -JOB.length - 1);
  const made = await createWithPhotos(db, job, "import", (photo) => Promise.resolve(files.get(photoFile(folder, photo)) ?? null));
  return made.withoutBytes.map(({ name }) => name);
}

/** Devices of a shelf file that are not on the shelf yet. */
async function newDevices(db: Database, text: string): Promise<Outcome<number, readonly JobTrouble[]>> {
  const here = new Set((await ownDevices(db)).own.map(({ device }) => JSON.stringify(device)));
  return importOwnDevices(db, text, (device) => !here.has(JSON.stringify(device)));
}

const Van = z.object({ format: z.literal("octachord-van"), version: z.number(), lines: z.array(z.unknown()) });
const Settings = z.object({ format: z.literal("octachord-settings"), version: z.number(), settings: z.unknown() });

/** Lines for parts that the van's list does not have yet; a count that is there stands. */
async function newLines(db: Database, text: string): Promise<number> {
  const van = readStored(Van, text);
  if (!van.sound) return 0;
  const here = new Set((await stockItems(db)).map(({ what }) => JSON.stringify(what)));
  let count = 0;
  for (const line of van.value.lines) {
    const lifted = migrate("stock", van.value.version, line);
    const fields = lifted.ok ? StockFields.safeParse(lifted.value) : null;
    if (!fields?.success || here.has(JSON.stringify(fields.data.what))) continue;
    here.add(JSON.stringify(fields.data.what));
    await addStock(db, fields.data);
    count += 1;
  }
  return count;
}

async function newSettings(db: Database, text: string): Promise<boolean> {
  const given = readStored(Settings, text);
  const lifted = given.sound ? migrate("preferences", given.value.version, given.value.settings) : null;
  const read = lifted?.ok ? Preferences.safeParse(lifted.value) : null;
  const isUnset = JSON.stringify(await preferences(db)) === JSON.stringify(defaultPreferences());
  if (!read?.success || !isUnset || JSON.stringify(read.data) === JSON.stringify(defaultPreferences())) return false;
  await keepPreferences(db, read.data);
  return true;
}
