import fc from "fast-check";
import { expect, test } from "vitest";
import { everySetting } from "@/demo/paper-under-test/every-setting";
import { appOnPaper, type PaperArrival, playerOnPaper } from "@/demo/paper-under-test/arrival";
import { asOnPaper } from "@/demo/paper-under-test/as-on-paper";
import { jobOf } from "@/demo/paper-under-test/job";
import { type PaperRoom, paperRooms } from "@/demo/paper-under-test/room";
import { tries } from "@/demo/tries-under-test";
import { smallestChanges } from "./smallest-changes";

const CHANNELS = { "2.0": 2, "5.1": 6, "7.1": 8 };

/** How good an arrival is: whole, then by channels, objects, losslessness and the fewest lossy codings. */
function rank({ verdict, arrives }: PaperArrival, { bar }: PaperRoom): number {
  if (verdict === "silent" || !arrives) return 0;
  if (verdict === "full") return 1e6;
  const heard = Math.min(CHANNELS[arrives.channels], CHANNELS[bar.bed]);
  const isKept = arrives.objects && (bar.decodes.find(({ coding }) => coding === arrives.coding)?.objects ?? false);
  return heard * 1000 + Number(isKept) * 100 + Number(arrives.lossless) * 10 + (9 - arrives.codings);
}

test("where every row is said to stand as high as it can, no switch, menu or socket of the room lifts it on paper", () => {
  let said = 0;
  fc.assert(
    fc.property(paperRooms, (room) => {
      const { best, proof } = smallestChanges(jobOf(room));
      if (proof !== "every-row") return;
      said += 1;
      const highest = { player: 0, tv: 0 };
      for (const one of everySetting(room)) {
        highest.player = Math.max(highest.player, rank(playerOnPaper(one), room));
        highest.tv = Math.max(highest.tv, rank(appOnPaper(one), room));
      }
      for (const row of best.after) {
        const most = row.player === "tv" ? highest.tv : highest.player;
        expect(rank(asOnPaper(row), room), row.id).toBeGreaterThanOrEqual(most);
      }
    }),
    tries(40, 1500, 92),
  );
  expect(said).toBeGreaterThan(10);
}, 900_000);
