import type { Job } from "@/core/job";

/** Why there is nothing to plan, and what to add; for a job of which no wiring space can be made. */
export function nothingToPlan(job: Job): string {
  const missing = [
    ...(job.devices.some(({ role, display }) => role === "screen" && display) ? [] : ["a television or projector"]),
    ...(job.devices.some(({ role }) => role === "sound") ? [] : ["a sound system: a bar, a receiver or speakers"]),
  ];
  return `There is nothing to plan yet: add ${missing.join(" and ") || "a sound system"} on the Gear page.`;
}
