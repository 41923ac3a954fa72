import type { CableClass } from "@/core/facts";
import { findDevice, runBetween, type Cable, type Job } from "@/core/job";
import type { WiringPlan } from "./make-plan";

/** Lengths in which leads are sold, in metres. */
export const STOCK_LENGTHS = [0.5, 1, 1.5, 2, 3, 5, 7.5, 10, 15, 20, 30, 50] as const;

/** The next length sold; a longer run is made to measure. */
export const soldLength = (lengthM: number): number => STOCK_LENGTHS.find((length) => length >= lengthM) ?? lengthM;

/** A line of what is missing: a box, or cables of one class and length. */
export type ShoppingLine =
  | {
      readonly kind: "box";
      readonly archetype: string;
      readonly name: string;
      readonly count: 1;
      readonly price: number | null;
      readonly supply: string;
    }
  | { readonly kind: "cable"; readonly class: CableClass; readonly lengthM: number; readonly count: number };

/** What a plan asks for beyond what lies in the room, cables of a kind together, in lengths that are sold. */
export function shoppingOf({ boxes, wires }: WiringPlan): readonly ShoppingLine[] {
  const cables = new Map<string, { class: CableClass; lengthM: number; count: number }>();
  for (const { cable, lying } of wires) {
    if (lying || cable.class === "direct-plug" || cable.class === "bluetooth") continue;
    const lengthM = soldLength(cable.lengthM);
    const key = `${cable.class} ${lengthM}`;
    const known = cables.get(key);
    if (known) known.count += 1;
    else cables.set(key, { class: cable.class, lengthM, count: 1 });
  }
  return [
    ...boxes.flatMap(({ device, price, isThere }): ShoppingLine[] =>
      isThere ? [] : [{ kind: "box", archetype: device.archetype ?? device.id, name: device.name, count: 1, price, supply: device.supply }],
    ),
    ...[...cables.values()].map((cable): ShoppingLine => ({ kind: "cable", ...cable })),
  ];
}

/** A cable of the plan, with what was there before. */
export interface ScheduleLine {
  readonly cable: Cable;
  /** As it lies, in another socket than now, or new. */
  readonly work: "stays" | "moves" | "new";
  /** The rooms or places that it joins; null within one. */
  readonly run: readonly [string, string] | null;
}

/** Every cable that a plan decides, in the order in which it is laid: backbone first, then the players. */
export const scheduleOf = (job: Job, { wires }: WiringPlan): readonly ScheduleLine[] =>
  wires.map(({ cable, lying }) => ({
    cable,
    work: !lying ? "new" : lying.from.port === cable.from.port && lying.to.port === cable.to.port ? "stays" : "moves",
    run: runBetween(job, cable.from.device, cable.to.device)?.between ?? null,
  }));

/** The settings to visit, device by device; those that stand already are left out. */
export function settingsSheetOf(job: Job, { job: planned, settings }: WiringPlan) {
  const devices = planned.devices.filter(({ id }) => settings.some(({ device }) => device === id));
  return devices.flatMap((device) => {
    const rows = settings.flatMap(({ device: id, key, value }) => {
      const found = (findDevice(job, id) ?? device).settings.find((row) => row.key === key)?.found ?? null;
      return id === device.id && found !== value ? [{ key, found, value }] : [];
    });
    return rows.length ? [{ device: device.id, rows }] : [];
  });
}
