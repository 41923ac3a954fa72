import fc from "fast-check";
import { mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, expect, test } from "vitest";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { octachord } from "./octachord-under-test";

const folder = mkdtempSync(join(tmpdir(), "octachord-spelled-"));
afterAll(() => rmSync(folder, { recursive: true }));

const COMMANDS = [
  ["arrivals"],
  ["changes", "--seconds", "1"],
  ["cec"],
  ["plan", "--seconds", "1"],
  ["faults"],
  ["runsheet"],
  ["map"],
] as const;

/** What a value prints that nobody turned into words. */
const NO_WORDS = /undefined|\bnull\b|\[object|NaN|Infinity/;

test("gear of any kind, spelled out by hand, is answered by every command in words", async () => {
  const { numRuns, seed } = tries(8, 300, 98);
  for (const [index, job] of fc.sample(spelledRooms, { numRuns, seed }).entries()) {
    const file = join(folder, `${String(index)}.octachord.json`);
    writeFileSync(file, JSON.stringify(job));
    for (const [command, ...rest] of COMMANDS) {
      const { status, stdout, stderr } = await octachord([command, file, ...rest]);
      const words = stdout + stderr;
      expect(status, `${command} of room ${String(index)} of seed ${String(seed)}: ${words}`).toBeLessThan(2);
      expect(words, `${command} of room ${String(index)} of seed ${String(seed)}`).not.toMatch(NO_WORDS);
      expect(words.length).toBeGreaterThan(0);
    }
  }
}, 900_000);
