import { describe, expect, test } from "vitest";
import { device, room, set } from "@/demo/room-under-test";
import { endKey, type Job } from "@/core/job";
import type { Topology } from "../topology";
import { newContext, plugsOf, withPictureBounds } from "../search";
import { spaceWith, topologyOf } from "../under-test/space-with";
import { pictureOnScreens } from "../bounds";
import { jobWith } from "./job-with";
import { isSeenAlone, reachOf } from "./reach";
import { type Wire, wiresBetween } from "./wires";
import { PRESETS, UNPLUGGED_POINTS } from "../evaluation";

const two = room([
  device("tv-earc", "tv"),
  device("projector", "projector"),
  device("receiver-72", "receiver"),
  device("streamer-4k", "streamer"),
]);

describe("what is reached from a socket", () => {
  test("at the screen that hangs on the receiver: that screen, and the speakers by the return channel", () => {
    const space = spaceWith(two);
    const reach = reachOf(space, topologyOf(space, "receiver>tv"));
    expect(reach({ device: "tv", port: "hdmi1" })).toMatchObject({ screens: new Set(["tv"]), sounds: true });
    expect(reach({ device: "receiver", port: "hdmi-in1" })).toMatchObject({ screens: new Set(["tv"]), sounds: true });
    // The projector is connected to nothing and has no sound.
    expect(reach({ device: "projector", port: "hdmi1" })).toMatchObject({ screens: new Set(["projector"]), sounds: false });
  });

  test("at the receiver before a splitter: both screens", () => {
    const space = spaceWith(two, "splitter-1x2");
    const reach = reachOf(space, topologyOf(space, "receiver>splitter-1x2", "splitter-1x2>tv", "splitter-1x2>projector"));
    expect(reach({ device: "receiver", port: "hdmi-in1" })).toMatchObject({ screens: new Set(["tv", "projector"]), sounds: true });
    // A splitter hands no return on, and the screen is joined by nothing else.
    expect(reach({ device: "tv", port: "hdmi1" }).sounds).toBe(false);
  });
});

describe("sound that comes by leads alone", () => {
  const [tv, receiver] = [device("tv-earc", "tv"), device("receiver-72", "receiver")];
  const converter = device("composite-to-hdmi", "converter");
  const space = spaceWith(room([tv, receiver, device("streamer-4k", "streamer")]));
  const jack = tv.ports.find(({ connector, direction }) => connector === "optical" && direction === "out")?.id ?? "";
  const far = (of: string, port: string) => ({ device: of, socket: endKey({ device: of, port }), isLead: true });
  const openTo = (...ends: readonly ReturnType<typeof far>[]) => new Map([[endKey({ device: "tv", port: jack }), ends]]);
  const wire = (from: string, to: string) => {
    const [[device = "", port = ""], [into = "", input = ""]] = [from.split(" "), to.split(" ")];
    const [first] = wiresBetween(space, jobWith(space, [tv, receiver, converter], []), { device, port }, { device: into, port: input });
    if (!first) throw new Error(`no wire from ${from} to ${to}`);
    return first;
  };
  const reached = (wires: readonly Wire[], leadsFrom: ReturnType<typeof openTo> = new Map()) =>
    reachOf(space, { hubs: [tv, receiver, converter], wires, leadsFrom })({ device: "tv", port: "hdmi1" });

  test("is another thing than what comes by a return, laid or open", () => {
    const optical = wire(`tv ${jack}`, "receiver optical-in1");
    expect(reached([])).toMatchObject({ sounds: false, byLeadAlone: false });
    expect(reached([optical])).toMatchObject({ sounds: true, byLeadAlone: true });
    expect(reached([], openTo(far("receiver", "optical-in1")))).toMatchObject({ sounds: true, byLeadAlone: true });
    const byReturn = wire("receiver hdmi-out", "tv hdmi3");
    expect(reached([optical, byReturn])).toMatchObject({ sounds: true, byLeadAlone: false });
  });

  test("is not what a box takes by a lead and hands on by HDMI: it may have decoded what the sound system could not", () => {
    const onwards = wire("converter hdmi-out", "receiver hdmi-in1");
    expect(reached([onwards], openTo(far("converter", "audio-in")))).toMatchObject({ sounds: true, byLeadAlone: false });
  });
});

describe("a player that is watched while the sound system sleeps", () => {
  const players = [device("tv-earc", "tv"), device("receiver-72", "receiver"), device("streamer-4k", "streamer")];
  const seen = (job: Job) => {
    const space = spaceWith(job);
    return space.players.map((player) => isSeenAlone(space, job, player));
  };

  test("sits in the screen, not behind the receiver, unless that passes pictures on in stand-by", () => {
    expect(seen(room(players, "receiver hdmi-out > tv hdmi3", "streamer hdmi-out > tv hdmi1"))).toEqual([true]);
    const behind = room(players, "receiver hdmi-out > tv hdmi3", "streamer hdmi-out > receiver hdmi-in1");
    expect(seen(behind)).toEqual([false]);
    expect(seen(set(behind, "receiver standby-pass on"))).toEqual([true]);
  });

  test("does not sit behind a bar that is not known to pass pictures on asleep", () => {
    const bar = [device("tv-earc", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")];
    expect(seen(room(bar, "bar hdmi-out > tv hdmi3", "streamer hdmi-out > bar hdmi-in"))).toEqual([false]);
  });

  test("is none where it sits nowhere", () => {
    expect(seen(room(players, "receiver hdmi-out > tv hdmi3"))).toEqual([false]);
  });
});

describe("how much of a picture a screen can keep", () => {
  const on = pictureOnScreens(
    spaceWith(
      room([device("projector-hd", "hd"), device("tv-earc", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")]),
    ),
  );

  test("an HD projector never shows a 4K film whole, a 4K television does; music has no picture to lose", () => {
    // The streamer's contents: a film in 4K, and music.
    expect(on("streamer", "hd")[0]).toBe(0.5);
    expect(on("streamer", "tv")[0]).toBe(1);
    expect(on("streamer", "nowhere")).toEqual([]);
  });
});

describe("the most that a plug can bring", () => {
  const weights = PRESETS["best-sound"];

  test("falls with every screen that it does not reach, and unplugged it is less than nothing", () => {
    const space = spaceWith(two, "splitter-1x2");
    const context = withPictureBounds(newContext(space, weights));
    const most = (on: Topology, hub: string) => plugsOf(context, on).tables[0]?.find(({ kind }) => kind?.device === hub)?.most ?? NaN;
    const one = topologyOf(space, "receiver>tv");
    const both = topologyOf(space, "receiver>splitter-1x2", "splitter-1x2>tv", "splitter-1x2>projector");
    expect(most(both, "receiver")).toBeGreaterThan(most(one, "receiver"));
    expect(most(one, "receiver")).toBeGreaterThan(most(one, "projector"));
    const unplugged = plugsOf(context, one).tables[0]?.find(({ kind }) => kind === null)?.most ?? NaN;
    expect(unplugged).toBeLessThanOrEqual(weights.ease - UNPLUGGED_POINTS + 1e-9);
  });

  test("what the hubs play themselves counts whole where their sound can get out, and without sound where not", () => {
    const space = spaceWith(two);
    const context = newContext(space, weights);
    const joined = plugsOf(context, topologyOf(space, "receiver>tv")).ownMost;
    const apart = plugsOf(context, topologyOf(space)).ownMost;
    const own = space.screens.flatMap(({ sources }) => sources.flatMap(({ contents }) => contents)).length;
    const all = own + space.players.flatMap(({ sources }) => sources.flatMap(({ contents }) => contents)).length;
    expect(joined).toBeCloseTo((own / all) * (weights.sound + weights.picture), 9);
    expect(apart).toBeCloseTo((own / all) * weights.picture, 9);
  });
});
