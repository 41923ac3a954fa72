import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { deviceName } from "@/core/text";
import { USES, type SheetLine, type UsedPlayer } from "./sheet-facts";
import { sheetLine } from "./sheet-line";
import { whatFor, withUse, type PlayerRows } from "./used-players";

/** A remote or knob, and what it is used for: the uses of each player whose volume it changes. */
interface Turned {
  readonly device: string;
  readonly by: "remote" | "knob";
  readonly players: readonly UsedPlayer[];
}

/** By what a person changes the volume of a row; null where nobody knows. */
function turnedBy({ volume, screen }: Arrival): Omit<Turned, "players"> | null {
  switch (volume?.by) {
    case "screen-remote":
      return screen === null ? null : { device: screen, by: "remote" };
    case "own-remote":
      return { device: volume.device, by: "remote" };
    case "knob":
      return { device: volume.device, by: "knob" };
    default:
      return null;
  }
}

/** What changes the volume of all that is heard; more than one thing where a second screen or the news goes another way. */
function turnedFor(players: readonly PlayerRows[]): readonly Turned[] {
  const found = new Map<string, Turned>();
  for (const { device: player, rows } of players)
    for (const row of rows) {
      const turned = row.plays ? turnedBy(row) : null;
      if (!turned) continue;
      const key = `${turned.by} ${turned.device}`;
      found.set(key, { ...turned, players: withUse(found.get(key)?.players ?? [], player, whatFor(row)) });
    }
  return [...found.values()];
}

/** Whose remote or knob changes the volume of what is heard, as the board has it; by use where they differ. */
export function volumeLines(job: Job, players: readonly PlayerRows[]): readonly SheetLine[] {
  const all = turnedFor(players);
  return all.map(({ device, by, players: heard }, index) =>
    sheetLine("sentence", `use volume${index ? ` ${device}` : ""}`, {
      says: "volume",
      device: deviceName(job, device),
      by,
      players:
        all.length === 1
          ? null
          : heard.map(({ player, uses }) => ({ player: deviceName(job, player), uses: USES.filter((use) => uses.includes(use)) })),
    }),
  );
}
