import type { ZipRefusal } from "@/core/zip";
import { unreachable } from "@/core/outcome";
import { formatMegabytes } from "./names";
import { plural } from "./plural";

/** Why a package is not opened, in one sentence with what to do. */
export function zipSentence(refusal: ZipRefusal): string {
  switch (refusal.code) {
    case "cut-off":
      return "The package is incomplete or not a zip file: download or export it again.";
    case "too-many-files":
      return `The package holds ${plural(refusal.files, "file")}; a job with its photos holds at most ${refusal.limit}.`;
    case "too-large-unpacked":
      return `The package unpacks to ${formatMegabytes(refusal.bytes)}; up to ${formatMegabytes(refusal.limit)} can be imported.`;
    case "name-twice":
      return `The package names “${refusal.name}” twice: it was not written by Octachord.`;
    case "files-overlap":
      return `In the package “${refusal.name}” overlaps another file: it was not written by Octachord.`;
    case "unknown-packing":
      return `“${refusal.name}” in the package is encrypted or packed in a way that cannot be read here: pack it again without that.`;
    case "checksum":
      return `“${refusal.name}” in the package is damaged, its checksum does not match: download or export the package again.`;
    default:
      return unreachable(refusal);
  }
}
