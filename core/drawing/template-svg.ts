import type { Template } from "@/core/room";
import { drawingWords } from "@/core/text";
import { escapeXml } from "./xml";

/** A page to print, in millimetres. */
export interface PrintedPage {
  readonly svg: string;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** ISO 216 A4 and US Letter, in millimetres. */
export const PAPERS = { a4: [210, 297], letter: [215.9, 279.4] } as const;
export type Paper = keyof typeof PAPERS;

/** Ordinary printers leave this edge white. */
const EDGE_MM = 10;
/** What two neighbouring pages show alike, to lay one on the other. */
const OVERLAP_MM = 15;
/** The line under each page that names it. */
const FOOT_MM = 10;
const CHECK_MM = 100;
const AROUND_MM = 25;
/** A screen's edge further up than this is told in words alone. */
const MOST_UP_MM = 350;
const SANS = "Atkinson Hyperlegible Next, sans-serif";

const text = (x: number, y: number, words: string, size = 4): string =>
  `<text x="${round(x)}" y="${round(y)}" font-family="${SANS}" font-size="${size}">${escapeXml(words)}</text>`;
const line = (x1: number, y1: number, x2: number, y2: number, width = 0.25, dashes = ""): string =>
  `<line x1="${round(x1)}" y1="${round(y1)}" x2="${round(x2)}" y2="${round(y2)}" stroke="#000" stroke-width="${width}"${dashes ? ` stroke-dasharray="${dashes}"` : ""}/>`;
const round = (value: number): number => Number(value.toFixed(3));

interface Extent {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** What of the wall the drawing shows: from the unit's middle, up is negative. */
function extentOf({ holes, widthMm, heightMm, screenEdgeMm, freeAboveMm }: Template): Extent {
  const half = Math.max(widthMm / 2, ...holes.map(({ x, diameterMm }) => Math.abs(x) + diameterMm));
  const ups = [heightMm / 2, heightMm / 2 + (freeAboveMm ?? 0), ...holes.map(({ y }) => y)];
  if (screenEdgeMm !== null && screenEdgeMm > 0 && screenEdgeMm <= MOST_UP_MM) ups.push(screenEdgeMm);
  const up = Math.max(...ups) + AROUND_MM;
  const down = Math.max(heightMm / 2, ...holes.map(({ y }) => -y)) + AROUND_MM + 34;
  return { left: -half - AROUND_MM, top: -up, width: 2 * (half + AROUND_MM), height: up + down };
}

/** The template with the middle of the unit at the origin, `y` down. */
function drawing(template: Template, jobName: string): string {
  const { holes, widthMm, heightMm, screenEdgeMm, freeAboveMm, middleMm, one } = template;
  const { left, top, width, height } = extentOf(template);
  const below = heightMm / 2 + 14;
  const note = left + 8;
  return [
    `<rect class="outline" x="${round(-widthMm / 2)}" y="${round(-heightMm / 2)}" width="${round(widthMm)}" height="${round(heightMm)}" fill="none" stroke="#000" stroke-width="0.35" stroke-dasharray="4 2"/>`,
    line(0, top + 4, 0, top + height - 4, 0.25, "8 2 2 2"),
    text(1.5, top + 8, drawingWords.centreLine, 3.5),
    line(left + 4, 0, left + width - 4, 0, 0.25, "8 2 2 2"),
    text(left + 5, -1.5, drawingWords.levelLine, 3.5),
    ...(freeAboveMm === null
      ? []
      : [
          line(-widthMm / 2, -heightMm / 2 - freeAboveMm, widthMm / 2, -heightMm / 2 - freeAboveMm, 0.25, "1 2"),
          text(-widthMm / 2 + 2, -heightMm / 2 - freeAboveMm + 5, drawingWords.keepFree(Math.round(freeAboveMm)), 3.5),
        ]),
    ...screenEdge(screenEdgeMm, { left, width }),
    ...holes.flatMap(({ x, y, diameterMm }, index) => [
      `<circle class="hole" cx="${round(x)}" cy="${round(-y)}" r="${round(diameterMm / 2)}" fill="none" stroke="#000" stroke-width="0.35"/>`,
      line(x - 8, -y, x + 8, -y),
      line(x, -y - 8, x, -y + 8),
      text(x + 4, -y - 4, drawingWords.hole(index + 1, diameterMm, x), 3.5),
    ]),
    ...checkLine(note, below),
    text(note, below + 8, drawingWords.templateOf(one.unit.name, one.device.name, jobName)),
    text(note, below + 13, drawingWords.templateHow(middleMm === null ? null : Math.round(middleMm)), 3.5),
    text(note, below + 18, drawingWords.templateCaution, 3.5),
  ].join("");
}

function screenEdge(edge: number | null, { left, width }: Pick<Extent, "left" | "width">): readonly string[] {
  if (edge === null || edge <= 0) return [];
  const isShown = edge <= MOST_UP_MM;
  const at = isShown ? -edge : -20;
  return [
    ...(isShown ? [line(left + 4, -edge, left + width - 4, -edge, 0.5)] : []),
    text(left + 5, at - 1.5, drawingWords.screenEdge(Math.round(edge)), 3.5),
  ];
}

const checkLine = (x: number, y: number): readonly string[] => [
  `<line class="check" x1="${round(x)}" y1="${round(y)}" x2="${round(x + CHECK_MM)}" y2="${round(y)}" stroke="#000" stroke-width="0.35"/>`,
  line(x, y - 3, x, y + 3),
  line(x + CHECK_MM, y - 3, x + CHECK_MM, y + 3),
  text(x + 2, y - 1.5, drawingWords.checkLine, 3.5),
];

/** The whole template as one drawing, true to size: one unit of its coordinates is one millimetre, the middle of the unit at the origin. */
export function templateSvg(template: Template, jobName: string): string {
  const { left, top, width, height } = extentOf(template);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${round(width)}mm" height="${round(height)}mm" viewBox="${round(left)} ${round(top)} ${round(width)} ${round(height)}"><title>${escapeXml(drawingWords.templateTitle(template.one.unit.name))}</title>${drawing(template, jobName)}</svg>`;
}

/** How many pages a paper needs, laid one way. */
function tiling({ width, height }: Extent, widthMm: number, heightMm: number) {
  const [roomX, roomY] = [widthMm - 2 * EDGE_MM, heightMm - 2 * EDGE_MM - FOOT_MM];
  const columns = Math.max(1, Math.ceil((width - OVERLAP_MM) / (roomX - OVERLAP_MM)));
  const rows = Math.max(1, Math.ceil((height - OVERLAP_MM) / (roomY - OVERLAP_MM)));
  return { widthMm, heightMm, roomX, roomY, columns, rows };
}

/** The template in pages of a paper, as few as either way of laying it takes, with what overlaps and a line of 100 mm to check on each. */
export function templatePages(template: Template, jobName: string, paper: Paper): readonly PrintedPage[] {
  const extent = extentOf(template);
  const [short, long] = PAPERS[paper];
  const [upright, across] = [tiling(extent, short, long), tiling(extent, long, short)];
  const { widthMm, heightMm, roomX, roomY, columns, rows } =
    upright.columns * upright.rows < across.columns * across.rows ? upright : across;
  return Array.from({ length: rows * columns }, (_, index): PrintedPage => {
    const [row, column] = [Math.floor(index / columns), index % columns];
    const x = extent.left + column * (roomX - OVERLAP_MM);
    const y = extent.top + row * (roomY - OVERLAP_MM);
    const [right, bottom] = [EDGE_MM + roomX, EDGE_MM + roomY];
    const marks = [
      ...(column > 0 ? [line(EDGE_MM + OVERLAP_MM, EDGE_MM, EDGE_MM + OVERLAP_MM, bottom, 0.2, "2 2")] : []),
      ...(column < columns - 1 ? [line(right - OVERLAP_MM, EDGE_MM, right - OVERLAP_MM, bottom, 0.2, "2 2")] : []),
      ...(row > 0 ? [line(EDGE_MM, EDGE_MM + OVERLAP_MM, right, EDGE_MM + OVERLAP_MM, 0.2, "2 2")] : []),
      ...(row < rows - 1 ? [line(EDGE_MM, bottom - OVERLAP_MM, right, bottom - OVERLAP_MM, 0.2, "2 2")] : []),
    ];
    const svg = [
      `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">`,
      `<clipPath id="page"><rect x="${EDGE_MM}" y="${EDGE_MM}" width="${roomX}" height="${roomY}"/></clipPath>`,
      `<g clip-path="url(#page)"><g transform="translate(${round(EDGE_MM - x)} ${round(EDGE_MM - y)})">${drawing(template, jobName)}</g></g>`,
      `<rect x="${EDGE_MM}" y="${EDGE_MM}" width="${roomX}" height="${roomY}" fill="none" stroke="#000" stroke-width="0.2"/>`,
      ...marks,
      text(EDGE_MM, heightMm - EDGE_MM - 2, drawingWords.templatePage(index + 1, rows * columns, row + 1, column + 1), 3.5),
      ...checkLine(widthMm - EDGE_MM - CHECK_MM, heightMm - EDGE_MM - 2),
      "</svg>",
    ].join("");
    return { svg, widthMm, heightMm };
  });
}
