import { controlLinks, pictureRun, powerNeeds, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { controlWords, pictureRunWords, POWER_WORDS } from "@/core/text";
import { addDelays, formatMilliseconds, milliseconds } from "@/core/units";
import type { CableDrawing } from "./cable-edge";

/** What the map can show of the wiring, one at a time. */
export const LAYERS = [
  { key: "sound", name: "Sound" },
  { key: "picture", name: "Picture" },
  { key: "control", name: "Control" },
  { key: "power", name: "Power" },
] as const;
export type LayerKey = (typeof LAYERS)[number]["key"];

/** A layer ready to be drawn: what runs along each cable, what stands on each plate. */
export interface Layer {
  readonly cables: ReadonlyMap<string, CableDrawing>;
  readonly plates: ReadonlyMap<string, string>;
}

const NO_WORDS: ReadonlyMap<string, string> = new Map();

/** Works a layer out for the job and the chosen row. */
export function layerOf(job: Job, row: Arrival | null, key: LayerKey): Layer {
  switch (key) {
    case "sound":
      return { cables: row ? soundLayer(row) : new Map(), plates: NO_WORDS };
    case "picture":
      return {
        cables: new Map(
          (row ? pictureRun(job, row) : []).map((run) => [run.cable, { line: "lit", stream: null, words: pictureRunWords(run) }]),
        ),
        plates: NO_WORDS,
      };
    case "control":
      return {
        cables: new Map(
          [...controlLinks(job)].map(([cable, link]) => [
            cable,
            { line: link.carries ? "lit" : "lost", stream: null, words: controlWords(job, link) },
          ]),
        ),
        plates: NO_WORDS,
      };
    case "power":
      return {
        cables: row ? soundLayer(row) : new Map(),
        plates: new Map(row ? [...powerNeeds(job, row)].map(([device, need]) => [device, POWER_WORDS[need]]) : []),
      };
  }
}

/** The strings along the way of a row, with the delay that has gathered at each cable. */
function soundLayer({ hops }: Arrival): ReadonlyMap<string, CableDrawing> {
  const drawn = new Map<string, CableDrawing>();
  let gathered: Arrival["delayMs"] = milliseconds(0);
  for (const { cable, out, delayMs } of hops) {
    gathered = gathered === null || delayMs === null ? null : addDelays(gathered, delayMs);
    if (cable === null) continue;
    const words = out ? (gathered === null ? "delay not known" : formatMilliseconds(gathered)) : null;
    drawn.set(cable, { line: out ? "strings" : "lost", stream: out, words });
  }
  return drawn;
}
