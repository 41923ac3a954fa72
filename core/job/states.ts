import type { SettingState } from "@/core/device";
import { MOST_SNAPSHOTS, type Job, type Snapshot } from "./job";
import { PHASES } from "./phase";
import type { Command, SingleCommand } from "./command";
import type { JobCommand } from "./job-commands";

/** The saved states that tell how a room was found and how it was left, by their ids. */
const STATE_IDS = { found: "as-found", left: "as-left" } as const;

/**
 * Gear and cables of a job as found, planned or left. Planned is the job itself; found and left are saved states, null where none was
 * saved yet. Settings have the three states of their own inside each device.
 */
export function wiringOf(job: Job, state: SettingState): Pick<Job, "devices" | "cables"> | null {
  if (state === "planned") return job;
  return job.snapshots.find(({ id }) => id === STATE_IDS[state]) ?? null;
}

type JobFields = Extract<JobCommand, { kind: "edit-job" }>["fields"];

/**
 * An edit of the job's fields with the states that a change of phase saves: as found when the survey ends, once; as left when the job is
 * handed over, again each time. Nothing is saved where there is no room for one more state.
 * @param names what the states are called for people
 * @param takenAt the moment, ISO 8601
 */
export function editWithStates(job: Job, fields: JobFields, names: Readonly<Record<"found" | "left", string>>, takenAt: string): Command {
  const edit: SingleCommand = { kind: "edit-job", fields };
  const saved = savedBy(job, fields.phase ?? job.phase);
  if (saved === null) return edit;
  const id = STATE_IDS[saved];
  const before = job.snapshots.some((snapshot) => snapshot.id === id);
  if (!before && job.snapshots.length >= MOST_SNAPSHOTS) return edit;
  const snapshot: Snapshot = { id, name: names[saved], takenAt, devices: job.devices, cables: job.cables };
  const commands: SingleCommand[] = [
    edit,
    ...(before ? [{ kind: "drop-snapshot", snapshot: id } as const] : []),
    { kind: "keep-snapshot", snapshot, at: null },
  ];
  return { kind: "batch", commands };
}

/** The state that a change of phase saves; null: none. */
function savedBy(job: Job, next: Job["phase"]): "found" | "left" | null {
  const [from, to] = [PHASES.indexOf(job.phase), PHASES.indexOf(next)];
  if (to <= from) return null;
  if (next === "handover") return "left";
  return job.phase === "survey" && !job.snapshots.some(({ id }) => id === STATE_IDS.found) ? "found" : null;
}
