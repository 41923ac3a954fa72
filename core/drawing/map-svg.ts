import { bedStrings, cableClassFact } from "@/core/facts";
import type { Arrival, Stream } from "@/core/chain";
import type { Job } from "@/core/job";
import { deviceName, drawingWords, rowWords, socketName, verdictWords } from "@/core/text";
import { formatLength, type UnitSystem } from "@/core/units";
import { curvePath, directCurve, middleOf, passingCurve, zigzagAlong, type Curve } from "./curve";
import { passingHeights, PLATE, placePlates, type PlacedPlate } from "./map-layout";
import { layerOf } from "./layers";
import { escapeXml } from "./xml";

/** What is printed beside the map. */
export interface MapPrint {
  readonly job: Job;
  /** The row whose strings run through the map; null: none. */
  readonly row: Arrival | null;
  readonly units: UnitSystem;
  readonly firm: { readonly name: string; readonly address: string; readonly phone: string };
  /** As it is to be read, already in the reader's words. */
  readonly date: string;
  /** Null where the job has none, as in a file. */
  readonly revision: number | null;
  /** `@font-face` rules that carry the fonts; empty: the reader's own. */
  readonly fonts: string;
}

const MARGIN = 40;
const LINE = 20;
const SANS = "Atkinson Hyperlegible Next Variable, Atkinson Hyperlegible Next, sans-serif";
const MONO = "Atkinson Hyperlegible Mono Variable, Atkinson Hyperlegible Mono, monospace";

const short = (text: string, room: number): string => {
  const letters = [...text];
  return letters.length > room ? `${letters.slice(0, room - 1).join("")}…` : text;
};

interface TextStyle {
  readonly size?: number;
  readonly bold?: boolean;
  readonly mono?: boolean;
  readonly anchor?: "start" | "middle" | "end";
}

const textAt = (x: number, y: number, words: string, { size = 14, bold = false, mono = false, anchor = "start" }: TextStyle = {}): string =>
  `<text x="${x}" y="${y}" font-family="${mono ? MONO : SANS}" font-size="${size}"${bold ? ' font-weight="700"' : ""}${anchor === "start" ? "" : ` text-anchor="${anchor}"`}>${escapeXml(words)}</text>`;

const stroke = (d: string, width: number, dashes = "", transform = ""): string =>
  `<path d="${d}" fill="none" stroke="#000" stroke-width="${width}"${dashes ? ` stroke-dasharray="${dashes}"` : ""}${transform ? ` transform="${transform}"` : ""}/>`;

/**
 * The wiring map as one self-contained drawing in black on white: plates, sockets, cables with their marks, the strings of the chosen
 * row, the list of cables, a legend and a title block. It holds no script, no reference to anything outside, and no colour that matters.
 */
export function mapSvg(print: MapPrint): string {
  const plates = placePlates(print.job);
  const left = Math.min(0, ...plates.map(({ x }) => x));
  const passes = [...passingHeights(plates, print.job.cables).values()];
  const top = Math.min(0, ...plates.map(({ y }) => y), ...passes);
  const right = Math.max(600, ...plates.map(({ x }) => x + PLATE.width));
  const bottom = Math.max(0, ...plates.map(({ y, height }) => y + height), ...passes) + PLATE.gap * 2;
  const rows = print.job.cables.length;
  const [width, height] = [right - left + MARGIN * 2, bottom - top + MARGIN * 2 + rows * LINE + 240];
  const below = bottom - top + MARGIN;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}" role="img">`,
    `<title>${escapeXml(drawingWords.mapOf(print.job.name))}</title>`,
    print.fonts ? `<style>${print.fonts.replace(/</g, "")}</style>` : "",
    `<rect width="${width}" height="${height}" fill="#fff"/>`,
    `<g transform="translate(${MARGIN - left} ${MARGIN - top})">`,
    ...cables(print, plates),
    ...plates.map((plate) => plateSvg(plate)),
    ...numbers(print, plates),
    "</g>",
    `<g transform="translate(${MARGIN} ${below})">`,
    ...cableList(print, width - MARGIN * 2),
    "</g>",
    `<g transform="translate(${MARGIN} ${below + (rows + 2) * LINE + 10})">`,
    ...legend(),
    "</g>",
    `<g transform="translate(${MARGIN} ${height - MARGIN - 96})">`,
    ...titleBlock(print, width - MARGIN * 2),
    "</g>",
    "</svg>",
  ].join("");
}

function plateSvg({ device, x, y, height, sides }: PlacedPlate): string {
  const sockets = device.ports.map((port, index) => {
    const middle = y + PLATE.head + (index + 0.5) * PLATE.row;
    const isRight = sides.get(port.id) === "right";
    const edge = isRight ? x + PLATE.width : x;
    return [
      `<rect x="${edge - 6}" y="${middle - 6}" width="12" height="12" fill="#fff" stroke="#000"/>`,
      textAt(isRight ? edge - 14 : edge + 14, middle + 5, short(port.label, 22), {
        mono: true,
        size: 13,
        anchor: isRight ? "end" : "start",
      }),
    ].join("");
  });
  return [
    `<rect x="${x}" y="${y}" width="${PLATE.width}" height="${height}" rx="6" fill="#fff" stroke="#000" stroke-width="1.5"/>`,
    textAt(x + 12, y + 26, short(device.name, 24), { bold: true, size: 16 }),
    ...sockets,
  ].join("");
}

/** Where each cable runs, in the order of the list; one whose sockets are not drawn is left out. */
function runsOf(
  { job }: MapPrint,
  plates: readonly PlacedPlate[],
): readonly { cable: Job["cables"][number]; number: number; curve: Curve }[] {
  const passing = passingHeights(plates, job.cables);
  return job.cables.flatMap((cable, index) => {
    const curve = curveBetween(plates, cable, passing.get(cable.id) ?? null);
    return curve ? [{ cable, number: index + 1, curve }] : [];
  });
}

function cables(print: MapPrint, plates: readonly PlacedPlate[]): readonly string[] {
  const layer = layerOf(print.job, print.row, "sound");
  return runsOf(print, plates).map(({ cable, curve }) => {
    const drawing = layer.cables.get(cable.id);
    return drawing?.line === "strings" && drawing.stream
      ? strings(curve, drawing.stream)
      : stroke(curvePath(curve), 1.5, drawing?.line === "lost" ? "2 6" : "");
  });
}

/** The number of each cable in the list, with the delay gathered there, over everything else so that it is never hidden. */
function numbers(print: MapPrint, plates: readonly PlacedPlate[]): readonly string[] {
  const layer = layerOf(print.job, print.row, "sound");
  return runsOf(print, plates).flatMap(({ cable, number, curve }) => {
    const { x, y } = middleOf(curve);
    const words = [String(number), layer.cables.get(cable.id)?.words].filter(Boolean).join(" · ");
    return [
      `<rect x="${x - words.length * 4 - 4}" y="${y - 9}" width="${words.length * 8 + 8}" height="18" fill="#fff" stroke="#000" stroke-width="0.5"/>`,
      textAt(x, y + 4, words, { mono: true, size: 13, anchor: "middle" }),
    ];
  });
}

function curveBetween(plates: readonly PlacedPlate[], { from, to }: Job["cables"][number], passing: number | null): Curve | null {
  const ends = [from, to].map(({ device, port }) => {
    const plate = plates.find((one) => one.device.id === device);
    const index = plate?.device.ports.findIndex(({ id }) => id === port) ?? -1;
    if (!plate || index < 0) return null;
    const isRight = plate.sides.get(port) === "right";
    return {
      x: plate.x + (isRight ? PLATE.width : 0),
      y: plate.y + PLATE.head + (index + 0.5) * PLATE.row,
      side: isRight ? 1 : -1,
    };
  });
  const [a, b] = ends;
  if (!a || !b) return null;
  return passing === null ? directCurve(a, b) : passingCurve(a, b, passing, PLATE.lane - PLATE.width);
}

const GAP = 3;

/** The notation of the strings in black: solid, dashed or dashed in pairs, with the zigzag of objects above. */
function strings(curve: Curve, stream: Stream): string {
  const names = bedStrings(stream.channels);
  const top = -((names.length - 1) * GAP) / 2;
  const dashes = stream.lineage === "re-encoded" ? "9 2 9 7" : stream.lossless ? "" : "9 3";
  const path = curvePath(curve);
  return [
    ...names.map((_, index) => stroke(path, 1, dashes, `translate(0 ${top + index * GAP})`)),
    ...(stream.objects === "none" ? [] : [stroke(zigzagAlong(curve, GAP + 4 - top), 1)]),
  ].join("");
}

function cableList({ job, units }: MapPrint, width: number): readonly string[] {
  const columns = [0, 0.05, 0.2, 0.43, 0.51, 0.76].map((share) => Math.round(width * share));
  const rooms = [4, 16, 28, 8, 30, 26] as const;
  const line = (y: number, cells: readonly string[], bold: boolean) =>
    cells.map((cell, index) => textAt(columns[index] ?? 0, y, short(cell, rooms[index] ?? 20), { size: 13, bold }));
  return [
    ...line(0, drawingWords.cableColumns, true),
    ...job.cables.flatMap((cable, index) =>
      line(
        (index + 1) * LINE,
        [
          String(index + 1),
          cable.label,
          `${cableClassFact(cable.class).name}${cable.direction === "one-way" ? `, ${drawingWords.oneWay}` : ""}`,
          formatLength(cable.lengthM, units),
          socketName(job, cable.from),
          socketName(job, cable.to),
        ],
        false,
      ),
    ),
  ];
}

const LEGEND = [
  { dashes: "", words: drawingWords.lossless },
  { dashes: "9 3", words: drawingWords.lossy },
  { dashes: "9 2 9 7", words: drawingWords.reEncoded },
  { dashes: "2 6", words: drawingWords.soundStops },
] as const;

const LEGEND_STEP = 270;
const ABREAST = 3;

function legend(): readonly string[] {
  const place = (index: number) => ({ x: (index % ABREAST) * LEGEND_STEP, y: Math.floor(index / ABREAST) * 26 });
  const { x, y } = place(LEGEND.length);
  return [
    ...LEGEND.flatMap(({ dashes, words }, index) => {
      const at = place(index);
      return [
        stroke(`M${at.x} ${at.y}h40`, 1.5, dashes),
        stroke(`M${at.x} ${at.y + 5}h40`, 1.5, dashes),
        textAt(at.x + 50, at.y + 7, words, { size: 13 }),
      ];
    }),
    stroke(`M${x} ${y + 4}l4 -5 5 5 5 -5 5 5 5 -5 5 5 5 -5 5 5`, 1),
    textAt(x + 50, y + 7, drawingWords.objects, { size: 13 }),
  ];
}

function titleBlock({ job, row, firm, date, revision }: MapPrint, width: number): readonly string[] {
  const shown = row ? drawingWords.stringsOf(deviceName(job, row.player), rowWords(row), verdictWords(row).toLowerCase()) : "";
  const middle = Math.round(width * 0.55);
  return [
    `<rect x="0" y="0" width="${width}" height="96" fill="none" stroke="#000" stroke-width="1.5"/>`,
    `<path d="M${middle} 0v96" stroke="#000"/>`,
    textAt(14, 30, short(job.name, 44), { size: 20, bold: true }),
    textAt(14, 54, short([job.customer, job.brief.household].filter(Boolean).join(", "), 64)),
    textAt(14, 80, short(shown, 70), { size: 13 }),
    textAt(middle + 14, 28, short(firm.name || drawingWords.wiringMap, 44), { bold: true }),
    textAt(middle + 14, 50, short([firm.address, firm.phone].filter(Boolean).join(" · "), 56), { size: 13 }),
    textAt(middle + 14, 80, drawingWords.dated(date, revision), { mono: true, size: 13 }),
  ];
}
