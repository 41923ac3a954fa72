import type { Finding } from "./finding";

const HEADER_TEXT = "00ffffffffffff00";

/**
 * The bytes of an EDID from a file: raw, or hexadecimal text in any spacing, with or without "0x", commas and line labels of the
 * form "0010:" or "0000  |". What is raw is told by its header or by bytes that no text has.
 */
export function edidBytesOf(file: Uint8Array): { readonly bytes: Uint8Array; readonly findings: readonly Finding[] } {
  return looksLikeText(file) ? bytesOfHex(new TextDecoder().decode(file)) : { bytes: file, findings: [] };
}

const looksLikeText = (file: Uint8Array): boolean =>
  file.length > 0 && file.every((byte) => byte === 9 || byte === 10 || byte === 13 || (byte >= 32 && byte < 127));

/** Hexadecimal text as bytes; a character that is neither hexadecimal nor spacing ends the reading and is noted. */
export function bytesOfHex(text: string): { readonly bytes: Uint8Array; readonly findings: readonly Finding[] } {
  const plain = text
    .replace(/^[0-9a-f]{1,8}\s*[:|]/gim, " ")
    .replace(/0x/gi, " ")
    .replace(/[,;]/g, " ");
  const stop = plain.search(/[^0-9a-f\s]/i);
  const hex = (stop < 0 ? plain : plain.slice(0, stop)).replace(/\s+/g, "");
  const start = Math.max(0, hex.toLowerCase().indexOf(HEADER_TEXT));
  const pairs = hex.slice(start).match(/../g) ?? [];
  return { bytes: Uint8Array.from(pairs, (pair) => Number.parseInt(pair, 16)), findings: stop < 0 ? [] : [{ code: "not-hex", at: stop }] };
}

/** Bytes as hexadecimal digits without spacing. */
export const hexOf = (bytes: Uint8Array): string => Array.from(bytes, (byte) => byte.toString(16).padStart(2, "0")).join("");
