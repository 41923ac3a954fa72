import { describe, expect, test } from "vitest";
import { device, room } from "@/demo/room-under-test";
import { tradesProof } from "@/core/text";
import { firstPlan } from "./first-plan";
import { schoolsOf, topologiesOf, type Topology } from "../topology";
import { PlugBounds } from "./plug-bounds";
import { actsUpperBound, controlReachOf } from "../bounds";
import { newContext, withPictureBounds } from "./configurations";
import { everyConfiguration } from "./setting-group";
import { PlugValues } from "./plug-values";
import { jobWith, type WiringSpace, withSettings } from "../space";
import { plugsOf } from "./plugs";
import { topologyOf, spaceWith } from "../under-test/space-with";
import { tradesOf } from "../trades";
import { hasSound, boundTopology } from "./bounded-topology";
import { ACTS_SHARE, commonActs, easeAfter, PRESETS } from "../evaluation";

/** What is examined of the plugs of a player in a device of a topology. */
function lookedInto(space: WiringSpace, topology: Topology, player: string, hub: string) {
  const context = withPictureBounds(newContext(space, PRESETS["best-sound"]));
  const bounds = new PlugBounds(context, topology);
  const plugs = plugsOf(context, topology)
    .tables.flat()
    .filter((plug) => plug.player === player && plug.kind?.device === hub);
  plugs.forEach((plug) => bounds.refine(plug));
  return plugs.map((plug) => ({ ease: bounds.easeOf(plug), points: bounds.of(plug), roughly: plug.most }));
}

const den = [device("tv-arc", "tv"), device("receiver-51", "receiver"), device("streamer-4k", "first"), device("disc-player-hd", "disc")];

describe("what a plug can bring at most", () => {
  test("is less at a screen with ARC than in the receiver, for what only its own input takes whole", () => {
    const space = spaceWith(room(den));
    const topology = topologyOf(space, "receiver>tv");
    const best = (hub: string) => Math.max(...lookedInto(space, topology, "disc", hub).map(({ points }) => points));
    expect(best("tv")).toBeLessThan(best("receiver") - 1);
  });

  test("is never more once it was looked into", () => {
    const space = spaceWith(room(den), "splitter-1x2", "extractor");
    for (const topology of topologiesOf(space))
      for (const hub of topology.hubs)
        for (const { points, roughly } of lookedInto(space, topology, "disc", hub.id)) expect(points).toBeLessThanOrEqual(roughly + 1e-9);
  });
});

describe("how easy it can be to wake a player", () => {
  const two = [...den, device("projector", "projector")];
  // Everyday acts: screen on 2, louder 2, mute 1, screen off 2, news 2 where the screen has a tuner, and 1 for each of two players.
  const wakes = (space: WiringSpace, topology: Topology, hub: string) => {
    const acts = space.screens.find(({ id }) => id === space.mainScreen)?.sources.some(({ contents }) => contents.length > 0) ? 11 : 9;
    return lookedInto(space, topology, "disc", hub).map(({ ease }) => ease * acts);
  };

  test("at the screen itself nothing need be left to a person", () => {
    const space = spaceWith(room(two));
    for (const wake of wakes(space, topologyOf(space, "receiver>tv"), "tv")) expect(wake).toBeCloseTo(1, 9);
  });

  test("before a splitter that hands no control on the screen, its input and the sound system are three steps", () => {
    const space = spaceWith(room(two), "splitter-1x2");
    const topology = topologyOf(space, "splitter-1x2>tv", "splitter-1x2>projector");
    for (const wake of wakes(space, topology, "splitter-1x2")) expect(wake).toBeCloseTo(easeAfter(3), 9);
  });

  test("in a receiver before such a splitter they are three too: only a screen on its wire wakes a sound system", () => {
    const space = spaceWith(room(two), "splitter-1x2");
    const topology = topologyOf(space, "receiver>splitter-1x2", "splitter-1x2>tv", "splitter-1x2>projector");
    for (const wake of wakes(space, topology, "receiver")) expect(wake).toBeCloseTo(easeAfter(3), 9);
  });

  test("with control off at the screen all three are left to a person, with it off at the sound system that one alone", () => {
    const space = spaceWith(room(two.map((one) => (one.id === "receiver" ? device("receiver-72", "receiver") : one))));
    const context = withPictureBounds(newContext(space, PRESETS["best-sound"]));
    const topology = topologyOf(space, "receiver>tv");
    const bounds = new PlugBounds(context, topology);
    const plugs = plugsOf(context, topology)
      .tables.flat()
      .filter(({ player, kind }) => player === "disc" && kind?.device === "receiver");
    plugs.forEach((plug) => bounds.refine(plug));
    const lostWithout = (hub: string) => {
      const hubs = topology.hubs.map((one) => (one.id === hub ? withSettings(one, [{ device: hub, key: "cec", value: "off" }]) : one));
      const [plug] = plugs;
      return plug
        ? (bounds.on({ hubs: topology.hubs }, plug) - bounds.on({ hubs }, plug)) / (PRESETS["best-sound"].ease * ACTS_SHARE)
        : NaN;
    };
    const acts = 11;
    expect(lostWithout("tv") * acts).toBeCloseTo(1 - easeAfter(3), 9);
    expect(lostWithout("receiver") * acts).toBeCloseTo(1 - easeAfter(1), 9);
  });
});

describe("a plan at once", () => {
  const bounded = (space: WiringSpace) => {
    const context = newContext(space, PRESETS["best-sound"]);
    const all = [...topologiesOf(space)].map((topology) => boundTopology(context, topology, schoolsOf(space, topology)));
    const [first] = all.filter(hasSound).toSorted((a, b) => b.bound - a.bound);
    if (!first) throw new Error("no topology");
    return { context, first };
  };

  test("has everybody plugged where there are sockets, and is outcomes", () => {
    const { context, first } = bounded(spaceWith(room(den)));
    expect(firstPlan(context, first)?.figures).toMatchObject({ unplugged: 0 });
    expect(firstPlan(context, first)?.figures.sound).toBeGreaterThan(0.5);
  });

  test("is none where something must be that nobody has looked into", () => {
    const space = { ...spaceWith(room(den)), musts: [{ want: "whole", device: "disc" } as const] };
    const { context, first } = bounded(space);
    expect(firstPlan(context, first)).toBeNull();
  });
});

test("plans that none beats: where the time is over before all is covered that is said", () => {
  let now = 0;
  const trades = tradesOf(spaceWith(room(den), "extractor", "splitter-1x2"), 4, { clock: () => (now += 40), mostMs: 2000 });
  expect(trades.isWhole).toBe(false);
  expect(tradesProof(trades)).toMatch(/time ran out before every way was checked/);
});

describe("the volume keys of a screen", () => {
  const loudness = (space: WiringSpace) =>
    commonActs(space).reduce((sum, { act, weight }) => (act.act === "louder" || act.act === "mute" ? sum + weight : sum), 0);
  const reaching = (space: WiringSpace, ...wires: readonly string[]) => {
    const topology = topologyOf(space, ...wires);
    const [first] = space.players;
    const reach = controlReachOf(space, jobWith(space, topology.hubs, topology.wires));
    if (!first) throw new Error("no player");
    return {
      space,
      acts: actsUpperBound(space, reach, first.id, { ...reach.ofSocket({ device: "tv", port: "hdmi2" }, true), alone: true }),
    };
  };

  test("reach a receiver on the screen's own control wire", () => {
    const { acts } = reaching(spaceWith(room(den)), "receiver>tv");
    expect(acts).toMatchObject({ volume: 0, volumeBesideArc: 0 });
  });

  test("do not reach one behind a splitter that hands no control on: whatever it plays is louder by its own remote, a step each", () => {
    const two = spaceWith(room([...den, device("projector", "projector")]), "splitter-1x2");
    const { space, acts } = reaching(two, "receiver>splitter-1x2", "splitter-1x2>tv", "splitter-1x2>projector");
    expect(acts.volumeBesideArc).toBeCloseTo(loudness(space) * (1 - easeAfter(1)), 9);
  });

  test("are not counted as reaching what eARC carries to a receiver with control off, which ARC would not", () => {
    const space = spaceWith(room([device("tv-earc", "tv"), device("receiver-72", "receiver"), device("streamer-4k", "streamer")]));
    const topology = topologyOf(space, "receiver>tv");
    const mayArc = (...choices: readonly (readonly [string, "cec" | "earc", string])[]) => {
      const settings = choices.map(([of, key, value]) => ({ device: of, key, value }));
      const hubs = topology.hubs.map((hub) => withSettings(hub, settings));
      return controlReachOf(space, jobWith(space, hubs, topology.wires), "set").mayArc;
    };
    // Both ends have eARC, which finds its partner by itself; switched off at one end ARC takes its place, and that needs control.
    expect(mayArc()).toBe(false);
    expect(mayArc(["tv", "earc", "off"])).toBe(true);
    expect(mayArc(["tv", "earc", "off"], ["receiver", "cec", "off"])).toBe(false);
  });

  test("stay with the screen where its sound waits for an ARC return that never begins: no stage of a plug is below what it brings", () => {
    const streamers = ["a", "b", "c"].map((id) => device("streamer-4k", id));
    const space = spaceWith(room([device("tv-arc", "screen"), device("bar-arc-optical", "system"), ...streamers]), "matrix-4x2");
    const context = withPictureBounds(newContext(space, PRESETS["best-sound"]));
    for (const topology of topologiesOf(space)) {
      const bounds = new PlugBounds(context, topology);
      const [configuration] = [...everyConfiguration(context, topology)].filter(({ isPossible }) => isPossible);
      if (!configuration) continue;
      const values = new PlugValues(context, configuration, bounds, bounds);
      for (const plug of plugsOf(context, topology).tables.flat()) {
        const stages = [0, 1, 2, 3].map(() => {
          const now = values.of(plug);
          values.refine(plug);
          return now;
        });
        stages.slice(1).forEach((worth, index) => expect(worth).toBeLessThanOrEqual((stages[index] ?? Infinity) + 1e-6));
      }
    }
  });
});
