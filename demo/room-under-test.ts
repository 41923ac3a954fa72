import type { SettingKey } from "@/core/facts";
import { fromShelfOrThrow, type Device, type Quirk } from "@/core/device";
import { applyCommand, emptyJob, joinSockets, type CableEnd, type Command, type Job } from "@/core/job";

/** A room after edits that must be possible; one that is refused is a mistake of the test and throws. */
export const made = (job: Job, ...commands: Command[]): Job =>
  commands.reduce((current, command) => {
    const applied = applyCommand(current, command);
    if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
    return applied.value.job;
  }, job);

/** The edit that plans a value for a setting. */
export const planned = (device: string, setting: SettingKey, value: string): Command => ({
  kind: "set-setting",
  device,
  setting,
  state: "planned",
  value,
});

/** A device of the shelf in a room of a test. */
export const device = (archetype: string, id: string, rest: Partial<Device> = {}): Device => ({
  ...fromShelfOrThrow(archetype, { id, name: id }),
  ...rest,
});

/** The same device with habits of its own on the bus. */
export const withQuirks = (one: Device, ...quirks: readonly Quirk[]): Device => ({
  ...one,
  control: { ...one.control, quirks: [...quirks] },
});

/** The same device without a setting: its maker gave it none. */
export const without = (one: Device, setting: SettingKey): Device => ({
  ...one,
  settings: one.settings.filter(({ key }) => key !== setting),
});

/** A room of devices with plugs written as "player hdmi-out > tv hdmi1". */
export function room(devices: readonly Device[], ...plugs: readonly string[]): Job {
  const bare: Job = { ...emptyJob("Room"), devices: [...devices] };
  return plugs.reduce((job, plug) => {
    const [from, to] = plug.split(" > ").map((end): CableEnd => {
      const [id = "", port = ""] = end.split(" ");
      return { device: id, port };
    });
    if (!from || !to) throw new Error(`not a plug: ${plug}`);
    return made(job, joinSockets(job, from, to));
  }, bare);
}

/** The room after settings, written as "tv cec off". */
export const set = (job: Job, ...settings: readonly string[]): Job =>
  made(
    job,
    ...settings.map((one) => {
      const [id = "", setting = "", value = ""] = one.split(" ");
      return planned(id, setting as SettingKey, value);
    }),
  );

/** A job of which everything comes new to the house. */
export const allNew = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((one) => ({ ...one, supply: "buy" as const })),
  cables: job.cables.map((cable) => ({ ...cable, supply: "buy" as const })),
});
