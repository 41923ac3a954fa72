import type { SettingKey } from "@/core/facts";
import type { Content } from "./content";
import { findContent } from "./content-catalogue";
import type { DeviceInput, PortInput, SoundDescriptor } from "./device";

/** A device of its class, before it gets a place in a job. */
export type Archetype = Omit<DeviceInput, "id" | "archetype"> & { readonly archetype: string; readonly summary: string };

type Row = readonly [coding: SoundDescriptor["coding"], channels: SoundDescriptor["channels"], objects?: "objects"];

/** Short spelling of a sound list: `sounds(["lpcm", "7.1"], ["eac3", "5.1", "objects"])`. */
export const sounds = (...rows: readonly Row[]): SoundDescriptor[] =>
  rows.map(([coding, channels, objects]) => ({ coding, channels, objects: objects === "objects" }));

/** Contents of the catalogue by name; a wrong name is a mistake of ours and throws. */
export const contents = (...ids: readonly string[]): Content[] =>
  ids.map((id) => {
    const content = findContent(id);
    if (!content) throw new Error(`No content ${id} in the catalogue`);
    return content;
  });

type Switch = "earc" | "arc" | "cec" | "control-wakes" | "control-obeys" | "bluetooth" | "hdr" | "standby-pass" | "arc-take";

/** A setting that is on or off. */
export const onOff = (key: Switch, found: "on" | "off" | null = "on") => ({ key, options: ["on", "off"], found });

/** A setting with several choices, and the one it has from the factory. */
export const choice = (key: SettingKey, options: readonly string[], found: string | null): SettingInput => ({
  key,
  options: [...options],
  found,
});

/** A sound delay to set, from nothing to `mostMs` in steps. */
export const soundDelay = (stepMs: number, mostMs: number): SettingInput =>
  choice(
    "sound-delay",
    Array.from({ length: Math.floor(mostMs / stepMs) + 1 }, (_, index) => String(index * stepMs)),
    "0",
  );

type SettingInput = NonNullable<DeviceInput["settings"]>[number];
export type RouteInput = NonNullable<DeviceInput["routes"]>[number];
export type ConditionInput = Extract<NonNullable<RouteInput["opens"]>, { setting: string } | { either: unknown }>;

type HdmiInput = Extract<PortInput, { connector: "hdmi" }>;

/** A socket as it is on ordinary 4K gear: 18 Gb/s, HDCP 2.2, no return, unless said otherwise. */
export const hdmi = (id: string, label: string, direction: "in" | "out", rest: Partial<HdmiInput> = {}): HdmiInput => ({
  id,
  label,
  connector: "hdmi",
  direction,
  maxGbps: 18,
  hdcp: "2.2",
  returns: "none",
  ...rest,
});

/** A socket of an older HD device. */
export const HD_SOCKET = { maxGbps: 10.2, hdcp: "1.4" } as const;

/** Ids `stem1`, `stem2` …, or the bare stem where there is only one. */
export const numbered = (stem: string, count: number): readonly string[] =>
  count === 1 ? [stem] : Array.from({ length: count }, (_, index) => `${stem}${index + 1}`);

/** Bitstreams of an optical or coaxial socket. */
export const LEGACY = sounds(["ac3", "5.1"], ["dts", "5.1"]);

/** Every Dolby coding, objects included: what an object-capable sound system lists. */
export const DOLBY_OBJECTS = sounds(["ac3", "5.1"], ["eac3", "7.1", "objects"], ["truehd", "7.1", "objects"], ["mat", "7.1", "objects"]);
export const DTS_ALL = sounds(["dts", "5.1"], ["dts-hd-hra", "7.1"], ["dts-hd-ma", "7.1", "objects"]);
export const LPCM_71 = sounds(["lpcm", "7.1"]);
export const EVERYTHING = [...LPCM_71, ...DOLBY_OBJECTS, ...DTS_ALL];
