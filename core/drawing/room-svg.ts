import { isHeight } from "@/core/facts";
import type { Job } from "@/core/job";
import { boundsOf, facingOfUnit, mainSeat, type RoomAnswer, type RoomUnit } from "@/core/room";
import {
  angleWords,
  channelName,
  decibelWords,
  deviceName,
  dialValueWords,
  drawingWords,
  loadSentence,
  mountingSentence,
  pairingStepWords,
  sheetLineWords,
  speechStepWords,
  upperFirst,
  wireSentence,
} from "@/core/text";
import { formatLength, type UnitSystem } from "@/core/units";
import { planScale, outlinePoints, type PlanScale } from "./plan-geometry";
import { PAPERS, type Paper, type PrintedPage } from "./template-svg";
import { escapeXml } from "./xml";

const EDGE = 14;
const SANS = "Atkinson Hyperlegible Next, sans-serif";

export interface RoomPrint {
  readonly job: Job;
  readonly answer: RoomAnswer;
  readonly units: UnitSystem;
  readonly firm: string;
  /** As it is to be read. */
  readonly date: string;
  readonly paper: Paper;
}

const round = (value: number): string => value.toFixed(2);
// The embedded font has no sign for the ohm.
const text = (x: number, y: number, words: string, size = 3.6, more = ""): string =>
  `<text x="${round(x)}" y="${round(y)}" font-family="${SANS}" font-size="${size}"${more}>${escapeXml(words.replaceAll("Ω", "ohm"))}</text>`;

/** The plan of a room on one page and its sheets on as many as they need, black on white, in millimetres. */
export function roomPages(print: RoomPrint): readonly PrintedPage[] {
  const [widthMm, heightMm] = PAPERS[print.paper];
  const lines = sheetLines(print);
  const perPage = Math.floor((heightMm - 2 * EDGE - 20) / LINE_MM);
  const sheets = pagesOf(lines, perPage);
  const pages = [
    planOf(print, widthMm, heightMm),
    ...sheets.map((rows) =>
      rows
        .map(({ words, isHead }, at) => text(EDGE, EDGE + 16 + at * LINE_MM, words, isHead ? 4.4 : 3.6, isHead ? ' font-weight="700"' : ""))
        .join(""),
    ),
  ];
  return pages.map((content, index) => ({
    widthMm,
    heightMm,
    svg: [
      `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">`,
      `<title>${escapeXml(drawingWords.roomOf(print.job.name, print.answer.scene.room.name))}</title>`,
      `<rect width="${widthMm}" height="${heightMm}" fill="#fff"/>`,
      text(EDGE, EDGE + 4, drawingWords.roomOf(print.job.name, print.answer.scene.room.name), 5.5, ' font-weight="700"'),
      text(EDGE, heightMm - EDGE + 4, [print.firm, print.date].filter(Boolean).join(" · "), 3.2),
      text(widthMm - EDGE, heightMm - EDGE + 4, drawingWords.pageOf(index + 1, pages.length), 3.2, ' text-anchor="end"'),
      content,
      "</svg>",
    ].join(""),
  }));
}

/** Lines in pages; a heading goes to the page of what it heads. */
function pagesOf(lines: readonly SheetText[], perPage: number): readonly (readonly SheetText[])[] {
  const pages: SheetText[][] = [];
  let rest = [...lines];
  while (rest.length) {
    const isHeadLast = rest.length > perPage && rest[perPage - 1]?.isHead === true;
    const count = isHeadLast ? perPage - 1 : perPage;
    pages.push(rest.slice(0, count));
    rest = rest.slice(count);
  }
  return pages;
}

/** The plan alone, as a drawing of its own. */
export const roomPlanSvg = (print: RoomPrint): string => roomPages(print)[0]?.svg ?? "";

function planOf(print: RoomPrint, widthMm: number, heightMm: number): string {
  const { space, units } = print.answer.scene;
  const top = EDGE + 10;
  const list = units.flatMap((one, index) => (one.placement ? [placeLine(print, one, index + 1)] : []));
  const high = heightMm - 2 * EDGE - 24 - Math.min(list.length, 24) * 5;
  const scale = planScale(space, widthMm - 2 * EDGE, high, 12);
  const inner = [
    ...(space.outline ? [`<polygon points="${outlinePoints(space.outline, scale)}" fill="none" stroke="#000" stroke-width="0.8"/>`] : []),
    ...space.obstacles.map(
      ({ at, widthM, depthM, name }) =>
        `<rect x="${round(scale.x(at.x - widthM / 2))}" y="${round(scale.y(at.y - depthM / 2))}" width="${round(widthM * scale.perMetre)}" height="${round(depthM * scale.perMetre)}" fill="none" stroke="#000" stroke-width="0.2" stroke-dasharray="1.5 1"/>${text(scale.x(at.x), scale.y(at.y) + 1, name, 2.8, ' text-anchor="middle"')}`,
    ),
    ...(space.screen
      ? [
          `<rect x="${round(scale.x(space.screen.at.x - space.screen.widthM / 2))}" y="${round(scale.y(space.screen.at.y) - 0.8)}" width="${round(space.screen.widthM * scale.perMetre)}" height="1.6" fill="#000"/>`,
        ]
      : []),
    ...space.seats.flatMap(({ at, name }) =>
      at
        ? [
            `<circle cx="${round(scale.x(at.x))}" cy="${round(scale.y(at.y))}" r="3" fill="none" stroke="#000" stroke-width="0.4"/>${text(scale.x(at.x), scale.y(at.y) + 6.5, name, 3, ' text-anchor="middle"')}`,
          ]
        : [],
    ),
    ...units.flatMap((one, index) => (one.placement ? [unitSvg(print.answer, one, index + 1, scale)] : [])),
    ...scaleBar(space, scale, print.units),
  ].join("");
  return [
    `<g transform="translate(${EDGE} ${top})">${inner}</g>`,
    ...list.map((words, index) => text(EDGE, top + high + 8 + index * 5, words, 3.2)),
  ].join("");
}

function unitSvg(answer: RoomAnswer, one: RoomUnit, number: number, scale: PlanScale): string {
  const { placement, unit } = one;
  if (!placement) return "";
  const wide = Math.max(3, ((unit.size?.widthMm ?? 200) / 1000) * scale.perMetre);
  const deep = Math.max(3, ((unit.size?.depthMm ?? 200) / 1000) * scale.perMetre);
  const turned = (-facingOfUnit(answer.scene.space, one)).toFixed(1);
  const at = `translate(${round(scale.x(placement.at.x))} ${round(scale.y(placement.at.y))})`;
  return `<g transform="${at}"><g transform="rotate(${turned})"><rect x="${round(-wide / 2)}" y="${round(-deep / 2)}" width="${round(wide)}" height="${round(deep)}" fill="#fff" stroke="#000" stroke-width="0.4"/><path d="M0 ${round(deep / 2)}v2" stroke="#000" stroke-width="0.4"/></g>${text(0, 1.2, String(number), 3.2, ' text-anchor="middle" font-weight="700"')}</g>`;
}

/** One metre, or three feet, beside the walls. */
function scaleBar({ outline }: RoomAnswer["scene"]["space"], scale: PlanScale, units: UnitSystem): readonly string[] {
  const long = units === "metric" ? 1 : 0.9144;
  const box = outline ? boundsOf(outline) : { x: 0, y: 0, width: 5, depth: 5 };
  const [x, y] = [scale.x(box.x), scale.y(box.y + box.depth) + 6];
  return [
    `<path d="M${round(x)} ${round(y)}h${round(long * scale.perMetre)}m0 -1.5v3M${round(x)} ${round(y - 1.5)}v3" stroke="#000" stroke-width="0.4" fill="none"/>`,
    text(x + 2, y - 1.2, formatLength(long, units), 3),
  ];
}

/** "3 left surround: 0.15 m from the left, 3.2 m from the screen, 1.3 m high; 107° left; 2 m; +2.5 dB". */
function placeLine({ answer, units }: RoomPrint, one: RoomUnit, number: number): string {
  const { placement } = one;
  const seat = mainSeat(answer.scene.space);
  const speaker = answer.speakers.find(({ device, unit }) => device === one.device && unit === one.unit);
  const system = answer.systems.find(({ device }) => device === one.device.id);
  const time = system?.times.find((row) => row.speaker.unit === one.unit);
  const level = system?.levels.find((row) => row.speaker.unit === one.unit);
  const parts = [
    placement
      ? drawingWords.placeOf(
          formatLength(placement.at.x, units),
          formatLength(placement.at.y, units),
          formatLength(placement.heightM, units),
        )
      : "",
    seat && speaker && speaker.azimuthDeg !== null && !isHeight(speaker.channel) && speaker.channel !== "LFE"
      ? angleWords(speaker.azimuthDeg)
      : "",
    time?.dial ? dialValueWords(time.dial.value, time.dial.unit) : "",
    level?.dial ? (level.dial.name ?? decibelWords(level.dial.db)) : "",
  ];
  return `${number}  ${one.unit.name}: ${parts.filter(Boolean).join("; ")}`;
}

const LINE_MM = 5.6;
const MOST_LETTERS = 105;

interface SheetText {
  readonly words: string;
  readonly isHead: boolean;
}

/** Everything to take along on paper, as lines: what to dial, wire, fixings, pairing. */
function sheetLines({ job, answer, units }: RoomPrint): readonly SheetText[] {
  const head = (words: string): SheetText => ({ words, isHead: true });
  const body = (words: string): SheetText[] => wrapped(words).map((line) => ({ words: line, isHead: false }));
  const part = (heading: string, lines: readonly string[]): SheetText[] =>
    lines.length ? [head(heading), ...lines.flatMap(body), { words: "", isHead: false }] : [];
  return [
    ...answer.systems.flatMap((system) => [
      ...part(
        drawingWords.diallingSheet(deviceName(job, system.device)),
        system.sheet.map((line) => {
          const { what, value } = sheetLineWords(line);
          return `${what}: ${value}`;
        }),
      ),
      ...part(drawingWords.clearSpeech, system.speech.map(speechStepWords)),
      ...part(
        drawingWords.pairing,
        system.pairing.map((step, index) => `${index + 1}. ${pairingStepWords(job, step)}`),
      ),
    ]),
    ...part(drawingWords.wire, [
      ...answer.wire.map((run) => wireSentence(run, units)),
      ...answer.loads.map((load) => loadSentence(job, load)),
    ]),
    ...part(drawingWords.fixings, answer.mounting.map(mountingSentence)),
    ...part(
      drawingWords.windows,
      answer.speakers.flatMap(({ channel, azimuthDeg, window }) =>
        window && azimuthDeg !== null
          ? [`${upperFirst(channelName(channel))}: ${angleWords(azimuthDeg)} (${drawingWords.window(window.minDeg, window.maxDeg)})`]
          : [],
      ),
    ),
  ];
}

/** A sentence in lines that fit the page. */
function wrapped(words: string): readonly string[] {
  const lines: string[] = [""];
  for (const word of words.split(" ")) {
    const last = lines[lines.length - 1] ?? "";
    if (last && last.length + word.length + 1 > MOST_LETTERS) lines.push(`    ${word}`);
    else lines[lines.length - 1] = last ? `${last} ${word}` : word;
  }
  return lines;
}
