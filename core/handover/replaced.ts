import { findDevice, PHASES, stepsOf, type Command, type EventOf, type Job, type VisitEntry } from "@/core/job";
import { eventsOf, type RecordedEvent } from "./visits";

/** Devices that edits put others in the place of. While a room is still surveyed or designed that is a thought, not history: there are none. */
export function replacedIn(job: Job, commands: readonly Command[]): readonly EventOf<"replaced">[] {
  if (PHASES.indexOf(job.phase) < PHASES.indexOf("visit")) return [];
  return commands.flatMap((command) => {
    const steps = stepsOf(command);
    return steps.flatMap((step): EventOf<"replaced">[] => {
      const added = steps.flatMap((other) => (other.kind === "add-device" ? [other.device] : []));
      const old = step.kind === "remove-device" ? findDevice(job, step.device) : undefined;
      const next = old && added.find(({ id }) => id === old.id);
      return old && next ? [{ event: "replaced", device: old.id, name: old.name, archetype: old.archetype, became: next.name }] : [];
    });
  });
}

/** The replacements of a record; one that was taken back at once is none. */
export function replacementsOf(record: readonly VisitEntry[]): readonly RecordedEvent<"replaced">[] {
  const kept: RecordedEvent<"replaced">[] = [];
  for (const one of eventsOf(record, "replaced")) {
    const last = kept.at(-1);
    const isUndone =
      last?.event.device === one.event.device && last.event.name === one.event.became && last.event.became === one.event.name;
    if (isUndone) kept.pop();
    else kept.push(one);
  }
  return kept;
}
