import type { SentFrame } from "./simulate";
import type { TraceLine } from "./read-trace";

/** Where what was seen on the wire differs from what an act should send. */
export interface TraceDifference {
  /** Predicted, and not in the trace. */
  readonly missing: readonly SentFrame[];
  /** In the trace, and not predicted. Lines that hold no message are left out: everybody calls now and then. */
  readonly unforeseen: readonly TraceLine[];
  readonly alike: number;
}

/**
 * Compares a trace with an act, frame by frame in their order: the longest run of frames that both have is alike, the rest differs.
 * Times do not count, for no two devices think equally long; neither do frames sent again.
 */
export function traceDifference(foreseen: readonly SentFrame[], seen: readonly TraceLine[]): TraceDifference {
  const wanted = foreseen.filter(({ again, frame }) => again === 0 && frame.message !== null);
  const there = seen.filter(({ frame }) => frame !== null && frame.bytes.length > 1);
  const [a, b] = [wanted.map(({ bytes }) => bytes.join(" ")), there.map(({ frame }) => frame?.bytes.join(" ") ?? "")];
  const lengths = commonLengths(a, b);
  const [missing, unforeseen]: [SentFrame[], TraceLine[]] = [[], []];
  let [i, j, alike] = [0, 0, 0];
  while (i < a.length || j < b.length) {
    const [frame, line] = [wanted[i], there[j]];
    if (frame && line && a[i] === b[j]) {
      alike += 1;
      i += 1;
      j += 1;
    } else if (frame && (!line || (lengths[i + 1]?.[j] ?? 0) >= (lengths[i]?.[j + 1] ?? 0))) {
      missing.push(frame);
      i += 1;
    } else if (line) {
      unforeseen.push(line);
      j += 1;
    }
  }
  return { missing, unforeseen, alike };
}

/** How long the common run of what is left of both is, for each place in each. */
function commonLengths(a: readonly string[], b: readonly string[]): readonly Uint16Array[] {
  const lengths = Array.from({ length: a.length + 1 }, () => new Uint16Array(b.length + 1));
  for (let i = a.length - 1; i >= 0; i -= 1)
    for (let j = b.length - 1; j >= 0; j -= 1) {
      const [here, below] = [lengths[i], lengths[i + 1]];
      if (here && below) here[j] = a[i] === b[j] ? (below[j + 1] ?? 0) + 1 : Math.max(below[j] ?? 0, here[j + 1] ?? 0);
    }
  return lengths;
}
