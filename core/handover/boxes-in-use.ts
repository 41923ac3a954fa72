import { pictureRun } from "@/core/chain";
import type { Household } from "@/core/cec";
import type { Device } from "@/core/device";

/** A box that something goes through in this room. */
export interface BoxInUse {
  readonly device: Device;
  /** Sound counts before the picture. */
  readonly passes: "sound" | "picture";
}

/** The boxes that the sound or the picture of a row passes; one that is plugged for nothing is none of them. */
export function boxesInUse({ job, solved }: Household): readonly BoxInUse[] {
  const sound = new Set(solved.rows.flatMap(({ plays, hops }) => (plays ? hops.map(({ device }) => device) : [])));
  const cables = new Set(solved.rows.flatMap((row) => pictureRun(job, row).map(({ cable }) => cable)));
  const picture = new Set(job.cables.flatMap(({ id, from, to }) => (cables.has(id) ? [from.device, to.device] : [])));
  return job.devices.flatMap((device): BoxInUse[] => {
    if (device.role !== "box") return [];
    return sound.has(device.id) ? [{ device, passes: "sound" }] : picture.has(device.id) ? [{ device, passes: "picture" }] : [];
  });
}
