import pdfmake from "pdfmake";
import type { PrintedPage } from "@/core/drawing";
import { SHEET_WORDS } from "@/core/text";
import { FAMILY, readyFonts } from "./fonts";
import { POINTS_PER_MM } from "./points";
import { printableSvg } from "./printable-svg";

/**
 * Pages of drawings as one PDF: vectors and real text, true to size, fonts embedded.
 * @param root the folder of the application, where its packages are
 */
export async function pdfOfPages(pages: readonly PrintedPage[], title: string, root: string): Promise<Buffer> {
  const coverage = readyFonts(root);
  const document = pdfmake.createPdf({
    info: { title },
    pageMargins: 0,
    defaultStyle: { font: FAMILY },
    pageSize: sizeOf(pages[0]),
    content: pages.map(({ svg, widthMm, heightMm }, index) => ({
      svg: printableSvg(svg, coverage, SHEET_WORDS.en.missingLetters).svg,
      width: widthMm * POINTS_PER_MM,
      height: heightMm * POINTS_PER_MM,
      ...(index ? { pageBreak: "before" as const } : {}),
    })),
  });
  return document.getBuffer();
}

const sizeOf = (page: PrintedPage | undefined) => ({
  width: (page?.widthMm ?? 210) * POINTS_PER_MM,
  height: (page?.heightMm ?? 297) * POINTS_PER_MM,
});
