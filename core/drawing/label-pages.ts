import { PAPERS, type Paper, type PrintedPage } from "./template-svg";
import { escapeXml } from "./xml";

/** A sheet of labels as it is sold: how many across and down, and what of the paper is left white round them. */
export interface LabelSheet {
  readonly paper: Paper;
  readonly columns: number;
  readonly rows: number;
  readonly marginMm: number;
  /** The first label that is still on the sheet, from 1. */
  readonly start: number;
}

const SANS = "Atkinson Hyperlegible Next, sans-serif";
const FONT_MM = 3.4;
/** How wide a letter is, as a share of its height, on average. */
const LETTER = 0.52;
const PAD_MM = 2;
const MOST_LINES = 4;

/** Labels on sheets of a paper, in rows from the top, black on white. */
export function labelPages(labels: readonly string[], { paper, columns, rows, marginMm, start }: LabelSheet): readonly PrintedPage[] {
  const [widthMm, heightMm] = PAPERS[paper];
  const [wide, high] = [(widthMm - 2 * marginMm) / columns, (heightMm - 2 * marginMm) / rows];
  const perPage = columns * rows;
  const places = labels.map((words, index) => ({ words, place: index + start - 1 }));
  const pages = Math.max(1, Math.ceil((labels.length + start - 1) / perPage));
  return Array.from({ length: pages }, (_, page): PrintedPage => {
    const own = places.filter(({ place }) => Math.floor(place / perPage) === page);
    const drawn = own.map(({ words, place }) => {
      const [row, column] = [Math.floor((place % perPage) / columns), place % columns];
      return labelSvg(words, { x: marginMm + column * wide, y: marginMm + row * high, wide, high });
    });
    return printed(drawn, widthMm, heightMm);
  });
}

/** A label printer's tape: one label after the other, each a page of its own. */
export const STRIP_MM = { wide: 70, high: 24 } as const;

/** The same labels for a label printer. */
export const labelStrip = (labels: readonly string[]): readonly PrintedPage[] =>
  labels.map((words) => printed([labelSvg(words, { x: 0, y: 0, ...STRIP_MM })], STRIP_MM.wide, STRIP_MM.high));

interface LabelBox {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
}

/** The words of one label, wrapped and cut to its box. */
function labelSvg(words: string, { x, y, wide, high }: LabelBox): string {
  const lines = wrap(words, Math.floor((wide - 2 * PAD_MM) / (FONT_MM * LETTER)));
  const fits = lines.slice(0, Math.max(1, Math.min(MOST_LINES, Math.floor((high - 2 * PAD_MM) / (FONT_MM * 1.2)))));
  return fits
    .map(
      (line, index) =>
        `<text class="label" x="${(x + PAD_MM).toFixed(2)}" y="${(y + PAD_MM + FONT_MM * (1 + index * 1.2)).toFixed(2)}" font-family="${SANS}" font-size="${FONT_MM}">${escapeXml(line)}</text>`,
    )
    .join("");
}

const printed = (drawn: readonly string[], widthMm: number, heightMm: number): PrintedPage => ({
  svg: `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">${drawn.join("")}</svg>`,
  widthMm,
  heightMm,
});

/** Words in lines of at most so many letters; a longer word is cut. */
function wrap(words: string, letters: number): readonly string[] {
  const lines: string[] = [""];
  for (const word of words.split(" ").map((one) => one.slice(0, letters))) {
    const last = lines[lines.length - 1] ?? "";
    if (last && last.length + word.length + 1 > letters) lines.push(word);
    else lines[lines.length - 1] = last ? `${last} ${word}` : word;
  }
  return lines;
}
