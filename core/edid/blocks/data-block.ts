import { OUI } from "@/core/facts";
import { at } from "../bytes";
import type { Finding } from "../finding";

/** Tags of data blocks and, for tag 7, extended tags. Source: CTA-861-H Tables 52 and 53. */
export const TAG = { audio: 1, video: 2, vendor: 3, speakers: 4, extended: 7 } as const;
export const EXTENDED = { vendorVideo: 1, hdrStatic: 6, ycbcr420Only: 14, ycbcr420Also: 15, hdmiForum: 121 } as const;

/** A data block of a CTA extension: its tag and what follows, of which extended blocks give the first byte to their own tag. */
export interface DataBlock {
  readonly tag: number;
  /** Null where the tag is not 7. */
  readonly extended: number | null;
  readonly payload: Uint8Array;
}

/** Reads data blocks one after the other; one that runs beyond the end is noted and ends the reading. Source: CTA-861-H §7.5. */
export function readDataBlocks(
  bytes: Uint8Array,
  block: number,
  offset: number,
): { readonly blocks: readonly DataBlock[]; readonly read: number; readonly findings: readonly Finding[] } {
  const blocks: DataBlock[] = [];
  let index = 0;
  while (index < bytes.length) {
    const head = at(bytes, index);
    const tag = head >> 5;
    const length = head & 0x1f;
    if (index + 1 + length > bytes.length)
      return { blocks, read: index, findings: [{ code: "data-block-overruns", block, at: offset + index, tag }] };
    const payload = bytes.subarray(index + 1, index + 1 + length);
    const isExtended = tag === TAG.extended && length > 0;
    blocks.push({ tag, extended: isExtended ? at(payload, 0) : null, payload: isExtended ? payload.subarray(1) : payload });
    index += 1 + length;
  }
  return { blocks, read: index, findings: [] };
}

export function writeDataBlock({ tag, extended, payload }: DataBlock): number[] {
  const body = [...(extended === null ? [] : [extended]), ...payload];
  return [(tag << 5) | body.length, ...body];
}

/** The identifier at the front of a vendor block, least byte first; null where it is too short. */
export const ouiOf = ({ payload }: DataBlock): number | null =>
  payload.length < 3 ? null : at(payload, 0) | (at(payload, 1) << 8) | (at(payload, 2) << 16);

/** The three bytes of an identifier as they stand in a block. */
export const ouiBytes = (oui: number): number[] => [oui & 0xff, (oui >> 8) & 0xff, (oui >> 16) & 0xff];

export const isHdmiVendor = (block: DataBlock): boolean => block.tag === TAG.vendor && ouiOf(block) === OUI.hdmi;

/** The HDMI Forum data is in a vendor block, or in an extended block of its own after two reserved bytes. */
export function hdmiForumPayload(block: DataBlock): Uint8Array | null {
  if (block.tag === TAG.vendor && ouiOf(block) === OUI.hdmiForum) return block.payload.subarray(3);
  return block.tag === TAG.extended && block.extended === EXTENDED.hdmiForum ? block.payload.subarray(2) : null;
}
