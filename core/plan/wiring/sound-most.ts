import { compareStreams, idealForms, optimisticArrivals, type ThoughtLists } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import { isFromScreen } from "./most";
import type { WiringSpace } from "./space";
import { soundKept } from "./weights";

/** Whatever else is set, the cables and plugs of a backbone stay. */
const AS_WIRED = { plugs: false, cables: false } as const;

/**
 * How much of its sound each content of a device could keep in a room, 0 to 1, in the order of its contents: the best of all that could
 * arrive while every setting is chosen at will.
 * @param thought lists thought of already on the same backbone
 */
export function soundAtMost(space: WiringSpace, job: Job, device: Device, thought: ThoughtLists): readonly number[] {
  const { system } = space;
  return device.sources.flatMap((source) =>
    source.contents.map((content) => {
      if (isFromScreen(space, content)) return 1;
      const best = idealForms(content, system)[0] ?? null;
      const streams = optimisticArrivals(job, device, source.id, content, system, AS_WIRED, thought);
      return Math.max(
        0,
        ...streams.map((arrives) =>
          soundKept(job, { verdict: compareStreams(arrives, best, system) >= 0 ? "full" : "reduced", arrives, best }),
        ),
      );
    }),
  );
}
