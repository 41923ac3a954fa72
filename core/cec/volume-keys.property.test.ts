import fc from "fast-check";
import { expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { householdOf, soundingOf } from "@/core/cec";
import type { Job } from "@/core/job";
import { castOf, watchingOf } from "./acts";
import { simulate } from "./simulate";
import { soundWaysOf } from "./sound-of";

/**
 * Whose volume the remote of the screen changes while a player is watched, found out on the bus: the key is pressed, and whatever of the
 * row's path is louder then has heard it. Undefined: its sound does not come from the sound system there.
 */
function louderByScreen(job: Job, { screen, player, path }: { screen: string; player: string; path: readonly string[] }) {
  const all = householdOf(job, "planned");
  const household = { ...all, mainScreen: screen, soundWays: soundWaysOf(all.solved.rows, screen) };
  const before = watchingOf(household, 1, player);
  const cast = castOf({ ...household, stations: before });
  if (cast.screen?.nature.device !== screen || soundingOf(household.soundWays, cast) !== "system") return undefined;
  const after = simulate(before, [{ atMs: 0, device: screen, key: { press: "volume-up" } }], 1).end;
  return path.filter((id) => id !== screen && (after.get(id)?.volume ?? 0) > (before.get(id)?.volume ?? 0));
}

test("the board and the control bus agree on whose volume the screen's remote changes, in rooms of every kind", () => {
  let [asked, byRemote] = [0, 0];
  const rooms = fc.oneof({ weight: 3, arbitrary: anyRoom.map(anyJob) }, spelledRooms, disturbedRooms);
  fc.assert(
    fc.property(rooms, (job) => {
      for (const row of householdOf(job, "planned").solved.rows) {
        if (!row.plays || row.screen === null || row.system === null || row.system === row.screen) continue;
        const path = [...new Set([row.system, ...row.hops.map(({ device }) => device)])];
        const louder = louderByScreen(job, { screen: row.screen, player: row.player, path });
        if (!louder) continue;
        asked += 1;
        byRemote += louder.length;
        expect(row.volume?.by === "screen-remote" ? [row.volume.device] : [], row.id).toEqual(louder);
      }
    }),
    tries(400, 10_000, 17),
  );
  // Both answers came up, often.
  expect(byRemote).toBeGreaterThan(50);
  expect(asked - byRemote).toBeGreaterThan(50);
});
