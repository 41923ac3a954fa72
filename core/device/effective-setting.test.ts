import { expect, test } from "vitest";
import { effectiveSetting, failsBySettings, fromShelfOrThrow, type Device } from "@/core/device";

const tv = (found: string | null, planned: string | null, left: string | null): Device => {
  const device = fromShelfOrThrow("tv-earc", { id: "tv" });
  return { ...device, settings: device.settings.map((row) => (row.key === "earc" ? { ...row, found, planned, left } : row)) };
};
const all = (device: Device) => (["found", "planned", "left"] as const).map((state) => effectiveSetting(device, "earc", state));

test("a plan that says nothing leaves a setting as found, and so does the visit", () =>
  expect(all(tv("on", null, null))).toEqual(["on", "on", "on"]));
test("a plan counts from the plan on", () => expect(all(tv("on", "off", null))).toEqual(["on", "off", "off"]));
test("what was left counts last", () => expect(all(tv("on", "off", "on"))).toEqual(["on", "off", "on"]));
test("a setting nobody looked at is not known until it is planned", () => expect(all(tv(null, "on", null))).toEqual([null, "on", "on"]));
test("a setting the device does not have is told from one that is not known", () =>
  expect(effectiveSetting(fromShelfOrThrow("projector", { id: "p" }), "earc", "found")).toBeUndefined());

test("a condition fails by a setting with another value, never by one that nobody knows or that the device does not have", () => {
  const needsOff = { setting: "arc-take", value: "off" } as const;
  expect(["on", "off", null, undefined].map((value) => failsBySettings(needsOff, () => value))).toEqual([true, false, false, false]);
});
test("one of several is enough, and an unknown one could be it", () => {
  const either = {
    either: [
      { setting: "earc" as const, value: "on" },
      { setting: "arc" as const, value: "on" },
    ],
  };
  expect(failsBySettings(either, () => "off")).toBe(true);
  expect(failsBySettings(either, (key) => (key === "arc" ? "on" : "off"))).toBe(false);
  expect(failsBySettings(either, (key) => (key === "arc" ? null : "off"))).toBe(false);
});
test("what asks for an empty socket fails by no setting", () =>
  expect(failsBySettings({ unplugged: "headphones" }, () => "off")).toBe(false));
