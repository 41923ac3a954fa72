import { bedOfAtMost } from "@/core/facts";
import type { SoundDescriptor } from "@/core/device";
import { readAudioDescriptors } from "./blocks/audio-block";
import { TAG } from "./blocks/data-block";
import { dataBlocksOf, type Edid } from "./edid";

/**
 * The sound list of an EDID in the terms of a job, to be taken over for a device in place of its archetype's.
 * Format code 12 stands for TrueHD, and with its flag for MAT beyond it. Two channels of LPCM are added where basic audio is all there is.
 */
export function soundListOf(edid: Edid): readonly SoundDescriptor[] {
  const rows = dataBlocksOf(edid)
    .filter(({ tag }) => tag === TAG.audio)
    .flatMap(({ payload }) => readAudioDescriptors(payload))
    .flatMap(({ coding, channels, atmos }): SoundDescriptor[] => {
      if (coding === null) return [];
      const row = { coding, channels: bedOfAtMost(channels), objects: atmos ?? false };
      if (coding === "mat") return [{ ...row, coding: "truehd", objects: true }, ...(atmos ? [row] : [])];
      return [row];
    });
  return rows.some(({ coding }) => coding === "lpcm") ? rows : [{ coding: "lpcm", channels: "2.0", objects: false }, ...rows];
}
