import { at } from "../bytes";
import { readDataBlocks, type DataBlock } from "./data-block";

const CTA_DATA = 0x81;

/** The CTA data blocks that a DisplayID extension carries; the rest of it is kept as bytes. Source: VESA DisplayID 2.0 §4.13. */
export function ctaInsideDisplayId(bytes: Uint8Array, index: number): readonly DataBlock[] {
  const end = Math.min(126, 5 + at(bytes, 2));
  const found: DataBlock[] = [];
  let offset = 5;
  while (offset + 3 <= end) {
    const [tag, length] = [at(bytes, offset), at(bytes, offset + 2)];
    if (tag === 0 && length === 0) break;
    const payload = bytes.subarray(offset + 3, Math.min(end, offset + 3 + length));
    if (tag === CTA_DATA) found.push(...readDataBlocks(payload, index, offset + 3).blocks);
    offset += 3 + length;
  }
  return found;
}
