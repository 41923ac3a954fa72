import { inflateSync } from "node:zlib";

const WOFF = 0x774f4646;
const HEADER = 44;
const ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

const padded = (length: number): number => (length + 3) & ~3;

/**
 * A font file of the web as the plain one that is in it. What embeds fonts would unpack each table again every time that it reads a letter.
 * Source: W3C WOFF File Format 1.0 §4 and §5; OpenType, table directory.
 * @throws Error where the bytes are no WOFF
 */
export function sfntOfWoff(woff: Buffer): Buffer {
  if (woff.length < HEADER || woff.readUInt32BE(0) !== WOFF) throw new Error("not a WOFF font");
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, index) => {
    const at = HEADER + index * ENTRY;
    const [offset, packed, plain] = [woff.readUInt32BE(at + 4), woff.readUInt32BE(at + 8), woff.readUInt32BE(at + 12)];
    const bytes = woff.subarray(offset, offset + packed);
    return {
      tag: woff.subarray(at, at + 4),
      checksum: woff.readUInt32BE(at + 16),
      // A table that would not get smaller is stored as it is.
      content: packed < plain ? inflateSync(bytes) : bytes,
    };
  });
  const body = SFNT_HEADER + count * SFNT_ENTRY;
  const font = Buffer.alloc(tables.reduce((sum, { content }) => sum + padded(content.length), body));
  const power = 2 ** Math.floor(Math.log2(count));
  font.writeUInt32BE(woff.readUInt32BE(4), 0);
  font.writeUInt16BE(count, 4);
  font.writeUInt16BE(power * 16, 6);
  font.writeUInt16BE(Math.log2(power), 8);
  font.writeUInt16BE((count - power) * 16, 10);
  let offset = body;
  for (const [index, { tag, checksum, content }] of tables.entries()) {
    const at = SFNT_HEADER + index * SFNT_ENTRY;
    tag.copy(font, at);
    font.writeUInt32BE(checksum, at + 4);
    font.writeUInt32BE(offset, at + 8);
    font.writeUInt32BE(content.length, at + 12);
    content.copy(font, offset);
    offset += padded(content.length);
  }
  return font;
}
