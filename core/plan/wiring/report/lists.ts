import type { Supply } from "@/core/device";
import type { CableClass } from "@/core/facts";
import { arrivalsOf } from "@/core/chain";
import { findDevice, runBetween, type Cable, type CableEnd, type Job } from "@/core/job";
import type { WiringPlan } from "../search";
import { hasAdapter, isUnchanged } from "../space";

/** Lengths in which leads are sold, in metres. */
export const STOCK_LENGTHS = [0.5, 1, 1.5, 2, 3, 5, 7.5, 10, 15, 20, 30, 50] as const;

/** The next length sold; a longer run is made to context. */
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
  | { readonly kind: "cable"; readonly class: CableClass; readonly lengthM: number; readonly count: number; readonly supply: Supply }
  /** Adapters that leave out the control wire. */
  | { readonly kind: "adapter"; readonly count: number };

/** What a plan asks for beyond what is in the room, cables of a kind together, in lengths that are sold. */
export function shoppingOf({ boxes, wires }: WiringPlan): readonly ShoppingLine[] {
  const cables = new Map<string, { class: CableClass; lengthM: number; count: number; supply: Supply }>();
  const adapters = wires.filter(hasAdapter).length;
  for (const { cable, existing } of wires) {
    if (existing || cable.class === "direct-plug" || cable.class === "bluetooth") continue;
    const lengthM = soldLength(cable.lengthM);
    const key = `${cable.class} ${lengthM} ${cable.supply}`;
    const known = cables.get(key);
    if (known) known.count += 1;
    else cables.set(key, { class: cable.class, lengthM, count: 1, supply: cable.supply });
  }
  return [
    ...boxes.flatMap(({ device, price, isThere }): ShoppingLine[] =>
      isThere ? [] : [{ kind: "box", archetype: device.archetype ?? device.id, name: device.name, count: 1, price, supply: device.supply }],
    ),
    ...[...cables.values()].map((cable): ShoppingLine => ({ kind: "cable", ...cable })),
    ...(adapters ? [{ kind: "adapter", count: adapters } as const] : []),
  ];
}

/** A cable of the plan, with what was there before. */
export interface ScheduleLine {
  readonly cable: Cable;
  /** As it is, in another socket than now, or new. */
  readonly work: "stays" | "moves" | "new";
  /** It gets an adapter that leaves out the control wire. */
  readonly adapter: boolean;
  /** The rooms or places that it joins; null within one. */
  readonly run: readonly [string, string] | null;
}

/** Every cable that a plan decides, in the order in which it is laid: topology first, then the players. */
export const scheduleOf = (job: Job, { wires }: WiringPlan): readonly ScheduleLine[] =>
  wires.map((wire) => ({
    cable: wire.cable,
    work: !wire.existing ? "new" : isUnchanged(wire) ? "stays" : "moves",
    adapter: hasAdapter(wire),
    run: runBetween(job, wire.cable.from.device, wire.cable.to.device)?.between ?? null,
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

/** A delay to set at the sound system, in milliseconds, for what comes in by one of its sockets. */
export interface DelayLine {
  readonly at: CableEnd;
  readonly ms: number;
  /** How far the rows by that socket lie apart: it takes one delay for all of them, which is the middle. */
  readonly spreadMs: number;
}

/**
 * The delays that bring sound which comes before its picture into step, by the socket at which it reaches the sound system. Sound that is
 * late already cannot be cured by a delay and is left out. Source: ITU-R BT.1359-1 for what is noticed.
 */
export function delaysOf({ job }: WiringPlan): readonly DelayLine[] {
  const early = new Map<string, { at: CableEnd; all: number[] }>();
  for (const { system, hops, lipSyncMs, lipSync } of arrivalsOf(job)) {
    const entry = hops.findLast(({ device, cable }) => device === system && cable !== null);
    if (!entry || lipSyncMs === null || lipSync === "in-step" || lipSyncMs >= 0) continue;
    const at = { device: entry.device, port: entry.port };
    const known = early.get(entry.port) ?? { at, all: [] };
    known.all.push(-lipSyncMs);
    early.set(entry.port, known);
  }
  return [...early.values()].map(({ at, all }) => {
    const [least, most] = [Math.min(...all), Math.max(...all)];
    return { at, ms: Math.round((least + most) / 2), spreadMs: Math.round(most - least) };
  });
}
