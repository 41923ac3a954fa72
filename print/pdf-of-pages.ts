import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import pdfmake from "pdfmake";
import type { PrintedPage } from "@/core/drawing";

const POINTS_PER_MM = 72 / 25.4;
const FAMILY = "Atkinson Hyperlegible Next";

/** The font files that are embedded, from the package that ships with the application. */
function fontFile(root: string, weight: 400 | 700): string {
  const from = createRequire(join(root, "package.json"));
  return join(
    dirname(from.resolve("@fontsource/atkinson-hyperlegible-next/package.json")),
    "files",
    `atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
  );
}

let isReady = false;

function makeReady(root: string): void {
  if (isReady) return;
  const [normal, bold] = [fontFile(root, 400), fontFile(root, 700)];
  // Nothing but these two files is ever read, and nothing is fetched.
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => path === normal || path === bold);
  pdfmake.addFonts({ [FAMILY]: { normal, bold, italics: normal, bolditalics: bold } });
  isReady = true;
}

/**
 * Pages of drawings as one PDF: vectors and real text, true to size, fonts embedded.
 * @param root the folder of the application, where its packages are
 */
export async function pdfOfPages(pages: readonly PrintedPage[], title: string, root: string): Promise<Buffer> {
  makeReady(root);
  const document = pdfmake.createPdf({
    info: { title },
    pageMargins: 0,
    defaultStyle: { font: FAMILY },
    pageSize: sizeOf(pages[0]),
    content: pages.map(({ svg, widthMm, heightMm }, index) => ({
      svg,
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
