import { bedChannels, smallerBed, type Bed } from "@/core/facts";
import type { Device } from "@/core/device";
import type { Reason } from "./reason";
import type { Rig } from "./rig";
import type { Stream } from "./stream";

/** What the speakers do with what arrives. */
export interface Played {
  /** "2.0", "5.1", or with heights "5.1.2". */
  readonly layout: string;
  /** Speakers filled by an upmixer: sound that restores nothing. */
  readonly upmixed: boolean;
}

/** Why a sound system cannot make sound of a stream, or null when it can. */
export function whyNotPlay(stream: Stream, system: Device): Reason | null {
  const decoder = system.decodes?.find((row) => row.coding === stream.coding);
  if (!decoder) return { code: "cannot-decode", device: system.id, coding: stream.coding };
  if (stream.coding === "lpcm" && bedChannels(stream.channels) > bedChannels(decoder.channels)) {
    return { code: "passes-fewer", device: system.id, coding: "lpcm", need: stream.channels, have: decoder.channels };
  }
  return null;
}

/** Whether a system keeps the objects of a stream: its decoder for that coding must know them. */
export const keepsObjects = (stream: Stream, system: Device): boolean =>
  stream.objects !== "none" && (system.decodes?.some((row) => row.coding === stream.coding && row.objects) ?? false);

/** The bed of a stream that a system's speakers can sound. */
export const soundingBed = (stream: Stream, system: Device): Bed => smallerBed(stream.channels, system.speakers?.bed ?? "2.0");

/** What is heard of a stream that the system can decode. */
export function playOn(rig: Rig, stream: Stream, system: Device): Played {
  const speakers = system.speakers ?? { bed: "2.0" as const, heights: 0 };
  const whole = speakers.heights ? `${speakers.bed}.${speakers.heights}` : speakers.bed;
  const mode = soundMode(rig, system);
  const bed = soundingBed(stream, system);
  if (isStereoMode(mode))
    return { layout: smallerBed(bed, "2.0"), upmixed: mode === "all-channel-stereo" && bedChannels(speakers.bed) > 2 };
  if (keepsObjects(stream, system)) return { layout: whole, upmixed: false };
  const fills = mode === "auto" && rig.setting(system, "upmix") === "on" && bed !== whole;
  return fills ? { layout: whole, upmixed: true } : { layout: bed, upmixed: false };
}

const soundMode = (rig: Rig, system: Device): string => rig.setting(system, "decode-mode") ?? "auto";
const isStereoMode = (mode: string): boolean => mode === "stereo" || mode === "all-channel-stereo";

/** A stream as the system's sound mode lets it through to the speakers: its stereo modes mix it down, whatever the display says of the coding. */
export const throughSoundMode = (rig: Rig, stream: Stream, system: Device): Stream =>
  isStereoMode(soundMode(rig, system)) && (bedChannels(stream.channels) > 2 || stream.objects !== "none")
    ? { ...stream, channels: smallerBed(stream.channels, "2.0"), objects: "none" }
    : stream;

/** What the system's own sound mode keeps from its speakers of a stream that it shows as whole on its display; null where nothing. */
export function lostToDecodeMode(rig: Rig, stream: Stream, system: Device): Reason | null {
  const value = soundMode(rig, system);
  if (!isStereoMode(value)) return null;
  const bed = soundingBed(stream, system);
  if (bedChannels(bed) <= 2 && !keepsObjects(stream, system)) return null;
  const heights = keepsObjects(stream, system) ? (system.speakers?.heights ?? 0) : 0;
  return { code: "decode-mode", device: system.id, value, need: heights ? `${bed}.${heights}` : bed, have: "2.0" };
}
