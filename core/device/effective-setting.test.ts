import { expect, test } from "vitest";
import { effectiveSetting, fromShelfOrThrow, type Device } from "@/core/device";

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
