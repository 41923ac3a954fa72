import { zipSync, strToU8, type Zippable } from "fflate";
import { householdSheet } from "@/core/handover";
import type { FirmFaults } from "@/core/diagnose";
import type { Attachment, Job, SheetLanguage } from "@/core/job";
import { householdDocument, packageParts, packagePhoto, recordDocument, type PrintedPhoto, type PrintSetting } from "@/core/report";
import { pdfOfDocument } from "./pdf-of-document";

/** What a handover is printed from beside the job. */
export interface HandoverSource extends PrintSetting {
  readonly language: SheetLanguage;
  readonly faults: FirmFaults;
  /** Photos of the job with their bytes; one whose bytes are gone is left out. */
  readonly photos: readonly { readonly photo: Attachment; readonly bytes: Uint8Array }[];
}

/** The kinds of picture that a PDF can hold. */
const PRINTABLE: readonly Attachment["type"][] = ["image/jpeg", "image/png"];

const printed = ({ photos }: HandoverSource): readonly PrintedPhoto[] =>
  photos.map(({ photo, bytes }) => ({
    photo,
    data: PRINTABLE.includes(photo.type) ? `data:${photo.type};base64,${Buffer.from(bytes).toString("base64")}` : null,
  }));

/** The household's sheet as PDF. */
export function householdPdf(job: Job, source: HandoverSource, root: string): Promise<Buffer> {
  const sheet = householdSheet(job, { firm: source.firm, faults: source.faults });
  return pdfOfDocument(householdDocument(job, sheet, source.language, source), root);
}

/** The record of a job as PDF. */
export const recordPdf = (job: Job, source: HandoverSource, root: string): Promise<Buffer> =>
  pdfOfDocument(recordDocument(job, { ...source, record: job.record, photos: printed(source) }), root);

/** Nothing in a package depends on the hour in which it was made. Zip knows no year before 1980. */
const MADE_AT = new Date(2000, 0, 1);

/** Everything of a job in one zip of open files: importing it gives the job back byte for byte. */
export async function handoverPackage(job: Job, source: HandoverSource, root: string): Promise<Uint8Array> {
  const files: Zippable = {};
  for (const { name, content } of packageParts(job, source)) files[name] = typeof content === "string" ? strToU8(content) : content;
  files["record.pdf"] = await recordPdf(job, source, root);
  files["household.pdf"] = await householdPdf(job, source, root);
  // Photos are packed already.
  for (const { photo, bytes } of source.photos) files[packagePhoto(photo)] = [bytes, { level: 0 }];
  return zipSync(files, { mtime: MADE_AT });
}
