import fc from "fast-check";
import { expect, test } from "vitest";
import { everySetting } from "@/demo/paper-under-test/every-setting";
import { appOnPaper, COUNT, type PaperArrival, playerOnPaper } from "@/demo/paper-under-test/arrival";
import { asOnPaper } from "@/demo/paper-under-test/as-on-paper";
import { jobOf } from "@/demo/paper-under-test/job";
import { FORMATS, type PaperBar, paperRooms } from "@/demo/paper-under-test/room";
import { sideCableJob, sideCableOnPaper, sideCables } from "@/demo/paper-under-test/side-cable";
import { tries } from "@/demo/tries-under-test";
import { smallestChanges } from "./smallest-changes";

/** How good an arrival is: whole, then by channels, objects, losslessness and the fewest lossy codings. */
function rank({ verdict, arrives }: PaperArrival, bar: PaperBar): number {
  if (verdict === "silent" || !arrives) return 0;
  if (verdict === "full") return 1e6;
  const heard = Math.min(COUNT[arrives.channels], COUNT[bar.bed]);
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
        highest.player = Math.max(highest.player, rank(playerOnPaper(one), room.bar));
        highest.tv = Math.max(highest.tv, rank(appOnPaper(one), room.bar));
      }
      for (const row of best.after) {
        const most = row.player === "tv" ? highest.tv : highest.player;
        expect(rank(asOnPaper(row), room.bar), row.id).toBeGreaterThanOrEqual(most);
      }
    }),
    tries(40, 1500, 92),
  );
  expect(said).toBeGreaterThan(10);
}, 900_000);

test("beside HDMI no menu of the player lifts a row that is said to stand as high as it can", () => {
  let said = 0;
  fc.assert(
    fc.property(sideCables, (room) => {
      const { best, proof } = smallestChanges(sideCableJob(room));
      if (proof !== "every-row") return;
      said += 1;
      const highest = FORMATS.map((format) => rank(sideCableOnPaper({ ...room, player: { ...room.player, format } }), room.bar));
      for (const row of best.after) expect(rank(asOnPaper(row), room.bar)).toBeGreaterThanOrEqual(Math.max(...highest));
    }),
    tries(150, 6000, 96),
  );
  expect(said).toBeGreaterThan(50);
}, 900_000);
