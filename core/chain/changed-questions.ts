import { effectiveSetting, type Device, type SettingState } from "@/core/device";
import type { Cable, Job } from "@/core/job";
import { alignmentMs } from "@/core/room";
import { takersIn } from "./return-takers";
import { cableQuestion, deviceQuestion, settingQuestion, takersQuestion, type Question } from "./read-set";

/** Every question that a rig of one job may answer otherwise than a rig of another. Jobs are never changed in place, so what is the same object is the same. */
export function changedQuestions(before: Job, after: Job, state: SettingState): ReadonlySet<Question> {
  return new Set([
    ...changedDevices(before, after, state),
    ...changedCables(before, after),
    ...changedTakers(before, after),
    ...changedRooms(before, after),
  ]);
}

function changedDevices(before: Job, after: Job, state: SettingState): Question[] {
  const old = new Map(before.devices.map((device) => [device.id, device]));
  const now = new Set(after.devices.map(({ id }) => id));
  const gone = before.devices.filter(({ id }) => !now.has(id)).map(({ id }) => deviceQuestion(id));
  return [...gone, ...after.devices.flatMap((device) => betweenDevices(old.get(device.id), device, state))];
}

/** Devices that are fitted to their room otherwise than before. */
function changedRooms(before: Job, after: Job): Question[] {
  if (before.rooms === after.rooms) return [];
  const old = new Map(before.devices.map((device) => [device.id, device]));
  return after.devices.flatMap((device) => {
    const was = old.get(device.id);
    return was && alignmentMs(before, was) !== alignmentMs(after, device) ? [deviceQuestion(device.id)] : [];
  });
}

function betweenDevices(before: Device | undefined, after: Device, state: SettingState): Question[] {
  if (before === after) return [];
  const parts = Object.keys(after) as (keyof Device)[];
  if (!before || parts.some((part) => part !== "settings" && before[part] !== after[part])) return [deviceQuestion(after.id)];
  const keys = new Set([...before.settings, ...after.settings].map(({ key }) => key));
  return (
    [...keys]
      // A box that keeps its old list is asked how it was when it was found, whatever moment the board is of.
      .filter((key) =>
        [state, "found" as const].some((moment) => effectiveSetting(before, key, moment) !== effectiveSetting(after, key, moment)),
      )
      .map((key) => settingQuestion(after.id, key))
  );
}

/** Devices at whose inputs other things take returns than before. */
function changedTakers(before: Job, after: Job): Question[] {
  const [old, now] = [takersIn(before), takersIn(after)];
  return [...new Set([...old.keys(), ...now.keys()])].filter((device) => old.get(device) !== now.get(device)).map(takersQuestion);
}

function changedCables(before: Job, after: Job): Question[] {
  const ends = (cable: Cable) => [cableQuestion(cable.from), cableQuestion(cable.to)];
  const old = new Set(before.cables);
  const now = new Set(after.cables);
  return [...before.cables.filter((cable) => !now.has(cable)), ...after.cables.filter((cable) => !old.has(cable))].flatMap(ends);
}
