import { expect } from "vitest";
import { QUIRKS } from "@/core/device";
import { SETTING_KEYS } from "@/core/facts";
import type { Job } from "@/core/job";

/** A job whose devices, sockets and sources are named so that none of their names could be taken for an id. */
export const namedForReading = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((device, index) => ({
    ...device,
    name: `Kestrel ${index + 1}`,
    ports: device.ports.map((port, at) => ({ ...port, label: `SOCKET ${at + 1}` })),
    sources: device.sources.map((source, at) => ({ ...source, name: `Service ${at + 1}` })),
  })),
});

const HOLES: readonly (readonly [string, RegExp])[] = [
  ["a value that is none", /\b(undefined|NaN|null|Infinity)\b|\[object/],
  ["a hole between words", /\S {2,}\S| [.,;](\s|$)|\.\.(?!\.)|“”|«»|\(\)/],
  ["a word twice", /\b(the|of|to|is|and|with) \1\b/i],
  ["the id of a device", /\b(p\d|second(?! best)|player\d|box\d|screen\d|system\d)\b(?! screen)/],
  ["the id of a socket", /\b(hdmi|optical|coaxial|rca|minijack|bluetooth)-(in|out)\d*\b/],
];
const CODES = [...QUIRKS, ...SETTING_KEYS].filter((code) => code.includes("-"));

/** What is wrong with a text; empty where nothing is. */
function faultsIn(text: string): readonly string[] {
  const codes = CODES.filter((code) => new RegExp(`(?<![\\w-])${code}(?![\\w-])`).test(text));
  return [...HOLES.flatMap(([what, pattern]) => (pattern.test(text) ? [what] : [])), ...codes.map((code) => `the code “${code}”`)];
}

/**
 * Reads texts as a proof-reader would: no hole where a word should be, and no name that only the program knows.
 * @returns how many were read
 */
export function proofRead(texts: readonly (string | null | undefined)[]): number {
  for (const text of texts) if (text) expect(faultsIn(text), text).toEqual([]);
  return texts.length;
}
