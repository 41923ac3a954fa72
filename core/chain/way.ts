import type { Device, SoundRoute } from "@/core/device";
import { endKey, type Cable, type CableEnd } from "@/core/job";
import type { Reason } from "./reason";
import { isAt, type Rig } from "./rig";

/** One step of a way from a source to the speakers. */
export type Step =
  /** Inside a device, from a source or socket to a socket or to "speakers". */
  | { readonly kind: "inside"; readonly device: Device; readonly from: string; readonly to: string; readonly route: SoundRoute }
  /** Inside a device that has no such route: where sound would have to go, and why it does not. */
  | { readonly kind: "gap"; readonly device: Device; readonly from: string; readonly to: string; readonly reason: Reason }
  | {
      readonly kind: "link";
      readonly cable: Cable;
      readonly transport: "forward" | "return";
      readonly from: CableEnd;
      readonly to: CableEnd;
    };

export type Way = readonly Step[];

/** Enough for any room; a tangle beyond it is cut off rather than searched for ever. */
const MOST_WAYS = 64;
const MOST_STEPS = 24;
/** Boxes that are joined to each other in several ways have twice as many ways with each box more: beyond this no more are looked at. */
export const MOST_VISITS = 2000;

/** Ways of a room that were not all looked at. */
const cutOff = new WeakSet<readonly Way[]>();
export const isCutOff = (ways: readonly Way[]): boolean => cutOff.has(ways);

/**
 * Every way from a source to the speakers of a device, through cables as they lie, including ways that have a gap where a
 * return channel would be needed: those carry nothing, but they say what is missing. A device may be passed twice where its sockets
 * differ, as a box that hands HDMI on to the screen and takes the screen's return; no socket is passed twice in one direction.
 */
export const waysTo = (rig: Rig, device: Device, source: string, goal: Device): readonly Way[] =>
  rig.recall(`ways ${device.id} ${source} ${goal.id}`, () => findWays(rig, device, source, goal), []);

function findWays(rig: Rig, device: Device, source: string, goal: Device): readonly Way[] {
  const ways: Way[] = [];
  let visits = 0;
  const trail: Step[] = [];
  const seen = new Set<string>();
  const visit = (here: Device, from: string) => {
    if (ways.length >= MOST_WAYS || trail.length >= MOST_STEPS || visits >= MOST_VISITS) return;
    visits += 1;
    for (const step of stepsInside(rig, here, from)) {
      if (step.to === "speakers") {
        if (here.id === goal.id) ways.push([...trail, step]);
        continue;
      }
      const link = linkFrom(rig, { device: here.id, port: step.to });
      const next = link ? rig.device(link.to.device) : undefined;
      const entry = link ? endKey(link.to) : "";
      if (!link || !next || seen.has(entry)) continue;
      trail.push(step, link);
      seen.add(entry);
      visit(next, link.to.port);
      seen.delete(entry);
      trail.length -= 2;
    }
  };
  visit(device, source);
  if (ways.length >= MOST_WAYS || visits >= MOST_VISITS) cutOff.add(ways);
  return ways;
}

type InnerStep = Exclude<Step, { kind: "link" }>;

function stepsInside(rig: Rig, device: Device, from: string): readonly InnerStep[] {
  const routed = routedSteps(device, from);
  const takers = rig.takersAt(device);
  if (takers.size === 0) return routed;
  const gaps = device.ports.flatMap((port): InnerStep[] => {
    if (port.connector !== "hdmi" || port.direction !== "in" || port.id === from || routed.some(({ to }) => to === port.id)) return [];
    const end = { device: device.id, port: port.id };
    if (!takers.has(port.id)) return [];
    const reason: Reason =
      port.returns === "none" ? { code: "no-return-socket", ...end } : { code: "no-sound-route", device: device.id, port: from };
    return [{ kind: "gap", device, from, to: port.id, reason }];
  });
  return gaps.length ? [...routed, ...gaps] : routed;
}

/** Devices are never changed in place, so their inner steps are laid out once. */
const laidOut = new WeakMap<Device, Map<string, readonly Extract<InnerStep, { kind: "inside" }>[]>>();

function routedSteps(device: Device, from: string): readonly Extract<InnerStep, { kind: "inside" }>[] {
  const byTerminal = laidOut.get(device) ?? new Map<string, readonly Extract<InnerStep, { kind: "inside" }>[]>();
  laidOut.set(device, byTerminal);
  const known =
    byTerminal.get(from) ??
    device.routes.flatMap((route) =>
      route.kind === "sound" && route.from.includes(from)
        ? route.to.map((to) => ({ kind: "inside" as const, device, from, to, route }))
        : [],
    );
  byTerminal.set(from, known);
  return known;
}

/** The cable that leaves a socket: forward from an output, back along an HDMI cable from an input. */
function linkFrom(rig: Rig, exit: CableEnd): Extract<Step, { kind: "link" }> | null {
  const cable = rig.cableAt(exit);
  if (!cable || !rig.port(exit)) return null;
  return isAt(cable.from, exit)
    ? { kind: "link", cable, transport: "forward", from: cable.from, to: cable.to }
    : { kind: "link", cable, transport: "return", from: cable.to, to: cable.from };
}

/** The devices that sound of a source reaches when no way leads to the goal, the last of the longest way first. */
export function devicesReached(rig: Rig, device: Device, source: string): readonly Device[] {
  const reached = new Map<string, { device: Device; depth: number }>();
  let visits = 0;
  const visit = (here: Device, from: string, depth: number, seen: ReadonlySet<string>) => {
    if (visits >= MOST_VISITS) return;
    visits += 1;
    if (depth > 0 && (reached.get(here.id)?.depth ?? 0) < depth) reached.set(here.id, { device: here, depth });
    for (const step of stepsInside(rig, here, from)) {
      const link = step.to === "speakers" || step.kind === "gap" ? null : linkFrom(rig, { device: here.id, port: step.to });
      const next = link ? rig.device(link.to.device) : undefined;
      const entry = link ? endKey(link.to) : "";
      if (link && next && !seen.has(entry)) visit(next, link.to.port, depth + 1, new Set([...seen, entry]));
    }
  };
  visit(device, source, 0, new Set());
  return [...reached.values()].sort((a, b) => b.depth - a.depth).map((one) => one.device);
}
