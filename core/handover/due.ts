import { unitsOf } from "@/core/device";
import { dueMonths } from "@/core/facts";
import { findDevice, type Job, type VisitEntry } from "@/core/job";
import { countedEntries, eventsOf, visitsOf } from "./visits";

/** Something to come back for, with the day from which on. */
export type Due =
  | { readonly due: "firmware"; readonly on: string; readonly devices: readonly string[] }
  | { readonly due: "battery"; readonly on: string; readonly units: readonly { readonly device: string; readonly unit: string }[] }
  /** What was promised, in the words of whoever promised it. */
  | { readonly due: "promised"; readonly on: string; readonly id: string; readonly words: string };

/** The same day some months later; the last of its month where that month is shorter. */
export function monthsLater(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split("-").map(Number);
  const last = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(date, last))).toISOString().slice(0, 10);
}

const FIRMWARE_STEP = "firmware ";

/** When the firmware of each device was last looked at. */
function firmwareDays(record: readonly VisitEntry[]): ReadonlyMap<string, string> {
  const days = new Map<string, string>();
  for (const { step, state, event, at } of countedEntries(record)) {
    const device = event?.event === "firmware" ? event.device : step.startsWith(FIRMWARE_STEP) ? step.slice(FIRMWARE_STEP.length) : null;
    if (device !== null && state === "done") days.set(device, at.slice(0, 10));
  }
  return days;
}

/**
 * What is due in a job, the soonest first, from its record alone: firmware a year after it was last looked at, or after the room was handed over;
 * batteries two years after; a promise until a visit of a later day has ended.
 */
export function dueOf(job: Job, record: readonly VisitEntry[]): readonly Due[] {
  const handedOver = visitsOf(record).findLast((visit) => visit.handedOver)?.day ?? null;
  return [...firmwareDue(job, record, handedOver), ...batteryDue(job, handedOver), ...promises(record)].toSorted((a, b) =>
    a.on.localeCompare(b.on),
  );
}

function firmwareDue(job: Job, record: readonly VisitEntry[], handedOver: string | null): readonly Due[] {
  const known = firmwareDays(record);
  const byDay = new Map<string, string[]>();
  for (const { id } of job.devices) {
    const since = known.get(id) ?? handedOver;
    if (since === null) continue;
    const on = monthsLater(since, dueMonths("firmware"));
    byDay.set(on, [...(byDay.get(on) ?? []), id]);
  }
  return [...byDay].map(([on, devices]) => ({ due: "firmware", on, devices }));
}

function batteryDue(job: Job, handedOver: string | null): readonly Due[] {
  const units = job.devices.flatMap((device) =>
    unitsOf(device).flatMap(({ id, battery }) => (battery && findDevice(job, device.id) ? [{ device: device.id, unit: id }] : [])),
  );
  return handedOver !== null && units.length ? [{ due: "battery", on: monthsLater(handedOver, dueMonths("battery")), units }] : [];
}

function promises(record: readonly VisitEntry[]): readonly Due[] {
  const ends = eventsOf(record, "visit-ended").map(({ event }) => event.day);
  return eventsOf(record, "promised")
    .filter(({ entry }) => !ends.some((day) => day > entry.at.slice(0, 10)))
    .map(({ event, entry }) => ({ due: "promised", on: event.due, id: entry.id, words: entry.note }));
}
