import { readFile, writeFile } from "node:fs/promises";
import { fileURLToPath } from "node:url";
import { NO_HISTORY } from "@/core/diagnose";
import { readJobText, SHEET_LANGUAGES, type Attachment, type Job, type SheetLanguage } from "@/core/job";
import { defaultPreferences } from "@/core/preferences";
import { isReadFromPackage, PACKAGE_DOCUMENT, packagePhoto } from "@/core/report";
import { troubleSentence, zipSentence } from "@/core/text";
import { readZip } from "@/core/zip";
import { printOut, PRINTS, type PrintKind } from "@/print";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";
import { isPaper } from "./write-print";

export interface HandoverOptions {
  readonly output: string;
  readonly sheet: string;
  readonly language?: string;
  readonly paper: string;
  readonly firm: string;
  readonly phone: string;
  readonly day?: string;
}

const SHEETS = PRINTS.filter((print) => print !== "package");
const isSheet = (sheet: string): sheet is PrintKind => (SHEETS as readonly string[]).includes(sheet);
const isLanguage = (language: string): language is SheetLanguage => (SHEET_LANGUAGES as readonly string[]).includes(language);

/** Writes a job on paper as PDF, or everything of it as a zip of open files. A package is read as well as a job file. */
export async function handoverCommand(
  file: string,
  { output, sheet, language, paper, firm, phone, day }: HandoverOptions,
): Promise<ExitCode> {
  const isPackage = /\.zip$/i.test(output);
  if (!isPackage && !/\.pdf$/i.test(output)) throw new UnusableInput(`${output}: expected a name that ends in .pdf or .zip.`);
  if (!isSheet(sheet)) throw new UnusableInput(`--sheet: expected one of ${SHEETS.join(", ")}.`);
  if (!isPaper(paper)) throw new UnusableInput("--paper: expected a4 or letter.");
  if (language !== undefined && !isLanguage(language))
    throw new UnusableInput(`--language: expected one of ${SHEET_LANGUAGES.join(", ")}.`);
  if (day !== undefined && !/^\d{4}-\d\d-\d\d$/.test(day)) throw new UnusableInput("--day: expected a day as YYYY-MM-DD.");
  const { job, photos } = await readJobOrPackage(file);
  const preferences = defaultPreferences();
  const source = {
    firm: { ...preferences.firm, name: firm, phone },
    units: preferences.units,
    paper,
    day: day ?? new Date().toISOString().slice(0, 10),
    language: language ?? job.handover.language,
    faults: NO_HISTORY,
    photos,
  };
  const root = fileURLToPath(new URL("../", import.meta.url));
  const bytes = await printOut({ print: isPackage ? "package" : sheet, job, source }, root);
  await writeFile(output, bytes).catch(() => {
    throw new UnusableInput(`${output}: could not be written.`);
  });
  return 0;
}

interface Read {
  readonly job: Job;
  readonly photos: readonly { readonly photo: Attachment; readonly bytes: Uint8Array }[];
}

const MOST = { files: 1000, bytes: 256 * 1024 * 1024 };

async function readJobOrPackage(file: string): Promise<Read> {
  const bytes = /\.zip$/i.test(file) ? await readFile(file).catch(() => null) : null;
  if (!bytes) return { job: await readJobFile(file), photos: [] };
  const files = readZip(new Uint8Array(bytes), MOST, isReadFromPackage);
  if (!files.ok) throw new UnusableInput(`${file}: ${zipSentence(files.refusal)}`);
  const read = readJobText(new TextDecoder().decode(files.value.get(PACKAGE_DOCUMENT) ?? new Uint8Array()));
  if (!read.ok) throw new UnusableInput(`${file}: ${read.refusal[0] ? troubleSentence(read.refusal[0]) : "not a package of a job."}`);
  const job = read.value;
  return {
    job,
    photos: job.attachments.flatMap((photo) => {
      const found = files.value.get(packagePhoto(photo));
      return found ? [{ photo, bytes: found }] : [];
    }),
  };
}
