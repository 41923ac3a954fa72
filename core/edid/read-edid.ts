import { readBaseBlock, hasHeader } from "./blocks/base-block";
import { readCtaBlock } from "./blocks/cta-block";
import { isHdmiVendor, TAG } from "./blocks/data-block";
import { ctaInsideDisplayId } from "./blocks/display-id-block";
import { isPlace, readHdmiVendorBlock } from "./blocks/hdmi-blocks";
import { at, BLOCK_BYTES, checksumOf } from "./bytes";
import type { Edid, Extension } from "./edid";
import type { Finding } from "./finding";

const MOST_BLOCKS = 256;
const EXTENSION = { cta: 0x02, displayId: 0x70, blockMap: 0xf0 } as const;

/**
 * Reads the bytes of an EDID. It reads on past every fault: each becomes a finding, and no byte is thrown away.
 * Source: VESA E-EDID A.2, CTA-861-H §7.
 */
export function readEdid(bytes: Uint8Array): { readonly edid: Edid; readonly findings: readonly Finding[] } {
  const findings: Finding[] = [];
  const blocks: Uint8Array[] = [];
  for (let start = 0; start + BLOCK_BYTES <= bytes.length && blocks.length < MOST_BLOCKS; start += BLOCK_BYTES)
    blocks.push(bytes.subarray(start, start + BLOCK_BYTES));
  const trailing = bytes.subarray(blocks.length * BLOCK_BYTES);
  const [base, ...rest] = blocks;
  if (!base)
    return { edid: { base: new Uint8Array(), extensions: [], trailing: bytes }, findings: [{ code: "too-short", bytes: bytes.length }] };
  if (blocks.length === MOST_BLOCKS && trailing.length >= BLOCK_BYTES)
    findings.push({ code: "too-many-blocks", blocks: Math.floor(bytes.length / BLOCK_BYTES) });
  else if (trailing.length) findings.push({ code: "block-cut-off", block: blocks.length, bytes: trailing.length });
  if (!hasHeader(base)) findings.push({ code: "header", block: 0 });
  blocks.forEach((block, index) => findings.push(...wrongChecksum(block, index)));
  const said = readBaseBlock(base).extensions;
  if (said !== rest.length) findings.push({ code: "extension-count", said, found: rest.length });
  const extensions = rest.map((block, index) => {
    const read = readExtension(block, index + 1);
    findings.push(...read.findings);
    return read.extension;
  });
  return { edid: { base, extensions, trailing }, findings };
}

function wrongChecksum(block: Uint8Array, index: number): Finding[] {
  const [found, expected] = [at(block, BLOCK_BYTES - 1), checksumOf(block)];
  return found === expected ? [] : [{ code: "checksum", block: index, found, expected }];
}

function readExtension(raw: Uint8Array, index: number): { extension: Extension; findings: readonly Finding[] } {
  const tag = at(raw, 0);
  switch (tag) {
    case EXTENSION.cta: {
      const { cta, findings } = readCtaBlock(raw, index);
      return { extension: { ...cta, raw }, findings: [...findings, ...faultsOfData(cta.dataBlocks, index)] };
    }
    case EXTENSION.displayId: {
      const dataBlocks = ctaInsideDisplayId(raw, index);
      return { extension: { kind: "display-id", dataBlocks, raw }, findings: faultsOfData(dataBlocks, index) };
    }
    case EXTENSION.blockMap:
      return {
        extension: { kind: "block-map", tags: [...raw.subarray(1, BLOCK_BYTES - 1)].filter((one) => one !== 0), raw },
        findings: [],
      };
    default:
      return { extension: { kind: "other", tag, raw }, findings: [{ code: "unknown-extension", block: index, tag }] };
  }
}

function faultsOfData(
  blocks: readonly { readonly tag: number; readonly extended: number | null; readonly payload: Uint8Array }[],
  index: number,
): Finding[] {
  return blocks.flatMap((block): Finding[] => {
    if (block.tag === TAG.audio && block.payload.length % 3 !== 0)
      return [{ code: "audio-length", block: index, bytes: block.payload.length }];
    if (!isHdmiVendor(block)) return [];
    if (block.payload.length < 5) return [{ code: "payload-short", block: index, name: "HDMI vendor block", bytes: block.payload.length }];
    const { physicalAddress } = readHdmiVendorBlock(block.payload.subarray(3));
    return isPlace(physicalAddress) ? [] : [{ code: "physical-address", block: index, address: physicalAddress }];
  });
}
