import { findPort, type Cable, type Job } from "@/core/job";
import { deviceName, socketPrint } from "./names";

/** How a cable is called on the map and its labels: its own label, else its number in the list. */
export const cableMark = (job: Job, cable: Cable): string => cable.label || `C${job.cables.indexOf(cable) + 1}`;

/** What is written at one end of a cable: where this end belongs and where the other goes; or the person's own words. */
export function endTag(job: Job, cable: Cable, end: "from" | "to"): string {
  if (cable.tags[end]) return cable.tags[end];
  const [here, there] = end === "from" ? [cable.from, cable.to] : [cable.to, cable.from];
  const print = findPort(job, here) ? socketPrint(job, here) : here.port;
  return `${cableMark(job, cable)} ${deviceName(job, here.device)} ${print} · other end ${deviceName(job, there.device)} ${socketPrint(job, there)}`;
}
