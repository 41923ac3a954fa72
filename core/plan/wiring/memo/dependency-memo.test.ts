import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { device, room } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { topologiesOf } from "../topology";
import { newContext, PassedBounds, plugsOf, rowsIn } from "../search";
import { worked } from "../under-test/worked";
import { jobWith, wiringSpace } from "../space";
import { PRESETS } from "../evaluation";

describe("what passes of a player, remembered from room to room", () => {
  test("equals what is computed again, whatever was asked before", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        const context = newContext(space, PRESETS["best-sound"]);
        for (const { hubs, wires } of [...topologiesOf(space)].slice(0, 12))
          for (const { wire, player } of plugsOf(context, { boxes: [], hubs, wires }).tables.flat()) {
            const device = space.players.find(({ id }) => id === player);
            if (!wire || !device) continue;
            const fresh = newContext(space, PRESETS["best-sound"]);
            const [remembered, again] = [context, fresh].map((by) => new PassedBounds(by, hubs, wires));
            expect(remembered?.soundOf({ device, wire })).toEqual(again?.soundOf({ device, wire }));
            expect(remembered?.pictureOf({ device, wire })).toEqual(again?.pictureOf({ device, wire }));
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
    const job = {
      ...far,
      rooms: ["screen", "rack"].map((id) => ({ id, name: id, seats: 0, space: null })),
      brief: { ...far.brief, runs: [run] },
    };
    const space = wiringSpace(job, { boxes: [] });
    if (!space) throw new Error("nothing to plan");
    const context = newContext(space, PRESETS["best-sound"]);
    const seen = [...topologiesOf(space)].flatMap((topology) => {
      const screenWire = topology.wires.find(({ cable }) => cable.to.device === "projector");
      const plug = plugsOf(context, topology).tables[0]?.find(({ kind }) => kind?.device === "receiver");
      const [player] = space.players;
      if (!screenWire || !plug?.wire || !player) return [];
      const passed = new PassedBounds(context, topology.hubs, topology.wires);
      return [[screenWire.cable.class, Math.max(...passed.pictureOf({ device: player, wire: plug.wire }))]];
    });
    expect(Object.fromEntries(seen)).toEqual({ "ultra-high-speed": 0.5, "hybrid-optical-hdmi": 1 });
  });
});

describe("rows remembered from room to room", () => {
  test("equal those computed again, whatever was asked before", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        for (const { context, configurations } of worked(space, 5, 3))
          for (const { configuration } of configurations)
            for (const player of space.players) {
              const job = jobWith(space, configuration.hubs, configuration.topology.wires, [player]);
              const fresh = solve(job, "planned");
              const { answer: told } = rowsIn(context, job, player.id);
              expect(told.map(({ id, verdict }) => [id, verdict])).toEqual(
                fresh.rows.filter((row) => row.player === player.id).map(({ id, verdict }) => [id, verdict]),
              );
            }
      }),
      { numRuns: 40, seed: 33 },
    );
  });
});
