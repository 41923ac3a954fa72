import { idealForms, isFull, keptOf, arrivalUpperBounds, type Rig, type Stream } from "@/core/chain";
import type { Content, Device } from "@/core/device";
import { isFromScreen } from "./upper-bounds";
import type { WiringSpace } from "../space";
import { soundKept } from "../evaluation";

/** The cables and plugs of a topology stay, and the settings that are decided. */
const AS_WIRED = { plugs: false, cables: false, settings: "as-known" } as const;

/**
 * How much of its sound each content of a device could keep in a room, 0 to 1, in the order of its contents: the best of all that could
 * arrive with some choice of the settings that nobody knows.
 */
export function soundUpperBound(space: WiringSpace, rig: Rig, device: Device): readonly number[] {
  const { system } = space;
  return device.sources.flatMap((source) =>
    source.contents.map((content) => {
      if (isFromScreen(space, content)) return 1;
      return mostKeptOf(space, content, arrivalUpperBounds(rig, { player: device, source: source.id, content, system, freedom: AS_WIRED }));
    }),
  );
}

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
