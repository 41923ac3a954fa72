import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import type { Caution, Reason, Volume } from "@/core/chain";
import { fromShelfOrThrow } from "@/core/device";
import type { PictureLoss } from "@/core/picture";
import { milliseconds } from "@/core/units";
import {
  cautionFlag,
  cautionSentence,
  leadsWords,
  pictureLossSentence,
  reasonFlag,
  reasonRemedy,
  reasonSentence,
  volumeSentence,
} from "@/core/text";

const hall = demoJob("village-hall");
const port = { device: "matrix", port: "output-a" } as const;

describe("every reason of a box, a plug or a mode is told in a sentence and in a few words", () => {
  const cases: readonly (readonly [Reason, string, string])[] = [
    [
      { code: "setting-shuts", device: "matrix", setting: "arc-take", value: "on", wanted: ["off"] },
      "Matrix needs “Return channel input” set to off here; it is set to on.",
      "Return channel input: on",
    ],
    [
      { code: "setting-shuts", device: "computer", setting: "object-format", value: "headphones", wanted: ["home-theater", "off"] },
      "Desk computer needs “Format for surround objects” set to the home theater format or off here; it is set to the headphone format.",
      "Format for surround objects: the headphone format",
    ],
    [
      { code: "setting-shuts", device: "matrix", setting: "sound-follows", value: "output-b", wanted: ["lit", "output-a"] },
      "The sound output of Matrix belongs to output B, and this screen is on another.",
      "Sound output follows: output B",
    ],
    [
      { code: "plug-mutes", device: "monitor", port: "headphones" },
      "A plug in Desk monitor “AUDIO OUT” mutes this way.",
      "muted by a plug",
    ],
    [
      { code: "link-lossy", link: "bluetooth", generation: 2, delayMs: milliseconds(200) },
      "Bluetooth compresses the sound with loss, lossy coding number 2, and plays it about 200 ms late.",
      "Bluetooth is lossy",
    ],
    [
      { code: "no-cec", device: "matrix", because: [{ code: "earc-off", device: "receiver" }] },
      "Matrix takes no part in HDMI control (CEC), and ARC is started over CEC. It is only ARC because eARC is off at Receiver.",
      "no CEC, so no ARC",
    ],
    [
      { code: "renders-binaural", device: "computer" },
      "Desk computer renders for headphones: two channels leave it, and no objects.",
      "rendered for headphones",
    ],
    [
      { code: "decode-mode", device: "receiver", value: "stereo", need: "7.1.2", have: "2.0" },
      "Receiver shows the full coding on its display, but its sound mode is stereo: 2.0 plays instead of 7.1.2.",
      "sound mode: stereo",
    ],
    [{ code: "cannot-decode", device: "receiver", coding: "dts" }, "Receiver cannot decode DTS.", "cannot decode DTS"],
    [
      { code: "link-capacity", link: "optical", coding: "lpcm", need: 6.144, have: 1.536, unit: "Mb/s", because: [] },
      "LPCM fills 6.1\u2009Mb/s; optical carries 1.5\u2009Mb/s.",
      "LPCM needs 6.1\u2009Mb/s, optical has 1.5",
    ],
    [
      { code: "link-channels", link: "analogue", need: "5.1", have: "2.0", because: [] },
      "Decoded sound of 5.1 channels does not fit: analogue carries LPCM of two channels.",
      "5.1 LPCM, analogue has 2.0",
    ],
  ];
  test.each(cases)("%o", (reason, sentence, flag) => {
    expect(reasonSentence(hall, reason)).toBe(sentence);
    expect(reasonFlag(hall, reason)).toBe(flag);
  });
});

test("where only another device helps, that is said; where a change does, the changes say it themselves", () => {
  expect(reasonRemedy(hall, { code: "speakers-fewer", device: "receiver", need: "7.1", have: "5.1" })).toBe(
    "Only another sound system plays more.",
  );
  expect(reasonRemedy(hall, { code: "cannot-decode", device: "receiver", coding: "dts" })).toContain("PCM");
  expect(reasonRemedy(hall, { code: "unknown-fact", unknown: { fact: "decoders", device: "receiver" } })).toContain("on site");
  expect(reasonRemedy(hall, { code: "setting-shuts", device: "matrix", setting: "arc-take", value: "on", wanted: ["off"] })).toBeNull();
});

describe("every loss of a picture is told in a sentence", () => {
  const cases: readonly (readonly [PictureLoss, string])[] = [
    [
      { code: "picture-hdcp", ...port, need: "2.2", have: "1.4", then: "drops" },
      "Matrix “OUT A” has HDCP 1.4; protected 2160p needs 2.2 at every hop, so the player drops to 1080p.",
    ],
    [
      { code: "picture-hdcp", ...port, need: "1.4", have: "none", then: "black" },
      "Matrix “OUT A” has no HDCP, so anything protected stays black.",
    ],
    [
      {
        code: "picture-rate",
        at: { kind: "socket", ...port, gbps: 9, hdcp: "2.2", standard: true, perhapsGbps: null },
        need: 17.82,
        have: 9,
        unit: "Gb/s",
      },
      "Matrix “OUT A”, in its standard picture mode, carries 9.0\u2009Gb/s; the picture as mastered needs 17.82\u2009Gb/s.",
    ],
    [
      {
        code: "picture-rate",
        at: { kind: "cable", cable: "matrix-projector", gbps: 18, lengthM: 15, passive: true, certainM: 5 },
        need: 22.275,
        have: 18,
        unit: "Gb/s",
      },
      "The Premium High Speed HDMI cable from Matrix “OUT A” to Projector “HDMI 1” carries 18.0\u2009Gb/s; the picture as mastered needs 22.28\u2009Gb/s.",
    ],
    [{ code: "picture-mode", device: "projector", need: "3840x2160@120", have: "3840x2160@60" }, "Projector shows at most 2160p60."],
    [{ code: "picture-hdr", device: "projector", need: "dolby-vision" }, "Projector does not take Dolby Vision."],
    [{ code: "picture-hdr-off", device: "disc", need: "hdr10" }, "HDR is off at Disc player."],
    [{ code: "picture-gaming", device: "projector" }, "Projector does not accept variable refresh and auto low latency mode."],
    [
      { code: "picture-lines", device: "matrix", need: "1920x1080@60", have: 480 },
      "Matrix scales it to 1080p60; the detail stays that of 480 lines.",
    ],
    [
      { code: "picture-tight", need: 44.55, have: 40, unit: "Gb/s" },
      "It only just fits: the picture with full blanking would need more than 40.0\u2009Gb/s carries.",
    ],
    [
      { code: "picture-shut", device: "receiver", setting: "power", value: "standby" },
      "Receiver passes no picture while “Power” is set to standby.",
    ],
    [{ code: "picture-unknown", ...port }, "Nobody has noted what Matrix “OUT A” can carry, so the picture is not guaranteed."],
  ];
  test.each(cases)("%o", (loss, sentence) => expect(pictureLossSentence(hall, loss)).toBe(sentence));
});

describe("what is to be minded carries its cure and the price of it", () => {
  const drift: Caution = { code: "drift", device: "disc", coding: "ac3", amountMs: null, afterMinutes: null };
  const long: Caution = { code: "lead-long", cable: "receiver-matrix", need: 12, have: 5, unit: "m" };
  test("drift", () => {
    expect(cautionSentence(hall, drift)).toContain(
      "Setting Disc player to PCM cures it, at the price of every channel beyond what PCM carries there",
    );
    expect(cautionFlag([drift])).toBe("tends to drift");
  });
  test("a box that keeps its old list says what to do after a change", () => {
    expect(cautionSentence(hall, { code: "keeps-old-edid", device: "matrix" })).toContain("replugged");
    expect(cautionFlag([{ code: "keeps-old-edid", device: "matrix" }])).toBe("replug the box");
  });
  test("two volumes are both named, and which to move", () =>
    expect(cautionSentence(hall, { code: "two-volumes", device: "monitor", then: "receiver" })).toBe(
      "Two volume controls in series: Desk monitor, then Receiver. Set the first high and leave it; use the other.",
    ));
  test("leads that are part of a device are told with their lengths", () =>
    expect(leadsWords(fromShelfOrThrow("bar-subwoofer-hub", { id: "hub" }))).toBe(
      "To the bar 3\u2009m, to the left satellite 6\u2009m, to the right satellite 6\u2009m.",
    ));
  test("a box that forgets it says what to switch on first", () =>
    expect(cautionSentence(hall, { code: "forgets-edid", device: "matrix" })).toContain("switch the screen on first"));
  test("a long lead gives both lengths", () => {
    expect(cautionSentence(hall, long)).toContain("is 12\u2009m long; its class is reliable up to 5\u2009m");
    expect(cautionFlag([long])).toBe("long lead");
  });
  test("nothing to mind has no flag", () => expect(cautionFlag([])).toBeNull());
});

test.each<readonly [Volume, string]>([
  [{ by: "screen-remote", device: "receiver" }, "The screen's remote changes the volume of Receiver."],
  [{ by: "own-remote", device: "receiver" }, "The remote of Receiver changes the volume."],
  [{ by: "knob", device: "receiver" }, "Only the knob on Receiver changes the volume."],
  [{ by: "unknown" }, "What changes the volume is not known."],
])("volume: %o", (volume, sentence) => expect(volumeSentence(hall, volume)).toBe(sentence));
