import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { arrivalsOf, type Reason } from "@/core/chain";
import { fromShelfOrThrow, SHELF } from "@/core/device";
import { applyCommand, type Refusal } from "@/core/job";
import { weighedChanges } from "@/core/plan";
import {
  arrivalSentence,
  cableName,
  changeWords,
  commandWords,
  listed,
  modeWords,
  passesWords,
  pictureFlag,
  pictureWords,
  plural,
  reasonRemedy,
  reasonSentence,
  refusalFlag,
  refusalSentence,
  settingValue,
  settingValueIn,
  storyWords,
  streamWords,
  upperFirst,
} from "@/core/text";

const loft = demoJob("sail-loft");
const tv = { device: "television", port: "hdmi3" } as const;

describe("an apprentice reads", () => {
  const cases: readonly (readonly [Reason, string])[] = [
    [
      {
        code: "link-capacity",
        link: "arc",
        coding: "truehd",
        need: 24.576,
        have: 6.144,
        unit: "Mb/s",
        because: [{ code: "earc-off", device: "television" }],
      },
      "Dolby TrueHD fills 24.6\u2009Mb/s; the return channel (ARC) carries 6.1\u2009Mb/s. It is only ARC because eARC is off at Television.",
    ],
    [
      {
        code: "format-setting",
        device: "television",
        setting: "digital-output",
        value: "pcm",
        coding: "eac3",
        need: "5.1",
        into: "lpcm",
        have: "2.0",
      },
      "Television turns Dolby Digital Plus 5.1 into LPCM 2.0 while “Digital sound output” is set to PCM.",
    ],
    [{ code: "no-return-socket", ...tv }, "Television “HDMI 3 eARC” has no return channel, so no sound comes back out of it."],
    [
      { code: "return-off", device: "television", setting: "cec", because: [] },
      "HDMI control (CEC) is off at Television, and ARC is started over CEC.",
    ],
    [
      { code: "speakers-choice", device: "television", value: "own" },
      "Television is set to play from its own speakers, so it sends nothing to the sound system.",
    ],
    [
      { code: "not-listed", ...tv, coding: "eac3", objects: "atmos", need: "5.1", have: "5.1", copiedBy: null, sender: null },
      "Television “HDMI 3 eARC” lists Dolby Digital Plus without objects in its EDID, so the player hides the version with them.",
    ],
    [
      { code: "unknown-fact", unknown: { fact: "return-wires", cable: "bar-tv" } },
      "It depends on which return wires the Ultra High Speed HDMI cable from Bar “HDMI OUT (TV eARC)” to Television “HDMI 3 eARC” has.",
    ],
  ];
  test.each(cases)("%o", (reason, sentence) => expect(reasonSentence(loft, reason)).toBe(sentence));
});

test("where no change within the gear cures a reason, the remedy names what would", () => {
  expect(reasonRemedy(loft, { code: "no-return-socket", ...tv })).toContain("another device");
  expect(
    reasonRemedy(loft, {
      code: "format-setting",
      device: "television",
      setting: "digital-output",
      value: "pcm",
      coding: "eac3",
      need: "5.1",
      into: "lpcm",
      have: "2.0",
    }),
  ).toBeNull();
});

describe("a refusal", () => {
  const cases: readonly (readonly [Refusal, string, string])[] = [
    [
      { code: "socket-taken", end: tv, by: "bar-tv" },
      "taken",
      "Television “HDMI 3 eARC” already holds the Ultra High Speed HDMI cable from Bar “HDMI OUT (TV eARC)” to Television “HDMI 3 eARC”.",
    ],
    [
      { code: "plug-does-not-fit", plug: "optical", socket: "hdmi", end: tv },
      "different plug",
      "A plug for optical does not fit a socket for HDMI.",
    ],
    [{ code: "both-outputs", end: tv }, "output too", "Both sockets are outputs; a cable joins an output to an input."],
    [{ code: "cable-loop", devices: ["bar", "television"] }, "would loop", "The signal would loop through Bar and Television."],
  ];
  test.each(cases)("%o", (refusal, flag, sentence) => {
    expect(refusalFlag(refusal)).toBe(flag);
    expect(refusalSentence(loft, refusal)).toBe(sentence);
  });
});

describe("an edit has a name for undo", () => {
  test("plugging names both ends", () => {
    const cable = loft.cables.find(({ id }) => id === "streamer-tv");
    expect(cable && commandWords(loft, { kind: "plug", cable, at: null })).toBe("plugged Streamer into Television “HDMI 1”");
  });
  test("a setting names its value", () =>
    expect(
      commandWords(loft, { kind: "set-setting", device: "television", setting: "digital-output", state: "planned", value: "pcm" }),
    ).toBe("Digital sound output at Television: PCM"));
  test("removing a device with its cables is one act", () =>
    expect(
      commandWords(loft, {
        kind: "batch",
        commands: [
          { kind: "unplug", cable: "streamer-tv" },
          { kind: "remove-device", device: "streamer" },
        ],
      }),
    ).toBe("removed Streamer"));
});

test("a row is spoken as a sentence with its verdict, what arrives and why not more", () => {
  const off = applyCommand(loft, { kind: "set-setting", device: "television", setting: "speakers", state: "planned", value: "own" });
  if (!off.ok) throw new Error("refused");
  const row = arrivalsOf(off.value.job).find(({ player }) => player === "streamer");
  expect(row && arrivalSentence(off.value.job, row)).toBe(
    "Streamer, film, Dolby Digital Plus 5.1 + objects. Silent: nothing reaches the sound system. Television is set to play from its own speakers, so it sends nothing to the sound system. Television plays 2.0 from its own speakers.",
  );
  const whole = arrivalsOf(loft).find(({ player }) => player === "console");
  expect(whole && storyWords(whole)).toBe("Dolby MAT 7.1 + objects could play, and does.");
});

test("what a device hands on is told route by route", () => {
  const tv = loft.devices.find(({ id }) => id === "television");
  expect(tv && passesWords(tv)[0]).toBe(
    "From its own app and its tuner to HDMI 3 eARC: Dolby Digital up to 5.1, Dolby Digital Plus up to 5.1 with objects, LPCM up to 2.0.",
  );
  expect(
    tv && passesWords({ ...tv, routes: tv.routes.map((route) => (route.kind === "sound" ? { ...route, passes: null } : route)) })[0],
  ).toContain("not known");
});

describe("the value of a setting that names a socket", () => {
  test("is the print at that socket, as a person finds it on the back plate", () => {
    expect(settingValueIn(loft, "television", "input-sound", "hdmi2")).toBe("off for “HDMI 2”");
    expect(settingValueIn(loft, "television", "input-sound", "on")).toBe("on for all");
    const selector = fromShelfOrThrow("switch-3x1", { id: "selector" });
    expect(settingValue(selector, "input-select", "hdmi-in2")).toBe("“IN 2”");
    expect(
      commandWords(loft, { kind: "set-setting", device: "television", setting: "input-sound", state: "planned", value: "hdmi2" }),
    ).toBe("Sound of the HDMI inputs at Television: off for “HDMI 2”");
  });

  test("is never the id by which the program knows it, at any device of the shelf", () => {
    const unnamed = SHELF.flatMap(({ archetype }) => {
      const device = fromShelfOrThrow(archetype, { id: archetype });
      const ids = device.ports.filter(({ id, label }) => id !== label).map(({ id }) => id);
      return device.settings.flatMap(({ key, options }) =>
        options.map((value) => settingValue(device, key, value)).filter((words) => ids.some((id) => words.split(/[ “”]/).includes(id))),
      );
    });
    expect(unnamed).toEqual([]);
  });
});

test("small words", () => {
  expect(upperFirst("eARC at Television: off")).toBe("eARC at Television: off");
  expect(upperFirst("plugged")).toBe("Plugged");
  expect(listed(["a", "b", "c"])).toBe("a, b and c");
  expect(plural(1, "row")).toBe("1 row");
  expect(plural(2, "row")).toBe("2 rows");
  expect(streamWords({ coding: "truehd", channels: "7.1", objects: "atmos" })).toBe("Dolby TrueHD 7.1 + objects");
  expect(cableName(loft, "gone")).toBe("the cable gone");
});

describe("a picture in words", () => {
  const picture = { mode: "3840x2160@120", depth: 10, chroma: "444", hdr: "hdr10", hdcp: "2.3", gaming: true, lines: 2160 } as const;
  test("beyond TMDS names the fixed-rate link that carries it", () =>
    // 3840 × 2160 × 120 × 30 = 29.86 Gb/s of pixels.
    expect(pictureWords(picture)).toBe("2160p120 HDR10, 10 bit 4:4:4, 29.86\u2009Gb/s of pixels, on a fixed-rate link of 40"));
  test("interlaced modes keep their letter", () => expect(modeWords("720x576i@50")).toBe("576i50"));
  test("is flagged in the row by what it lost", () => {
    expect(pictureFlag({ picture, pictureLosses: [] })).toBeNull();
    expect(pictureFlag({ picture, pictureLosses: [{ code: "picture-length", cable: "c", need: 12, have: 5, unit: "m" }] })).toBe(
      "picture not guaranteed",
    );
    expect(pictureFlag({ picture, pictureLosses: [{ code: "picture-hdr-off", device: "d", need: "hdr10" }] })).toBe("less of the picture");
    expect(pictureFlag({ picture: null, pictureLosses: [{ code: "picture-hdr-off", device: "d", need: "hdr10" }] })).toBe("no picture");
  });
});

test("a change is told as an instruction, whatever kind it is", () => {
  const loft2 = demoJob("sail-loft");
  const words = new Set(weighedChanges({ ...loft2, cables: loft2.cables.slice(1) }).map((change) => changeWords(loft2, change)));
  expect([...words].some((text) => text.startsWith("Run an Ultra High Speed HDMI cable from Streamer"))).toBe(true);
  expect([...words].some((text) => text.startsWith("Swap the plugs of"))).toBe(true);
  for (const text of words) expect(text).not.toMatch(/undefined|Make (this|several)/);
});
