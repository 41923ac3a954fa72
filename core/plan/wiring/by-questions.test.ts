import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { device, room } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { backbonesOf } from "./backbones";
import { Room } from "./by-questions";
import { passedIn } from "./passed";
import { jobWith } from "./room-of";
import { newMeasure, rowsIn } from "./grounds";
import { plugsOf } from "./plugs";
import { worked } from "./worked-under-test";
import { wiringSpace } from "./space";
import { PRESETS } from "./weights";

describe("what passes of a player, remembered from room to room", () => {
  test("equals what is worked out anew, whatever was asked before", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        const measure = newMeasure(space, PRESETS["best-sound"]);
        for (const { hubs, wires } of [...backbonesOf(space)].slice(0, 12))
          for (const { wire, player } of plugsOf(measure, { boxes: [], hubs, wires }).tables.flat()) {
            const device = space.players.find(({ id }) => id === player);
            if (!wire || !device) continue;
            const job = jobWith(space, hubs, [...wires, wire], [device]);
            const fresh = newMeasure(space, PRESETS["best-sound"]);
            const besides = new Room({ devices: [device], cables: [wire.cable] }, new Room(jobWith(space, hubs, wires)));
            expect(passedIn(measure, besides, device, () => job)).toEqual(passedIn(fresh, new Room(job), device, () => job));
          }
      }),
      { numRuns: 40, seed: 36 },
    );
  });

  test("is never taken for the same where cables differ: fibres in place of copper bring the picture whole", () => {
    const run = { id: "wall", between: ["rack", "screen"] as [string, string], allowed: true, lengthM: 15 };
    const far = room([
      { ...device("projector", "projector"), room: "screen" },
      { ...device("receiver-72", "receiver"), room: "rack" },
      { ...device("disc-player-4k", "disc"), room: "rack" },
    ]);
    const job = { ...far, rooms: ["screen", "rack"].map((id) => ({ id, name: id, seats: 0 })), brief: { ...far.brief, runs: [run] } };
    const space = wiringSpace(job, { boxes: [] });
    if (!space) throw new Error("nothing to plan");
    const measure = newMeasure(space, PRESETS["best-sound"]);
    const seen = [...backbonesOf(space)].flatMap((backbone) => {
      const screenWire = backbone.wires.find(({ cable }) => cable.to.device === "projector");
      const plug = plugsOf(measure, backbone).tables[0]?.find(({ kind }) => kind?.device === "receiver");
      const [player] = space.players;
      if (!screenWire || !plug?.wire || !player) return [];
      const joined = jobWith(space, backbone.hubs, [...backbone.wires, plug.wire], [player]);
      const passed = passedIn(measure, new Room(joined), player, () => joined);
      return [[screenWire.cable.class, Math.max(...passed.pictures)]];
    });
    expect(Object.fromEntries(seen)).toEqual({ "ultra-high-speed": 0.5, "hybrid-optical-hdmi": 1 });
  });
});

describe("rows remembered from room to room", () => {
  test("equal those worked out anew, whatever was asked before", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        for (const { measure, grounds } of worked(space, 5, 3))
          for (const { ground } of grounds)
            for (const player of space.players) {
              const job = jobWith(space, ground.hubs, ground.backbone.wires, [player]);
              const fresh = solve(job, "planned");
              const { answer: told } = rowsIn(measure, job, player.id);
              expect(told.map(({ id, verdict }) => [id, verdict])).toEqual(
                fresh.rows.filter((row) => row.player === player.id).map(({ id, verdict }) => [id, verdict]),
              );
            }
      }),
      { numRuns: 40, seed: 33 },
    );
  });
});
