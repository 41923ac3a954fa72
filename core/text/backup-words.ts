import type { ZipRefusal } from "@/core/zip";
import { formatMegabytes } from "./names";
import { plural } from "./plural";
import { zipSentence } from "./zip-words";

/** What was written, and that it was read back. */
export const backupSentence = ({
  file,
  bytes,
  photos,
}: {
  readonly file: string;
  readonly bytes: number;
  readonly photos: number;
}): string => `Written and read back: ${file}, ${formatMegabytes(bytes)} with ${plural(photos, "photo")}. Take it off this machine.`;

/** What was restored, and where the former data are kept. */
export function restoredSentence(
  folder: string,
  restored: { readonly jobs: number; readonly photos: number; readonly newest: string | null; readonly replaced: string | null },
): string {
  const { jobs, photos, newest, replaced } = restored;
  const last = newest === null ? "" : `, the last edited on ${newest.slice(0, 16).replace("T", " at ")}`;
  const before = replaced === null ? "" : ` What was there before is kept next to it as ${replaced}.`;
  return `Restored into ${folder}: ${plural(jobs, "job")} with ${plural(photos, "photo")}${last}.${before}`;
}

/** Why a file is not restored; nothing was changed. */
export function restoreRefusal(
  file: string,
  refusal:
    | { readonly code: "not-a-backup" }
    | { readonly code: "zip"; readonly zip: ZipRefusal }
    | { readonly code: "checksum"; readonly name: string }
    | { readonly code: "database-damaged"; readonly words: string },
): string {
  switch (refusal.code) {
    case "not-a-backup":
      return `${file} is not an Octachord backup: it has no database with a list of checksums. Nothing was changed.`;
    case "zip":
      return `${file} was not restored. ${zipSentence(refusal.zip)} Nothing was changed.`;
    case "checksum":
      return `${file} is damaged: “${refusal.name}” is not what was backed up. Nothing was changed; take another backup.`;
    case "database-damaged":
      return `The database in ${file} is damaged (${refusal.words}). Nothing was changed; take another backup.`;
  }
}
