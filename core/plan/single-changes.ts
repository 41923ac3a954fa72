import { bedChannels, type ReturnWires } from "@/core/facts";
import { effectiveSetting, type SettingState } from "@/core/device";
import { arrivalsOf, compareArrivals, type Arrival } from "@/core/chain";
import { applyCommand, cableAt, moveCableEnd, whyNotPlug, type Cable, type Command, type Job } from "@/core/job";

/** The kinds of change in the order of their cost. */
export const CHANGE_KINDS = ["setting", "plug", "cable"] as const;

/** One change that could be made with the gear as it stands. */
export interface Change {
  readonly kind: (typeof CHANGE_KINDS)[number];
  readonly command: Command;
}

/** A change with what it does to the board. */
export interface WeighedChange extends Change {
  /** Row ids that get better, and those that get worse. */
  readonly lifts: readonly string[];
  readonly lowers: readonly string[];
  readonly after: readonly Arrival[];
}

/** Every single setting, plug and cable that could be otherwise, without buying more than a cable. */
export function possibleChanges(job: Job, state: SettingState = "planned"): readonly Change[] {
  return [...settingChanges(job, state), ...plugChanges(job), ...cableChanges(job)];
}

/**
 * Every single change that lifts at least one row, each simulated through the whole chain.
 * The cheapest kind first, then the one that lifts most and lowers least; equal ones keep the order of the document.
 */
export function liftingChanges(job: Job, state: SettingState = "planned"): readonly WeighedChange[] {
  const before = arrivalsOf(job, state);
  const weighed = possibleChanges(job, state).flatMap((change): WeighedChange[] => {
    const applied = applyCommand(job, change.command);
    if (!applied.ok) return [];
    const after = arrivalsOf(applied.value.job, state);
    const { lifts, lowers } = movedRows(before, after);
    return lifts.length ? [{ ...change, lifts, lowers, after }] : [];
  });
  return weighed.sort(
    (a, b) =>
      a.lowers.length - b.lowers.length ||
      CHANGE_KINDS.indexOf(a.kind) - CHANGE_KINDS.indexOf(b.kind) ||
      b.lifts.length - a.lifts.length ||
      gain(b.after, b.lifts) - gain(a.after, a.lifts),
  );
}

/** Which rows of a board stand better and which stand worse after a change. */
export function movedRows(before: readonly Arrival[], after: readonly Arrival[]): { lifts: readonly string[]; lowers: readonly string[] } {
  const earlier = new Map(before.map((arrival) => [arrival.id, arrival]));
  const lifts: string[] = [];
  const lowers: string[] = [];
  for (const arrival of after) {
    const old = earlier.get(arrival.id);
    if (!old) continue;
    const order = compareArrivals(arrival, old);
    if (order > 0) lifts.push(arrival.id);
    if (order < 0) lowers.push(arrival.id);
  }
  return { lifts, lowers };
}

const gain = (after: readonly Arrival[], rows: readonly string[]): number =>
  after.reduce((sum, arrival) => (rows.includes(arrival.id) && arrival.arrives ? sum + bedChannels(arrival.arrives.channels) : sum), 0);

function settingChanges(job: Job, state: SettingState): Change[] {
  return job.devices.flatMap((device) =>
    device.settings.flatMap((setting) => {
      const now = effectiveSetting(device, setting.key, state);
      return setting.options
        .filter((value) => value !== now)
        .map((value): Change => ({
          kind: "setting",
          command: { kind: "set-setting", device: device.id, setting: setting.key, state, value },
        }));
    }),
  );
}

/** Moving one end of a cable to another free socket. */
function plugChanges(job: Job): Change[] {
  const free = job.devices.flatMap((device) =>
    device.ports.map((port) => ({ device: device.id, port: port.id })).filter((end) => !cableAt(job, end)),
  );
  return job.cables.flatMap((cable) =>
    free
      .filter((end) => whyNotPlug(job, cable.from, end, cable.id) === null)
      .map((end): Change => ({ kind: "plug", command: moveCableEnd(job, cable, "to", end) })),
  );
}

/** A cable of the class that assures the return conductors and the rate, in place of one that lacks them. */
function cableChanges(job: Job): Change[] {
  const better = (cable: Cable) => cable.class !== "optical" && (cable.returnWires !== "earc" || cable.class !== "ultra-high-speed");
  const assured: ReturnWires = "earc";
  return job.cables.filter(better).map((cable): Change => ({
    kind: "cable",
    command: { kind: "edit-cable", cable: cable.id, fields: { class: "ultra-high-speed", returnWires: assured } },
  }));
}
