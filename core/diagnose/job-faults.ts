import { faultKindFact, settingFact, type FaultKind } from "@/core/facts";
import { applyCommand, stepsOf, type Command, type Job } from "@/core/job";
import { cableFaults } from "./cable-faults";
import { settingFaults, stateFaults, unitFaults } from "./device-faults";
import { faultId, type Fault } from "./fault";
import { brokenRoom, type Healthy, type Seen } from "./seen";
import { symptomsOf } from "./symptom";

/** A fault that this job can have, and the room with it as a person would find it. */
export interface PlayedFault {
  readonly fault: Fault;
  readonly seen: Seen;
}

/** Everything that can be wrong in a job, made from the job itself: every lead, plug, switch, device and unit. */
export const faultsThinkable = (job: Job): readonly Fault[] => [
  ...job.devices.flatMap((device) => [...settingFaults(device), ...stateFaults(job, device)]),
  ...job.cables.flatMap((cable) => cableFaults(job, cable)),
  ...unitFaults(job),
];

/**
 * Plays every fault of a job. One of which a household would have nothing to tell is no fault.
 * @returns those that show in what sounds and is shown, in what the remotes do, or at a speaker
 */
export function playFaults(healthy: Healthy): readonly PlayedFault[] {
  return faultsThinkable(healthy.job).flatMap((fault): PlayedFault[] => {
    const seen = playFault(healthy, fault);
    return seen && symptomsOf(seen, healthy.seen).length ? [{ fault, seen }] : [];
  });
}

/** The room with one fault in it; null where the room cannot have it. */
export function playFault(healthy: Healthy, { plant }: Fault): Seen | null {
  if (!plant) return healthy.seen;
  const planted = applyCommand(healthy.job, plant);
  return planted.ok ? brokenRoom(healthy, plant, planted.value.job, bearing(plant)) : null;
}

/** Two faults at once; null where the room cannot have both. */
export function playPair(healthy: Healthy, a: Fault, b: Fault): Seen | null {
  if (!a.plant || !b.plant) return null;
  const commands = [...stepsOf(a.plant), ...stepsOf(b.plant)];
  const plant: Command = { kind: "batch", commands };
  const planted = applyCommand(healthy.job, plant);
  return planted.ok ? brokenRoom(healthy, plant, planted.value.job, { sound: true, control: true }) : null;
}

/** Titles move no control; a switch of the picture or of the sound's timing moves neither sound nor control. */
function bearing(plant: Command): { readonly sound: boolean; readonly control: boolean } {
  switch (plant.kind) {
    case "set-setting": {
      const { concern } = settingFact(plant.setting);
      return { sound: concern !== "control", control: concern !== "timing" };
    }
    case "set-contents":
      return { sound: true, control: false };
    case "edit-device":
      return { sound: plant.fields.units === undefined, control: plant.fields.state !== undefined };
    default:
      return { sound: true, control: true };
  }
}

/** The room as it is written down: what it cannot do now is no fault of today. */
export const AS_RECORDED: Fault = {
  id: faultId("as-recorded", {}),
  kind: "as-recorded",
  at: {},
  plant: null,
  cures: [{ does: "follow-arrivals" }],
};
/** Something that this model does not know: it allows every answer, and nothing here mends it. */
export const UNKNOWN: Fault = { id: faultId("unknown", {}), kind: "unknown", at: {}, plant: null, cures: [] };

/** How often the firm met each kind of fault, and how it corrects the table of the trade. */
export interface FirmFaults {
  /** The weight that the firm gives a kind in place of the table's. */
  readonly weights: Partial<Readonly<Record<FaultKind, number>>>;
  /** How many of each kind it has solved. */
  readonly solved: Partial<Readonly<Record<FaultKind, number>>>;
  /** Faults that this job has had before, by their ids. */
  readonly earlier: readonly string[];
}
export const NO_HISTORY: FirmFaults = { weights: {}, solved: {}, earlier: [] };

/** So many solved faults of a firm count as much as the whole table of the trade. */
const FIRM_COUNTS_AFTER = 200;
/** A fault that a device had before is so many times likelier. */
const HAD_BEFORE = 3;

/**
 * How likely each fault is before anything was asked; together one. The weight of a kind is shared out over the places of the job that can
 * have it, so that a room with many cables is not blamed for its cables.
 */
export function priorsOf(faults: readonly Fault[], firm: FirmFaults = NO_HISTORY): Float64Array {
  const count = new Map<FaultKind, number>();
  for (const { kind } of faults) count.set(kind, (count.get(kind) ?? 0) + 1);
  const solvedInAll = Object.values(firm.solved).reduce((sum, one) => sum + one, 0);
  const tableInAll = [...count.keys()].reduce((sum, kind) => sum + weightOf(kind, firm), 0) || 1;
  const weights = faults.map(({ id, kind, likelier = 1 }) => {
    const table = weightOf(kind, firm) / tableInAll;
    const own = (firm.solved[kind] ?? 0) / FIRM_COUNTS_AFTER;
    const share = (table + own) / (1 + solvedInAll / FIRM_COUNTS_AFTER);
    return (share / (count.get(kind) ?? 1)) * (firm.earlier.includes(id) ? HAD_BEFORE : 1) * likelier;
  });
  const sum = weights.reduce((all, one) => all + one, 0) || 1;
  return Float64Array.from(weights, (weight) => weight / sum);
}

const weightOf = (kind: FaultKind, { weights }: FirmFaults): number => weights[kind] ?? faultKindFact(kind).weight;
