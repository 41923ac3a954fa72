import { idealForms, isFull, keptOf, type Stream } from "@/core/chain";
import type { Content } from "@/core/device";
import { soundKept } from "../evaluation";
import type { WiringSpace } from "../space";

/** How much of its sound a content keeps by the best of these streams, 0 to 1; nothing by none. */
export function mostKeptOf({ job, system }: WiringSpace, content: Content, streams: readonly Stream[]): number {
  const best = idealForms(content, system)[0] ?? null;
  return Math.max(
    0,
    ...streams.map((arrives) =>
      soundKept(job, { verdict: isFull(arrives, content, system) ? "full" : "reduced", kept: keptOf(arrives, best, system) }),
    ),
  );
}
