import type { Device, SoundRoute } from "@/core/device";
import type { Cable, CableEnd } from "@/core/job";
import type { Reason } from "./reason";
import type { Rig } from "./rig";

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

/**
 * Every way from a source to the speakers of a device, through cables as they lie, including ways that have a gap where a
 * return channel would be needed: those carry nothing, but they say what is missing. No device is visited twice.
 */
export function waysTo(rig: Rig, device: Device, source: string, goal: Device): readonly Way[] {
  const ways: Way[] = [];
  const visit = (here: Device, from: string, trail: Way, seen: ReadonlySet<string>) => {
    if (ways.length >= MOST_WAYS || trail.length >= MOST_STEPS) return;
    for (const step of stepsInside(rig, here, from)) {
      if (step.to === "speakers") {
        if (here.id === goal.id) ways.push([...trail, step]);
        continue;
      }
      const link = linkFrom(rig, { device: here.id, port: step.to });
      const next = link ? rig.device(link.to.device) : undefined;
      if (link && next && !seen.has(next.id)) visit(next, link.to.port, [...trail, step, link], new Set([...seen, next.id]));
    }
  };
  visit(device, source, [], new Set([device.id]));
  return ways;
}

function stepsInside(rig: Rig, device: Device, from: string): readonly Exclude<Step, { kind: "link" }>[] {
  const steps: Exclude<Step, { kind: "link" }>[] = [];
  const reached = new Set<string>();
  for (const route of device.routes) {
    if (route.kind !== "sound" || !route.from.includes(from)) continue;
    for (const to of route.to) {
      reached.add(to);
      steps.push({ kind: "inside", device, from, to, route });
    }
  }
  for (const port of device.ports) {
    if (port.connector !== "hdmi" || port.direction !== "in" || port.id === from || reached.has(port.id)) continue;
    if (!rig.cableAt({ device: device.id, port: port.id })) continue;
    const end = { device: device.id, port: port.id };
    const reason: Reason =
      port.returns === "none" ? { code: "no-return-socket", ...end } : { code: "no-sound-route", device: device.id, port: from };
    steps.push({ kind: "gap", device, from, to: port.id, reason });
  }
  return steps;
}

/** The cable that leaves a socket: forward from an output, back along an HDMI cable from an input. */
function linkFrom(rig: Rig, exit: CableEnd): Extract<Step, { kind: "link" }> | null {
  const cable = rig.cableAt(exit);
  const port = rig.port(exit);
  if (!cable || !port) return null;
  return port.direction === "out"
    ? { kind: "link", cable, transport: "forward", from: cable.from, to: cable.to }
    : { kind: "link", cable, transport: "return", from: cable.to, to: cable.from };
}

/** Where sound of a source comes to rest when no way leads to the goal: the last device it reaches, or none. */
export function furthestReached(rig: Rig, device: Device, source: string): Device | null {
  let furthest: { device: Device; depth: number } | null = null;
  const visit = (here: Device, from: string, depth: number, seen: ReadonlySet<string>) => {
    if (depth > 0 && (!furthest || depth > furthest.depth)) furthest = { device: here, depth };
    for (const step of stepsInside(rig, here, from)) {
      const link = step.to === "speakers" || step.kind === "gap" ? null : linkFrom(rig, { device: here.id, port: step.to });
      const next = link ? rig.device(link.to.device) : undefined;
      if (link && next && !seen.has(next.id)) visit(next, link.to.port, depth + 1, new Set([...seen, next.id]));
    }
  };
  visit(device, source, 0, new Set([device.id]));
  return (furthest as { device: Device } | null)?.device ?? null;
}
