import { expect, test } from "vitest";
import { cableByHand, hdmiByHand, jobByHand, playerByHand } from "@/demo/by-hand-under-test";
import { demoJob } from "@/demo/demo-jobs";
import { set } from "@/demo/room-under-test";
import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { reasonSentence } from "@/core/text";

const PICTURE = { mode: "1920x1080@60", depth: 8, chroma: "444", hdr: "sdr", protected: false };
const AC3 = [{ coding: "ac3", channels: "5.1" }];
const DTS = { coding: "dts", channels: "5.1" };
const optical = (id: string, direction: "in" | "out") => ({ id, label: id, connector: "optical", direction });

/** A bar of 5.1 with an HDMI input that lists what it decodes, an output to the screen, and an optical input. */
const bar = (decodes: readonly object[] | null, rest: object = {}) => ({
  ...{ id: "bar", name: "Bar", role: "sound", decodes, speakers: { bed: "5.1" } },
  ports: [hdmiByHand("in", "in"), hdmiByHand("out", "out", { returns: "earc" }), optical("opt", "in")],
  routes: [{ kind: "sound", from: ["in", "out", "opt"], to: ["speakers"] }],
  presents: [{ rule: "decoders", ports: ["in"] }],
  ...rest,
});

const rowOf = (job: Job): Arrival => {
  const [row] = arrivalsOf(job);
  if (!row) throw new Error("no row");
  return row;
};
const told = (job: Job): readonly string[] =>
  rowOf(job).losses.flatMap(({ reason, scope }) => (scope === "path" ? [reasonSentence(job, reason)] : []));

test("a player that passes DTS sends none to a bar that does not list it: the list is the reason, not the player", () => {
  const job = jobByHand({
    name: "DTS into a bar without it",
    devices: [playerByHand("player", DTS, PICTURE), bar(AC3)],
    cables: [cableByHand("player out", "bar in")],
  });
  expect(rowOf(job).soundVerdict).toBe("silent");
  expect(told(job)).toEqual(["Bar “in” does not list DTS in its EDID, so the player does not send it."]);
});

/** A disc player into a television whose return channel leads to a bar, beside an optical lead where one is plugged. */
function throughScreen({ decodes, earc, withOptical }: { decodes: readonly object[]; earc: string | null; withOptical: boolean }): Job {
  const passes = [...AC3, DTS, { coding: "eac3", channels: "7.1", objects: true }];
  const screen = {
    ...{ id: "tv", name: "TV", role: "screen", speaksCec: true },
    ports: [hdmiByHand("hdmi1", "in"), hdmiByHand("hdmi2", "in", { returns: "earc" }), optical("opt", "out")],
    routes: [
      { kind: "sound", from: ["hdmi1"], to: ["hdmi2"], passes },
      { kind: "sound", from: ["hdmi1"], to: ["opt"] },
    ],
    presents: [{ rule: "list", ports: ["hdmi1", "hdmi2"], sound: passes }],
    decodes: [{ coding: "eac3", channels: "5.1" }],
    settings: [{ key: "earc", options: ["on", "off"], found: earc }],
  };
  const track = { coding: "eac3", channels: "5.1" };
  const player = playerByHand("player", track, PICTURE);
  return jobByHand({
    name: "Through the screen",
    devices: [
      { ...player, decodes: [track], routes: [{ kind: "sound", from: ["own"], to: ["out"], passes: [track], encodes: ["ac3"] }] },
      screen,
      bar(decodes),
    ],
    cables: [
      cableByHand("player out", "tv hdmi1"),
      cableByHand("bar out", "tv hdmi2"),
      ...(withOptical ? [cableByHand("tv opt", "bar opt", { class: "optical" })] : []),
    ],
  });
}

test("a television sends nothing back that the bar does not report: it is the television that does not send it", () => {
  const job = throughScreen({ decodes: AC3, earc: "on", withOptical: false });
  expect(told(job)).toEqual(["Bar “out” does not list Dolby Digital Plus over its return channel, so TV does not send it."]);
});

test("where nobody knows the switch that decides, but the bar could play nothing of it either way, the row is silent and says why", () => {
  const job = throughScreen({ decodes: [DTS], earc: null, withOptical: false });
  expect(rowOf(job).soundVerdict).toBe("silent");
  expect(told(job)).toEqual(["Bar “out” does not list Dolby Digital Plus over its return channel, so TV does not send it."]);
});

test("where it could, the row is not known, and the switch is what to find out", () => {
  const job = throughScreen({ decodes: [{ coding: "eac3", channels: "5.1" }], earc: null, withOptical: false });
  expect(rowOf(job).soundVerdict).toBe("unknown");
  expect(told(job)).toEqual(["It depends on how “eARC” is set at TV."]);
});

test("a device that passes a coding in fewer channels than the content has says so, whatever is listed", () => {
  const passing = (channels: string) => [{ coding: "eac3", channels }];
  const hub = {
    ...{ id: "hub", name: "Hub", role: "box", ports: [hdmiByHand("in", "in"), hdmiByHand("out", "out")] },
    routes: [{ kind: "sound", from: ["in"], to: ["out"], passes: passing("5.1"), blind: true }],
    presents: [{ rule: "copy", ports: ["in"], of: "out" }],
  };
  const job = jobByHand({
    name: "Through a hub",
    devices: [playerByHand("player", { coding: "eac3", channels: "7.1" }, PICTURE), hub, bar(passing("7.1"), { speakers: { bed: "7.1" } })],
    cables: [cableByHand("player out", "hub in"), cableByHand("hub out", "bar in")],
  });
  expect(rowOf(job)).toMatchObject({ soundVerdict: "reduced", arrives: { channels: "5.1" } });
  expect(told(job)).toEqual(["Hub passes Dolby Digital Plus of at most 5.1 channels on, not of 7.1."]);
});

test("optical carries no Dolby Digital Plus: the link is the reason where a player cannot decode it", () => {
  const track = { coding: "eac3", channels: "5.1" };
  const player = {
    ...playerByHand("player", track, PICTURE),
    ports: [optical("out", "out")],
    routes: [{ kind: "sound", from: ["own"], to: ["out"], passes: [track] }],
  };
  const job = jobByHand({
    name: "Optical",
    devices: [player, bar([track])],
    cables: [cableByHand("player out", "bar opt", { class: "optical" })],
  });
  expect(rowOf(job).losses[0]?.reason).toMatchObject({ code: "link-capacity", link: "optical", coding: "eac3" });
});

test("a player whose decoders nobody knows is not known to be silent where it would have to decode", () => {
  const player = {
    ...playerByHand("player", DTS, PICTURE),
    decodes: null,
    ports: [{ id: "out", label: "out", connector: "rca", direction: "out" }],
    routes: [{ kind: "sound", from: ["own"], to: ["out"], passes: [DTS] }],
  };
  const amplifier = bar([{ coding: "analogue", channels: "2.0" }], {
    ports: [{ id: "in", label: "in", connector: "rca", direction: "in" }],
    routes: [{ kind: "sound", from: ["in"], to: ["speakers"] }],
    presents: [],
  });
  const job = jobByHand({
    name: "Analogue",
    devices: [player, amplifier],
    cables: [cableByHand("player out", "bar in", { class: "rca-pair" })],
  });
  expect(told(job)).toEqual(["It depends on which codings player can decode."]);
});

test("what sounds by one way comes with what nobody knows of a way that may bring more", () => {
  const decodes = [
    { coding: "lpcm", channels: "2.0" },
    { coding: "eac3", channels: "5.1" },
  ];
  const job = throughScreen({ decodes, earc: null, withOptical: true });
  expect(rowOf(job)).toMatchObject({ soundVerdict: "reduced" });
  expect(told(job)).toContain("Another way may bring more: it depends on how “eARC” is set at TV.");
});

test("a box that lists two channels keeps back the Dolby Digital that lies beside TrueHD; the player could send it", () => {
  const job = set(demoJob("06-extractor-edid", "systems"), "extractor edid-mode 2ch");
  const film = arrivalsOf(job).find(({ content }) => content.tracks.some(({ coding }) => coding === "truehd"));
  expect(film?.losses[0]?.reason).toMatchObject({ code: "not-listed", device: "extractor", coding: "ac3" });
});

test("a picture depends on a menu that nobody has looked at where that menu would change it", () => {
  const film = { mode: "3840x2160@24", depth: 10, chroma: "422", hdr: "hdr10", protected: false };
  const player = { ...playerByHand("player", DTS, film), settings: [{ key: "hdr", options: ["on", "off"], found: null }] };
  const screen = (hdr: readonly string[]) => ({
    ...{ id: "tv", name: "TV", role: "screen", ports: [hdmiByHand("in", "in")] },
    display: { maxMode: "3840x2160@60", hdr, delayMs: 0, gameDelayMs: 0 },
    routes: [{ kind: "picture", from: ["in"], to: ["display"] }],
  });
  const seen = (hdr: readonly string[]) =>
    rowOf(jobByHand({ name: "Seen", devices: [player, screen(hdr)], cables: [cableByHand("player out", "tv in")] })).pictureLosses;
  expect(seen(["hdr10"])).toEqual([{ code: "picture-setting-unknown", device: "player", setting: "hdr" }]);
  expect(seen([])).toEqual([{ code: "picture-hdr", device: "tv", need: "hdr10" }]);
});

/** The demo room of an extractor, with one of its devices or leads in another state. */
function withState(part: "devices" | "cables", id: string, state: string): Job {
  const job = demoJob("06-extractor-edid", "systems");
  return { ...job, [part]: job[part].map((one) => (one.id === id ? { ...one, state } : one)) };
}

test("a box without power is the reason where sound and picture end at it, not the cables that lead on", () => {
  const [disc] = arrivalsOf(withState("devices", "extractor", "no-power"));
  expect(disc?.losses[0]?.reason).toEqual({ code: "device-state", device: "extractor", state: "no-power" });
  expect(disc?.pictureLosses).toEqual([{ code: "picture-device-state", device: "extractor", state: "no-power" }]);
});

test("a sound system without power is the reason of every silent row", () => {
  const rows = arrivalsOf(withState("devices", "bar", "no-power"));
  expect(rows.map(({ losses }) => losses[0]?.reason)).toEqual(rows.map(() => ({ code: "device-state", device: "bar", state: "no-power" })));
});

test("a screen that is broken is the reason, and not that it lists nothing", () => {
  const [disc] = arrivalsOf(withState("devices", "tv", "dead"));
  expect(disc?.losses.filter(({ scope }) => scope === "path").map(({ reason }) => reason)).toEqual([
    { code: "device-state", device: "tv", state: "dead" },
  ]);
  expect(disc?.pictureLosses).toEqual([{ code: "picture-device-state", device: "tv", state: "dead" }]);
});

test("a broken lead behind a box is the reason where sound or picture would go on by it", () => {
  const cables = demoJob("06-extractor-edid", "systems").cables;
  const lead = (to: string) => cables.find((cable) => cable.from.device === "extractor" && cable.to.device === to)?.id ?? "";
  const [deaf] = arrivalsOf(withState("cables", lead("bar"), "broken"));
  expect(deaf?.losses[0]?.reason).toEqual({ code: "cable-state", cable: lead("bar"), state: "broken" });
  const [blind] = arrivalsOf(withState("cables", lead("tv"), "broken"));
  expect(blind?.pictureLosses).toEqual([{ code: "picture-cable-state", cable: lead("tv"), state: "broken" }]);
});

test("a player of which nobody knows what its optical socket passes on is not known to be silent: it may decode what it does not pass", () => {
  const deck = (passes: readonly object[] | null) => ({
    ...playerByHand("player", DTS, PICTURE),
    ports: [optical("opt", "out")],
    decodes: [DTS],
    routes: [{ kind: "sound", from: ["own"], to: ["opt"], passes }],
  });
  const heard = (passes: readonly object[] | null) =>
    rowOf(
      jobByHand({
        name: "What passes is not known",
        devices: [deck(passes), bar([{ coding: "lpcm", channels: "2.0" }])],
        cables: [cableByHand("player opt", "bar opt", { class: "optical" })],
      }),
    ).soundVerdict;
  expect([heard(null), heard([DTS]), heard([])]).toEqual(["unknown", "silent", "reduced"]);
});

test("a player with two ways to one socket, of which one takes TrueHD without its objects, lacks the objects and not TrueHD", () => {
  const track = { coding: "truehd", channels: "2.0", objects: "atmos" };
  const minijack = (id: string, direction: "in" | "out") => ({ id, label: id, connector: "minijack", direction });
  const way = (passes: readonly object[]) => ({ kind: "sound", from: ["own"], to: ["out"], passes });
  const job = jobByHand({
    name: "Two ways to one socket",
    devices: [
      {
        ...playerByHand("player", track, PICTURE),
        ports: [minijack("out", "out")],
        decodes: [{ coding: "truehd", channels: "2.0" }],
        routes: [way(AC3), way([{ coding: "truehd", channels: "2.0" }])],
      },
      bar([{ coding: "truehd", channels: "2.0", objects: true }, { coding: "analogue", channels: "2.0" }, ...AC3], {
        ports: [minijack("aux", "in")],
        routes: [{ kind: "sound", from: ["aux"], to: ["speakers"] }],
        presents: [],
      }),
    ],
    cables: [cableByHand("player out", "bar aux", { class: "minijack" })],
  });
  expect(told(job)).toEqual(["player sends Dolby TrueHD without its objects."]);
});
