/** One byte at a time, by a table of the remainders of all 256. */
const TABLE = Uint32Array.from({ length: 256 }, (_, byte) => {
  let rest = byte;
  for (let bit = 0; bit < 8; bit += 1) rest = rest & 1 ? (rest >>> 1) ^ 0xedb88320 : rest >>> 1;
  return rest;
});

/** The checksum of a file in a zip, 0 to 2^32 - 1. Source: ISO/IEC/IEEE 8802-3 §3.2.9, reflected; APPNOTE 6.3.10 §4.4.7. */
export function crc32(bytes: Uint8Array): number {
  let rest = 0xffffffff;
  for (const byte of bytes) rest = (TABLE[(rest ^ byte) & 0xff] ?? 0) ^ (rest >>> 8);
  return (rest ^ 0xffffffff) >>> 0;
}
