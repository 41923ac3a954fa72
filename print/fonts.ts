import { createRequire } from "node:module";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { dirname, join } from "node:path";
import * as fontkit from "fontkit";
import pdfmake from "pdfmake";
import { sfntOfWoff } from "./sfnt-of-woff";

export const FAMILY = "Atkinson Hyperlegible Next";
/** The letters of other languages written in Latin script; the same face in a file of its own. */
export const FAMILY_EXT = `${FAMILY} Ext`;

const CUTS = ["latin", "latin-ext"] as const;
type Cut = (typeof CUTS)[number];

/** The font of the application, from the package that ships with it. */
function packedFont(root: string, cut: Cut, weight: 400 | 700): Buffer {
  const from = createRequire(join(root, "package.json"));
  const folder = join(dirname(from.resolve("@fontsource/atkinson-hyperlegible-next/package.json")), "files");
  return readFileSync(join(folder, `atkinson-hyperlegible-next-${cut}-${weight}-normal.woff`));
}

/** Which of the two font files has a sign; null: neither. */
export type Coverage = (codePoint: number) => Cut | null;

let known: Coverage | null = null;

/**
 * Makes the fonts ready, once for each run of the program: unpacked into a folder of its own that goes with it, for what embeds them reads files.
 * Nothing but these files is ever read by it, and nothing is fetched.
 * @param root the folder of the application, where its packages are
 */
export function readyFonts(root: string): Coverage {
  if (known) return known;
  const folder = mkdtempSync(join(tmpdir(), "octachord-fonts-"));
  process.once("exit", () => rmSync(folder, { recursive: true, force: true }));
  const unpack = (cut: Cut, weight: 400 | 700): string => {
    const file = join(folder, `${cut}-${weight}.ttf`);
    writeFileSync(file, sfntOfWoff(packedFont(root, cut, weight)));
    return file;
  };
  const files = CUTS.map((cut) => ({ cut, normal: unpack(cut, 400), bold: unpack(cut, 700) }));
  const allowed = new Set(files.flatMap(({ normal, bold }) => [normal, bold]));
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => allowed.has(path));
  for (const { cut, normal, bold } of files)
    pdfmake.addFonts({ [cut === "latin" ? FAMILY : FAMILY_EXT]: { normal, bold, italics: normal, bolditalics: bold } });
  const signs = files.map(({ cut, normal }) => ({ cut, has: new Set(charactersOf(normal)) }));
  known = (codePoint) => signs.find(({ has }) => has.has(codePoint))?.cut ?? null;
  return known;
}

function charactersOf(file: string): readonly number[] {
  const font = fontkit.openSync(file);
  return "characterSet" in font ? font.characterSet : [];
}
