import type { SettingKey } from "@/core/facts";
import { effectiveSetting, type Device, type Port, type SettingState } from "@/core/device";
import type { Cable, CableEnd, Job } from "@/core/job";
import type { Listing } from "./listing";
import type { ReturnChannel } from "./return-channel";

/**
 * A job made ready for questions: everything found by name in one step, at one moment of its settings.
 * The two maps remember answers within one solve; a rig is never kept across an edit.
 */
export interface Rig {
  readonly job: Job;
  readonly state: SettingState;
  readonly returnChannels: Map<string, ReturnChannel>;
  readonly listings: Map<string, Listing>;
  device(id: string): Device | undefined;
  port(end: CableEnd): Port | undefined;
  cableAt(end: CableEnd): Cable | undefined;
  setting(device: Device, key: SettingKey): string | null | undefined;
}

export const endKey = (end: CableEnd): string => `${end.device} ${end.port}`;

export function makeRig(job: Job, state: SettingState): Rig {
  const devices = new Map(job.devices.map((device) => [device.id, device]));
  const ports = new Map(job.devices.flatMap((device) => device.ports.map((port) => [endKey({ device: device.id, port: port.id }), port])));
  const cables = new Map(job.cables.flatMap((cable) => [[endKey(cable.from), cable] as const, [endKey(cable.to), cable] as const]));
  return {
    job,
    state,
    returnChannels: new Map(),
    listings: new Map(),
    device: (id) => devices.get(id),
    port: (end) => ports.get(endKey(end)),
    cableAt: (end) => cables.get(endKey(end)),
    setting: (device, key) => effectiveSetting(device, key, state),
  };
}
