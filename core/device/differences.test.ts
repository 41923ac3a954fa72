import { describe, expect, test } from "vitest";
import { differencesFromArchetype, fromShelfOrThrow, SHELF } from "@/core/device";
import { applyCommand, emptyJob, readShelfFile, writeShelfFile, type Command, type Job } from "@/core/job";
import { defaultPreferences, Preferences, withPresetContents } from "@/core/preferences";
import { differenceWords } from "@/core/text";
import { lengthIn, metresOf } from "@/core/units";

const tv = fromShelfOrThrow("tv-earc", { id: "tv" });
const edited = (...commands: Command[]) =>
  commands.reduce<Job>(
    (job, command) => {
      const applied = applyCommand(job, command);
      if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
      return applied.value.job;
    },
    { ...emptyJob("room"), devices: [tv] },
  ).devices[0] ?? tv;

describe("a device beside its class", () => {
  test("fresh from the shelf differs in nothing, whichever it is", () => {
    for (const { archetype } of SHELF) expect(differencesFromArchetype(fromShelfOrThrow(archetype, { id: "x" }))).toEqual([]);
  });

  test("a corrected return, a setting found otherwise and other decoders are named; its name, note and contents are its own", () => {
    const device = edited(
      { kind: "edit-port", device: "tv", port: "hdmi3", fields: { returns: "arc" } },
      { kind: "set-setting", device: "tv", setting: "cec", state: "found", value: "off" },
      { kind: "edit-device", device: "tv", fields: { decodes: null, note: "scratched" } },
      { kind: "rename-device", device: "tv", name: "Old screen" },
    );
    const differences = differencesFromArchetype(device);
    expect(differences).toEqual([{ in: "socket", port: "hdmi3", what: "return" }, { in: "setting", setting: "cec" }, { in: "decoders" }]);
    expect(differences && differenceWords(device, differences)).toBe(
      "“HDMI 3 eARC” has a different return channel; “HDMI control (CEC)” was found set differently; what it decodes",
    );
  });

  test("one made from nothing has no class to differ from", () => expect(differencesFromArchetype({ ...tv, archetype: null })).toBeNull());
});

describe("corrections that do not hold together are refused and change nothing", () => {
  const room: Job = { ...emptyJob("room"), devices: [tv] };
  test.each<[string, Command]>([
    ["a field that this kind of socket does not have", { kind: "edit-port", device: "tv", port: "optical-out", fields: { hdcp: "2.2" } }],
    ["a socket that is not there", { kind: "edit-port", device: "tv", port: "hdmi9", fields: { label: "X" } }],
    [
      "a way to a socket that is not there",
      { kind: "edit-device", device: "tv", fields: { presents: [{ rule: "decoders", ports: ["hdmi9"], when: [] }] } },
    ],
    ["a room that is not there", { kind: "edit-device", device: "tv", fields: { room: "attic" } }],
    ["a source that is not there", { kind: "edit-source", device: "tv", source: "disc", fields: { name: "X" } }],
  ])("%s", (_what, command) => expect(applyCommand(room, command).ok).toBe(false));
});

describe("a shelf file", () => {
  test("comes back as it went out", () => {
    const read = readShelfFile(writeShelfFile([tv]));
    expect(read.ok && read.value).toEqual([tv]);
  });

  test("is taken in whole or not at all, with the place of the first fault", () => {
    expect(readShelfFile("{")).toMatchObject({ ok: false, refusal: [{ code: "not-json" }] });
    const broken = JSON.stringify({ format: "octachord-shelf", version: 1, devices: [tv, { ...tv, role: "toaster" }] });
    expect(readShelfFile(broken)).toMatchObject({ ok: false, refusal: [{ code: "wrong-value", place: "devices[1].role" }] });
    const loose = JSON.stringify({
      format: "octachord-shelf",
      version: 1,
      devices: [{ ...tv, presents: [{ rule: "decoders", ports: ["nowhere"] }] }],
    });
    expect(readShelfFile(loose)).toMatchObject({ ok: false, refusal: [{ code: "breach", place: "devices[0].presents[0].ports[0]" }] });
  });
});

describe("what the firm sets", () => {
  test("new players begin with the firm's contents, where it has set any for that kind of source", () => {
    const streamer = fromShelfOrThrow("streamer-4k", { id: "s" });
    const kind = streamer.sources[0]?.kind ?? "media";
    const set = Preferences.parse({ contents: { [kind]: ["news-aac"] } });
    expect(withPresetContents(streamer, set).sources[0]?.contents.map(({ id }) => id)).toEqual(["news-aac"]);
    expect(withPresetContents(streamer, defaultPreferences())).toEqual(streamer);
    expect(Preferences.safeParse({ contents: { app: ["no-such-content"] } }).success).toBe(false);
  });

  test("feet and metres: 10 ft is 3.05 m, and reads back as 10", () => {
    expect(metresOf(10, "imperial")).toBe(3.05);
    expect(lengthIn(3.05, "imperial")).toBe(10);
    expect(metresOf(2.5, "metric")).toBe(2.5);
  });
});
