import type { AttachmentType } from "./attachment";

/**
 * A photo without where it was taken: in a JPEG the GPS part of its Exif is emptied and XMP is left out, in PNG and WebP all such data are
 * left out. The picture and how a JPEG is turned stay. What does not parse is given back as it is, for a viewer will not read it either.
 * Source: Exif 2.32 §4.6.2 and §4.6.6 (GPS IFD), ISO 16684-1 and -3 (XMP), PNG 3 §11.3.3, WebP RFC 9649 §2.7.
 */
export function withoutPlace(bytes: Uint8Array, type: AttachmentType): Uint8Array {
  switch (type) {
    case "image/jpeg":
      return jpegWithoutPlace(bytes);
    case "image/png":
      return chunked(bytes, 8, { lengthAt: 0, nameAt: 4, littleEndian: false, around: 12, padded: false }, PNG_DATA);
    case "image/webp":
      return webpWithoutPlace(bytes);
  }
}

const PNG_DATA: ReadonlySet<string> = new Set(["eXIf", "iTXt", "tEXt", "zTXt"]);
const WEBP_DATA: ReadonlySet<string> = new Set(["EXIF", "XMP "]);
const ascii = (bytes: Uint8Array, at: number, length: number): string => String.fromCharCode(...bytes.subarray(at, at + length));

const [MARKER, APP1, START_OF_SCAN] = [0xff, 0xe1, 0xda];

function jpegWithoutPlace(bytes: Uint8Array): Uint8Array {
  const kept: Uint8Array[] = [bytes.subarray(0, 2)];
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === MARKER && bytes[at + 1] !== START_OF_SCAN) {
    const length = 2 + ((bytes[at + 2] ?? 0) << 8) + (bytes[at + 3] ?? 0);
    const segment = bytes.slice(at, at + length);
    if (length < 4 || segment.length < length) return bytes;
    at += length;
    if (segment[1] === APP1 && ascii(segment, 4, 28).startsWith("http://ns.adobe.com/")) continue;
    if (segment[1] === APP1 && ascii(segment, 4, 6) === "Exif\0\0") emptyGps(segment.subarray(10));
    kept.push(segment);
  }
  kept.push(bytes.subarray(at));
  return joined(kept);
}

const GPS_TAG = 0x8825;
const ENTRY = 12;
/** Bytes of a value by its type in a TIFF directory. */
const SIZES: Readonly<Record<number, number>> = { 1: 1, 2: 1, 3: 2, 4: 4, 5: 8, 7: 1, 9: 4, 10: 8 };

/** Empties the GPS directory of a TIFF block in place, its values too. */
function emptyGps(tiff: Uint8Array): void {
  const view = new DataView(tiff.buffer, tiff.byteOffset, tiff.byteLength);
  const little = ascii(tiff, 0, 2) === "II";
  const fits = (at: number, length: number) => at >= 0 && at + length <= tiff.length;
  const entriesAt = (at: number): readonly number[] => {
    if (!fits(at, 2)) return [];
    return Array.from({ length: view.getUint16(at, little) }, (_, index) => at + 2 + index * ENTRY).filter((one) => fits(one, ENTRY));
  };
  if (!fits(0, 8)) return;
  for (const entry of entriesAt(view.getUint32(4, little))) {
    if (view.getUint16(entry, little) !== GPS_TAG) continue;
    const gps = view.getUint32(entry + 8, little);
    for (const value of entriesAt(gps)) {
      const length = (SIZES[view.getUint16(value + 2, little)] ?? 1) * view.getUint32(value + 4, little);
      const at = view.getUint32(value + 8, little);
      if (length > 4 && fits(at, length)) tiff.fill(0, at, at + length);
      tiff.fill(0, value, value + ENTRY);
    }
    if (fits(gps, 2)) view.setUint16(gps, 0, little);
  }
}

/** How a file of chunks is laid out. */
interface Chunks {
  readonly lengthAt: number;
  readonly nameAt: number;
  readonly littleEndian: boolean;
  /** The bytes of a chunk beside its data. */
  readonly around: number;
  readonly padded: boolean;
}

/** The file without the chunks of some names. */
function chunked(bytes: Uint8Array, from: number, form: Chunks, leave: ReadonlySet<string>): Uint8Array {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const kept: Uint8Array[] = [bytes.subarray(0, from)];
  let at = from;
  while (at + 8 <= bytes.length) {
    const data = view.getUint32(at + form.lengthAt, form.littleEndian);
    const length = form.around + data + (form.padded ? data % 2 : 0);
    if (at + length > bytes.length) return bytes;
    if (!leave.has(ascii(bytes, at + form.nameAt, 4))) kept.push(bytes.subarray(at, at + length));
    at += length;
  }
  kept.push(bytes.subarray(at));
  return joined(kept);
}

function webpWithoutPlace(bytes: Uint8Array): Uint8Array {
  const clean = chunked(bytes, 12, { lengthAt: 4, nameAt: 0, littleEndian: true, around: 8, padded: true }, WEBP_DATA);
  if (clean === bytes || clean.length === bytes.length) return bytes;
  const own = clean.slice();
  new DataView(own.buffer).setUint32(4, own.length - 8, true);
  // The extended header says what follows it: neither Exif nor XMP any more.
  if (ascii(own, 12, 4) === "VP8X") own[20] = (own[20] ?? 0) & ~0x0c;
  return own;
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, { length }) => sum + length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
}
