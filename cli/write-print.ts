import { writeFile } from "node:fs/promises";
import { fileURLToPath } from "node:url";
import { PAPERS, type Paper, type PrintedPage } from "@/core/drawing";
import { pdfOfPages } from "@/print";
import { UnusableInput } from "./unusable-input";

export const isPaper = (paper: string): paper is Paper => paper in PAPERS;

/** Writes a drawing as what the name of its file says: pages as PDF, or one SVG. */
export async function writePrint(output: string, title: string, pages: () => readonly PrintedPage[], svg: () => string): Promise<void> {
  const root = fileURLToPath(new URL("../", import.meta.url));
  const content = /\.pdf$/i.test(output) ? await pdfOfPages(pages(), title, root) : /\.svg$/i.test(output) ? svg() : null;
  if (content === null) throw new UnusableInput(`${output}: expected a name that ends in .svg or .pdf.`);
  await writeFile(output, content).catch(() => {
    throw new UnusableInput(`${output}: could not be written.`);
  });
}
