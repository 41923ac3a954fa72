import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { device, made, room } from "@/demo/room-under-test";
import { claimAddresses, isPossible, kindOf, networkOf, NOWHERE, ROOT, type BusNode } from "@/core/cec";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { fromShelfOrThrow, SHELF } from "@/core/device";
import { emptyJob, type Job } from "@/core/job";

const placesOf = (job: Job) => Object.fromEntries(networkOf(job).nodes.map((node) => [node.device, node.address]));
const wiresOf = (job: Job) => new Map(networkOf(job).nodes.map((node) => [node.device, node.wire]));

describe("what a device is on the bus", () => {
  test.each([
    ["tv-earc", "tv"],
    ["projector", "tv"],
    ["bar-arc-only", "audio"],
    ["receiver-72", "audio"],
    ["streamer-4k", "playback"],
    ["disc-player-4k", "playback"],
    ["set-top-box", "tuner"],
    ["matrix-4x2", "switch"],
    ["splitter-1x2", null],
    ["earc-extractor-copy", null],
  ] as const)("%s is %s", (archetype, kind) => expect(kindOf(fromShelfOrThrow(archetype, { id: "x" }))).toBe(kind));
});

describe("places in the tree", () => {
  const chain = room(
    [device("tv-arc", "tv"), device("receiver-72", "receiver"), device("streamer-switching", "hub"), device("console-mat", "console")],
    "receiver hdmi-out > tv hdmi1",
    "hub hdmi-out > receiver hdmi-in3",
    "console hdmi-out > hub hdmi-in",
  );

  test("count one level for each device that numbers its inputs", () => {
    expect(placesOf(chain)).toEqual({ tv: ROOT, receiver: "1.0.0.0", hub: "1.3.0.0", console: "1.3.1.0" });
  });

  test("a plain box hands on the place that it got, so two players behind one splitter-like box share it", () => {
    const boxed = room(
      [device("tv-arc", "tv"), device("switch-3x1", "switch"), device("console-mat", "one"), device("streamer-4k", "two")],
      "switch hdmi-out > tv hdmi3",
      "one hdmi-out > switch hdmi-in1",
      "two hdmi-out > switch hdmi-in2",
    );
    expect(placesOf(boxed)).toMatchObject({ one: "3.0.0.0", two: "3.0.0.0" });
    // It speaks no control, so none of them hears the screen.
    const wires = wiresOf(boxed);
    expect(new Set([wires.get("tv"), wires.get("one"), wires.get("two")]).size).toBe(3);
  });

  test("behind a box that cuts the control wire, the place is that at the display, whichever of its outputs leads there", () => {
    const split = (first: string, second: string) =>
      placesOf(
        room(
          [device("tv-no-return", "tv"), device("bar-one-input", "bar"), device("splitter-1x2", "box"), device("streamer-4k", "player")],
          "player hdmi-out > box hdmi-in",
          `box out-1 > ${first}`,
          `box out-2 > ${second}`,
        ),
      );
    // The bar stands by a side way: no screen is behind it, and no screen hears of it.
    const expected = { tv: ROOT, bar: NOWHERE, player: "2.0.0.0" };
    expect(split("tv hdmi2", "bar hdmi-in")).toEqual(expected);
    expect(split("bar hdmi-in", "tv hdmi2")).toEqual(expected);
  });

  test("what hangs on nothing with a screen has none", () => {
    const loose = room([device("receiver-72", "receiver"), device("console-mat", "console")], "console hdmi-out > receiver hdmi-in1");
    expect(placesOf(loose)).toEqual({ receiver: NOWHERE, console: NOWHERE });
  });

  test("a cable pulled out takes the place and the wire with it", () => {
    const pulled = made(chain, { kind: "unplug", cable: chain.cables[0]?.id ?? "" });
    expect(placesOf(pulled)).toMatchObject({ receiver: NOWHERE, hub: NOWHERE, console: NOWHERE });
    expect(wiresOf(pulled).get("receiver")).not.toBe(wiresOf(pulled).get("tv"));
    expect(wiresOf(pulled).get("receiver")).toBe(wiresOf(pulled).get("console"));
  });

  test.each([
    ...demoJobNames().map((name) => [name, "jobs"] as const),
    ...demoJobNames("systems").map((name) => [name, "systems"] as const),
  ])("in %s are all possible, and every cut is where a cable lies", (name, folder) => {
    const job = folder === "jobs" ? demoJob(name) : demoJob(name, "systems");
    const { nodes, cuts } = networkOf(job);
    for (const { address } of nodes) expect(address === NOWHERE || isPossible(address)).toBe(true);
    for (const cut of cuts)
      if (cut.at !== "cable") expect(job.cables.some(({ from, to }) => [from.device, to.device].includes(cut.device))).toBe(true);
  });
});

describe("the wire", () => {
  test("joins every device of a tree that takes part", () => {
    const job = demoJob("sail-loft");
    expect(new Set(wiresOf(job).values()).size).toBe(1);
    expect(networkOf(job).cuts).toEqual([]);
  });

  test("a device that has it switched off hangs on it and says nothing", () => {
    const job = made(demoJob("sail-loft"), { kind: "set-setting", device: "bar", setting: "cec", state: "planned", value: "off" });
    expect(networkOf(job).nodes.find((node) => node.device === "bar")).toMatchObject({ speaks: false });
    expect(new Set(wiresOf(job).values()).size).toBe(1);
  });

  test("an optical cable carries none", () => {
    const side = room([device("tv-earc", "tv"), device("bar-arc-optical", "bar")], "tv optical-out > bar optical-in");
    expect(wiresOf(side).get("tv")).not.toBe(wiresOf(side).get("bar"));
  });
});

describe("addresses", () => {
  const node = (id: string, kind: BusNode["kind"], wire = 0, address = "1.0.0.0" as BusNode["address"]): BusNode => ({
    device: id,
    kind,
    wire,
    address,
    root: null,
    inputs: [],
    version: "1.4",
    placedBy: null,
    speaks: true,
  });

  test("of one wire are no matter to another", () => {
    const { held } = claimAddresses([node("a", "audio", 0), node("b", "audio", 1)]);
    expect([...held.values()]).toEqual([5, 5]);
  });

  test("a screen that is not the root is there for specific use", () => {
    expect(claimAddresses([node("desk", "tv")]).held.get("desk")).toBe(14);
    expect(claimAddresses([node("desk", "tv", 0, ROOT)]).held.get("desk")).toBe(0);
  });

  test("a switch holds none, and one that says nothing neither", () => {
    expect(claimAddresses([node("matrix", "switch")]).held.get("matrix")).toBeNull();
    expect(claimAddresses([{ ...node("mute", "playback"), speaks: false }])).toMatchObject({ polls: [] });
  });

  test("whoever comes in whatever order, nobody shares one, and none is left free while another of its kind has none", () => {
    const kinds = fc.array(fc.constantFrom<BusNode["kind"]>("playback", "tuner", "recorder", "audio"), { maxLength: 12 });
    fc.assert(
      fc.property(kinds, fc.nat(), (list, turn) => {
        const nodes = list.map((kind, index) => node(`d${index}`, kind));
        const names = nodes.map(({ device: id }) => id);
        const order = [...names.slice(turn % (names.length || 1)), ...names.slice(0, turn % (names.length || 1))];
        const { held } = claimAddresses(nodes, order);
        const own = [...held.values()].filter((address) => address !== null && address !== 15);
        expect(new Set(own).size).toBe(own.length);
        const room: Readonly<Record<string, number>> = { playback: 3, tuner: 4, recorder: 3, audio: 1 };
        for (const kind of new Set(list)) {
          const without = nodes.filter((one) => one.kind === kind && held.get(one.device) === 15).length;
          expect(without).toBe(Math.max(0, list.filter((one) => one === kind).length - (room[kind] ?? 0)));
        }
      }),
      { numRuns: 200, seed: 61 },
    );
  });
});

test("every device of the shelf can stand alone on a bus", () => {
  for (const { archetype } of SHELF) {
    const job: Job = { ...emptyJob("one"), devices: [fromShelfOrThrow(archetype, { id: "one" })] };
    expect(networkOf(job).nodes.length).toBeLessThanOrEqual(1);
  }
});
