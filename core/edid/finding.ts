/** Something in a capability block that breaks the standard, or that a reader should know. Reading never stops at one. */
export type Finding =
  | { readonly code: "too-short"; readonly bytes: number }
  | { readonly code: "block-cut-off"; readonly block: number; readonly bytes: number }
  | { readonly code: "header"; readonly block: 0 }
  | { readonly code: "checksum"; readonly block: number; readonly found: number; readonly expected: number }
  | { readonly code: "extension-count"; readonly said: number; readonly found: number }
  | { readonly code: "data-block-overruns"; readonly block: number; readonly at: number; readonly tag: number }
  | { readonly code: "timings-offset"; readonly block: number; readonly offset: number }
  | { readonly code: "audio-length"; readonly block: number; readonly bytes: number }
  | { readonly code: "payload-short"; readonly block: number; readonly name: string; readonly bytes: number }
  | { readonly code: "physical-address"; readonly block: number; readonly address: string }
  | { readonly code: "unknown-extension"; readonly block: number; readonly tag: number }
  | { readonly code: "not-hex"; readonly at: number }
  | { readonly code: "too-many-blocks"; readonly blocks: number };

/** A sentence for each finding. */
export function findingWords(finding: Finding): string {
  switch (finding.code) {
    case "too-short":
      return `The file has ${finding.bytes} bytes; a capability block has 128.`;
    case "block-cut-off":
      return `Block ${finding.block} is cut off after ${finding.bytes} bytes.`;
    case "header":
      return "The header is not that of an EDID (00 FF FF FF FF FF FF 00).";
    case "checksum":
      return `The checksum of block ${finding.block} is ${hex(finding.found)}; ${hex(finding.expected)} would be right.`;
    case "extension-count":
      return `Block 0 announces ${finding.said} more; the file has ${finding.found}.`;
    case "data-block-overruns":
      return `In block ${finding.block} the data block at byte ${finding.at} (tag ${finding.tag}) runs beyond its place.`;
    case "timings-offset":
      return `Block ${finding.block} puts its timings at byte ${finding.offset}, which is no place for them.`;
    case "audio-length":
      return `The audio data block in block ${finding.block} has ${finding.bytes} bytes, not a multiple of three.`;
    case "payload-short":
      return `The ${finding.name} in block ${finding.block} has only ${finding.bytes} bytes.`;
    case "physical-address":
      return `The physical address ${finding.address} in block ${finding.block} is not a possible physical address.`;
    case "unknown-extension":
      return `Block ${finding.block} is of a kind (tag ${hex(finding.tag)}) that is kept as it is and not read.`;
    case "not-hex":
      return `At character ${finding.at} the text is no longer hexadecimal; reading ended there.`;
    case "too-many-blocks":
      return `The file has ${finding.blocks} blocks; at most 256 are read.`;
  }
}

const hex = (byte: number): string => byte.toString(16).toUpperCase().padStart(2, "0");
