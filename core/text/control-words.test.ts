import { describe, expect, test } from "vitest";
import { device, made, room } from "@/demo/room-under-test";
import { CEC_MESSAGES } from "@/core/facts";
import { bytesOfFrame, householdOf, readFrame, type Act, type Conflict, type Message, type Miss, type PhysicalAddress } from "@/core/cec";
import { QUIRKS, QUIRKS_OF } from "@/core/device";
import {
  ACT_VERDICT_WORDS,
  actVerdictSentence,
  actWords,
  cardWords,
  conflictSentence,
  cureLimits,
  cureWords,
  cutSentence,
  judgedActSentence,
  messageWords,
  missSentence,
  QUIRK_WORDS,
  stateChangeWords,
  stepWords,
} from "@/core/text";

const job = room(
  [
    device("tv-arc", "tv", { name: "Television" }),
    device("bar-arc-only", "bar", { name: "Bar" }),
    device("streamer-4k", "streamer", { name: "Streamer" }),
    device("set-top-box", "box", { name: "Set-top box" }),
  ],
  "bar hdmi-out > tv hdmi1",
  "streamer hdmi-out > tv hdmi2",
);

describe("messages in plain words", () => {
  const at = (address: string) => address as PhysicalAddress;
  test.each([
    [{ kind: "standby" }, "go to standby"],
    [{ kind: "routing-change", from: at("0.0.0.0"), into: at("2.0.0.0") }, "the route changed from 0.0.0.0 to 2.0.0.0"],
    [{ kind: "set-stream-path", address: at("2.0.0.0") }, "become the source at 2.0.0.0"],
    [{ kind: "report-power-status", power: 1 }, "I am in standby"],
    [{ kind: "report-power-status", power: 9 }, "I am in an unknown state"],
    [{ kind: "cec-version", version: 5 }, "I support CEC 1.4"],
    [{ kind: "key-pressed", key: 0x43 }, "key “mute”"],
    [{ kind: "key-pressed", key: 0x7f }, "key “7F”"],
    [{ kind: "feature-abort", of: 0x36, reason: 4 }, "no to Standby (36): it refuses"],
    [{ kind: "system-audio-mode-request", data: [] }, "give the sound back"],
    [{ kind: "report-audio-status", status: { muted: true, volume: null } }, "muted, volume not known"],
    [{ kind: "set-osd-name", text: "Box" }, "I am called “Box”"],
    [{ kind: "menu-request", data: [0] }, "Menu Request"],
  ] as const satisfies readonly (readonly [Message, string])[])("%o", (message, words) => expect(messageWords(message)).toBe(words));

  test("there are words for every message that the table knows", () => {
    for (const { opcode, title } of CEC_MESSAGES) {
      const { message } = readFrame([0x40, opcode, 0x10, 0x00, 0x20, 0x00]);
      expect(message && messageWords(message), title).toMatch(/\p{L}/u);
      expect(message && bytesOfFrame({ from: 4, to: 0, message })[1], title).toBe(opcode);
    }
  });
});

describe("acts, as a household says them", () => {
  const cases: readonly (readonly [Act, string, string])[] = [
    [{ act: "screen-on" }, "switch on with the remote of Television", "screen and sound"],
    [{ act: "screen-off" }, "switch everything off with the remote of Television", "everything off"],
    [{ act: "wake", device: "streamer" }, "wake Streamer with its own remote", "watch Streamer"],
    [{ act: "choose-input", port: "hdmi2" }, "switch Television to “HDMI 2”", "switch to “HDMI 2”"],
    [{ act: "louder" }, "volume up with the remote of Television", "volume up"],
    [{ act: "mute" }, "mute with the remote of Television", "mute; press again to unmute"],
    [{ act: "news" }, "watch the news", "the news"],
    [{ act: "music" }, "play music with the screen off", "music, the screen stays off"],
    [
      { act: "put-away", device: "box" },
      "switch Set-top box off while it is being watched",
      "switch Set-top box off while it is being watched",
    ],
    [{ act: "night-update", device: "box" }, "Set-top box wakes by itself at night", "Set-top box wakes by itself at night"],
  ];
  test.each(cases)("%o", (act, words, card) => expect([actWords(job, act, "tv"), cardWords(job, act, "tv")]).toEqual([words, card]));

  test("a verdict says what is not as wished and what is left to press", () => {
    expect(Object.values(ACT_VERDICT_WORDS)).toEqual(["As wanted", "With an extra step", "Fails", "Unstable"]);
    expect(
      actVerdictSentence(job, {
        verdict: "with-a-step",
        misses: [{ miss: "system-off", device: "bar" }],
        steps: [{ device: "bar", key: { press: "power-on" } }],
      }),
    ).toBe("With an extra step. Bar stays off, so it plays nothing. Still to press: Bar: on.");
    expect(actVerdictSentence(job, { verdict: "unstable", between: ["streamer", "box"] })).toBe(
      "Unstable. Streamer and Set-top box keep taking the screen from each other.",
    );
    expect(actVerdictSentence(job, { verdict: "unstable", between: [] })).toBe("Unstable. The bus never settles.");
  });

  test("seconds stand behind it, none where the act is about neither", () => {
    const judged = { act: { act: "screen-on" }, verdict: { verdict: "as-wished" }, pictureMs: 6000, soundMs: 11_175 } as const;
    expect(judgedActSentence(job, judged, "tv")).toBe(
      "Switch on with the remote of Television: As wanted. Picture after 6\u2009s, sound after 11\u2009s.",
    );
    expect(judgedActSentence(job, { ...judged, act: { act: "louder" }, pictureMs: null, soundMs: null }, "tv")).toBe(
      "Volume up with the remote of Television: As wanted.",
    );
  });

  test("steps name the remote and its key", () => {
    expect(
      ([{ press: "power-off" }, { press: "volume-down" }, { press: "input", input: 2 }, { press: "input", input: null }] as const).map(
        (key) => stepWords(job, { device: "tv", key }),
      ),
    ).toEqual(["Television: off", "Television: volume down", "Television: input 2", "Television: its own apps or tuner"]);
  });
});

test("what is not as wished is one sentence with the device in it", () => {
  const misses: readonly Miss[] = [
    ...(["screen-off", "player-off", "shows-other", "system-off", "sound-from-screen", "sound-from-system"] as const).map((miss) => ({
      miss,
      device: "streamer",
    })),
    ...(["still-on", "woke", "went-off", "loudness-stays"] as const).map((miss) => ({ miss, device: "streamer" })),
  ];
  for (const miss of misses) expect(missSentence(job, miss)).toMatch(/Streamer.*\.$/);
  expect(missSentence(job, { miss: "no-sound" })).toBe("There is no sound.");
});

test("what is wrong with a room's control names the devices, and where the wire ends", () => {
  const conflicts: readonly (readonly [Conflict, RegExp])[] = [
    [{ conflict: "two-sound-systems", devices: ["bar", "tv"] }, /^Bar and Television are two sound systems on one control wire/],
    [{ conflict: "no-address-left", device: "box" }, /^Set-top box gets no logical address/],
    [{ conflict: "same-place", devices: ["box", "streamer"] }, /^Set-top box and Streamer read the same physical address/],
    [{ conflict: "no-place", device: "box" }, /^Set-top box gets no physical address/],
    [{ conflict: "claimants", devices: ["box", "streamer"] }, /^Set-top box and Streamer each take the screen back/],
    [{ conflict: "goes-off-with-one", device: "box" }, /^Set-top box switches everything off/],
    [
      { conflict: "return-needs-control", screen: "tv", system: "bar", cuts: [{ at: "device", device: "box" }] },
      /^The return channel from Television to Bar starts over HDMI control, which does not join the two\. Set-top box cuts the control wire\.$/,
    ],
  ];
  for (const [conflict, words] of conflicts) expect(conflictSentence(job, conflict)).toMatch(words);
  expect(cutSentence(job, { at: "cable", cable: "cable-1" })).toMatch(
    /^The Premium High Speed HDMI with Ethernet cable from Bar .* has no control wire\.$/,
  );
  expect(cutSentence(job, { at: "socket", device: "tv", port: "hdmi2" })).toBe(
    "The control wire of Television does not reach Television “HDMI 2”.",
  );
});

test("a cure is something to do, and a programmed remote tells its limits", () => {
  const step = { device: "bar", key: { press: "power-on" } } as const;
  const remote = {
    cure: "programmed-remote",
    steps: [step],
    limits: [
      { limit: "behind-a-door", device: "bar" },
      { limit: "out-of-step", device: "bar" },
      { limit: "slower", ms: 400 },
    ],
  } as const;
  expect(cureWords(job, remote, "tv")).toBe("a programmed remote whose one key also sends Bar: on");
  expect(cureLimits(householdOf(job), remote)).toBe(
    "It needs line of sight, or an infrared emitter close to the device. Bar is behind a door: infrared does not reach it while that is shut. Bar has a single toggle key: if it is already on, the key switches it off. It takes 0.4\u2009s longer than the bus.",
  );
  const inOrder = { cure: "power-in-order", order: ["box", "tv"], lowers: 0, silences: 0, darkens: 0, worsens: [] } as const;
  expect(cureWords(job, inOrder, "tv")).toContain("in this order: Set-top box and Television; wait");
  expect(cureLimits(householdOf(job), inOrder)).toBeNull();
  expect(cureLimits(householdOf(job), { ...inOrder, lowers: 2, silences: 1, darkens: 1 })).toBe(
    "It lowers the sound of 2 rows, 1 of which is silent then or no longer shown. It lowers the picture of 1 row, or takes it away.",
  );
  expect(cureWords(job, { cure: "other-act", act: { act: "wake", device: "streamer" } }, "tv")).toBe(
    "a house rule: wake Streamer with its own remote instead",
  );
});

test("changes of state are told as they happen", () => {
  const told = (what: Parameters<typeof stateChangeWords>[1]["what"], value: string | number | boolean | null) =>
    stateChangeWords(job, { tMs: 0, device: "bar", what, value });
  expect([told("power", "waking"), told("power", "standby"), told("input", 2), told("input", null)]).toEqual([
    "Bar wakes.",
    "Bar is in standby.",
    "Bar switches to input 2.",
    "Bar switches to its own sources.",
  ]);
  expect([told("arc", true), told("systemAudio", false), told("volume", 22), told("muted", true), told("source", null)]).toEqual([
    "Bar: return channel started.",
    "Bar: system audio mode off.",
    "Bar is at volume 22.",
    "Bar is muted.",
    "Bar has no active source.",
  ]);
});

test("every habit can be ticked at some kind of device, in words of what was seen", () => {
  for (const quirk of QUIRKS) {
    expect(QUIRKS_OF[quirk].length).toBeGreaterThan(0);
    expect(QUIRK_WORDS[quirk]).toMatch(/^[A-Z][^.]+$/);
  }
});

test("a habit and a menu's name are edits like any other, undone by name", () => {
  const bar = job.devices.find(({ id }) => id === "bar");
  if (!bar) throw new Error("no bar");
  const ticked = made(job, {
    kind: "edit-device",
    device: "bar",
    fields: { control: { ...bar.control, quirks: ["ignores-standby"], menuName: "Link" } },
  });
  expect(ticked.devices.find(({ id }) => id === "bar")?.control).toMatchObject({ quirks: ["ignores-standby"], menuName: "Link" });
});
