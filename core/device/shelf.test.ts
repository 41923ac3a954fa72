import { describe, expect, test } from "vitest";
import { isSettingValue } from "@/core/facts";
import { breachesOf, emptyJob } from "@/core/job";
import { CONTENT_CATALOGUE, Device, expandDevice, fromShelfOrThrow, SHELF } from "@/core/device";

describe.each(SHELF.map((row) => row.archetype))("the archetype %s", (archetype) => {
  const device = fromShelfOrThrow(archetype, { id: "one" });

  test("is a sound device: every route, rule and setting names what it has", () => {
    expect(breachesOf({ ...emptyJob("shelf"), devices: [device] })).toEqual([]);
  });

  test("offers only setting values that the engine knows", () => {
    for (const { key, options } of device.settings)
      for (const value of options)
        expect(
          isSettingValue(
            key,
            value,
            device.ports.map(({ id }) => id),
          ),
          `${key} ${value}`,
        ).toBe(true);
  });

  test("has at most one marked return socket for each direction", () => {
    for (const direction of ["in", "out"])
      expect(
        device.ports.filter((port) => port.connector === "hdmi" && port.returns !== "none" && port.direction === direction).length,
      ).toBeLessThanOrEqual(1);
  });

  test("has a sound route or a picture route for each of its sources", () => {
    for (const source of device.sources) expect(device.routes.some((route) => route.from.includes(source.id))).toBe(true);
  });
});

test("the shelf holds at least 45 archetypes in every lane of the trade", () => {
  expect(SHELF.length).toBeGreaterThanOrEqual(45);
  for (const role of ["player", "box", "screen", "sound"])
    expect(SHELF.filter((row) => row.role === role).length).toBeGreaterThanOrEqual(13);
});

test("the shelf names each archetype once, and each content of the catalogue has its own name", () => {
  expect(new Set(SHELF.map((row) => row.archetype)).size).toBe(SHELF.length);
  expect(new Set(CONTENT_CATALOGUE.map((row) => row.id)).size).toBe(CONTENT_CATALOGUE.length);
});

describe("the short form of a device", () => {
  test("is the archetype with a name", () => {
    expect(Device.parse(expandDevice({ archetype: "projector", id: "p" }))).toEqual(fromShelfOrThrow("projector", { id: "p" }));
  });

  test("changes a socket by its id and leaves the others", () => {
    const device = Device.parse(
      expandDevice({ archetype: "tv-earc", id: "tv", ports: { hdmi3: { returns: "arc", label: "HDMI 3 ARC" } } }),
    );
    expect(device.ports.find(({ id }) => id === "hdmi3")).toMatchObject({ returns: "arc", label: "HDMI 3 ARC" });
    expect(device.ports).toHaveLength(5);
  });

  test("takes a setting's value as found, or found, planned and left apart", () => {
    const device = Device.parse(
      expandDevice({ archetype: "tv-earc", id: "tv", settings: { earc: "off", cec: { found: "on", planned: "off" } } }),
    );
    expect(device.settings.find(({ key }) => key === "earc")).toMatchObject({ found: "off", planned: null });
    expect(device.settings.find(({ key }) => key === "cec")).toMatchObject({ found: "on", planned: "off" });
  });

  test("takes contents by the name they have in the catalogue", () => {
    const device = Device.parse(
      expandDevice({ archetype: "streamer-4k", id: "s", sources: [{ id: "apps", name: "apps", kind: "media", contents: ["music-lpcm"] }] }),
    );
    expect(device.sources[0]?.contents[0]?.tracks).toEqual([{ coding: "lpcm", channels: "2.0", objects: "none", sampleRateKHz: 48 }]);
  });

  test("an archetype that is not on the shelf leaves the device to the schema", () => {
    expect(Device.safeParse(expandDevice({ archetype: "no-such-thing", id: "x" })).success).toBe(false);
  });
});
