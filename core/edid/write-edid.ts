import { writeCtaBlock } from "./blocks/cta-block";
import { checksumOf } from "./bytes";
import type { Edid, Extension } from "./edid";

/** The bytes of an EDID. What was read comes out as it went in, to the byte; what was made or merged gets its count and checksums. */
export function writeEdid({ base, extensions, trailing }: Edid): Uint8Array {
  return joined([base, ...extensions.map(writeExtension), trailing]);
}

function writeExtension(extension: Extension): Uint8Array {
  return extension.kind === "cta" ? writeCtaBlock(extension, extension.raw ?? undefined) : extension.raw;
}

/** A base block with the right count of extensions and the right checksum. */
export function withExtensionCount(base: Uint8Array, count: number): Uint8Array {
  const copy = Uint8Array.from(base);
  copy[126] = count;
  copy[127] = checksumOf(copy);
  return copy;
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
  let offset = 0;
  for (const part of parts) {
    whole.set(part, offset);
    offset += part.length;
  }
  return whole;
}
