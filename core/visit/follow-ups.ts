import { MOST_SNAPSHOTS, wiringOf, type Job, type SingleCommand, type VisitEntry } from "@/core/job";
import { visitSteps } from "./derive-steps";
import { lastEntries } from "./last-entries";
import { partsOfSteps, type FittedPart } from "./parts";

/** What follows for a job from what was done: edits, and parts that were fitted. */
export interface FollowUps {
  readonly commands: readonly SingleCommand[];
  readonly fitted: readonly FittedPart[];
}

/**
 * What follows from entries that came in: a menu that was set is noted as left, one whose tick was taken back no longer is; parts of finished
 * steps were fitted. Before the first of them the room is saved as it was found, so that the difference stays.
 * @param record the whole record, with what came in
 * @param found id, name and moment of the state as found
 */
export function followUps(
  job: Job,
  record: readonly VisitEntry[],
  cameIn: readonly VisitEntry[],
  found: { readonly name: string; readonly takenAt: string },
): FollowUps {
  const steps = visitSteps(job, record);
  const last = lastEntries(record);
  const fresh = new Set(cameIn.map(({ id }) => id));
  const counting = steps.flatMap((step) => {
    const entry = last.get(step.id);
    return entry && fresh.has(entry.id) ? [{ step, state: entry.state }] : [];
  });
  const done = counting.filter(({ state }) => state === "done");
  const settings = counting.flatMap(({ step, state }): SingleCommand[] => {
    const now = job.devices.find(({ id }) => id === step.device)?.settings.find(({ key }) => key === step.setting?.key)?.left ?? null;
    const value = state === "done" ? (step.setting?.value ?? null) : null;
    if (!step.setting || step.device === null || state === "put-off" || state === "not-done" || now === value) return [];
    return [{ kind: "set-setting", device: step.device, setting: step.setting.key, state: "left", value }];
  });
  const parts = partsOfSteps(job, steps);
  const fitted = done.flatMap(({ step }) => parts.get(step.id) ?? []);
  const saved = savedAsFound(job, found);
  // Where the state as found cannot be saved, parts stay what they are: else nobody could tell any more that they are new.
  if (saved === null) return { commands: settings, fitted: [] };
  return { commands: [...(settings.length || fitted.length ? saved : []), ...settings], fitted };
}

/** Saves what is there already as the room as it was found, once; null where there is no room for one more state. */
function savedAsFound(job: Job, { name, takenAt }: { readonly name: string; readonly takenAt: string }): readonly SingleCommand[] | null {
  if (wiringOf(job, "found")) return [];
  if (job.snapshots.length >= MOST_SNAPSHOTS) return null;
  const devices = job.devices.filter(({ supply }) => supply === "there");
  const here = new Set(devices.map(({ id }) => id));
  const cables = job.cables.filter(({ supply, from, to }) => supply === "there" && here.has(from.device) && here.has(to.device));
  return [{ kind: "keep-snapshot", snapshot: { id: "as-found", name, takenAt, devices, cables }, at: 0 }];
}
