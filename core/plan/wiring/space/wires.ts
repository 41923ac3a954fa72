import { mayReturn, type Supply } from "@/core/device";
import { cableClassFact, classesJoining, type CableClass } from "@/core/facts";
import {
  findDevice,
  findPort,
  joinSockets,
  reaches,
  sameEnd,
  whyNotLay,
  whyNotPlug,
  type Cable,
  type CableEnd,
  type Job,
} from "@/core/job";
import type { WiringSpace } from "./space";

/** A cable of a plan: one that is already between the two devices, perhaps in other sockets of them, or a new one. */
export interface Wire {
  readonly cable: Cable;
  /** The cable that is there now; null: it is new. */
  readonly existing: Cable | null;
}

/** Where new wires are considered before it is known which ids are free. */
const idOf = (from: CableEnd, to: CableEnd): string => `plan-${from.device}-${from.port}-${to.device}`.slice(0, 64);

/** Between two free sockets the same wires are possible whatever else is plugged, so they are computed once for a space. */
const thoughtOf = new WeakMap<WiringSpace, Map<string, readonly Wire[]>>();

/**
 * The cables that could join an output and an input: those already between the two devices with such plugs, and a new one unless the
 * best there is is already installed, none may be bought, or the brief allows no cable there.
 * @param job a room in which both devices stand and the two sockets are free, and in which the wire would close no loop
 */
export function wiresBetween(space: WiringSpace, job: Job, from: CableEnd, to: CableEnd): readonly Wire[] {
  const known = thoughtOf.get(space) ?? new Map<string, readonly Wire[]>();
  thoughtOf.set(space, known);
  const key = `${from.device} ${from.port} ${to.device} ${to.port}`;
  const wires = known.get(key) ?? withAdapters(space, job, wiresOf(space, job, from, to));
  known.set(key, wires);
  return wires;
}

/** It carries sound alone. */
export const isLead = ({ class: kind }: Cable): boolean => cableClassFact(kind).ends[0] !== "hdmi";

/** A wire that stays as it is now. */
export const isUnchanged = ({ cable, existing }: Wire): boolean =>
  existing !== null && sameEnd(existing.from, cable.from) && sameEnd(existing.to, cable.to) && existing.controlWire === cable.controlWire;

/** An adapter is in it that leaves out the control wire, which the cable itself has. */
export const hasAdapter = ({ cable, existing }: Wire): boolean => !cable.controlWire && (existing?.controlWire ?? true);

/** Of a player that quarrels each wire also without the control wire, by an adapter made for it. */
function withAdapters(space: WiringSpace, job: Job, wires: readonly Wire[]): readonly Wire[] {
  const [first] = wires;
  // An adapter is bought like a cable.
  if (!mayLay(space)) return wires;
  const quirks = first ? (findDevice(job, first.cable.from.device)?.control.quirks ?? []) : [];
  if (quirks.length === 0) return wires;
  const isHdmi = ({ cable }: Wire) => !isLead(cable) && cable.controlWire;
  return [...wires, ...wires.filter(isHdmi).map((wire): Wire => ({ ...wire, cable: { ...wire.cable, controlWire: false } }))];
}

function wiresOf(space: WiringSpace, job: Job, from: CableEnd, to: CableEnd): readonly Wire[] {
  const [out, into] = [findPort(job, from), findPort(job, to)];
  if (!out || !into) return [];
  const classes: readonly string[] = classesJoining(out.connector, into.connector);
  if (classes.length === 0) return [];
  const reused = (cables: readonly Cable[]) => cables.map((cable): Wire => ({ cable: { ...cable, from, to }, existing: cable }));
  const fits = space.existing.filter((cable) => classes.includes(cable.class) && !cable.miswired);
  const existing = reused(fits.filter((cable) => cable.from.device === from.device && cable.to.device === to.device));
  // The cable that is in this very output can be led to another device, where it is long enough.
  const moved = reused(
    fits.filter((cable) => sameEnd(cable.from, from) && cable.to.device !== to.device && reaches(job, cable, from, to)),
  ).filter(() => whyNotLay({ ...job, cables: [...space.fixedCables] }, from, to) === null);
  const free = { ...job, cables: [...space.fixedCables] };
  if (classes.includes("bluetooth"))
    return existing.length || whyNotPlug(free, from, to) ? existing : newWire(free, from, to, "bluetooth", "there");
  const wide = out.connector === "hdmi" && out.plug === "wide";
  if (existing.some(({ cable }) => isBest(cable, wide))) return existing;
  if (!mayLay(space, from, to)) return [...existing, ...moved];
  if (whyNotLay(free, from, to) !== null) return existing;
  const usual = newWire(free, from, to, wide ? "hdmi-extender" : undefined);
  return [
    ...existing,
    ...moved,
    ...usual,
    ...usual.flatMap(({ cable }) =>
      isTooLong(cable) ? newWire(free, from, to, [out, into].every(mayReturn) ? "hybrid-optical-hdmi-earc" : "hybrid-optical-hdmi") : [],
    ),
  ];
}

function newWire(job: Job, from: CableEnd, to: CableEnd, kind?: CableClass, supply: Supply = "buy"): readonly Wire[] {
  const joined = joinSockets(job, from, to, kind);
  if (joined.kind !== "plug") return [];
  const lengthM = kind === "hdmi-extender" ? cableClassFact(kind).certainM : joined.cable.lengthM;
  return [{ cable: { ...joined.cable, id: idOf(from, to), supply, lengthM }, existing: null }];
}

/** Copper is not certain over it at every rate: the picture could do with optical fibre. */
const isTooLong = ({ class: kind, lengthM }: Cable): boolean => kind === "ultra-high-speed" && lengthM > cableClassFact(kind).certainM;

/** Nothing a new cable could do better: every wire of the best class, or no HDMI at all. A wide stick without extender covers its neighbours. */
const isBest = (cable: Cable, wide: boolean): boolean =>
  isLead(cable) ||
  (cable.class === "direct-plug" && !wide) ||
  cable.class === "hdmi-extender" ||
  (cable.class === "ultra-high-speed" && cable.returnWires === "earc" && cable.controlWire && !isTooLong(cable));

/** Whether a new cable may be laid: where cables may be bought, and to a bought box, which comes with its cables. */
export const mayLay = ({ job, bonds, boxes }: WiringSpace, ...ends: readonly CableEnd[]): boolean => {
  const { mayBuy } = job.brief;
  const isAtBox = ends.some((end) => boxes.some(({ device, isThere }) => !isThere && device.id === end.device));
  return (mayBuy.includes("cable") || (mayBuy.includes("box") && isAtBox)) && !bonds.some(({ bond }) => bond === "forbid-new-cables");
};
