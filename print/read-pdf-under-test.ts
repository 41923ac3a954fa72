import { spawnSync } from "node:child_process";
import { existsSync, mkdtempSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";

/** Whether the programs are here that read a PDF again; they share no code with what writes ours. */
export const CAN_READ_PDF = existsSync("/usr/bin/pdftotext");

function poppler(program: string, args: readonly string[], pdf: Uint8Array): string {
  const folder = mkdtempSync(join(tmpdir(), "octachord-pdf-"));
  const file = join(folder, "in.pdf");
  writeFileSync(file, pdf);
  const { stdout, status, stderr } = spawnSync(program, [...args, file, ...(program === "pdftotext" ? ["-"] : [])], {
    encoding: "utf8",
    maxBuffer: 64 * 1024 * 1024,
  });
  rmSync(folder, { recursive: true });
  if (status !== 0) throw new Error(stderr);
  return stdout;
}

/** The text of a PDF with every run of blanks as one. */
export const textOf = (pdf: Uint8Array): string => poppler("pdftotext", ["-layout"], pdf).replace(/\s+/g, " ");

/** The text as it flows, cell after cell. */
export const flowOf = (pdf: Uint8Array): string => poppler("pdftotext", [], pdf).replace(/\s+/g, " ");

export interface Box {
  readonly word: string;
  readonly xMin: number;
  readonly xMax: number;
  readonly yMin: number;
  readonly yMax: number;
}

/** Each page with its size and the box of every word, in points. */
export function pagesOf(pdf: Uint8Array): readonly { readonly width: number; readonly height: number; readonly words: readonly Box[] }[] {
  return poppler("pdftotext", ["-bbox"], pdf)
    .split("<page ")
    .slice(1)
    .map((page) => {
      const [, width = "0", height = "0"] = /width="([\d.]+)" height="([\d.]+)"/.exec(page) ?? [];
      const words = [...page.matchAll(/<word xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">([^<]*)</g)].map(
        ([, xMin, yMin, xMax, yMax, word = ""]) => ({
          word,
          xMin: Number(xMin),
          yMin: Number(yMin),
          xMax: Number(xMax),
          yMax: Number(yMax),
        }),
      );
      return { width: Number(width), height: Number(height), words };
    });
}

/** The rows of `pdffonts`: name and whether it is embedded. */
export const fontsOf = (pdf: Uint8Array): readonly { readonly name: string; readonly embedded: boolean }[] =>
  poppler("pdffonts", [], pdf)
    .split("\n")
    .slice(2)
    .filter(Boolean)
    .map((line) => ({ name: line.split(/\s+/)[0] ?? "", embedded: / yes (yes|no) (yes|no)\s/.test(line) }));
