import type { Content } from "@/core/device";
import { pictureArrival, type PictureArrival } from "./picture-arrival";
import { pictureWays } from "./picture-way";
import type { Rig } from "./rig";

/** A content with its picture on every screen that it reaches. */
export interface SeenContent {
  readonly content: Content;
  readonly seen: readonly PictureArrival[];
}

/** What is seen of a player's contents, in their order, without their sound: a part of the board that is quickly told. */
export function picturesOf(rig: Rig, player: string): readonly SeenContent[] {
  const device = rig.device(player);
  return (device?.sources ?? []).flatMap((source) => {
    const ways = device ? pictureWays(rig, device, source.id) : [];
    return source.contents.map((content) => ({
      content,
      seen: device ? ways.map((way) => pictureArrival(rig, device, way, content)) : [],
    }));
  });
}
