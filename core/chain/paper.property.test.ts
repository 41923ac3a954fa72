import fc from "fast-check";
import { expect, test } from "vitest";
import { tries } from "@/demo/tries-under-test";
import { arrivalsOf } from "@/core/chain";
import { appOnPaper, playerOnPaper } from "@/demo/paper-under-test/arrival";
import { asOnPaper } from "@/demo/paper-under-test/as-on-paper";
import { jobOf } from "@/demo/paper-under-test/job";
import { carries, narrowest, isPaperMode, paperPictureRooms, pictureJobOf, pictureOnPaper } from "@/demo/paper-under-test/picture";
import { sideCableJob, sideCableOnPaper, sideCables } from "@/demo/paper-under-test/side-cable";
import { paperRooms } from "@/demo/paper-under-test/room";

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
}, 900_000);

test("what arrives beside HDMI, through converters, DACs and Bluetooth, is what comes out on paper", () => {
  fc.assert(
    fc.property(sideCables, (room) => {
      expect(arrivalsOf(sideCableJob(room)).map(asOnPaper)).toEqual([sideCableOnPaper(room)]);
    }),
    tries(2000, 60_000, 95),
  );
}, 900_000);

test("a picture is whole, less or black where it is so on paper, and what is left of it fits its way", () => {
  fc.assert(
    fc.property(paperPictureRooms, (room) => {
      const expected = pictureOnPaper(room);
      fc.pre(expected !== null);
      const [row] = arrivalsOf(pictureJobOf(room));
      const picture = row?.picture ?? null;
      const { mode, depth, chroma, hdr, gaming } = room.wish;
      const isWhole =
        picture !== null &&
        [picture.mode, picture.depth, picture.chroma, picture.hdr, picture.gaming].join() === [mode, depth, chroma, hdr, gaming].join();
      expect(picture === null ? "black" : isWhole ? "whole" : "less").toBe(expected);
      expect(row?.verdict === "no-picture").toBe(expected === "black");
      expect(row?.pictureLosses.length === 0).toBe(expected === "whole");
      if (picture && isPaperMode(picture.mode)) expect(carries({ ...picture, mode: picture.mode }, narrowest(room))).not.toBe(false);
    }),
    tries(3000, 60_000, 93),
  );
}, 900_000);
