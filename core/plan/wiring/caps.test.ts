import { describe, expect, test } from "vitest";
import { device, room } from "@/demo/room-under-test";
import { tradesProof } from "@/core/text";
import { planAtOnce } from "./at-once";
import { backbonesOf, type Backbone } from "./backbones";
import { Caps } from "./caps";
import { newMeasure, sharpened } from "./grounds";
import { withSettings } from "./hub-settings";
import { plugsOf } from "./plugs";
import { schoolsOn } from "./schools";
import type { WiringSpace } from "./space";
import { backboneOf, spaceWith } from "./space-under-test";
import { tradesOf } from "./trades";
import { hasSound, waitingOf } from "./waiting";
import { ACTS_SHARE, easeAfter, PRESETS } from "./weights";

/** What is looked into of the plugs of a player in a device of a backbone. */
function lookedInto(space: WiringSpace, backbone: Backbone, player: string, hub: string) {
  const measure = sharpened(newMeasure(space, PRESETS["best-sound"]));
  const caps = new Caps(measure, backbone);
  const plugs = plugsOf(measure, backbone)
    .tables.flat()
    .filter((plug) => plug.player === player && plug.kind?.device === hub);
  plugs.forEach((plug) => caps.look(plug));
  return plugs.map((plug) => ({ ease: caps.easeOf(plug), points: caps.of(plug), roughly: plug.most }));
}

const den = [device("tv-arc", "tv"), device("receiver-51", "receiver"), device("streamer-4k", "first"), device("disc-player-hd", "disc")];

describe("what a plug can bring at most", () => {
  test("is less at a screen with ARC than in the receiver, for what only its own input takes whole", () => {
    const space = spaceWith(room(den));
    const backbone = backboneOf(space, "receiver>tv");
    const best = (hub: string) => Math.max(...lookedInto(space, backbone, "disc", hub).map(({ points }) => points));
    expect(best("tv")).toBeLessThan(best("receiver") - 1);
  });

  test("is never more once it was looked into", () => {
    const space = spaceWith(room(den), "splitter-1x2", "extractor");
    for (const backbone of backbonesOf(space))
      for (const hub of backbone.hubs)
        for (const { points, roughly } of lookedInto(space, backbone, "disc", hub.id)) expect(points).toBeLessThanOrEqual(roughly + 1e-9);
  });
});

describe("how easy it can be to wake a player", () => {
  const two = [...den, device("projector", "projector")];
  // Everyday acts: screen on 2, louder 2, mute 1, screen off 2, news 2 where the screen has a tuner, and 1 for each of two players.
  const wakes = (space: WiringSpace, backbone: Backbone, hub: string) => {
    const acts = space.screens.find(({ id }) => id === space.mainScreen)?.sources.some(({ contents }) => contents.length > 0) ? 11 : 9;
    return lookedInto(space, backbone, "disc", hub).map(({ ease }) => ease * acts);
  };

  test("at the screen itself nothing need be left to a person", () => {
    const space = spaceWith(room(two));
    for (const wake of wakes(space, backboneOf(space, "receiver>tv"), "tv")) expect(wake).toBeCloseTo(1, 9);
  });

  test("before a splitter that hands no control on the screen, its input and the sound system are three steps", () => {
    const space = spaceWith(room(two), "splitter-1x2");
    const backbone = backboneOf(space, "splitter-1x2>tv", "splitter-1x2>projector");
    for (const wake of wakes(space, backbone, "splitter-1x2")) expect(wake).toBeCloseTo(easeAfter(3), 9);
  });

  test("in a receiver before such a splitter they are three too: only a screen on its wire wakes a sound system", () => {
    const space = spaceWith(room(two), "splitter-1x2");
    const backbone = backboneOf(space, "receiver>splitter-1x2", "splitter-1x2>tv", "splitter-1x2>projector");
    for (const wake of wakes(space, backbone, "receiver")) expect(wake).toBeCloseTo(easeAfter(3), 9);
  });

  test("with control off at the screen all three are left to a person, with it off at the sound system that one alone", () => {
    const space = spaceWith(room(two.map((one) => (one.id === "receiver" ? device("receiver-72", "receiver") : one))));
    const measure = sharpened(newMeasure(space, PRESETS["best-sound"]));
    const backbone = backboneOf(space, "receiver>tv");
    const caps = new Caps(measure, backbone);
    const plugs = plugsOf(measure, backbone)
      .tables.flat()
      .filter(({ player, kind }) => player === "disc" && kind?.device === "receiver");
    plugs.forEach((plug) => caps.look(plug));
    const lostWithout = (hub: string) => {
      const hubs = backbone.hubs.map((one) => (one.id === hub ? withSettings(one, [{ device: hub, key: "cec", value: "off" }]) : one));
      const [plug] = plugs;
      return plug ? (caps.on({ hubs: backbone.hubs }, plug) - caps.on({ hubs }, plug)) / (PRESETS["best-sound"].ease * ACTS_SHARE) : NaN;
    };
    const acts = 11;
    expect(lostWithout("tv") * acts).toBeCloseTo(1 - easeAfter(3), 9);
    expect(lostWithout("receiver") * acts).toBeCloseTo(1 - easeAfter(1), 9);
  });
});

describe("a plan at once", () => {
  const waiting = (space: WiringSpace) => {
    const measure = newMeasure(space, PRESETS["best-sound"]);
    const all = [...backbonesOf(space)].map((backbone) => waitingOf(measure, backbone, schoolsOn(space, backbone)));
    const [first] = all.filter(hasSound).toSorted((a, b) => b.bound - a.bound);
    if (!first) throw new Error("no backbone");
    return { measure, first };
  };

  test("has everybody plugged where there are sockets, and is heard", () => {
    const { measure, first } = waiting(spaceWith(room(den)));
    expect(planAtOnce(measure, first)?.figures).toMatchObject({ unplugged: 0 });
    expect(planAtOnce(measure, first)?.figures.sound).toBeGreaterThan(0.5);
  });

  test("is none where something must be that nobody has looked into", () => {
    const space = { ...spaceWith(room(den)), musts: [{ want: "whole", device: "disc" } as const] };
    const { measure, first } = waiting(space);
    expect(planAtOnce(measure, first)).toBeNull();
  });
});

test("plans that none beats: where the time is over before all is covered that is said", () => {
  let now = 0;
  const trades = tradesOf(spaceWith(room(den), "extractor", "splitter-1x2"), 4, { clock: () => (now += 40), mostMs: 2000 });
  expect(trades.isWhole).toBe(false);
  expect(tradesProof(trades)).toMatch(/time ran out before every way was checked/);
});
