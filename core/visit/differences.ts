import { effectiveSetting, unitsOf, type Device, type SpeakerUnit } from "@/core/device";
import type { SettingKey } from "@/core/facts";
import { findDevice, runBetween, wiringOf, type Cable, type Job, type VisitEntry } from "@/core/job";
import { cablesFound, plugsNow } from "./plugs-now";
import { joined, wayOf, type JoinedCable } from "./step-id";

/** What has to be done to bring a room from how it was found to how it is planned. */
export interface RoomDifference {
  readonly newDevices: readonly Device[];
  /** Found, and not planned any more. */
  readonly goneDevices: readonly Device[];
  /** Found and not planned, or plugged on this visit for a plan that has changed since. */
  readonly unplug: readonly JoinedCable[];
  readonly plug: readonly { readonly cable: Cable; readonly isPulled: boolean }[];
  readonly set: readonly { readonly device: Device; readonly key: SettingKey; readonly value: string }[];
  /** Devices with a plug to pull or to put in. */
  readonly touched: ReadonlySet<string>;
  /** Units of new sound systems, which have to be placed. */
  readonly newUnits: readonly { readonly device: Device; readonly unit: SpeakerUnit }[];
}

/**
 * From as found to planned. Where no state was saved as found, what the job says to be there already is taken to be it: the van's and what is
 * bought come new. A menu counts as long as it was found, or left, at another value than planned.
 * @param record what was done so far: what was plugged or taken out for a plan that has changed since is put right too
 */
export function differenceOf(job: Job, record: readonly VisitEntry[] = []): RoomDifference {
  const found = wiringOf(job, "found");
  const foundDevices = new Set((found?.devices ?? job.devices.filter(({ supply }) => supply === "there")).map(({ id }) => id));
  const foundCables = cablesFound(job);
  const now = plugsNow(job, record);
  const [before, after] = [new Set(foundCables.map(wayOf)), new Set(job.cables.map((cable) => wayOf(joined(cable))))];
  const everIn = new Map([...foundCables.map((cable) => [wayOf(cable), cable] as const), ...now]);
  const unplug = [...everIn].filter(([way]) => !after.has(way)).map(([, cable]) => cable);
  const plug = job.cables
    .filter((cable) => !before.has(wayOf(joined(cable))) || !now.has(wayOf(joined(cable))))
    .map((cable) => ({ cable, isPulled: runBetween(job, cable.from.device, cable.to.device) !== undefined || apart(job, cable) }));
  const newDevices = job.devices.filter(({ id }) => !foundDevices.has(id));
  return {
    newDevices,
    goneDevices: (found?.devices ?? []).filter(({ id }) => !findDevice(job, id)),
    unplug,
    plug,
    set: job.devices.flatMap((device) =>
      device.settings.flatMap(({ key, planned, left }) => {
        const wasOtherwise = planned !== effectiveSetting(device, key, "found") || (left !== null && left !== planned);
        return planned !== null && wasOtherwise ? [{ device, key, value: planned }] : [];
      }),
    ),
    touched: new Set(
      [...unplug.flatMap(({ sockets }) => sockets), ...plug.flatMap(({ cable }) => [cable.from, cable.to])].map(({ device }) => device),
    ),
    newUnits: newDevices.flatMap((device) => unitsOf(device).map((unit) => ({ device, unit }))),
  };
}

/** Whether the two ends of a cable stand in different rooms. */
function apart(job: Job, { from, to }: Cable): boolean {
  const [here, there] = [findDevice(job, from.device)?.room, findDevice(job, to.device)?.room];
  return Boolean(here && there && here !== there);
}
