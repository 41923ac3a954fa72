import { effectiveSetting, unitsOf, type Device, type SpeakerUnit } from "@/core/device";
import type { SettingKey } from "@/core/facts";
import { endKey, findDevice, runBetween, wiringOf, type Cable, type Job } from "@/core/job";

/** What has to be done to bring a room from how it was found to how it is planned. */
export interface RoomDifference {
  readonly newDevices: readonly Device[];
  readonly unplug: readonly Cable[];
  readonly plug: readonly { readonly cable: Cable; readonly isPulled: boolean }[];
  readonly set: readonly { readonly device: Device; readonly key: SettingKey; readonly value: string }[];
  /** Devices with a plug to pull or to put in. */
  readonly touched: ReadonlySet<string>;
  /** Units of new sound systems, which have to be placed. */
  readonly newUnits: readonly { readonly device: Device; readonly unit: SpeakerUnit }[];
}

/** Two cables are one and the same work where they join the same sockets and are of one class. */
const wayOf = ({ from, to, class: cableClass }: Cable): string => `${endKey(from)} ${endKey(to)} ${cableClass}`;

/**
 * From as found to planned. Where no state was saved as found, what the job says to be there already is taken to be it: the van's and what is
 * bought come new. Settings that are left already, or planned as they were found, are no work.
 */
export function differenceOf(job: Job): RoomDifference {
  const found = wiringOf(job, "found");
  const foundDevices = new Set((found?.devices ?? job.devices.filter(({ supply }) => supply === "there")).map(({ id }) => id));
  const foundCables = found?.cables ?? job.cables.filter(({ supply }) => supply === "there");
  const [before, after] = [new Set(foundCables.map(wayOf)), new Set(job.cables.map(wayOf))];
  const unplug = foundCables.filter((cable) => !after.has(wayOf(cable)));
  const plug = job.cables
    .filter((cable) => !before.has(wayOf(cable)))
    .map((cable) => ({ cable, isPulled: runBetween(job, cable.from.device, cable.to.device) !== undefined || apart(job, cable) }));
  const newDevices = job.devices.filter(({ id }) => !foundDevices.has(id));
  return {
    newDevices,
    unplug,
    plug,
    set: job.devices.flatMap((device) =>
      device.settings.flatMap(({ key, planned, left }) => {
        const now = left ?? effectiveSetting(device, key, "found");
        return planned !== null && planned !== now ? [{ device, key, value: planned }] : [];
      }),
    ),
    touched: new Set([...unplug, ...plug.map(({ cable }) => cable)].flatMap(({ from, to }) => [from.device, to.device])),
    newUnits: newDevices.flatMap((device) => unitsOf(device).map((unit) => ({ device, unit }))),
  };
}

/** Whether the two ends of a cable stand in different rooms. */
function apart(job: Job, { from, to }: Cable): boolean {
  const [here, there] = [findDevice(job, from.device)?.room, findDevice(job, to.device)?.room];
  return Boolean(here && there && here !== there);
}
