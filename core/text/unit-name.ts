import { unitsOf } from "@/core/device";
import { findDevice, type Job } from "@/core/job";

/** A unit of a sound system as people call it: "the left rear". Its id where it is gone. */
export function unitName(job: Job, { device, unit }: { readonly device: string; readonly unit: string }): string {
  const found = findDevice(job, device);
  return (found && unitsOf(found).find(({ id }) => id === unit)?.name) ?? unit;
}
