import type { Arrival } from "@/core/chain";
import { bedChannels, codingFact, type Coding } from "@/core/facts";
import { findDevice, type Job } from "@/core/job";
import { deviceName } from "@/core/text";
import type { SheetFact } from "./sheet-facts";

/** The coding as displays print it; plain PCM says nothing to a household. */
const printed = (coding: Coding): string | null => (coding === "lpcm" || coding === "analogue" ? null : codingFact(coding).name);

/**
 * What the display of the sound system says while surround of a row arrives: its own words where somebody wrote them down, else the format,
 * with Atmos or DTS:X where its objects arrive. Null where no surround arrives, or a display says nothing that tells.
 */
export function displayFact(job: Job, row: Arrival): Extract<SheetFact, { says: "display" }> | null {
  const { arrives, system, player } = row;
  const device = system === null ? undefined : findDevice(job, system);
  if (!arrives || !device || device.role !== "sound" || bedChannels(arrives.channels) <= 2) return null;
  const own = device.displayWords.find(({ coding }) => coding === arrives.coding)?.words;
  const objects = arrives.objects === "atmos" ? "Dolby Atmos" : arrives.objects === "dtsx" ? "DTS:X" : null;
  const words = own ?? objects ?? printed(arrives.coding);
  return words === null
    ? null
    : { says: "display", system: device.name, words, height: objects !== null, players: [deviceName(job, player)] };
}
