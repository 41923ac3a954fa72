import { bedOfAtMost, bedStrings, bedChannels, smallerBed, STRINGS, BED_IDS, type Bed, type StringName } from "@/core/facts";
import type { Arrival, Stream } from "@/core/chain";

/** Where a cord stands still: a bar line of the score. Hops up to `lastHop` belong to it or to earlier ones. */
export interface CordStop {
  readonly key: string;
  readonly lastHop: number;
}

/** How a piece of string is drawn; the legend names each. */
export type Texture = "lossless" | "lossy" | "re-encoded" | "analogue" | "upmixed" | "never-sent" | "unknown";

export interface CordPiece {
  readonly string: StringName | "objects";
  /** Indices into the stops; `to` equal to the number of stops is the far end, where the speakers play. */
  readonly from: number;
  readonly to: number;
  readonly texture: Texture;
  /** It ends here for good, in a small ring. */
  readonly ring: boolean;
}

export interface Cord {
  /** The strings that this cord has a line for, from the top. */
  readonly strings: readonly StringName[];
  readonly hasObjects: boolean;
  readonly pieces: readonly CordPiece[];
  /** The stops at which sound was coded again: a notch. */
  readonly notches: readonly number[];
  /** The stop that names the first loss; null where nothing is lost. */
  readonly lossStop: number | null;
}

/** Lays an arrival out as strings between stops. */
export function cordOf(arrival: Arrival, stops: readonly CordStop[]): Cord {
  const lossStop = stopOfFirstLoss(arrival, stops);
  const segments = stops.map((stop) => arrival.hops[stop.lastHop]?.out ?? null);
  const ends = playedStrings(arrival);
  const pieces: CordPiece[] = [];
  for (const line of [...STRINGS, "objects"] as const) {
    const lit = segments.map((stream, index) =>
      index === stops.length - 1 ? ends.lit.has(line) && arrival.arrives !== null : has(stream, line),
    );
    pieces.push(...litPieces(line, lit, segments, arrival, stops.length));
    const lastLit = lit.lastIndexOf(true);
    if (has(arrival.best, line) && lossStop !== null) pieces.push(...missingPieces(line, lastLit, lossStop, arrival, stops.length));
    if (ends.filled.has(line)) pieces.push({ string: line, from: stops.length - 1, to: stops.length, texture: "upmixed", ring: false });
  }
  const used = new Set(pieces.map((piece) => piece.string));
  return {
    strings: STRINGS.filter((name) => used.has(name)),
    hasObjects: used.has("objects"),
    pieces,
    notches: segments.flatMap((stream, index) =>
      index > 0 && stream?.lineage === "re-encoded" && segments[index - 1]?.lineage !== "re-encoded" ? [index] : [],
    ),
    lossStop,
  };
}

/** What one cable carries, as strings from its one end to the other. */
export function cordOfStream(stream: Stream | null): Cord {
  const strings = STRINGS.filter((name) => has(stream, name));
  const texture = textureOf(stream);
  return {
    strings,
    hasObjects: has(stream, "objects"),
    pieces: [...strings, ...(has(stream, "objects") ? (["objects"] as const) : [])].map((string): CordPiece => ({
      string,
      from: 0,
      to: 1,
      texture,
      ring: false,
    })),
    notches: [],
    lossStop: null,
  };
}

function has(stream: Pick<Stream, "channels" | "objects"> | null, line: StringName | "objects"): boolean {
  if (!stream) return false;
  return line === "objects" ? stream.objects !== "none" : bedStrings(stream.channels).includes(line);
}

const textureOf = (stream: Stream | null): Texture => {
  if (!stream) return "lossless";
  if (stream.coding === "analogue") return "analogue";
  if (stream.lineage === "re-encoded") return "re-encoded";
  return stream.lossless ? "lossless" : "lossy";
};

/** Runs of one texture, each ending in a ring where the sound stops before the end. */
function litPieces(
  line: CordPiece["string"],
  lit: readonly boolean[],
  segments: readonly (Stream | null)[],
  arrival: Arrival,
  count: number,
): CordPiece[] {
  const pieces: CordPiece[] = [];
  let start = 0;
  lit.forEach((on, index) => {
    if (!on) return;
    const texture = textureOf(segments[index] ?? null);
    const goesOn = lit[index + 1] === true;
    if (goesOn && textureOf(segments[index + 1] ?? null) === texture && index + 1 < count) {
      if (!lit[index - 1] || textureOf(segments[index - 1] ?? null) !== texture) start = index;
      return;
    }
    if (!lit[index - 1] || textureOf(segments[index - 1] ?? null) !== texture) start = index;
    pieces.push({ string: line, from: start, to: index + 1, texture, ring: !goesOn && index + 1 < count && arrival.verdict !== "unknown" });
  });
  return pieces;
}

/** What could have come: dots up to the stop that forbids it, or a hatch where a fact is missing. */
function missingPieces(line: CordPiece["string"], lastLit: number, lossStop: number, arrival: Arrival, count: number): CordPiece[] {
  if (arrival.verdict === "unknown")
    return [{ string: line, from: Math.max(lossStop, lastLit + 1), to: count, texture: "unknown", ring: false }];
  if (lastLit < 0) return [{ string: line, from: 0, to: lossStop, texture: "never-sent", ring: true }];
  return lastLit + 1 < lossStop ? [{ string: line, from: lastLit + 1, to: lossStop, texture: "never-sent", ring: true }] : [];
}

function stopOfFirstLoss(arrival: Arrival, stops: readonly CordStop[]): number | null {
  const loss = arrival.losses.find(({ scope }) => scope === "path");
  if (!loss) return null;
  const stop = stops.findIndex(({ lastHop }) => lastHop >= loss.hop);
  return stop < 0 ? stops.length - 1 : stop;
}

/** The strings that sound at the end, and those that an upmixer only fills. */
function playedStrings(arrival: Arrival): { lit: ReadonlySet<string>; filled: ReadonlySet<string> } {
  const { plays, arrives } = arrival;
  if (!plays || !arrives) return { lit: new Set(), filled: new Set() };
  const layout = bedOfLayout(plays.layout);
  // Objects are placed into whatever speakers there are, and the bed with them: none of its strings ends.
  if (arrives.objects !== "none" && plays.layout !== layout)
    return { lit: new Set([...bedStrings(arrives.channels), "objects"]), filled: new Set() };
  const lit = new Set<string>(bedStrings(smallerBed(arrives.channels, layout)));
  const filled = plays.upmixed ? bedStrings(layout).filter((name) => !lit.has(name)) : [];
  return { lit, filled: new Set(filled) };
}

/** "5.1.2" → the bed 5.1. */
function bedOfLayout(layout: string): Bed {
  const bed = BED_IDS.find((id) => layout === id || layout.startsWith(`${id}.`));
  return bed ?? bedOfAtMost(bedChannels("2.0"));
}
