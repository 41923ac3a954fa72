import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { bedChannels } from "@/core/facts";
import { arrivalsOf, listingAt, makeRig, bestUpperBound, scoreArrival, scoreStream, type Freedom } from "@/core/chain";
import type { Port } from "@/core/device";
import { applyCommand, chosenSoundSystem, type CableEnd, type Job } from "@/core/job";
import { possibleChanges, smallestChanges, type ChangeKind } from "@/core/plan";
import { listedAnywhereAt, listedUpperBoundAt, type ListedUpperBound } from "./listed-upper-bound";
import { cableByHand, hdmiByHand, jobByHand } from "@/demo/by-hand-under-test";
import { jobOf } from "@/demo/paper-under-test/job";
import { paperRooms } from "@/demo/paper-under-test/room";
import { spelledRooms } from "@/demo/spelled-room-under-test";

const SEED = 48;
const ROOMS: readonly Job[] = [
  ...demoJobNames().map((name) => demoJob(name)),
  ...demoJobNames("systems").map((name) => demoJob(name, "systems")),
];

const anyRoom = fc.oneof(fc.constantFrom(...ROOMS), paperRooms.map(jobOf), spelledRooms);

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
          // Of what nobody knows nothing is promised.
          if (row.soundVerdict === "unknown") continue;
          const bound = bounds.get(row.id.split("@")[0] ?? "");
          expect(scoreArrival(row), `${room.name} ${row.id}`).toBeLessThanOrEqual(bound ?? 0);
        }
      }),
      { numRuns: 300, seed: SEED },
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
      { numRuns: 300, seed: SEED },
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

describe("what one of two far ends takes, and not the other", () => {
  const listed = (...sounds: readonly string[]) =>
    sounds.map((words) => ({ coding: words.split(" ")[0], channels: words.split(" ")[1], objects: false }));
  /** A player before a screen that lists everything, and a bar that is not plugged in yet. */
  const roomOf = (tracks: readonly object[], decodes: readonly object[]): Job =>
    jobByHand({
      name: "Two far ends",
      brief: { soundSystem: "bar" },
      devices: [
        {
          id: "player",
          name: "Player",
          role: "player",
          ports: [hdmiByHand("out", "out")],
          sources: [{ id: "disc", name: "disc", kind: "media", contents: [{ id: "film", name: "film", kind: "film", tracks }] }],
          routes: [
            {
              kind: "sound",
              from: ["disc"],
              to: ["out"],
              passes: listed("truehd 7.1", "dts-hd-ma 7.1"),
              lpcm: "7.1",
              format: "player-audio",
            },
          ],
          settings: [{ key: "player-audio", options: ["auto", "pcm"], found: "auto" }],
        },
        {
          id: "tv",
          name: "Television",
          role: "screen",
          ports: [hdmiByHand("hdmi1", "in")],
          display: { maxMode: "3840x2160@60", hdr: [], delayMs: 20, gameDelayMs: 10 },
          routes: [{ kind: "picture", from: ["hdmi1"], to: ["display"] }],
          presents: [{ rule: "list", ports: ["hdmi1"], sound: listed("lpcm 7.1", "truehd 7.1", "dts-hd-ma 7.1") }],
        },
        {
          id: "bar",
          name: "Bar",
          role: "sound",
          ports: [hdmiByHand("in", "in")],
          decodes,
          speakers: { bed: "5.1" },
          routes: [{ kind: "sound", from: ["in"], to: ["speakers"] }],
          presents: [{ rule: "decoders", ports: ["in"] }],
        },
      ],
      cables: [cableByHand("player out", "tv hdmi1")],
    });
  const byNewCable = (job: Job): readonly string[] =>
    smallestChanges(job).best.after.map(({ verdict, arrives }) => `${verdict} ${arrives ? `${arrives.coding} ${arrives.channels}` : "-"}`);

  test("LPCM of an odd bed is played as wide as the bar lists it, where a wider one would be silent", () => {
    // The screen lists 7.1; a bar that takes 1.0 is sent 1.0 once it is plugged in.
    const job = roomOf([{ coding: "lpcm", channels: "5.1" }], listed("lpcm 1.0"));
    expect(byNewCable(job)).toEqual(["reduced lpcm 1.0"]);
  });

  test("a second track is sent where the first is not listed, whatever another screen lists", () => {
    const tracks = [
      { coding: "truehd", channels: "5.1" },
      { coding: "dts-hd-ma", channels: "5.1" },
    ];
    expect(byNewCable(roomOf(tracks, listed("lpcm 2.0", "dts-hd-ma 5.1")))).toEqual(["full dts-hd-ma 5.1"]);
  });
});
