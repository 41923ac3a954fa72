import { wiringOf, type Job, type VisitEntry } from "@/core/job";
import { lastEntries } from "./last-entries";
import { joined, readCableStepId, wayOf, type JoinedCable } from "./step-id";

/** The cables of a room as it was found. Where no state was saved as found, what the job says to be there already is taken to be it. */
export const cablesFound = (job: Job): readonly JoinedCable[] =>
  (wiringOf(job, "found")?.cables ?? job.cables.filter(({ supply }) => supply === "there")).map(joined);

/** What is plugged by now, by the way it takes: as found, with what was plugged and taken out on the visit. */
export function plugsNow(job: Job, record: readonly VisitEntry[]): ReadonlyMap<string, JoinedCable> {
  const plugs = new Map(cablesFound(job).map((cable) => [wayOf(cable), cable]));
  const done = [...lastEntries(record).values()].filter(({ state }) => state === "done");
  for (const { step } of done.toSorted((a, b) => a.at.localeCompare(b.at) || a.id.localeCompare(b.id))) {
    const read = readCableStepId(step);
    if (read?.act === "plug") plugs.set(wayOf(read), read);
    if (read?.act === "unplug") plugs.delete(wayOf(read));
  }
  return plugs;
}
