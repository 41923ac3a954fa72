import { cableClassFact, settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import { delaysOf, scheduleOf, settingsSheetOf, shoppingOf, soldLength, type WiringPlan } from "@/core/plan";
import { sceneOf, wireRuns } from "@/core/room";
import { csvOf, type Cell } from "./csv";
import { deviceName, roomName, shoppingWords, socketName, settingValueIn } from "@/core/text";

/** A list that follows from a plan, with a name for each column. */
export interface PlanList {
  readonly heading: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** The lists that follow from a plan: to buy or fetch, cables with both ends, pulls by route, menus, delays. */
export function planLists(job: Job, plan: WiringPlan): readonly PlanList[] {
  const schedule = scheduleOf(job, plan);
  return [
    {
      heading: "To buy or fetch",
      columns: ["what", "count"],
      rows: shoppingOf(plan).map((line) => [shoppingWords(line), line.count]),
    },
    {
      heading: "Cables",
      columns: ["label", "from", "to", "class", "m", "sold as m", "work"],
      rows: schedule.map(({ cable, work, adapter }, index) => [
        cable.label || `cable ${index + 1}`,
        socketName(plan.job, cable.from),
        socketName(plan.job, cable.to),
        `${cableClassFact(cable.class).name}${adapter ? ", adapter without the control wire" : ""}`,
        cable.lengthM,
        soldLength(cable.lengthM),
        work,
      ]),
    },
    {
      heading: "Pulls by route",
      columns: ["route", "cable", "m"],
      rows: schedule.flatMap(({ cable, run, work }) =>
        run && work === "new"
          ? [[`${roomName(job, run[0])} to ${roomName(job, run[1])}`, cableClassFact(cable.class).name, cable.lengthM] as const]
          : [],
      ),
    },
    {
      heading: "Speaker wire",
      columns: ["room", "to", "m", "mm²", "AWG", "inside a wall"],
      rows: plan.job.rooms.flatMap((room) =>
        wireRuns(sceneOf(plan.job, room)).map(
          ({ one, lengthM, mm2, awg, inWall }) =>
            [
              room.name,
              one.unit.name,
              Number(lengthM.toFixed(1)),
              mm2 ?? "none thick enough",
              awg ?? "none thick enough",
              inWall ? "yes" : "no",
            ] as const,
        ),
      ),
    },
    {
      heading: "Menus",
      columns: ["device", "setting", "look in", "set to"],
      rows: settingsSheetOf(job, plan).flatMap(({ device, rows }) =>
        rows.map(
          ({ key, value }) =>
            [
              deviceName(plan.job, device),
              settingFact(key).name,
              settingFact(key).lookIn,
              settingValueIn(plan.job, device, key, value),
            ] as const,
        ),
      ),
    },
    {
      heading: "Delays to set",
      columns: ["at", "for what comes in by", "ms"],
      rows: delaysOf(plan).map(({ at, ms }) => [deviceName(plan.job, at.device), socketName(plan.job, at), ms]),
    },
  ];
}

/** The lists of a plan as one file of comma-separated values. */
export function planTables(job: Job, plan: WiringPlan): string {
  const rows = planLists(job, plan).flatMap(({ heading, columns, rows: own }) => [[heading, ...columns], ...own, []]);
  return csvOf(rows);
}

const ESCAPES: Readonly<Record<string, string>> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" };
const escaped = (value: Cell): string => String(value).replace(/[&<>"]/g, (sign) => ESCAPES[sign] ?? sign);

/** The lists of a plan as a page to print, black on white; lists with nothing in them are left out. */
export function planSheet(job: Job, plan: WiringPlan, idea: string): string {
  const tables = planLists(job, plan).flatMap(({ heading, columns, rows }) =>
    rows.length
      ? [
          `<h2>${escaped(heading)}</h2>`,
          `<table><thead><tr>${columns.map((name) => `<th>${escaped(name)}</th>`).join("")}</tr></thead>`,
          `<tbody>${rows.map((row) => `<tr>${row.map((value) => `<td>${escaped(value)}</td>`).join("")}</tr>`).join("")}</tbody></table>`,
        ]
      : [],
  );
  return [
    '<!doctype html><html lang="en"><head><meta charset="utf-8">',
    `<title>${escaped(job.name)}</title><style>${PRINT_STYLE}</style></head>`,
    `<body><h1>${escaped(job.name)}</h1><p>${escaped(idea)}</p>${tables.join("")}</body></html>`,
  ].join("");
}

const PRINT_STYLE =
  "body{font:11pt/1.35 sans-serif;color:#000;margin:14mm}h1{font-size:16pt;margin:0}h2{font-size:12pt;margin:6mm 0 1mm}" +
  "table{width:100%;border-collapse:collapse}th,td{text-align:left;vertical-align:top;padding:1mm 2mm;border-bottom:.2mm solid #999}" +
  "tr{break-inside:avoid}";
