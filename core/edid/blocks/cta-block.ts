import { at, sealed } from "../bytes";
import type { Finding } from "../finding";
import { readDataBlocks, writeDataBlock, type DataBlock } from "./data-block";

/** A CTA extension taken apart: its flags, its data blocks, and the timings and padding after them as they stand. */
export interface CtaBlock {
  readonly kind: "cta";
  readonly revision: number;
  /** Underscan, basic audio, YCbCr and the count of native timings, as they stand in byte 3. */
  readonly flags: number;
  readonly dataBlocks: readonly DataBlock[];
  /** Bytes between the last readable data block and the timings. */
  readonly rest: Uint8Array;
  /** Whether the block says where its timings begin; without, it has neither data blocks nor timings. */
  readonly hasTimings: boolean;
  readonly timings: Uint8Array;
  /** The checksum as it was read; null for a block that was made. */
  readonly checksum: number | null;
}

const HEAD = 4;
const LAST = 127;
const BASIC_AUDIO = 0x40;

/** Source: CTA-861-H §7.3 to §7.5. */
export function readCtaBlock(bytes: Uint8Array, index: number): { readonly cta: CtaBlock; readonly findings: readonly Finding[] } {
  const said = at(bytes, 2);
  const hasTimings = said >= HEAD && said <= LAST;
  const findings: Finding[] = said === 0 || hasTimings ? [] : [{ code: "timings-offset", block: index, offset: said }];
  const offset = hasTimings ? said : HEAD;
  const isNew = at(bytes, 1) >= 3;
  const data = isNew && hasTimings ? readDataBlocks(bytes.subarray(HEAD, offset), index, HEAD) : { blocks: [], read: 0, findings: [] };
  return {
    cta: {
      kind: "cta",
      revision: at(bytes, 1),
      flags: at(bytes, 3),
      dataBlocks: data.blocks,
      rest: bytes.subarray(HEAD + data.read, offset),
      hasTimings,
      timings: bytes.subarray(offset, LAST),
      checksum: at(bytes, LAST),
    },
    findings: [...findings, ...data.findings],
  };
}

/** The block as bytes. One that was read with a wrong checksum keeps it, so that nothing is hidden; a made one gets the right one. */
export function writeCtaBlock(
  { revision, flags, dataBlocks, rest, hasTimings, timings, checksum }: CtaBlock,
  raw?: Uint8Array,
): Uint8Array {
  const data = [...dataBlocks.flatMap(writeDataBlock), ...rest];
  const block = sealed([0x02, revision, hasTimings ? HEAD + data.length : (raw?.[2] ?? 0), flags, ...data, ...timings]);
  if (checksum !== null) block[LAST] = checksum;
  return block;
}

/** A made block of revision 3 with these data blocks and no further timings. */
export const makeCtaBlock = (dataBlocks: readonly DataBlock[], options: { basicAudio: boolean }): CtaBlock => ({
  kind: "cta",
  revision: 3,
  flags: (options.basicAudio ? BASIC_AUDIO : 0) | 0xb1, // Underscan, YCbCr 4:4:4 and 4:2:2, one native timing.
  dataBlocks,
  rest: new Uint8Array(),
  hasTimings: true,
  timings: new Uint8Array(),
  checksum: null,
});

export const hasBasicAudio = ({ flags }: CtaBlock): boolean => (flags & BASIC_AUDIO) !== 0;
export const withBasicAudio = (cta: CtaBlock, on: boolean): CtaBlock => ({
  ...cta,
  flags: on ? cta.flags | BASIC_AUDIO : cta.flags & ~BASIC_AUDIO,
});
