import { cableClassFact, optionLabel, settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import { scheduleOf, settingsSheetOf, shoppingOf, soldLength, type WiringPlan } from "@/core/plan";
import { deviceName, roomName, shoppingWords, socketName } from "@/core/text";

/** What spreadsheets take for a formula when a cell begins with it. */
const FORMULA = /^[=+\-@\t\r]/;

/** A cell that no spreadsheet computes: quoted, and held as text where it could be a formula. Source: RFC 4180 for the quotes. */
const cell = (value: string | number): string =>
  typeof value === "number" ? String(value) : `"${(FORMULA.test(value) ? `'${value}` : value).replaceAll('"', '""')}"`;

/** The lists that follow from a plan, as one file of comma-separated values: to buy or fetch, cables, pulls by route, menus. */
export function planTables(job: Job, plan: WiringPlan): string {
  const schedule = scheduleOf(job, plan);
  const rows: (readonly (string | number)[])[] = [
    ["To buy or fetch"],
    ...shoppingOf(plan).map((line) => [shoppingWords(line), line.count]),
    [],
    ["Cables", "from", "to", "class", "m", "sold as m", "work"],
    ...schedule.map(({ cable, work }, index) => [
      cable.label || `cable ${index + 1}`,
      socketName(plan.job, cable.from),
      socketName(plan.job, cable.to),
      cableClassFact(cable.class).name,
      cable.lengthM,
      soldLength(cable.lengthM),
      work,
    ]),
    [],
    ["Pulls by route", "cable", "m"],
    ...schedule.flatMap(({ cable, run, work }) =>
      run && work === "new"
        ? [[`${roomName(job, run[0])} to ${roomName(job, run[1])}`, cableClassFact(cable.class).name, cable.lengthM] as const]
        : [],
    ),
    [],
    ["Menus", "setting", "look in", "set to"],
    ...settingsSheetOf(job, plan).flatMap(({ device, rows: menus }) =>
      menus.map(
        ({ key, value }) =>
          [deviceName(plan.job, device), settingFact(key).name, settingFact(key).lookIn, optionLabel(key, value)] as const,
      ),
    ),
  ];
  return `${rows.map((row) => row.map(cell).join(",")).join("\r\n")}\r\n`;
}
