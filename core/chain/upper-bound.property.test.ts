import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { bedChannels } from "@/core/facts";
import { arrivalsOf, listingAt, makeRig, bestUpperBound, scoreArrival, scoreStream, type Freedom } from "@/core/chain";
import type { Port } from "@/core/device";
import { applyCommand, chosenSoundSystem, type CableEnd, type Job } from "@/core/job";
import { possibleChanges, type ChangeKind } from "@/core/plan";
import { listedAnywhereAt, listedUpperBoundAt, type ListedUpperBound } from "./listed-upper-bound";
import { jobOf } from "@/demo/paper-under-test/job";
import { paperRooms } from "@/demo/paper-under-test/room";

const SEED = 48;
const ROOMS: readonly Job[] = [
  ...demoJobNames().map((name) => demoJob(name)),
  ...demoJobNames("systems").map((name) => demoJob(name, "systems")),
];

const anyRoom = fc.oneof(fc.constantFrom(...ROOMS), paperRooms.map(jobOf));

/** The upper bound of each row, by player, source and content. */
function boundsOf(job: Job, freedom: Freedom): ReadonlyMap<string, number> {
  const system = chosenSoundSystem(job);
  const bounds = new Map<string, number>();
  const rig = makeRig(job, "planned");
  for (const device of job.devices)
    for (const source of device.sources)
      for (const content of source.contents) {
        if (!system) continue;
        bounds.set(
          `${device.id}/${source.id}/${content.id}`,
          scoreStream(bestUpperBound(rig, { player: device, source: source.id, content, system, freedom }), content, system),
        );
      }
  return bounds;
}

/** The room after some changes of some kinds, each chosen by a number. */
const after = (job: Job, kinds: readonly ChangeKind[], numbers: readonly number[]): Job =>
  numbers.reduce((current, number) => {
    const changes = possibleChanges(current).filter(({ kind }) => kinds.includes(kind));
    const change = changes[number % Math.max(1, changes.length)];
    const applied = change && applyCommand(current, change.command);
    return applied?.ok ? applied.value.job : current;
  }, job);

describe("what a row could ever be never has a bound below the truth", () => {
  const cases: readonly (readonly [string, Freedom, readonly ChangeKind[]])[] = [
    ["settings", { plugs: false, cables: false }, ["setting"]],
    ["settings and plugs", { plugs: true, cables: false }, ["setting", "plug"]],
    ["settings and cables", { plugs: false, cables: true }, ["setting", "cable"]],
    ["settings, plugs and cables", { plugs: true, cables: true }, ["setting", "plug", "cable"]],
  ];
  test.each(cases)("by any choice of %s", (_what, freedom, kinds) => {
    fc.assert(
      fc.property(anyRoom, fc.array(fc.nat({ max: 5000 }), { minLength: 1, maxLength: 6 }), (room, numbers) => {
        const bounds = boundsOf(room, freedom);
        for (const row of arrivalsOf(after(room, kinds, numbers))) {
          const bound = bounds.get(row.id.split("@")[0] ?? "");
          expect(scoreArrival(row), `${room.name} ${row.id}`).toBeLessThanOrEqual(bound ?? 0);
        }
      }),
      { numRuns: 250, seed: SEED },
    );
  });

  const ofLists: readonly (readonly [string, readonly ChangeKind[], (room: Job, exit: CableEnd, port: Port) => ListedUpperBound])[] = [
    ["settings", ["setting"], (room, exit) => listedUpperBoundAt(makeRig(room, "planned"), exit)],
    ["settings, plugs and cables", ["setting", "plug", "cable"], (room, _exit, port) => listedAnywhereAt(room.devices, port)],
  ];
  test.each(ofLists)("nor what could be listed at a socket, by any choice of %s", (_what, kinds, mostOf) => {
    fc.assert(
      fc.property(anyRoom, fc.array(fc.nat({ max: 5000 }), { minLength: 1, maxLength: 6 }), (room, numbers) => {
        const job = after(room, kinds, numbers);
        const rig = makeRig(job, "planned");
        for (const device of job.devices)
          for (const port of device.ports) {
            const { id } = port;
            const exit = { device: device.id, port: id };
            const most = mostOf(room, exit, port);
            const listing = listingAt(rig, exit);
            if (most === null || listing.unknown) continue;
            for (const [coding, { channels, objects }] of listing.sounds) {
              expect(bedChannels(most.get(coding)?.channels ?? "2.0"), `${room.name} ${device.id} ${id} ${coding}`).toBeGreaterThanOrEqual(
                bedChannels(channels),
              );
              expect(most.has(coding) && (!objects || most.get(coding)?.objects)).toBe(true);
            }
          }
      }),
      { numRuns: 250, seed: SEED },
    );
  });

  test("a bar that knows only eARC behind a TV without return: nothing, however plugged", () => {
    const flat = demoJob("flat-4b");
    for (const bound of boundsOf(flat, { plugs: true, cables: true }).values()) expect(bound).toBe(0);
  });

  test("more freedom never bounds lower", () => {
    for (const room of ROOMS) {
      const none = boundsOf(room, { plugs: false, cables: false });
      const all = boundsOf(room, { plugs: true, cables: true });
      for (const [row, bound] of none) expect(all.get(row)).toBeGreaterThanOrEqual(bound);
    }
  });
});
