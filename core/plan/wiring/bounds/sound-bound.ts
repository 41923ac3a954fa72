import { arrivalUpperBounds, type Rig } from "@/core/chain";
import type { Device } from "@/core/device";
import { mostKeptOf } from "./kept-sound";
import { isFromScreen } from "./upper-bounds";
import type { WiringSpace } from "../space";

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
