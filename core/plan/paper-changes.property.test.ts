import fc from "fast-check";
import { expect, test } from "vitest";
import { appOnPaper, type PaperArrival, playerOnPaper, returnOf } from "@/core/chain/under-test/paper-arrival";
import { jobOf } from "@/core/chain/under-test/paper-job";
import { type PaperRoom, paperRooms } from "@/core/chain/under-test/paper-room";
import { tries } from "@/demo/tries-under-test";
import { smallestChanges } from "./smallest-changes";

const SWITCH = ["on", "off"] as const;
const CHANNELS = { "2.0": 2, "5.1": 6, "7.1": 8 };

/** The room once for each return that its switches can make of it. */
function everyReturn(room: PaperRoom): readonly PaperRoom[] {
  const switches = SWITCH.flatMap((earc) => SWITCH.flatMap((arc) => SWITCH.map((cec) => ({ earc, arc, cec }))));
  const rooms = switches.flatMap((ofTv) =>
    switches.map((ofBar): PaperRoom => ({ ...room, tv: { ...room.tv, ...ofTv }, bar: { ...room.bar, ...ofBar } })),
  );
  return [...new Map(rooms.map((one) => [returnOf(one), one])).values()];
}

/** The room with every switch and menu at any of its values, and the player in either of the two sockets where both cables lie. */
function everySetting(room: PaperRoom): readonly PaperRoom[] {
  const ways = room.way === "tv-return" || room.way === "bar-input" ? (["tv-return", "bar-input"] as const) : [room.way];
  const shown = room.way === "extractor" ? (["2ch", "5.1", "screen"] as const) : [room.shows];
  return everyReturn(room).flatMap(({ tv, bar }) =>
    ways.flatMap((way) =>
      shown.flatMap((shows) =>
        (["auto", "bitstream", "pcm", "stereo", "dolby-digital"] as const).flatMap((sends) =>
          (["auto", "pass-through", "pcm", "dolby-digital"] as const).map((format) => ({
            ...room,
            way,
            shows,
            player: { ...room.player, format: sends },
            tv: { ...tv, format, speakers: "external" as const },
            bar: { ...bar, mode: "auto" as const },
          })),
        ),
      ),
    ),
  );
}

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
      for (const { player, soundVerdict, arrives } of best.after) {
        const now: PaperArrival = {
          verdict: soundVerdict === "full" || soundVerdict === "reduced" ? soundVerdict : "silent",
          arrives: arrives && {
            coding: arrives.coding as NonNullable<PaperArrival["arrives"]>["coding"],
            channels: arrives.channels as keyof typeof CHANNELS,
            objects: arrives.objects !== "none",
            lossless: arrives.lossless,
            codings: arrives.generations,
          },
        };
        const most = player === "tv" ? highest.tv : highest.player;
        expect(rank(now, room), player).toBeGreaterThanOrEqual(most);
      }
    }),
    tries(40, 1500, 92),
  );
  expect(said).toBeGreaterThan(10);
}, 120_000);
