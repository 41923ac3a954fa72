import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { describe, expect, test } from "vitest";
import * as words from "@/ui/words";

/** What a function of words says of counts; of names where it takes a list of them. */
function told(words: (...given: unknown[]) => unknown): unknown {
  try {
    return words(2, 3, 4, 5);
  } catch {
    return words(["a"], ["b"], ["c"], ["d"]);
  }
}

const sourcesOf = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return path.endsWith(join("ui", "words")) ? [] : sourcesOf(path);
    return /\.tsx?$/.test(entry.name) ? [readFileSync(path, "utf8")] : [];
  });

describe("the words of the interface", () => {
  const places = Object.entries(words) as [string, Readonly<Record<string, unknown>>][];
  const all = places.flatMap(([place, entries]) => Object.entries(entries).map(([key, value]) => [`${place}.${key}`, value] as const));

  test("are all used: a key that no screen asks for is not kept for translators", () => {
    const sources = ["ui", "app"].flatMap(sourcesOf).join("\n");
    expect(all.map(([key]) => key).filter((key) => !sources.includes(key))).toEqual([]);
  });

  test("each says something and has no markup in it", () => {
    for (const [key, value] of all) {
      const said = typeof value === "function" ? told(value as (...given: unknown[]) => unknown) : value;
      // A word for each of several keys stands as a group of them.
      for (const text of typeof said === "object" && said !== null ? Object.values(said) : [said]) {
        expect(text, key).toMatch(/\p{L}/u);
        expect(text, key).not.toMatch(/<\/?[a-z]|undefined/);
      }
    }
  });

  test("take what a person typed as it is, whatever signs it has", () => {
    const name = '=1+1 <b>"مرحبا" 🎬</b>';
    expect(words.docketWords.wasCopied(name)).toBe(`${name} was copied; the copy is under “No day agreed”.`);
    expect(words.gearWords.backPlateOf(name)).toContain(name);
  });

  test("count in the singular and in the plural", () => {
    expect([1, 2].map(words.docketWords.jobs)).toEqual(["1 job", "2 jobs"]);
    expect(words.jobWords.wholeOf(1, 1)).toBe("1 of 1 row on the board has all that can be played.");
    expect(words.jobWords.wholeOf(3, 9)).toBe("3 of 9 rows on the board have all that can be played.");
    expect(words.briefWords.rowsWait(1)).toBe("needed for 1 row of the board");
    expect(words.stockWords.fitted(2)).toBe("Fitted: take 2 parts out of the van");
  });
});
