import { describe, expect, test } from "vitest";
import { isHeic, withoutPlace } from "@/core/job";

const text = (words: string) => [...new TextEncoder().encode(words)];
const be16 = (value: number) => [value >> 8, value & 255];
const le16 = (value: number) => be16(value).toReversed();
const le32 = (value: number) => [...le16(value & 0xffff), ...le16(value >>> 16)];
const segment = (marker: number, data: readonly number[]) => [0xff, marker, ...be16(data.length + 2), ...data];

/** A TIFF block, little-endian, by hand: orientation 6 and a GPS directory with a latitude of three rationals at byte 56. */
const LATITUDE = [59, 1, 17, 1, 42, 1].flatMap(le32);
const TIFF = [
  ...text("II"),
  ...le16(42),
  ...le32(8),
  ...le16(2),
  ...[...le16(0x0112), ...le16(3), ...le32(1), ...le32(6)],
  ...[...le16(0x8825), ...le16(4), ...le32(1), ...le32(38)],
  ...le32(0),
  ...le16(1),
  ...[...le16(2), ...le16(5), ...le32(3), ...le32(56)],
  ...le32(0),
  ...LATITUDE,
];
const SCAN = [0xff, 0xda, 0, 2, 1, 2, 3, 0xff, 0xd9];

describe("where a photo was taken is taken out", () => {
  test("of a JPEG, whose orientation and picture stay", () => {
    const photo = new Uint8Array([
      ...[0xff, 0xd8],
      ...segment(0xe1, [...text("Exif\0\0"), ...TIFF]),
      ...segment(0xe1, text("http://ns.adobe.com/xap/1.0/\0<GPSLatitude>59,17</GPSLatitude>")),
      ...SCAN,
    ]);
    const clean = [...withoutPlace(photo, "image/jpeg")];
    expect(JSON.stringify(clean)).not.toContain(JSON.stringify(LATITUDE).slice(1, -1));
    expect(String.fromCharCode(...clean)).not.toContain("GPSLatitude");
    // SOI, APP1 header of 10 bytes, then the directory: its first entry is the orientation.
    expect(clean.slice(2 + 10 + 10, 2 + 10 + 22)).toEqual([...le16(0x0112), ...le16(3), ...le32(1), ...le32(6)]);
    expect(clean.slice(-SCAN.length)).toEqual(SCAN);
  });

  test("of a PNG and a WebP, with everything that is not picture", () => {
    const be32 = (value: number) => [...be16(value >>> 16), ...be16(value & 0xffff)];
    const chunk = (name: string, data: readonly number[]) => [...be32(data.length), ...text(name), ...data, 0, 0, 0, 0];
    const png = new Uint8Array([
      ...[0x89, 0x50, 0x4e, 0x47, 13, 10, 26, 10],
      ...chunk("IHDR", [1, 2, 3]),
      ...chunk("eXIf", TIFF),
      ...chunk("IEND", []),
    ]);
    expect([...withoutPlace(png, "image/png")]).toEqual([...png.subarray(0, 8), ...chunk("IHDR", [1, 2, 3]), ...chunk("IEND", [])]);
    const riff = (name: string, data: readonly number[]) => [...text(name), ...le32(data.length), ...data, ...(data.length % 2 ? [0] : [])];
    const body = (flags: number, more: readonly number[]) => [
      ...text("WEBP"),
      ...riff("VP8X", [flags, 0, 0, 0, 0, 0, 0, 0, 0, 0]),
      ...riff("VP8 ", [7, 7, 7]),
      ...more,
    ];
    const file = (content: readonly number[]) => [...text("RIFF"), ...le32(content.length), ...content];
    const webp = new Uint8Array(file(body(0x1c, [...riff("EXIF", TIFF), ...riff("XMP ", text("<x/>"))])));
    expect([...withoutPlace(webp, "image/webp")]).toEqual(file(body(0x10, [])));
  });

  test("what is cut off is left as it is", () => {
    const cut = new Uint8Array([0xff, 0xd8, 0xff, 0xe1, 0x40, 0, 1]);
    expect(withoutPlace(cut, "image/jpeg")).toEqual(cut);
  });
});

test("a photo as telephones keep it is known, to say what to do", () => {
  expect(isHeic(new Uint8Array([0, 0, 0, 24, ...text("ftypheic")]))).toBe(true);
  expect(isHeic(new Uint8Array([0xff, 0xd8, 0xff, 0xe0, ...text("ftypheic")]))).toBe(false);
});
