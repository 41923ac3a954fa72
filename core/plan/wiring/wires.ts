import { cableClassFact, classesJoining } from "@/core/facts";
import { findPort, joinSockets, whyNotLay, type Cable, type CableEnd, type Job } from "@/core/job";
import type { WiringSpace } from "./space";

/** A cable of a plan: one that lies already between the two devices, perhaps in other sockets of them, or a new one. */
export interface Wire {
  readonly cable: Cable;
  /** The cable that lies now; null: it is new. */
  readonly lying: Cable | null;
}

/** Where new wires are thought of before it is known which ids are free. */
const idOf = (from: CableEnd, to: CableEnd): string => `plan-${from.device}-${from.port}-${to.device}`.slice(0, 64);

/**
 * The cables that could join an output and an input: those that lie between the two devices with such plugs, and a new one unless the
 * best there is lies already, none may be bought, or the brief allows no cable there.
 * @param job a room in which both devices stand and the two sockets are free
 */
export function wiresBetween(space: WiringSpace, job: Job, from: CableEnd, to: CableEnd): readonly Wire[] {
  const [out, into] = [findPort(job, from), findPort(job, to)];
  if (!out || !into) return [];
  const classes: readonly string[] = classesJoining(out.connector, into.connector);
  if (classes.length === 0) return [];
  const lying = space.lying
    .filter((cable) => cable.from.device === from.device && cable.to.device === to.device && classes.includes(cable.class))
    .map((cable): Wire => ({ cable: { ...cable, from, to }, lying: cable }));
  if (lying.some(({ cable }) => isBest(cable)) || !mayLay(space) || whyNotLay(job, from, to) !== null) return lying;
  const wide = out.connector === "hdmi" && out.plug === "wide";
  const joined = joinSockets(job, from, to, wide ? "hdmi-extender" : undefined);
  return joined.kind === "plug" ? [...lying, { cable: { ...joined.cable, id: idOf(from, to), supply: "buy" }, lying: null }] : lying;
}

/** Nothing a new cable could do better: every wire of the best class, or no HDMI at all. */
const isBest = (cable: Cable): boolean =>
  cableClassFact(cable.class).ends[0] !== "hdmi" ||
  cable.class === "direct-plug" ||
  cable.class === "hdmi-extender" ||
  (cable.class === "ultra-high-speed" && cable.returnWires === "earc" && cable.controlWire);

const mayLay = ({ job, bonds }: WiringSpace): boolean =>
  job.brief.mayBuy.includes("cable") && !bonds.some(({ bond }) => bond === "forbid-new-cables");
