import type { UsedPlayer } from "@/core/handover";
import { upperFirst } from "../names";
import type { SheetParts } from "./sheet-words";

/** Players by what is done with them: "Films with Streamer and Disc player; games with Console". */
export function byUses({ listed, uses }: Pick<SheetParts, "listed" | "uses">, players: readonly UsedPlayer[], word: string): string {
  const groups = new Map<string, string[]>();
  for (const one of players) {
    const what = listed(one.uses.map((use) => uses[use]));
    groups.set(what, [...(groups.get(what) ?? []), one.player]);
  }
  return upperFirst([...groups].map(([what, names]) => `${what} ${word} ${listed(names)}`).join("; "));
}
