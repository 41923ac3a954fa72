import type { Sensed, SentFrame, StateChange, Trace } from "@/core/cec";

/** Sizes of the ruler, in its own units. */
export const RULER = { left: 164, lane: 52, sense: 24, head: 40, right: 40, frame: 34, pause: 74 } as const;

/** Something that happens on the ruler: a frame that goes over the wire, or what changed at a moment. */
export type Mark =
  | { readonly kind: "frame"; readonly key: string; readonly tMs: number; readonly x: number; readonly sent: SentFrame }
  | { readonly kind: "change"; readonly key: string; readonly tMs: number; readonly x: number; readonly change: StateChange };

/** A stretch of the ruler where nothing goes over the wire, drawn shorter than it is. */
export interface Pause {
  readonly x: number;
  readonly width: number;
  readonly ms: number;
}

export interface Ruler {
  readonly marks: readonly Mark[];
  readonly pauses: readonly Pause[];
  readonly width: number;
}

/** A longer rest than this is drawn as a pause with its seconds. */
const PAUSE_MS = 700;
/** What happens within this belongs to one moment. */
const MOMENT_MS = 40;
/** Enough room for a word in the last band. */
const TAIL = 90;

/**
 * Lays a trace on a ruler. Frames are milliseconds apart and waking takes seconds, so rests are drawn short and say how long they are;
 * the order of things and every written time are true.
 */
export function rulerOf({ frames, changes }: Pick<Trace, "frames" | "changes">): Ruler {
  const events = [
    ...frames.map((sent, index) => ({ kind: "frame" as const, key: `frame-${index}`, tMs: sent.tMs, sent })),
    ...changes.map((change, index) => ({ kind: "change" as const, key: `change-${index}`, tMs: change.tMs, change })),
  ].sort((a, b) => a.tMs - b.tMs);
  const pauses: Pause[] = [];
  let x: number = RULER.left;
  let last = 0;
  const marks = events.map((event): Mark => {
    const rest = event.tMs - last;
    if (rest > PAUSE_MS) {
      pauses.push({ x, width: RULER.pause, ms: rest });
      x += RULER.pause;
    } else if (rest > MOMENT_MS || event.kind === "frame") x += RULER.frame;
    last = event.tMs;
    return { ...event, x };
  });
  return { marks, pauses, width: x + (marks.length ? TAIL : 0) + RULER.right };
}

/** A stretch of a lane during which something stayed as it was. */
export interface Band<Value> {
  readonly from: number;
  readonly to: number;
  readonly value: Value;
}

/** Stretches from where each value begins to where the next does; one that has no length is not drawn. */
function stretches<Value>(ruler: Ruler, turns: readonly { readonly x: number; readonly value: Value }[]): readonly Band<Value>[] {
  const ends = [...turns.slice(1).map(({ x }) => x), ruler.width - RULER.right];
  return turns.flatMap(({ x, value }, index) => {
    const to = ends[index] ?? x;
    return to > x ? [{ from: x, to, value }] : [];
  });
}

/** What a device is or does along the ruler, from what it was at its beginning. */
export function bandsOf<Value extends StateChange["value"]>(
  ruler: Ruler,
  device: string,
  what: StateChange["what"],
  start: Value,
): readonly Band<Value>[] {
  const turns = ruler.marks.flatMap((mark) =>
    mark.kind === "change" && mark.change.device === device && mark.change.what === what
      ? [{ x: mark.x, value: mark.change.value as Value }]
      : [],
  );
  return stretches(ruler, [{ x: RULER.left, value: start }, ...turns]);
}

/** What is seen and heard along the ruler. */
export function sensedBands(ruler: Ruler, sensed: readonly Sensed[]): readonly Band<Sensed>[] {
  const xAt = (tMs: number) => ruler.marks.find((mark) => mark.kind === "change" && mark.tMs === tMs)?.x ?? RULER.left;
  return stretches(
    ruler,
    sensed.map((value, index) => ({ x: index === 0 ? RULER.left : xAt(value.tMs), value })),
  );
}
