import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { Device, fromShelfOrThrow, type Condition } from "@/core/device";
import type { Job } from "@/core/job";
import { gateOf } from "./conditions";
import { makeRig } from "./rig";

const hall = demoJob("village-hall");
const matrix = (settings: Readonly<Record<string, string | null>> = {}): Device => {
  const device = hall.devices.find(({ id }) => id === "matrix");
  if (!device) throw new Error("no matrix");
  return { ...device, settings: device.settings.map((row) => (row.key in settings ? { ...row, found: settings[row.key] ?? null } : row)) };
};
const ask = (device: Device, conditions: readonly Condition[], lit?: string) => {
  const job: Job = { ...hall, devices: hall.devices.map((one) => (one.id === device.id ? device : one)) };
  const rig = makeRig(job, "planned");
  return gateOf(lit ? rig.litBy(new Map([[device.id, lit]])) : rig, device, conditions);
};
const OPEN = { reason: null, fact: null };

describe("a condition on a setting", () => {
  test("holds at its value, shuts at another, and names both", () => {
    expect(ask(matrix({ "arc-take": "off" }), [{ setting: "arc-take", value: "off" }])).toEqual(OPEN);
    expect(ask(matrix({ "arc-take": "on" }), [{ setting: "arc-take", value: "off" }]).reason).toEqual({
      code: "setting-shuts",
      device: "matrix",
      setting: "arc-take",
      value: "on",
      wanted: ["off"],
    });
  });
  test("that nobody has looked at is unknown", () =>
    expect(ask(matrix({ "arc-take": null }), [{ setting: "arc-take", value: "off" }])).toEqual({
      reason: null,
      fact: { fact: "setting", device: "matrix", setting: "arc-take" },
    }));
  test("that the device does not have holds", () => expect(ask(matrix(), [{ setting: "module", value: "fitted" }])).toEqual(OPEN));
});

describe("one of several", () => {
  const either: Condition = {
    either: [
      { setting: "cec", value: "on" },
      { setting: "arc-take", value: "on" },
    ],
  };
  test("is enough", () => expect(ask(matrix({ cec: "off", "arc-take": "on" }), [either])).toEqual(OPEN));
  test("none of them shuts", () => expect(ask(matrix({ cec: "off", "arc-take": "off" }), [either]).reason?.code).toBe("setting-shuts"));
  test("none for certain and one unknown is unknown", () =>
    expect(ask(matrix({ cec: "off", "arc-take": null }), [either]).fact).toMatchObject({ setting: "arc-take" }));
});

describe("all must hold", () => {
  const both: readonly Condition[] = [
    { setting: "cec", value: "on" },
    { setting: "arc-take", value: "on" },
  ];
  test("one that shuts decides, even beside an unknown one", () =>
    expect(ask(matrix({ cec: null, "arc-take": "off" }), both).reason).toMatchObject({ setting: "arc-take" }));
  test("an unknown one leaves it unknown", () =>
    expect(ask(matrix({ cec: null, "arc-take": "on" }), both).fact).toMatchObject({ setting: "cec" }));
});

describe("the sound output of a box with two screens", () => {
  const follows: Condition = { soundFollows: { "output-a": "output-a", "output-b": "output-b" } };
  test("follows the screen in use", () => expect(ask(matrix({ "sound-follows": "lit" }), [follows], "output-b")).toEqual(OPEN));
  test("fixed to the screen in use is open, fixed to the other is shut", () => {
    expect(ask(matrix({ "sound-follows": "output-b" }), [follows], "output-b")).toEqual(OPEN);
    expect(ask(matrix({ "sound-follows": "output-a" }), [follows], "output-b").reason).toMatchObject({ wanted: ["lit", "output-b"] });
  });
  test("of sound without a picture is nobody else's", () => expect(ask(matrix({ "sound-follows": "output-a" }), [follows])).toEqual(OPEN));
});

test("a plug in the socket that mutes shuts, an empty one does not", () => {
  const device = matrix();
  expect(ask(device, [{ unplugged: "hdmi-in4" }])).toEqual(OPEN);
  expect(ask(device, [{ unplugged: "hdmi-in1" }]).reason).toEqual({ code: "plug-mutes", device: "matrix", port: "hdmi-in1" });
});

test("in a file a condition may stand alone, in a list, or not at all", () => {
  const route = (opens: unknown) => {
    const { routes } = Device.parse({
      ...fromShelfOrThrow("dac-optical", { id: "d" }),
      routes: [{ kind: "sound", from: ["optical-in"], to: ["rca-out"], opens }],
    });
    return routes[0]?.opens;
  };
  const one = { setting: "power", value: "on" };
  expect(route(one)).toEqual([one]);
  expect(route([one])).toEqual([one]);
  expect(route(null)).toEqual([]);
  expect(route(undefined)).toEqual([]);
});
