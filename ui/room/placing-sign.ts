import type { Placing, RoomAnswer, RoomUnit } from "@/core/room";

/** How a speaker stands to its window, as a sign beside its name. */
export const PLACING_SIGNS = { "in-window": "●", near: "◐", "second-best": "◑", missed: "○", unknown: "?" } as const satisfies Record<
  Placing["placed"],
  string
>;

const ORDER = ["missed", "unknown", "near", "second-best", "in-window"] as const satisfies readonly Placing["placed"][];

/** The placing of a unit: the worst of its channels; null where it plays none. */
export function worstPlacing(answer: RoomAnswer, one: RoomUnit): Placing["placed"] | null {
  const own = answer.speakers.filter(({ device, unit }) => device === one.device && unit === one.unit).map(({ placing }) => placing.placed);
  return ORDER.find((placed) => own.includes(placed)) ?? null;
}
