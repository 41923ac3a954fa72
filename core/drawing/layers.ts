import { controlLinks } from "@/core/cec";
import { pictureRun, powerNeeds, type Arrival, type Stream } from "@/core/chain";
import { endKey, type Job } from "@/core/job";
import { controlFlag, controlSentence, drawingWords, pictureRunWords, POWER_WORDS } from "@/core/text";
import { addDelays, formatMilliseconds, milliseconds } from "@/core/units";

/** What the map can show of the wiring, one at a time. */
export const LAYERS = ["sound", "picture", "control", "power"] as const;
export type LayerKey = (typeof LAYERS)[number];

/** What a layer draws along a cable: the strings of a sound, a line that stands out, one that is broken off, or a thin one. */
export interface CableDrawing {
  readonly line: "strings" | "lit" | "lost" | "thin";
  readonly stream: Stream | null;
  /** A few words or a figure at its middle. */
  readonly words: string | null;
}

export const THIN: CableDrawing = { line: "thin", stream: null, words: null };

/** What a layer says at a socket, in place of what is plugged in; the sentence is for a closer look. */
export interface SocketWords {
  readonly words: string;
  readonly sentence: string;
}

/** A layer ready to be drawn: what runs along each cable, what is on each plate and at each socket. */
export interface Layer {
  readonly cables: ReadonlyMap<string, CableDrawing>;
  readonly plates: ReadonlyMap<string, string>;
  readonly sockets: ReadonlyMap<string, SocketWords>;
}

const LIT: CableDrawing = { line: "lit", stream: null, words: null };
const LOST: CableDrawing = { line: "lost", stream: null, words: null };
const NOTHING: Layer = { cables: new Map(), plates: new Map(), sockets: new Map() };

/** Works a layer out for the job and the chosen row. */
export function layerOf(job: Job, row: Arrival | null, key: LayerKey): Layer {
  switch (key) {
    case "sound":
      return row ? { ...NOTHING, cables: soundLayer(row) } : NOTHING;
    case "picture": {
      const runs = row ? pictureRun(job, row) : [];
      return {
        ...NOTHING,
        cables: new Map(runs.map(({ cable }) => [cable, LIT])),
        sockets: atInputs(
          job,
          new Map(
            runs.map((run) => [run.cable, { words: pictureRunWords(run), sentence: drawingWords.pictureNeeds(pictureRunWords(run)) }]),
          ),
        ),
      };
    }
    case "control": {
      const links = [...controlLinks(job)];
      return {
        ...NOTHING,
        cables: new Map(links.map(([cable, link]) => [cable, link.carries ? LIT : LOST])),
        sockets: atInputs(
          job,
          new Map(links.map(([cable, link]) => [cable, { words: controlFlag(link), sentence: controlSentence(job, link) }])),
        ),
      };
    }
    case "power":
      return row
        ? {
            ...NOTHING,
            cables: soundLayer(row),
            plates: new Map([...powerNeeds(job, row)].map(([device, need]) => [device, POWER_WORDS[need]])),
          }
        : NOTHING;
  }
}

/** Words of cables at the socket that each goes into. */
const atInputs = (job: Job, words: ReadonlyMap<string, SocketWords>): ReadonlyMap<string, SocketWords> =>
  new Map(
    job.cables.flatMap(({ id, to }) => {
      const found = words.get(id);
      return found ? [[endKey(to), found] as const] : [];
    }),
  );

/** The strings along the way of a row, with the delay that has gathered at each cable. */
function soundLayer({ hops }: Arrival): ReadonlyMap<string, CableDrawing> {
  const drawn = new Map<string, CableDrawing>();
  let gathered: Arrival["delayMs"] = milliseconds(0);
  for (const { cable, out, delayMs } of hops) {
    gathered = gathered === null || delayMs === null ? null : addDelays(gathered, delayMs);
    if (cable === null) continue;
    const words = out ? (gathered === null ? drawingWords.delayNotKnown : formatMilliseconds(gathered)) : null;
    drawn.set(cable, { line: out ? "strings" : "lost", stream: out, words });
  }
  return drawn;
}
