import { inflateSync } from "fflate";
import { done, refused, type Outcome } from "@/core/outcome";
import { crc32 } from "./crc32";

/** Why a zip is not opened. */
export type ZipRefusal =
  | { readonly code: "cut-off" }
  | { readonly code: "too-many-files"; readonly files: number; readonly limit: number }
  | { readonly code: "too-large-unpacked"; readonly bytes: number; readonly limit: number }
  | { readonly code: "name-twice"; readonly name: string }
  | { readonly code: "files-overlap"; readonly name: string }
  | { readonly code: "unknown-packing"; readonly name: string }
  | { readonly code: "checksum"; readonly name: string };

/** How much a zip may hold. */
export interface ZipBudget {
  readonly files: number;
  /** Of all files together, unpacked. */
  readonly bytes: number;
}

interface Entry {
  readonly name: string;
  readonly packed: number;
  readonly unpacked: number;
  readonly crc: number;
  readonly method: number;
  /** Where its bytes begin, behind its local header. */
  readonly at: number;
  /** Where its local header begins. */
  readonly from: number;
}

const [END, CENTRAL, LOCAL] = [0x06054b50, 0x02014b50, 0x04034b50];
const [STORED, DEFLATED, ENCRYPTED] = [0, 8, 1];
const LONGEST_COMMENT = 65_535;

/**
 * Unpacks a zip whose whole size is known from its directory before anything is unpacked: so many files, so many bytes together, no name
 * twice, no two files in the same bytes, every checksum right. Files that are not wanted are checked in the directory and not unpacked.
 * Source: APPNOTE 6.3.10 §4.3 (headers), §4.4 (fields).
 */
export function readZip(
  bytes: Uint8Array,
  budget: ZipBudget,
  wanted: (name: string) => boolean,
): Outcome<ReadonlyMap<string, Uint8Array>, ZipRefusal> {
  const entries = entriesOf(bytes, budget);
  if (!entries.ok) return entries;
  const files = new Map<string, Uint8Array>();
  for (const entry of entries.value) {
    if (!wanted(entry.name)) continue;
    const file = unpack(bytes.subarray(entry.at, entry.at + entry.packed), entry);
    if (!file || crc32(file) !== entry.crc) return refused({ code: "checksum", name: entry.name });
    files.set(entry.name, file);
  }
  return done(files);
}

function unpack(packed: Uint8Array, { method, unpacked }: Entry): Uint8Array | null {
  if (method === STORED) return packed.length === unpacked ? packed : null;
  try {
    // The buffer has the size that the directory promises: what unpacks to more is cut there, and its checksum is wrong.
    const file = inflateSync(packed, { out: new Uint8Array(unpacked) });
    return file.length === unpacked ? file : null;
  } catch {
    return null;
  }
}

/** The directory, with every budget and rule kept; nothing is unpacked for it. */
function entriesOf(bytes: Uint8Array, budget: ZipBudget): Outcome<readonly Entry[], ZipRefusal> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const end = endOf(view);
  if (end === null) return refused({ code: "cut-off" });
  const count = view.getUint16(end + 10, true);
  if (count > budget.files) return refused({ code: "too-many-files", files: count, limit: budget.files });
  const entries: Entry[] = [];
  let at = view.getUint32(end + 16, true);
  for (let index = 0; index < count; index += 1) {
    if (at + 46 > end || view.getUint32(at, true) !== CENTRAL) return refused({ code: "cut-off" });
    const nameLength = view.getUint16(at + 28, true);
    const entry = entryAt(view, bytes, at, nameLength);
    if (!entry) return refused({ code: "cut-off" });
    if (view.getUint16(at + 8, true) & ENCRYPTED || (entry.method !== STORED && entry.method !== DEFLATED))
      return refused({ code: "unknown-packing", name: entry.name });
    if (entries.some(({ name }) => name === entry.name)) return refused({ code: "name-twice", name: entry.name });
    entries.push(entry);
    at += 46 + nameLength + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  const unpacked = entries.reduce((sum, entry) => sum + entry.unpacked, 0);
  if (unpacked > budget.bytes) return refused({ code: "too-large-unpacked", bytes: unpacked, limit: budget.bytes });
  const inOrder = entries.toSorted((a, b) => a.from - b.from);
  const second = inOrder.find((entry, index) => index > 0 && entry.from < endOfEntry(inOrder[index - 1]));
  return second ? refused({ code: "files-overlap", name: second.name }) : done(entries);
}

const endOfEntry = (entry: Entry | undefined): number => (entry ? entry.at + entry.packed : 0);

function entryAt(view: DataView, bytes: Uint8Array, at: number, nameLength: number): Entry | null {
  const from = view.getUint32(at + 42, true);
  if (from + 30 > view.byteLength || view.getUint32(from, true) !== LOCAL) return null;
  const packed = view.getUint32(at + 20, true);
  const start = from + 30 + view.getUint16(from + 26, true) + view.getUint16(from + 28, true);
  if (start + packed > view.byteLength) return null;
  return {
    name: new TextDecoder().decode(bytes.subarray(at + 46, at + 46 + nameLength)),
    packed,
    unpacked: view.getUint32(at + 24, true),
    crc: view.getUint32(at + 16, true),
    method: view.getUint16(at + 10, true),
    at: start,
    from,
  };
}

/** The position of the end record of the directory; null where there is none, or something follows it. */
function endOf(view: DataView): number | null {
  for (let at = view.byteLength - 22; at >= Math.max(0, view.byteLength - 22 - LONGEST_COMMENT); at -= 1)
    if (view.getUint32(at, true) === END && at + 22 + view.getUint16(at + 20, true) === view.byteLength) return at;
  return null;
}
