import type { Content } from "./content";
import { findContent } from "./content-catalogue";
import type { DeviceInput, SoundDescriptor } from "./device";

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

export const onOff = (key: "earc" | "arc" | "cec", found: "on" | "off" | null = "on") => ({ key, options: ["on", "off"], found });

/** Every Dolby coding, objects included: what an object-capable sound system lists. */
export const DOLBY_OBJECTS = sounds(["ac3", "5.1"], ["eac3", "7.1", "objects"], ["truehd", "7.1", "objects"], ["mat", "7.1", "objects"]);
export const DTS_ALL = sounds(["dts", "5.1"], ["dts-hd-hra", "7.1"], ["dts-hd-ma", "7.1", "objects"]);
