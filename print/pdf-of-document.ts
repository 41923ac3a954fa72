import pdfmake from "pdfmake";
import type { Content, ContentTable, TableCell, TDocumentDefinitions } from "pdfmake/interfaces";
import { PAPERS } from "@/core/drawing";
import type { PrintBlock, PrintDocument } from "@/core/paper";
import { FAMILY, FAMILY_EXT, readyFonts } from "./fonts";
import { runsOf } from "./printable";
import { POINTS_PER_MM } from "./points";
import { printableSvg } from "./printable-svg";

const MARGIN_MM = 16;
/** Room for the foot of each page. */
const FOOT_MM = 12;
const FIRM_PICTURE_MM = { width: 34, height: 16 } as const;

interface Paper {
  readonly document: PrintDocument;
  readonly widthPt: number;
  readonly heightPt: number;
  readonly words: (text: string) => { readonly text: string; readonly font: string }[];
  readonly svg: (svg: string) => string;
}

/**
 * A document as PDF: real text, bookmarks at its headings, page numbers, embedded fonts, drawings as vectors.
 * @param root the folder of the application, where its packages are
 */
export async function pdfOfDocument(document: PrintDocument, root: string): Promise<Buffer> {
  const coverage = readyFonts(root);
  let isMissing = false;
  const { mark, note } = document.missing;
  const words = (text: string) => {
    const found = runsOf(text, coverage, mark);
    isMissing ||= found.isMissing;
    return found.runs.map((run) => ({ text: run.words, font: run.isExt ? FAMILY_EXT : FAMILY }));
  };
  const svg = (drawing: string) => {
    const found = printableSvg(drawing, coverage, mark);
    isMissing ||= found.isMissing;
    return found.svg;
  };
  const [widthMm, heightMm] = PAPERS[document.paper];
  const inner = { widthPt: (widthMm - 2 * MARGIN_MM) * POINTS_PER_MM, heightPt: (heightMm - 2 * MARGIN_MM - FOOT_MM) * POINTS_PER_MM };
  const paper: Paper = { document, ...inner, words, svg };
  const content = [firmBlock(paper), ...withHeadings(document.blocks).map((piece) => pieceOf(piece, paper))];
  if (isMissing) content.push({ text: words(note), margin: [0, 12, 0, 0], fontSize: document.pointSize });
  const margin = MARGIN_MM * POINTS_PER_MM;
  const definition: TDocumentDefinitions = {
    // The same document gives the same file.
    info: { title: document.title, creationDate: new Date(`${document.head.day}T12:00:00Z`) },
    language: document.language,
    pageSize: { width: widthMm * POINTS_PER_MM, height: heightMm * POINTS_PER_MM },
    pageMargins: [margin, margin, margin, margin + FOOT_MM * POINTS_PER_MM],
    defaultStyle: { font: FAMILY, fontSize: document.pointSize, lineHeight: 1.08, color: "#000" },
    content,
    footer: (page, of) => ({
      margin: [margin, FOOT_MM, margin, 0],
      fontSize: Math.min(document.pointSize, 10),
      columns: [
        { text: words([document.title, document.head.date].filter(Boolean).join(" · ")), width: "*" },
        { text: words(document.pageWords(page, of)), width: "auto", alignment: "right" },
      ],
    }),
  };
  const made = pdfmake.createPdf(definition);
  withoutRepeats((await made.getStream()) as unknown as Bookmarked);
  return made.getBuffer();
}

interface Bookmark {
  readonly outlineData: { readonly Title?: { toString(): string } };
  readonly dictionary: { end(): void };
}
interface Bookmarked {
  readonly outline: { children: Bookmark[] };
}

/** A heading that comes again at the top of each page of its table is one bookmark: the first. */
function withoutRepeats({ outline }: Bookmarked): void {
  const title = (bookmark: Bookmark | undefined) => bookmark?.outlineData.Title?.toString();
  const repeats = outline.children.filter((one, index, all) => index > 0 && title(one) === title(all[index - 1]));
  for (const { dictionary } of repeats) dictionary.end();
  outline.children = outline.children.filter((one) => !repeats.includes(one));
}

/** Who made it, with the sign of the firm where it gave one. */
function firmBlock({ document: { head }, words }: Paper): Content {
  const lines = head.firm.filter(Boolean);
  if (!lines.length && !head.picture) return { text: "" };
  const text = { stack: lines.map((line) => ({ text: words(line) })), fontSize: 10, alignment: "right" as const };
  const fit: [number, number] = [FIRM_PICTURE_MM.width * POINTS_PER_MM, FIRM_PICTURE_MM.height * POINTS_PER_MM];
  return { columns: [head.picture ? { image: head.picture, fit, width: fit[0] } : { text: "", width: 0 }, text], margin: [0, 0, 0, 6] };
}

const HEADING_SIZE = { 1: 1.5, 2: 1.2, 3: 1 } as const;

type Heading = Extract<PrintBlock, { block: "heading" }>;
type Body = Exclude<PrintBlock, Heading>;

/** What is headed, with its headings: they go to the same page. */
interface Piece {
  readonly headings: readonly Heading[];
  readonly body: Body | null;
}

function withHeadings(blocks: readonly PrintBlock[]): readonly Piece[] {
  const pieces: Piece[] = [];
  let headings: Heading[] = [];
  for (const block of blocks) {
    if (block.block === "heading") headings.push(block);
    else {
      pieces.push({ headings, body: block });
      headings = [];
    }
  }
  return headings.length ? [...pieces, { headings, body: null }] : pieces;
}

/** A heading stays with what follows: in the head of its table, so that it comes again on each page, or in one piece with the rest. */
function pieceOf({ headings, body }: Piece, paper: Paper): Content {
  if (body?.block === "table") return tableOf(headings, body, paper);
  const heads = headings.map((one) => headingOf(one, paper));
  if (!body) return { stack: heads };
  if (!heads.length) return bodyOf(body, paper);
  if (body.block !== "list" || body.items.length <= SHORT_LIST) return { unbreakable: true, stack: [...heads, bodyOf(body, paper)] };
  const [first, rest] = [body.items.slice(0, 2), body.items.slice(2)];
  return {
    stack: [
      { unbreakable: true, stack: [...heads, listOf(first, body.ordered, 1, paper)] },
      listOf(rest, body.ordered, first.length + 1, paper),
    ],
  };
}

/** A list that stays in one piece with its heading. */
const SHORT_LIST = 8;

function headingOf({ level, words: text }: Heading, { document: { pointSize }, words }: Paper): Content {
  return {
    text: words(text),
    bold: true,
    fontSize: Math.round(pointSize * HEADING_SIZE[level]),
    margin: [0, level === 1 ? 0 : pointSize * 0.6, 0, 3],
    outline: level < 3,
    outlineText: text,
  } as Content;
}

function listOf(items: readonly string[], ordered: boolean, start: number, { words }: Paper): Content {
  const texts = items.map((item) => ({ text: words(item) }));
  return ordered ? { ol: texts, start, margin: [0, 0, 0, 4] } : { ul: texts, margin: [0, 0, 0, 4] };
}

function bodyOf(block: Exclude<Body, { block: "table" }>, paper: Paper): Content {
  const { document, words, svg, widthPt, heightPt } = paper;
  const { pointSize } = document;
  switch (block.block) {
    case "text":
      return { text: words(block.words), fontSize: block.size === "small" ? pointSize * 0.85 : pointSize, margin: [0, 0, 0, 3] };
    case "list":
      return listOf(block.items, block.ordered, 1, paper);
    case "drawing":
      return { svg: svg(block.svg), font: FAMILY, fit: [widthPt, heightPt - 5 * pointSize] } as Content;
    case "picture":
      return {
        unbreakable: true,
        stack: [
          { image: block.data, fit: [widthPt, heightPt * 0.42] },
          { text: words(block.words), margin: [0, 2, 0, 8] },
        ],
      };
    case "new-page":
      return { text: "", pageBreak: "after" };
  }
}

/** What lies between two columns. */
const CELL_GAP_PT = 16;

/** A row of one cell over the whole width. */
const acrossAll = (cell: Content, columns: number): TableCell[] => [
  { ...(cell as object), colSpan: columns } as TableCell,
  ...Array.from({ length: columns - 1 }, (): TableCell => ({ text: "" })),
];

function tableOf(headings: readonly Heading[], { columns, rows }: Extract<PrintBlock, { block: "table" }>, paper: Paper): ContentTable {
  const { words, widthPt, document } = paper;
  const shares = columns.reduce((sum, { share }) => sum + share, 0);
  return {
    fontSize: document.pointSize * 0.9,
    margin: [0, 0, 0, 6],
    table: {
      headerRows: headings.length + 1,
      keepWithHeaderRows: 1,
      dontBreakRows: true,
      // What the padding of the cells takes is not theirs.
      widths: columns.map(({ share }) => (share / shares) * (widthPt - (columns.length - 1) * CELL_GAP_PT)),
      body: [
        ...headings.map((heading) => acrossAll(headingOf(heading, paper), columns.length)),
        columns.map(({ head }) => ({ text: words(head), bold: true })),
        ...rows.map((row) => columns.map((_, index) => ({ text: words(breakable(row[index] ?? "")) }))),
      ],
    },
    layout: {
      // Under the heads of the columns and between rows, not over a heading.
      hLineWidth: (line) => (line === headings.length + 1 ? 1 : line > headings.length + 1 ? 0.4 : 0),
      vLineWidth: () => 0,
      hLineColor: () => "#999",
      paddingLeft: (column) => (column === 0 ? 0 : CELL_GAP_PT / 2),
      paddingRight: (column) => (column === columns.length - 1 ? 0 : CELL_GAP_PT / 2),
      paddingTop: () => 2,
      paddingBottom: () => 2,
    },
  };
}

/** A word longer than any cell is cut, so that no table grows over the edge of its page. */
const breakable = (text: string): string => text.replace(/\S{24}(?=\S)/g, (piece) => `${piece} `);
