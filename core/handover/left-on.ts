import { pictureRun } from "@/core/chain";
import type { Household } from "@/core/cec";
import type { Device } from "@/core/device";

/** What nobody switches on, and what somebody in this room would miss of it. */
export interface LeftOn {
  readonly device: Device;
  /** The sound or the picture goes through it, sound before the picture, or the sound comes out of it. */
  readonly does: "passes-sound" | "passes-picture" | "plays";
}

/** The boxes that the sound or the picture of a row passes, and a sound system without a power key; what is plugged for nothing is none of them. */
export function leftOn({ job, solved, stations }: Household): readonly LeftOn[] {
  const sound = new Set(solved.rows.flatMap(({ plays, hops }) => (plays ? hops.map(({ device }) => device) : [])));
  const cables = new Set(solved.rows.flatMap((row) => pictureRun(job, row).map(({ cable }) => cable)));
  const picture = new Set(job.cables.flatMap(({ id, from, to }) => (cables.has(id) ? [from.device, to.device] : [])));
  return job.devices.flatMap((device): LeftOn[] => {
    if (stations.get(device.id)?.nature.leftOn) return sound.has(device.id) ? [{ device, does: "plays" }] : [];
    if (device.role !== "box") return [];
    if (sound.has(device.id)) return [{ device, does: "passes-sound" }];
    return picture.has(device.id) ? [{ device, does: "passes-picture" }] : [];
  });
}
