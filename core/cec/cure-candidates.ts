import { cableClassFact, UNREGISTERED, type SettingKey } from "@/core/facts";
import { effectiveSetting, type SettingState } from "@/core/device";
import { findDevice, freeJoins, plugMoves, type Command, type Job, type SingleCommand } from "@/core/job";
import { castOf } from "./acts";
import type { Household } from "./stations";

/** Something that could be done about the control of a room; whether it helps is not known before it was played. */
export type Candidate =
  | { readonly cure: "setting"; readonly command: Command; readonly device: string; readonly setting: SettingKey; readonly value: string }
  /** Power in this order gives the addresses to those who need them. */
  | { readonly cure: "power-in-order"; readonly order: readonly string[] }
  | { readonly cure: "plug"; readonly command: Command }
  /** A short adapter without the control wire, made for the purpose, at one end of a cable. */
  | { readonly cure: "adapter"; readonly command: Command; readonly cable: string }
  /** The sound by a cable of its own, and HDMI control off at one of the two that has it on, so that it leads no longer. */
  | { readonly cure: "side-cable"; readonly command: Command; readonly off: string | null };

/** The switches of control, and the value that lets it work; then those whose other value keeps a device from meddling. */
const SWITCHES: readonly (readonly [SettingKey, string])[] = [
  ["cec", "on"],
  ["control-wakes", "on"],
  ["control-obeys", "on"],
  ["arc", "on"],
  ["earc", "on"],
  ["speakers", "external"],
  ["control-wakes", "off"],
  ["control-obeys", "off"],
  ["cec", "off"],
];

/** The kinds from the least to the most trouble for who does it. */
export const CURE_KINDS = ["setting", "power-in-order", "plug", "adapter", "side-cable"] as const satisfies readonly Candidate["cure"][];

/**
 * All that could be done about the control of a room with what is there, an adapter or one lead.
 * @param concerned only plugs of these devices are moved; without it, of all
 */
export function cureCandidates(household: Household, state: SettingState, concerned?: ReadonlySet<string>): readonly Candidate[] {
  const { job } = household;
  return [
    ...switches(job, state),
    ...inOrder(household),
    ...plugs(job, concerned),
    ...adapters(job, concerned),
    ...sideCables(household, state),
  ];
}

function switches(job: Job, state: SettingState): Candidate[] {
  return job.devices.flatMap((device) =>
    SWITCHES.flatMap(([setting, value]): Candidate[] => {
      const row = device.settings.find(({ key }) => key === setting);
      if (!row?.options.includes(value) || (row[state] ?? row.found) === value) return [];
      return [
        { cure: "setting", command: { kind: "set-setting", device: device.id, setting, state, value }, device: device.id, setting, value },
      ];
    }),
  );
}

function inOrder({ stations }: Household): Candidate[] {
  const all = [...stations.values()].filter(({ nature }) => nature.logical !== null);
  const unheard = all.filter(({ nature }) => nature.logical === UNREGISTERED).map(({ nature }) => nature.device);
  const others = all.map(({ nature }) => nature.device).filter((device) => !unheard.includes(device));
  return unheard.length ? [{ cure: "power-in-order", order: [...unheard, ...others] }] : [];
}

const isHdmi = (job: Job, cable: string): boolean =>
  job.cables.some((row) => row.id === cable && cableClassFact(row.class).ends[0] === "hdmi");

function plugs(job: Job, concerned?: ReadonlySet<string>): Candidate[] {
  const ofConcern = (id: string) => {
    const cable = job.cables.find((row) => row.id === id);
    return cable !== undefined && (!concerned || concerned.has(cable.from.device) || concerned.has(cable.to.device));
  };
  return plugMoves(job).flatMap(({ cables, command }): Candidate[] =>
    cables.every((id) => isHdmi(job, id)) && cables.some(ofConcern) ? [{ cure: "plug", command }] : [],
  );
}

const adapters = (job: Job, concerned?: ReadonlySet<string>): Candidate[] =>
  job.cables.flatMap(({ id, controlWire, from }): Candidate[] =>
    controlWire && isHdmi(job, id) && (!concerned || concerned.has(from.device))
      ? [{ cure: "adapter", cable: id, command: { kind: "edit-cable", cable: id, fields: { controlWire: false } } }]
      : [],
  );

/** A lead from the screen to the sound system that is no HDMI, with HDMI control off at either of them. */
function sideCables(household: Household, state: SettingState): Candidate[] {
  const { job } = household;
  const { screen, system } = castOf(household);
  if (!screen || !system) return [];
  const ends = [screen.nature.device, system.nature.device];
  const leads = freeJoins(job).filter(({ from, to, command }) => {
    const isBeside = command.kind === "plug" && cableClassFact(command.cable.class).ends[0] !== "hdmi";
    return isBeside && from.device === screen.nature.device && to.device === system.nature.device;
  });
  const switchable = ends.filter((device) => hasControlOn(job, device, state));
  return leads.flatMap(({ command: lead }) =>
    (switchable.length ? switchable : [null]).flatMap((device): Candidate[] => {
      if (lead.kind === "batch") return [];
      const off: SingleCommand[] = device ? [{ kind: "set-setting", device, setting: "cec", state, value: "off" }] : [];
      return [{ cure: "side-cable", off: device, command: { kind: "batch", commands: [lead, ...off] } }];
    }),
  );
}

/** It takes part in HDMI control and has a switch for it that is not off already. */
function hasControlOn(job: Job, id: string, state: SettingState): boolean {
  const device = findDevice(job, id);
  const options = device?.settings.find(({ key }) => key === "cec")?.options;
  return device !== undefined && device.speaksCec && options?.includes("off") === true && effectiveSetting(device, "cec", state) !== "off";
}
