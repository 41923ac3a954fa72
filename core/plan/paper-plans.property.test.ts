import fc from "fast-check";
import { expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { everySetting } from "@/demo/paper-under-test/every-setting";
import { appOnPaper, playerOnPaper } from "@/demo/paper-under-test/arrival";
import { jobOf } from "@/demo/paper-under-test/job";
import { paperRooms } from "@/demo/paper-under-test/room";
import { tries } from "@/demo/tries-under-test";
import { searchPlans, wiringSpace } from "./index";

const SOUND_ALONE = { sound: 100, picture: 0, ease: 0, money: 0, hours: 0, pulls: 0 };

test("where some setting of a room makes every row whole on paper, so does the plan that is proven best by sound alone", () => {
  let whole = 0;
  fc.assert(
    fc.property(paperRooms, (room) => {
      fc.pre(room.way === "tv-return" || room.way === "bar-input");
      const isWhole = everySetting(room).some((one) => playerOnPaper(one).verdict === "full" && appOnPaper(one).verdict === "full");
      fc.pre(isWhole);
      whole += 1;
      const space = wiringSpace(jobOf(room), { boxes: [] });
      const found = space && searchPlans(space, SOUND_ALONE, { onlyBest: true });
      const [best] = found?.plans ?? [];
      expect(found?.proven).toBe(true);
      expect(best && arrivalsOf(best.job).map(({ soundVerdict }) => soundVerdict)).toEqual(["full", "full"]);
    }),
    tries(25, 600, 94),
  );
  expect(whole).toBeGreaterThan(20);
}, 900_000);
