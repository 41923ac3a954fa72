import { cableAt, type CableEnd, type Job } from "@/core/job";

/** A socket on the walk along the back plates, and whether something is written down for it. */
export interface WalkStop {
  readonly end: CableEnd;
  readonly plugged: boolean;
}

const LANES = ["sound", "screen", "box", "player"] as const;

/**
 * Every socket in the order an installer's hand goes: the sound system and the screen first, where most plugs sit, each plate from its
 * first socket to its last. A cable is met at the first of its two ends; the other end is already answered by it.
 */
export function walkOf(job: Job): readonly WalkStop[] {
  const met = new Set<string>();
  return LANES.flatMap((role) => job.devices.filter((device) => device.role === role)).flatMap((device) =>
    device.ports.flatMap((port): WalkStop[] => {
      const end = { device: device.id, port: port.id };
      const cable = cableAt(job, end);
      if (!cable) return [{ end, plugged: false }];
      if (met.has(cable.id)) return [];
      met.add(cable.id);
      return [{ end, plugged: true }];
    }),
  );
}
