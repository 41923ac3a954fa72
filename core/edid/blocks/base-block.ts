import { at } from "../bytes";

/** What is read of the base block; everything else stays in its bytes. */
export interface BaseBlock {
  readonly manufacturer: string;
  readonly productCode: number;
  readonly name: string | null;
  readonly year: number;
  readonly preferred: DetailedTiming | null;
  readonly extensions: number;
}

/** A detailed timing as far as its picture goes. */
export interface DetailedTiming {
  readonly width: number;
  readonly height: number;
  readonly refreshHz: number;
  readonly pixelClockMHz: number;
}

const HEADER = [0x00, 0xff, 0xff, 0xff, 0xff, 0xff, 0xff, 0x00];
const DESCRIPTORS = [54, 72, 90, 108] as const;
const NAME_TAG = 0xfc;

export const hasHeader = (block: Uint8Array): boolean => HEADER.every((byte, index) => block[index] === byte);

/** Source: VESA E-EDID A.2 §3. */
export function readBaseBlock(block: Uint8Array): BaseBlock {
  const id = (at(block, 8) << 8) | at(block, 9);
  const letters = [(id >> 10) & 31, (id >> 5) & 31, id & 31].map((letter) =>
    letter >= 1 && letter <= 26 ? String.fromCharCode(64 + letter) : "?",
  );
  const descriptors = DESCRIPTORS.map((offset) => block.subarray(offset, offset + 18));
  const name = descriptors.find((one) => at(one, 0) === 0 && at(one, 1) === 0 && at(one, 3) === NAME_TAG);
  const first = descriptors[0];
  return {
    manufacturer: letters.join(""),
    productCode: at(block, 10) | (at(block, 11) << 8),
    name: name ? textOf(name.subarray(5)) : null,
    year: 1990 + at(block, 17),
    preferred: first ? readDetailedTiming(first) : null,
    extensions: at(block, 126),
  };
}

const textOf = (bytes: Uint8Array): string =>
  String.fromCharCode(...bytes)
    .split("\n")[0]
    ?.replace(/[^\x20-\x7e]/g, "")
    .trim() ?? "";

/** Null where the descriptor is none of a timing, or its raster is empty. Source: VESA E-EDID A.2 §3.10.2. */
export function readDetailedTiming(bytes: Uint8Array): DetailedTiming | null {
  const clock = at(bytes, 0) | (at(bytes, 1) << 8);
  const width = at(bytes, 2) | ((at(bytes, 4) & 0xf0) << 4);
  const height = at(bytes, 5) | ((at(bytes, 7) & 0xf0) << 4);
  const across = width + (at(bytes, 3) | ((at(bytes, 4) & 0x0f) << 8));
  const down = height + (at(bytes, 6) | ((at(bytes, 7) & 0x0f) << 8));
  if (clock === 0 || across === 0 || down === 0) return null;
  const isInterlaced = (at(bytes, 17) & 0x80) !== 0;
  const refreshHz = (clock * 10_000) / (across * down);
  return { width, height: isInterlaced ? height * 2 : height, refreshHz: Number(refreshHz.toFixed(3)), pixelClockMHz: clock / 100 };
}

export interface BaseBlockPlan {
  readonly manufacturer: string;
  readonly productCode: number;
  readonly name: string;
  readonly year: number;
  readonly timings: readonly (readonly number[])[];
  readonly extensions: number;
  readonly maxClockTens: number;
}

/** The 127 bytes of a base block before its checksum: EDID 1.3, which HDMI asks for, digital, sRGB, size not given. Source: HDMI 1.4 §8.3. */
export function writeBaseBlock({ manufacturer, productCode, name, year, timings, extensions, maxClockTens }: BaseBlockPlan): number[] {
  const letter = (index: number) => (manufacturer.toUpperCase().charCodeAt(index) || 65) - 64;
  const id = (letter(0) << 10) | (letter(1) << 5) | letter(2);
  const filler = (): number[] => [0, 0, 0, 0x10, 0, ...Array<number>(13).fill(0)];
  // Vertical 23–120 Hz, horizontal 15–255 kHz, and the largest clock in tens of megahertz.
  const range = [0, 0, 0, 0xfd, 0, 23, 120, 15, 255, maxClockTens, 0x00, 0x0a, 0x20, 0x20, 0x20, 0x20, 0x20, 0x20];
  const label = [0, 0, 0, NAME_TAG, 0, ...nameBytes(name)];
  const slots = [...timings.slice(0, 2).map((timing) => [...timing]), label, range];
  while (slots.length < 4) slots.push(filler());
  return [
    ...HEADER,
    id >> 8,
    id & 0xff,
    productCode & 0xff,
    productCode >> 8,
    ...[0, 0, 0, 0],
    1, // Week, then year of making.
    year - 1990,
    ...[1, 3],
    ...[0x80, 0, 0, 120, 0x0e], // Digital; size not given; gamma 2.2; colour, sRGB, the first timing preferred.
    ...[0xee, 0x91, 0xa3, 0x54, 0x4c, 0x99, 0x26, 0x0f, 0x50, 0x54], // sRGB primaries.
    ...[0x20, 0, 0], // 640 × 480 at 60 Hz, which every HDMI sink takes.
    ...Array.from({ length: 8 }, () => [1, 1]).flat(),
    ...slots.flat(),
    extensions,
  ];
}

function nameBytes(name: string): number[] {
  const text = [...name.replace(/[^\x20-\x7e]/g, "").slice(0, 13)].map((letter) => letter.charCodeAt(0));
  return text.length < 13 ? [...text, 0x0a, ...Array<number>(12 - text.length).fill(0x20)] : text;
}
