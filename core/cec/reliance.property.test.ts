import fc from "fast-check";
import { expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { made, planned } from "@/demo/room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { householdOf, relianceOf } from "@/core/cec";
import { solve, type Arrival } from "@/core/chain";

const isBackOverArc = (row: Arrival | undefined): boolean => row?.plays !== null && (row?.hops.some(({ link }) => link === "arc") ?? false);

test("with HDMI control off at either end the sound that is said to need it no longer comes back there, and no other sound ends", () => {
  let ended = 0;
  fc.assert(
    fc.property(fc.oneof({ weight: 3, arbitrary: anyRoom.map(anyJob) }, spelledRooms), (job) => {
      const before = solve(job, "planned").rows.filter(({ plays }) => plays !== null);
      const all = relianceOf(householdOf(job));
      const named = new Set(all.flatMap(({ players }) => players));
      for (const { screen, taker, players } of all)
        for (const end of [screen, taker]) {
          if (!job.devices.some(({ id, settings }) => id === end && settings.some(({ key }) => key === "cec"))) continue;
          const off = solve(made(job, planned(end, "cec", "off")), "planned").rows;
          for (const row of before) {
            const now = off.find(({ id }) => id === row.id);
            if (!named.has(row.player)) expect(now?.plays, `${row.id} without ${end}`).not.toBeNull();
            const wasThere = row.hops.some(({ link, device }) => link === "arc" && device === taker);
            if (!players.includes(row.player) || !wasThere) continue;
            ended += 1;
            expect(isBackOverArc(now) && now?.hops.some(({ link, device }) => link === "arc" && device === taker), row.id).toBeFalsy();
          }
        }
    }),
    tries(400, 5000, 43),
  );
  expect(ended).toBeGreaterThan(50);
});
