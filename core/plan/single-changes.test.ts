import { describe, expect, test } from "vitest";
import { settingFact } from "@/core/facts";
import { hdmiByHand, jobByHand, playerByHand } from "@/demo/by-hand-under-test";
import { device, made, room, set, withQuirks } from "@/demo/room-under-test";
import { demoJob } from "@/demo/demo-jobs";
import { arrivalsOf } from "@/core/chain";
import type { Job } from "@/core/job";
import { liftingChanges, movedRows, possibleChanges, smallestChanges, weighedChanges } from "@/core/plan";
import { changeWords, movedWords } from "@/core/text";

const loft = demoJob("sail-loft");
const eArcOff = made(loft, { kind: "set-setting", device: "television", setting: "earc", state: "planned", value: "off" });

describe("changes that lift", () => {
  test("a room that is whole has none", () => expect(liftingChanges(loft)).toEqual([]));

  test("eARC off is cured first by switching it on, which lifts both disc rows and lowers none", () => {
    const [first] = liftingChanges(eArcOff);
    expect(first).toMatchObject({ kind: "setting", command: { device: "television", setting: "earc", value: "on" }, lowers: [] });
    expect(first?.lifts).toEqual(["disc-player/disc/film-truehd-atmos", "disc-player/disc/concert-dts-hd-ma"]);
  });

  test("a cable without return wires is cured by one that has them", () => {
    const job = made(loft, { kind: "edit-cable", cable: "bar-tv", fields: { returnWires: "none" } });
    const cable = liftingChanges(job).find(({ kind }) => kind === "cable");
    expect(cable).toMatchObject({ command: { cable: "bar-tv", fields: { returnWires: "earc" } }, lowers: [] });
  });

  test("a bar in the wrong socket of the TV is cured by moving one plug", () => {
    const wrong = {
      ...loft,
      cables: loft.cables.map((cable) => (cable.id === "bar-tv" ? { ...cable, to: { device: "television", port: "hdmi4" } } : cable)),
    };
    const [first] = liftingChanges(wrong);
    expect(first?.kind).toBe("plug");
    expect(changeWords(wrong, first ?? { command: { kind: "unplug", cable: "" } })).toBe("Move Bar to Television “HDMI 3 eARC”");
  });

  test("Flat 4B has none: no setting, plug or cable makes a return channel", () => expect(liftingChanges(demoJob("flat-4b"))).toEqual([]));

  test("each one does what it says when it is made", () => {
    for (const change of liftingChanges(eArcOff)) {
      const after = arrivalsOf(made(eArcOff, change.command));
      expect(after).toEqual(change.after);
      expect(movedRows(arrivalsOf(eArcOff), after)).toMatchObject({ lifts: change.lifts, lowers: change.lowers });
    }
  });

  test("those that lower nothing come before those that do", () => {
    const lowers = liftingChanges(eArcOff).map((change) => change.lowers.length);
    expect(lowers).toEqual([...lowers].sort((a, b) => a - b));
  });
});

describe("changes for the picture", () => {
  test("light in place of 15 m of copper assures the projector's picture and costs no sound where nothing returns along it", () => {
    const hall = demoJob("village-hall");
    const light = weighedChanges(hall).find(
      ({ command }) => command.kind === "edit-cable" && command.fields.class === "hybrid-optical-hdmi",
    );
    expect(light?.pictureLifts).toHaveLength(3);
    expect(light?.lowers).toEqual([]);
  });

  test("light in a cable that sound returns along is that with return wires, and costs no sound", () => {
    const run = demoJob("18-long-run", "systems");
    const light = weighedChanges(run).find(
      ({ command }) => command.kind === "edit-cable" && command.fields.class === "hybrid-optical-hdmi-earc",
    );
    expect(light).toMatchObject({ pictureLifts: ["streamer/apps/film-ddp-atmos"], lowers: [] });
  });

  test("the enhanced mode of a bar is found for its picture although no sound moves", () => {
    const enhanced = weighedChanges(demoJob("12-standard-mode", "systems")).find(
      ({ command }) => command.kind === "set-setting" && command.setting === "signal-format",
    );
    expect(enhanced).toMatchObject({ lifts: [], lowers: [], pictureLifts: ["streamer/apps/film-ddp-atmos"] });
  });
});

test("every setting that has another choice is among the possible changes, save those that decide who wakes, hold sound back, or stand as usual", () => {
  const settings = loft.devices
    .flatMap(({ settings: rows }) => rows)
    .filter(({ key }) => settingFact(key).concern === "signal" && settingFact(key).usual === null)
    .reduce((sum, { options }) => sum + options.length - 1, 0);
  expect(possibleChanges(loft).filter(({ kind }) => kind === "setting")).toHaveLength(settings);
});

test("plugging in a device of which a quarrel is noted brings that back, and the change says so", () => {
  const box = withQuirks(device("set-top-box", "box"), "wakes-by-itself");
  const quarrelling = room([device("tv-arc", "tv"), device("bar-arc-only", "bar"), box], "bar hdmi-out > tv hdmi1");
  const plugs = (job: Job) => weighedChanges(job).filter(({ kind, lifts }) => kind === "cable" && lifts.length > 0);
  expect(plugs(quarrelling).length).toBeGreaterThan(0);
  for (const change of plugs(quarrelling)) {
    expect(change.troubles).toEqual([{ trouble: "quarrel", device: "box" }]);
    expect(movedWords(change)).toContain("brings back 1 known conflict on HDMI control");
  }
  for (const change of plugs(set(quarrelling, "box cec off"))) expect(change.troubles).toEqual([]);
});

/** A disc player with a DTS film beside a bar whose list nobody has read, not yet connected. */
function unreadBar(...codings: readonly string[]): Job {
  const decodes = codings.map((coding) => ({ coding, channels: "5.1" }));
  const bar = {
    ...{ id: "bar", name: "Bar", role: "sound", ports: [hdmiByHand("in", "in")], speakers: { bed: "5.1" }, decodes },
    routes: [{ kind: "sound", from: ["in"], to: ["speakers"], passes: decodes }],
    presents: [{ rule: "list", ports: ["in"], sound: null }],
  };
  const picture = { mode: "1920x1080@60", depth: 8, chroma: "444", hdr: "sdr", protected: false };
  return jobByHand({ name: "Unread", devices: [playerByHand("player", { coding: "dts", channels: "5.1" }, picture), bar] });
}

test("a plug after which nobody knows whether it sounds lifts the row where it may sound, not where nothing could ever make it sound", () => {
  const [plug] = weighedChanges(unreadBar("ac3", "dts"));
  expect(plug).toMatchObject({ command: { kind: "plug" }, lifts: ["player/own/film"] });
  expect(plug?.after.map(({ soundVerdict }) => soundVerdict)).toEqual(["unknown"]);
  // The bar has no decoder for DTS, and the player sends nothing else.
  expect(weighedChanges(unreadBar("ac3"))).toEqual([]);
  expect(smallestChanges(unreadBar("ac3"))).toMatchObject({ best: { changes: [] }, proof: "every-row" });
});
