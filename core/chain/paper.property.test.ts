import fc from "fast-check";
import { expect, test } from "vitest";
import { tries } from "@/demo/tries-under-test";
import { arrivalsOf, type Arrival } from "@/core/chain";
import { appOnPaper, type PaperArrival, playerOnPaper } from "./under-test/paper-arrival";
import { jobOf } from "./under-test/paper-job";
import { paperRooms } from "./under-test/paper-room";

const asOnPaper = ({ soundVerdict, arrives }: Arrival): PaperArrival => ({
  verdict: soundVerdict === "unknown" ? "silent" : soundVerdict,
  arrives: arrives && {
    coding: arrives.coding as NonNullable<PaperArrival["arrives"]>["coding"],
    channels: arrives.channels as NonNullable<PaperArrival["arrives"]>["channels"],
    objects: arrives.objects !== "none",
    lossless: arrives.lossless,
    codings: arrives.generations,
  },
});

test("what arrives in small rooms is what comes out on paper, where nothing of the engine is used", () => {
  fc.assert(
    fc.property(paperRooms, (room) => {
      const rows = arrivalsOf(jobOf(room));
      const of = (player: string) => rows.flatMap((row) => (row.player === player ? [asOnPaper(row)] : []));
      expect(of("player")).toEqual([playerOnPaper(room)]);
      expect(of("tv")).toEqual([appOnPaper(room)]);
    }),
    tries(3000, 60_000, 91),
  );
});
