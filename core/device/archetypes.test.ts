import { describe, expect, test } from "vitest";
import { breachesOf, emptyJob } from "@/core/job";
import { fromShelfOrThrow, SHELF, type Device } from "@/core/device";

const of = (archetype: string): Device => fromShelfOrThrow(archetype, { id: "one" });
const sockets = ({ ports }: Device, connector: string, direction: "in" | "out") =>
  ports.filter((port) => port.connector === connector && port.direction === direction).length;
const returnOf = ({ ports }: Device) =>
  ports.flatMap((port) => (port.connector === "hdmi" && port.returns !== "none" ? [port.returns] : []));
const decodes = ({ decodes: rows }: Device, coding: string) => rows?.find((row) => row.coding === coding);
const passesToReturn = ({ routes, ports }: Device, coding: string) =>
  routes.some(
    (route) =>
      route.kind === "sound" &&
      route.from.includes("hdmi1") &&
      route.to.some((to) => ports.some((port) => port.id === to && port.connector === "hdmi")) &&
      route.passes?.some((row) => row.coding === coding),
  );

describe("screens", () => {
  test.each([
    ["tv-earc", ["earc"]],
    ["tv-earc-dts", ["earc"]],
    ["tv-earc-120", ["earc"]],
    ["tv-arc", ["arc"]],
    ["tv-arc-cec-linked", ["arc"]],
    ["tv-stereo-hdmi", ["arc"]],
    ["tv-no-return", []],
    ["tv-coaxial", []],
    ["tv-headphone", []],
    ["monitor-silent", []],
    ["monitor-stereo", []],
    ["projector", []],
    ["projector-hd", []],
    ["projector-apps", ["arc"]],
  ])("%s has the return channels %o", (archetype, returns) => expect(returnOf(of(archetype))).toEqual(returns));

  test("one passes DTS from its HDMI inputs, one refuses it, one passes stereo alone", () => {
    expect(passesToReturn(of("tv-earc-dts"), "dts-hd-ma")).toBe(true);
    expect(passesToReturn(of("tv-earc"), "dts")).toBe(false);
    expect(passesToReturn(of("tv-earc"), "truehd")).toBe(true);
    const stereo = of("tv-stereo-hdmi").routes.find(
      (route) => route.kind === "sound" && route.from.includes("hdmi2") && route.to.includes("hdmi1"),
    );
    expect(stereo).toMatchObject({ passes: [], lpcm: "2.0" });
  });

  test("an HD one takes 1080p and no HDCP 2.2; a 120 Hz one has 40 Gb/s", () => {
    expect(of("tv-no-return")).toMatchObject({ display: { maxMode: "1920x1080@60" } });
    for (const port of of("tv-no-return").ports) if (port.connector === "hdmi") expect(port).toMatchObject({ hdcp: "1.4", maxGbps: 10.2 });
    expect(of("tv-earc-120").ports[0]).toMatchObject({ maxGbps: 40 });
  });

  test("a monitor without sound has neither speakers nor a sound output", () => {
    expect(of("monitor-silent")).toMatchObject({ speakers: null, volume: null, speaksCec: false });
    expect(of("monitor-silent").routes.every(({ kind }) => kind === "picture")).toBe(true);
  });
});

describe("sound systems", () => {
  test.each([
    ["bar-arc-only", { hdmi: 0, optical: 0, returns: ["arc"] }],
    ["bar-many-inputs", { hdmi: 0, optical: 1, returns: ["arc"] }],
    ["bar-earc-only", { hdmi: 0, optical: 0, returns: ["earc"] }],
    ["bar-one-input", { hdmi: 1, optical: 1, returns: ["earc"] }],
    ["bar-two-inputs", { hdmi: 2, optical: 1, returns: ["earc"] }],
    ["receiver-51", { hdmi: 4, optical: 1, returns: ["arc"] }],
    ["receiver-72", { hdmi: 5, optical: 2, returns: ["earc"] }],
    ["receiver-92", { hdmi: 6, optical: 2, returns: ["earc"] }],
    ["receiver-optical", { hdmi: 0, optical: 2, returns: [] }],
  ])("%s has the inputs of its class: %o", (archetype, { hdmi, optical, returns }) => {
    const device = of(archetype);
    expect([sockets(device, "hdmi", "in"), sockets(device, "optical", "in"), returnOf(device)]).toEqual([hdmi, optical, returns]);
  });

  test("the receiver 7.2 has three protected 4K inputs of its five", () => {
    const levels = of("receiver-72").ports.flatMap((port) => (port.connector === "hdmi" && port.direction === "in" ? [port.hdcp] : []));
    expect(levels).toEqual(["2.2", "2.2", "2.2", "1.4", "1.4"]);
  });

  test("the receiver 5.1 knows no objects; the 9.2 knows all of them", () => {
    for (const coding of ["eac3", "truehd", "dts-hd-ma"]) {
      expect(decodes(of("receiver-51"), coding)).toMatchObject({ objects: false });
      expect(decodes(of("receiver-92"), coding)).toMatchObject({ objects: true });
    }
  });

  test("a stereo bar takes PCM and no Dolby; a bar that knows only eARC knows no DTS", () => {
    expect(
      of("bar-stereo-aux")
        .decodes?.map(({ coding }) => coding)
        .toSorted(),
    ).toEqual(["analogue", "lpcm"]);
    expect(decodes(of("bar-earc-only"), "dts")).toBeUndefined();
  });

  test("the bar with a picture mode comes on standard, 9 Gb/s in place of 18", () => {
    const bar = of("bar-picture-mode");
    expect(bar.settings.find(({ key }) => key === "signal-format")).toMatchObject({ found: "standard" });
    for (const port of bar.ports) if (port.connector === "hdmi") expect(port).toMatchObject({ maxGbps: 18, standardGbps: 9 });
  });

  test("amplifier and powered speakers have a knob and no remote; bars obey CEC volume", () => {
    expect(of("amplifier-knob")).toMatchObject({ volume: "knob", speaksCec: false });
    expect(of("powered-speakers")).toMatchObject({ volume: "knob" });
    expect(of("bar-one-input")).toMatchObject({ volume: "remote-and-cec" });
  });
});

describe("players", () => {
  test("one console knows objects only as MAT, the other none but codes Dolby Digital or DTS when told to", () => {
    const sent = (archetype: string) => of(archetype).routes.flatMap((route) => (route.kind === "sound" ? (route.passes ?? []) : []));
    expect(
      sent("console-mat")
        .filter(({ objects }) => objects)
        .map(({ coding }) => coding),
    ).toEqual(["mat"]);
    expect(sent("console-lpcm").some(({ objects }) => objects)).toBe(false);
    expect(of("console-lpcm").settings[0]?.options).toEqual(expect.arrayContaining(["dolby-digital", "dts"]));
  });
  test("the stick is wide and HD", () => expect(of("stick-hd").ports[0]).toMatchObject({ plug: "wide", hdcp: "1.4" }));
  test("one set-top box drifts with Dolby Digital, the other does not", () => {
    expect(of("set-top-box-drift").habits).toEqual([{ habit: "drifts", codings: ["ac3"], amountMs: 120, afterMinutes: 30 }]);
    expect(of("set-top-box").habits).toEqual([]);
  });
  test("the computer's headphone format is not objects: its route renders two channels", () => {
    const rendering = of("computer").routes.filter((route) => route.kind === "sound" && route.renders === "binaural");
    expect(rendering).toHaveLength(1);
    expect(rendering[0]).toMatchObject({ passes: [] });
  });
  test("composite boxes have a yellow socket and a stereo pair", () => {
    const box = of("game-box-composite");
    expect([sockets(box, "composite", "out"), sockets(box, "rca", "out"), sockets(box, "hdmi", "out")]).toEqual([1, 1, 0]);
  });
});

describe("boxes", () => {
  test.each(["earc-extractor-copy", "earc-extractor-mixed", "splitter-1x2", "edid-emulator", "dac-optical"])(
    "%s does not support CEC",
    (archetype) => expect(of(archetype).speaksCec).toBe(false),
  );
  test("a DAC hands on no coding at all, only decoded stereo", () => {
    for (const archetype of ["dac-optical", "dac-coaxial"])
      for (const route of of(archetype).routes) expect(route).toMatchObject({ passes: [], lpcm: "2.0", blind: true });
  });
  test("a converter between coaxial and optical hands the same signal on", () => {
    for (const archetype of ["coaxial-to-optical", "optical-to-coaxial"]) {
      const [route] = of(archetype).routes;
      expect(route?.kind === "sound" && route.passes?.map(({ coding }) => coding)).toEqual(["ac3", "dts"]);
    }
  });
  test("an extractor's return never reaches its analogue outputs", () => {
    for (const route of of("extractor").routes)
      if (route.kind === "sound" && route.from.includes("hdmi-out")) expect(route.to).toEqual(["optical-out"]);
  });
  test("the matrix has four inputs, two scaled outputs and an eARC sound output", () => {
    const matrix = of("matrix-4x2");
    expect(sockets(matrix, "hdmi", "out")).toBe(2);
    expect(matrix.ports.filter(({ id }) => /^hdmi-in/.test(id))).toHaveLength(4);
    expect(matrix.routes.find(({ kind }) => kind === "picture")).toMatchObject({ scaler: true });
    expect(matrix.ports.find(({ id }) => id === "earc-out")).toMatchObject({ returns: "earc", direction: "in" });
  });
  test("the ARC adapter takes the remote's volume and asks the TV for stereo", () => {
    const adapter = of("arc-adapter");
    expect(adapter.volume).toBe("cec");
    expect(adapter.presents).toMatchObject([{ rule: "list", sound: [{ coding: "lpcm", channels: "2.0" }] }]);
  });
});

test("no two archetypes are alike but for their name, and none breaks a rule of the document", () => {
  const bodies = SHELF.map(({ archetype }) => {
    const { id: _id, name: _name, archetype: _archetype, ...body } = of(archetype);
    return JSON.stringify(body);
  });
  expect(new Set(bodies).size).toBe(bodies.length);
  for (const { archetype } of SHELF) expect(breachesOf({ ...emptyJob("x"), devices: [of(archetype)] }), archetype).toEqual([]);
});
