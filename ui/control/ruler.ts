import type { SentFrame, StateChange, Trace } from "@/core/cec";

/** Sizes of the ruler, in its own units. */
export const RULER = { left: 150, lane: 46, head: 40, right: 40, frame: 26, pause: 74 } as const;

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
  return { marks, pauses, width: x + RULER.right };
}

/** The stretches of a lane during which a device was on, waking or asleep. */
export interface Band {
  readonly from: number;
  readonly to: number;
  readonly power: "on" | "waking" | "standby";
}

/** The power of a device along the ruler, from what it was at its beginning. */
export function bandsOf(ruler: Ruler, device: string, start: Band["power"]): readonly Band[] {
  const turns = ruler.marks.flatMap((mark) =>
    mark.kind === "change" && mark.change.device === device && mark.change.what === "power"
      ? [{ x: mark.x, power: mark.change.value as Band["power"] }]
      : [],
  );
  const ends = [...turns.map(({ x }) => x), ruler.width - RULER.right];
  return [{ x: RULER.left as number, power: start }, ...turns].flatMap(({ x, power }, index) => {
    const to = ends[index] ?? x;
    return to > x ? [{ from: x, to, power }] : [];
  });
}
