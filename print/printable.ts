import type { Coverage } from "./fonts";

/** Signs that the fonts do not have, and that can be said otherwise without loss. */
const SAID_OTHERWISE: Readonly<Record<string, string>> = {
  "\u202f": "\u2009",
  "→": "to",
  "≤": "at most",
  "≥": "at least",
  Ω: "ohm",
  µ: "u",
  "✓": "yes",
  ʼ: "’",
  "\u2011": "-",
  "\ufe0f": "",
  "\u200d": "",
};

/** A piece of text in one of the two font files. */
export interface Run {
  readonly words: string;
  readonly isExt: boolean;
}

const graphemes = new Intl.Segmenter("en", { granularity: "grapheme" });

/**
 * Text in pieces that the fonts can show. What neither of them has is never drawn as a box: `mark` says how many letters are missing.
 * @returns the pieces, and whether any letter was missing
 */
export function runsOf(
  words: string,
  coverage: Coverage,
  mark: (letters: number) => string,
): { readonly runs: readonly Run[]; readonly isMissing: boolean } {
  const runs: { words: string; isExt: boolean }[] = [];
  let missing = 0;
  let isMissing = false;
  const add = (text: string, isExt: boolean) => {
    const last = runs.at(-1);
    if (last?.isExt === isExt) last.words += text;
    else runs.push({ words: text, isExt });
  };
  const tellMissing = () => {
    if (missing === 0) return;
    add(mark(missing), false);
    missing = 0;
  };
  for (const { segment } of graphemes.segment(words.normalize("NFC"))) {
    const said = SAID_OTHERWISE[segment] ?? segment;
    const cuts = [...said].map((sign) => (sign === "\n" || sign === "\t" ? "latin" : coverage(sign.codePointAt(0) ?? 0)));
    if (cuts.includes(null)) {
      missing += 1;
      isMissing = true;
      continue;
    }
    tellMissing();
    add(said, cuts.includes("latin-ext"));
  }
  tellMissing();
  return { runs, isMissing };
}
