import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { device, room } from "@/demo/room-under-test";
import { missing, topologiesOf } from "../topology";
import { newContext } from "./configurations";
import { assignPlugs } from "./plug-assignment";
import { type Plug, plugsOf } from "./plugs";
import { anywhere } from "./school-needs";
import { equalsOf, jobWith, type SocketKind, wiresBetween } from "../space";
import { topologyOf, spaceWith } from "../under-test/space-with";
import { PRESETS } from "../evaluation";

const weights = PRESETS["best-sound"];

describe("the plugs of a topology", () => {
  test("bring no more where there is room for everybody than as if there were, and every player can be left unplugged", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        const space = spaceOf(one);
        const context = newContext(space, weights);
        for (const topology of topologiesOf(space)) {
          const plugs = plugsOf(context, topology);
          expect(plugs.tables).toHaveLength(space.players.length);
          for (const table of plugs.tables) expect(table[0]).toMatchObject({ kind: null, wire: null });
          const assigned = assignPlugs(anywhere(plugs.tables), ({ most }) => most);
          expect(assigned?.worth ?? -Infinity).toBeLessThanOrEqual(plugs.roughly + 1e-9);
        }
      }),
      { numRuns: 40, seed: 80 },
    );
  });

  test("of two players for one socket only one has room, although each could have it", () => {
    const devices = [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("console-mat", "a"), device("console-mat", "b")];
    const space = spaceWith(room(devices));
    const plugs = plugsOf(newContext(space, weights), topologyOf(space, "bar>tv"));
    const inBar = plugs.tables.map((table) => table.filter(({ kind }) => kind?.device === "bar"));
    expect(inBar.every((table) => table.length > 0)).toBe(true);
    // The bar has one socket for both.
    expect(assignPlugs(anywhere(inBar), ({ most }) => most)).toBeNull();
  });

  test("are laid out once, however often they are asked for", () => {
    const space = spaceWith(room([device("tv-earc", "tv"), device("receiver-72", "receiver"), device("streamer-4k", "streamer")]));
    const plugs = plugsOf(newContext(space, weights), topologyOf(space, "receiver>tv"));
    expect(plugs.tables).toBe(plugs.tables);
  });
});

describe("wires that a chain of boxes still misses", () => {
  const space = spaceWith(
    room([device("tv-earc", "tv"), device("projector", "projector"), device("receiver-72", "receiver")]),
    "splitter-1x2",
    "switch-3x1",
  );
  const { boxes } = space;
  const hubs = [...space.screens, space.system, ...boxes.map((box) => box.device)];
  const wire = (from: string, out: string, to: string, into: string) =>
    wiresBetween(space, jobWith(space, hubs, []), { device: from, port: out }, { device: to, port: into }).slice(0, 1);
  const chain = [
    wire("switch-3x1", "hdmi-out", "splitter-1x2", "hdmi-in"),
    wire("splitter-1x2", "out-1", "tv", "hdmi1"),
    wire("splitter-1x2", "out-2", "projector", "hdmi1"),
  ];

  test("are one for each screen and one between two boxes, and fewer with each that is laid", () => {
    expect(missing(space, boxes, [])).toBe(3);
    chain.forEach((_, laid) => {
      expect(missing(space, boxes, chain.slice(0, laid).flat())).toBe(3 - laid);
    });
    expect(missing(space, boxes, chain.flat())).toBe(0);
  });
});

test("players are equal where they differ in nothing but their names; the first stands for itself, for on it hang the acts that are about no player", () => {
  const kinds = ["console-mat", "console-mat", "streamer-4k", "console-mat", "streamer-4k"];
  const players = kinds.map((kind, index) => device(kind, `p${index}`));
  const space = spaceWith(room([device("tv-earc", "tv"), device("receiver-72", "receiver"), ...players]));
  expect(space.players.map(({ id }) => equalsOf(space, id))).toEqual([[0], [1, 3], [2, 4], [1, 3], [2, 4]]);
});

describe("players of whom some must be in a kind of socket", () => {
  const kindOf = (device: string, sockets: number): SocketKind => ({
    device,
    ports: Array.from({ length: sockets }, (_, index) => `in${index}`),
  });
  const [box, tv] = [kindOf("box", 2), kindOf("tv", 2)];
  const tableOf = (player: string, worths: readonly number[]): readonly Plug[] =>
    [null, box, tv].map((kind, index) => ({ player, kind, wire: null, reach: null, most: worths[index] ?? 0 }));
  /** Every assignment, tried one by one. */
  const bestByHand = (tables: readonly (readonly Plug[])[], least: number): number => {
    const place = (taken: readonly Plug[]): number => {
      const count = (kind: SocketKind) => taken.filter((plug) => plug.kind === kind).length;
      if (count(box) > 2 || count(tv) > 2) return -Infinity;
      const next = tables[taken.length];
      if (!next) return count(box) < least ? -Infinity : taken.reduce((sum, { most }) => sum + most, 0);
      return Math.max(...next.map((plug) => place([...taken, plug])));
    };
    return place([]);
  };

  test("bring what the best of all assignments with so many there brings, and nothing where so many cannot be there", () => {
    const worths = fc.array(fc.tuple(fc.nat(20), fc.nat(20), fc.nat(20)), { minLength: 1, maxLength: 4 });
    fc.assert(
      fc.property(worths, fc.nat(3), (rows, least) => {
        const tables = rows.map((row, index) => tableOf(`p${index}`, row));
        const found = assignPlugs({ tables, least: new Map([[box, least]]) }, ({ most }) => most);
        expect(found?.worth ?? -Infinity).toBeCloseTo(bestByHand(tables, least), 9);
        if (found) expect(found.plugs.filter(({ kind }) => kind === box).length).toBeGreaterThanOrEqual(least);
      }),
      { numRuns: 300, seed: 81 },
    );
  });
});
