import { describe, expect, test } from "vitest";
import { arrivalsOf, type Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { cableByHand, hdmiByHand, jobByHand } from "@/demo/by-hand-under-test";

/** A room spelled out by hand: a disc player into a sound system with two HDMI sockets, and a screen behind it. */
interface Spelled {
  readonly player?: Record<string, unknown>;
  readonly bar?: Record<string, unknown>;
  readonly screen?: Record<string, unknown>;
  readonly cables?: readonly Record<string, unknown>[];
  readonly devices?: readonly Record<string, unknown>[];
}

const hdmi = (id: string, direction: "in" | "out", rest: object = {}) => hdmiByHand(id, direction, { label: id.toUpperCase(), ...rest });
const cable = (id: string, from: string, to: string, rest: object = {}) => cableByHand(from, to, { id, ...rest });
const FILM = { mode: "3840x2160@24", depth: 12, chroma: "422", hdr: "hdr10", protected: true };
const film = (tracks: readonly Record<string, unknown>[], picture: Record<string, unknown> | null = FILM) => ({
  id: "film",
  name: "film",
  kind: "film",
  tracks,
  picture,
});
const TRUEHD = [
  { coding: "truehd", channels: "5.1" },
  { coding: "ac3", channels: "5.1" },
];
const STREAM = [{ coding: "eac3", channels: "5.1" }];

function room({ player, bar, screen, cables, devices = [] }: Spelled): Job {
  return jobByHand({
    name: "Spelled out",
    devices: [
      {
        id: "player",
        name: "Player",
        role: "player",
        ports: [hdmi("out", "out")],
        sources: [{ id: "disc", name: "disc", kind: "media", contents: [film(TRUEHD)] }],
        decodes: [
          { coding: "truehd", channels: "7.1" },
          { coding: "ac3", channels: "5.1" },
          { coding: "eac3", channels: "7.1" },
        ],
        routes: [
          {
            kind: "sound",
            from: ["disc"],
            to: ["out"],
            passes: ["truehd", "ac3", "eac3", "dts", "dts-hd-ma"].map((coding) => ({ coding, channels: "7.1", objects: true })),
            lpcm: "7.1",
            pcm: "7.1",
            format: "player-audio",
          },
          { kind: "picture", from: ["disc"], to: ["out"] },
        ],
        settings: [{ key: "player-audio", options: ["auto", "bitstream", "pcm"], found: "auto" }],
        ...player,
      },
      {
        id: "bar",
        name: "Bar",
        role: "sound",
        ports: [hdmi("in", "in"), hdmi("out", "out", { returns: "earc" })],
        decodes: [
          { coding: "lpcm", channels: "2.0" },
          { coding: "ac3", channels: "5.1" },
        ],
        speakers: { bed: "5.1", delayMs: 20 },
        routes: [
          { kind: "sound", from: ["in", "out"], to: ["speakers"] },
          { kind: "picture", from: ["in"], to: ["out"] },
        ],
        presents: [{ rule: "decoders", ports: ["in"] }],
        ...bar,
      },
      {
        id: "tv",
        name: "Television",
        role: "screen",
        ports: [hdmi("hdmi1", "in", { returns: "earc" }), hdmi("hdmi2", "in")],
        display: { maxMode: "3840x2160@60", hdr: ["hdr10"], delayMs: 60, gameDelayMs: 15 },
        routes: [{ kind: "picture", from: ["hdmi1", "hdmi2"], to: ["display"] }],
        presents: [{ rule: "list", ports: ["hdmi1", "hdmi2"], sound: [{ coding: "lpcm", channels: "2.0" }] }],
        ...screen,
      },
      ...devices,
    ],
    cables: cables ?? [cable("a", "player out", "bar in"), cable("b", "bar out", "tv hdmi1")],
  });
}

const first = (job: Job, player = "player"): Arrival => {
  const row = arrivalsOf(job).find((one) => one.player === player);
  if (!row) throw new Error("no row");
  return row;
};
const codes = ({ losses }: Arrival, scope: "path" | "ceiling" = "path") =>
  losses.filter((loss) => loss.scope === scope).map(({ reason }) => reason.code);
const pictures = ({ pictureLosses }: Arrival) => pictureLosses.map(({ code }) => code);
const stereoOnly = { decodes: [{ coding: "lpcm", channels: "2.0" }] };

describe("full is measured against the content as authored", () => {
  const stream = (bar: Record<string, unknown>, player: Record<string, unknown> = {}) =>
    room({ bar, player: { sources: [{ id: "disc", name: "app", kind: "app", contents: [film(STREAM)] }], ...player } });

  test("a bar that knows LPCM 2.0 and Dolby Digital: stereo of a 5.1 stream is part of it, and Dolby Digital 5.1 the best there is", () => {
    const row = first(stream({}));
    expect(row).toMatchObject({
      verdict: "reduced",
      arrives: { coding: "lpcm", channels: "2.0" },
      best: { coding: "ac3", channels: "5.1" },
    });
    expect(row.losses[0]?.reason).toMatchObject({ code: "cannot-emit", device: "player", coding: "ac3" });
  });

  test("with a player that codes again it is Dolby Digital 5.1, coded twice: still not full, and the best of this gear", () => {
    const passes = [{ coding: "ac3", channels: "5.1" }];
    const better = first(
      stream(
        {},
        {
          routes: [
            { kind: "sound", from: ["disc"], to: ["out"], passes, encodes: ["ac3"] },
            { kind: "picture", from: ["disc"], to: ["out"] },
          ],
        },
      ),
    );
    expect(better).toMatchObject({ verdict: "reduced", arrives: { coding: "ac3", channels: "5.1", generations: 2 }, kept: { codings: 1 } });
    expect(codes(better)).toEqual(["coded-again"]);
    expect(codes(better, "ceiling")).toEqual(["cannot-decode"]);
  });

  test("taking decoders away never makes a downmix full on speakers that could play more", () => {
    expect(first(stream(stereoOnly)).verdict).toBe("reduced");
    expect(first(room({ bar: stereoOnly })).verdict).toBe("reduced");
  });

  test("two channels are all that two speakers can play: full, with the ceiling named", () => {
    const row = first(stream({ ...stereoOnly, speakers: { bed: "2.0", delayMs: 20 } }));
    expect(row.verdict).toBe("full");
    expect(codes(row, "ceiling")).toEqual(["speakers-fewer"]);
  });

  test("the AC-3 track beside TrueHD is not lossless: part of it, though the bar can take no better", () => {
    const row = first(room({}));
    expect(row).toMatchObject({ verdict: "reduced", arrives: { coding: "ac3", channels: "5.1", generations: 1 }, best: { coding: "ac3" } });
    const lossless = first(room({ bar: { decodes: [{ coding: "lpcm", channels: "5.1" }] } }));
    expect(lossless).toMatchObject({ verdict: "full", arrives: { coding: "lpcm", channels: "5.1", generations: 0 } });
  });

  test("bitstream at a player concerns coded tracks: LPCM of a game leaves as LPCM", () => {
    const game = film([{ coding: "lpcm", channels: "5.1" }]);
    const job = room({
      player: {
        sources: [{ id: "disc", name: "game", kind: "media", contents: [game] }],
        settings: [{ key: "player-audio", options: ["auto", "bitstream"], found: "bitstream" }],
      },
      bar: { decodes: [{ coding: "lpcm", channels: "5.1" }] },
    });
    expect(first(job)).toMatchObject({ verdict: "full", arrives: { coding: "lpcm", channels: "5.1" } });
  });
});

describe("decoders that a setting or a module opens", () => {
  const withModule = (found: string) =>
    room({
      bar: {
        decodes: [
          { coding: "lpcm", channels: "2.0" },
          { coding: "truehd", channels: "7.1", opens: [{ setting: "module", value: "fitted" }] },
        ],
        settings: [{ key: "module", options: ["fitted", "missing"], found }],
      },
    });
  test("play once it is fitted, and are the reason while it is not", () => {
    expect(first(withModule("fitted"))).toMatchObject({ verdict: "full", arrives: { coding: "truehd" } });
    const row = first(withModule("missing"));
    expect(row).toMatchObject({ verdict: "reduced", best: { coding: "truehd" } });
    expect(row.losses[0]?.reason).toMatchObject({ code: "setting-shuts", setting: "module", wanted: ["fitted"] });
    expect(codes(row, "ceiling")).toEqual([]);
  });
});

describe("a sound system that is hushed", () => {
  const set = (key: string, options: string[], found: string) => first(room({ bar: { settings: [{ key, options, found }] } }));
  test("muted, or with its volume at nothing, is silent, and the setting is the reason", () => {
    for (const [key, value] of [
      ["mute", "on"],
      ["volume-level", "zero"],
    ] as const) {
      const row = set(key, key === "mute" ? ["off", "on"] : ["usual", "zero"], value);
      expect(row.verdict).toBe("silent");
      expect(row.losses[0]?.reason).toMatchObject({ code: "setting-shuts", setting: key, value });
    }
    expect(set("mute", ["off", "on"], "off").arrives).not.toBeNull();
  });
});

test("a sound delay that is set is part of the delay: 20 ms of the bar and 60 set", () => {
  const job = room({ bar: { settings: [{ key: "sound-delay", options: ["0", "60"], found: "60" }] } });
  expect(first(job)).toMatchObject({ delayMs: 80, lipSyncMs: 20 });
});

test("the picture mode of the screen has a delay of its own: film mode 100 ms, game mode 15", () => {
  const mode = (found: string) =>
    first(
      room({
        screen: {
          display: { maxMode: "3840x2160@60", hdr: ["hdr10"], delayMs: 60, gameDelayMs: 15, filmDelayMs: 100 },
          settings: [{ key: "picture-mode", options: ["standard", "film", "game"], found }],
        },
      }),
    ).lipSyncMs;
  expect([mode("standard"), mode("film"), mode("game")]).toEqual([20 - 60, 20 - 100, 20 - 15]);
});

describe("cables that lie wrong", () => {
  test("a one-way cable laid backwards carries neither sound nor picture", () => {
    const cables = [
      cable("a", "player out", "bar in", { class: "active-hdmi", direction: "one-way", backwards: true }),
      cable("b", "bar out", "tv hdmi1"),
    ];
    const row = first(room({ cables }));
    expect(row).toMatchObject({ verdict: "silent", picture: null });
    expect(codes(row)).toEqual(["cable-backwards"]);
    expect(pictures(row)).toEqual(["picture-backwards"]);
  });

  test("two outputs joined by a cable can be recorded as found, are silent, and are refused unless noted so", () => {
    const cables = [cable("a", "player out", "bar out", { miswired: true })];
    const row = first(room({ cables }));
    expect(row.verdict).toBe("silent");
    expect(row.losses[0]?.reason).toEqual({ code: "miswired", cable: "a", direction: "out" });
    expect(() => room({ cables: [cable("a", "player out", "bar out")] })).toThrow("both-outputs");
    expect(() => room({ cables: [cable("a", "player out", "bar in", { miswired: true })] })).toThrow("not-miswired");
  });
});

test("a player that blanks without HDCP shows nothing where others step down to 1080p", () => {
  const old = { ports: [hdmi("in", "in", { hdcp: "1.4" }), hdmi("out", "out")] };
  expect(first(room({ bar: old })).picture).toMatchObject({ mode: "1920x1080@24" });
  const row = first(room({ bar: old, player: { habits: [{ habit: "blanks-without-hdcp" }] } }));
  expect(row).toMatchObject({ verdict: "no-picture", picture: null });
  expect(row.pictureLosses[0]).toMatchObject({ code: "picture-hdcp", then: "black" });
});

test("a player set to one picture format does not step down: what does not fit is black", () => {
  const quick = { ...FILM, mode: "3840x2160@60", depth: 10, chroma: "444", protected: false };
  const forced = (found: string) =>
    first(
      room({
        player: {
          sources: [{ id: "disc", name: "disc", kind: "media", contents: [film(TRUEHD, quick)] }],
          settings: [{ key: "video-format", options: ["auto", "forced"], found }],
        },
      }),
    );
  // 22.28 Gb/s do not fit 18.
  expect(forced("auto").picture).toMatchObject({ mode: "3840x2160@60", depth: 12, chroma: "422" });
  expect(forced("forced")).toMatchObject({ verdict: "no-picture", picture: null });
  expect(pictures(forced("forced"))).toContain("picture-forced");
});

describe("one player for two screens behind a box", () => {
  const box = (copies: string | null) => ({
    id: "box",
    name: "Splitter",
    role: "box",
    ports: [hdmi("in", "in"), hdmi("a", "out"), hdmi("b", "out")],
    routes: [{ kind: "picture", from: ["in"], to: ["a", "b"], ...(copies ? { copies } : {}) }],
  });
  const small = {
    id: "small",
    name: "Small screen",
    role: "screen",
    ports: [hdmi("in", "in")],
    display: { maxMode: "1920x1080@60", delayMs: 20, gameDelayMs: 20 },
    routes: [{ kind: "picture", from: ["in"], to: ["display"] }],
  };
  const behind = (copies: string | null) =>
    arrivalsOf(
      room({
        devices: [box(copies), small],
        cables: [cable("a", "player out", "box in"), cable("b", "box a", "tv hdmi2"), cable("c", "box b", "small in")],
        bar: { ports: [hdmi("in", "in")], routes: [{ kind: "sound", from: ["in"], to: ["speakers"] }] },
      }),
    ).map(({ screen, picture }) => [screen, picture?.mode ?? null]);

  test("without a rule both get what the lesser can show", () => {
    expect(behind(null)).toEqual([
      ["tv", "1920x1080@24"],
      ["small", "1920x1080@24"],
    ]);
  });
  test("where it copies the list of one, that one is whole and the other black if it cannot show it", () => {
    expect(behind("a")).toEqual([
      ["tv", "3840x2160@24"],
      ["small", null],
    ]);
    expect(behind("b")).toEqual([
      ["tv", "1920x1080@24"],
      ["small", "1920x1080@24"],
    ]);
  });
});

test("one HDMI input's sound switched off at a television silences that input alone", () => {
  const television = (found: string) => ({
    speakers: { bed: "2.0", delayMs: 0 },
    decodes: [{ coding: "lpcm", channels: "2.0" }],
    routes: [
      { kind: "picture", from: ["hdmi1", "hdmi2"], to: ["display"] },
      { kind: "sound", from: ["hdmi1", "hdmi2"], to: ["speakers"] },
    ],
    settings: [{ key: "input-sound", options: ["on", "hdmi1", "hdmi2"], found }],
  });
  const heard = (found: string) => {
    const job = room({ screen: television(found), cables: [cable("a", "player out", "tv hdmi2")] });
    return first({ ...job, brief: { ...job.brief, soundSystem: "tv" } }).arrives !== null;
  };
  expect([heard("on"), heard("hdmi1"), heard("hdmi2")]).toEqual([true, true, false]);
});

test("a second sound system in the room plays for its own players", () => {
  const amplifier = {
    id: "amplifier",
    name: "Amplifier",
    role: "sound",
    ports: [hdmi("in", "in")],
    decodes: [{ coding: "lpcm", channels: "2.0" }],
    speakers: { bed: "2.0", delayMs: 5 },
    routes: [{ kind: "sound", from: ["in"], to: ["speakers"] }],
    presents: [{ rule: "decoders", ports: ["in"] }],
  };
  const cables = [cable("a", "player out", "amplifier in")];
  expect(first(room({ devices: [amplifier], cables })).verdict).toBe("silent");
  expect(first(room({ devices: [amplifier], cables, player: { heardFrom: "amplifier" } }))).toMatchObject({
    system: "amplifier",
    delayMs: 5,
  });
});

test("a socket that is HDMI out in one mode and sound out in another feeds a bar's return socket only in that mode", () => {
  const box = (found: string) => ({
    id: "box",
    name: "Box",
    role: "box",
    ports: [hdmi("in", "in"), hdmi("turn", "out", { returns: "earc", turnsWhen: { setting: "socket-mode", value: "return" } })],
    routes: [
      {
        kind: "sound",
        from: ["in"],
        to: ["turn"],
        passes: [{ coding: "ac3", channels: "5.1" }],
        lpcm: "7.1",
        blind: true,
        opens: { setting: "socket-mode", value: "return" },
      },
    ],
    presents: [{ rule: "copy", ports: ["in"], of: "turn" }],
    settings: [{ key: "socket-mode", options: ["output", "return"], found }],
  });
  const played = (found: string) =>
    first(room({ devices: [box(found)], cables: [cable("a", "player out", "box in"), cable("b", "bar out", "box turn")] })).arrives;
  expect(played("return")).toMatchObject({ coding: "ac3", channels: "5.1" });
  expect(played("output")).toBeNull();
});

test("a box is passed twice where other sockets carry the sound: HDMI on to the screen, and the screen's return back into it", () => {
  const box = {
    id: "box",
    name: "Box",
    role: "box",
    ports: [
      hdmi("in", "in"),
      hdmi("out", "out", { returns: "arc" }),
      { id: "optical", label: "OPTICAL", connector: "optical", direction: "out" },
    ],
    routes: [
      { kind: "sound", from: ["in"], to: ["out"], passes: [{ coding: "ac3", channels: "5.1" }], lpcm: "2.0", blind: true },
      { kind: "sound", from: ["out"], to: ["optical"], passes: [{ coding: "ac3", channels: "5.1" }], blind: true },
      { kind: "picture", from: ["in"], to: ["out"] },
    ],
    presents: [
      { rule: "copy", ports: ["in"], of: "out" },
      {
        rule: "list",
        ports: ["out"],
        sound: [
          { coding: "lpcm", channels: "2.0" },
          { coding: "ac3", channels: "5.1" },
        ],
      },
    ],
  };
  const screen = {
    ports: [hdmi("hdmi1", "in", { returns: "arc" })],
    routes: [
      { kind: "picture", from: ["hdmi1"], to: ["display"] },
      { kind: "sound", from: ["hdmi1"], to: ["hdmi1"], passes: [{ coding: "ac3", channels: "5.1" }], lpcm: "2.0" },
    ],
    presents: [
      {
        rule: "list",
        ports: ["hdmi1"],
        sound: [
          { coding: "lpcm", channels: "2.0" },
          { coding: "ac3", channels: "5.1" },
        ],
      },
    ],
  };
  const optical = { id: "optical", label: "OPTICAL", connector: "optical", direction: "in" };
  const job = room({
    screen,
    devices: [box],
    bar: { ports: [optical], routes: [{ kind: "sound", from: ["optical"], to: ["speakers"] }], presents: [] },
    cables: [
      cable("a", "player out", "box in"),
      cable("b", "box out", "tv hdmi1"),
      cable("c", "box optical", "bar optical", { class: "optical", returnWires: "none" }),
    ],
  });
  expect(first(job).arrives).toMatchObject({ coding: "ac3", channels: "5.1" });
});

test("Bluetooth names its lossy coding and its delay, the device's own where it was seen", () => {
  const air = (id: string, direction: "in" | "out", delayMs?: number) => ({
    id,
    label: "Bluetooth",
    connector: "bluetooth",
    direction,
    ...(delayMs === undefined ? {} : { delayMs }),
  });
  const job = room({
    player: {
      ports: [air("out", "out")],
      sources: [{ id: "disc", name: "app", kind: "app", contents: [film(STREAM, null)] }],
      routes: [{ kind: "sound", from: ["disc"], to: ["out"], lpcm: "2.0" }],
    },
    bar: { ports: [air("in", "in", 140)], presents: [], routes: [{ kind: "sound", from: ["in"], to: ["speakers"] }] },
    cables: [cable("a", "player out", "bar in", { class: "bluetooth", returnWires: "none" })],
  });
  const row = first(job);
  expect(row).toMatchObject({ verdict: "reduced", arrives: { generations: 2 }, delayMs: 160 });
  expect(row.losses.map(({ reason }) => reason)).toContainEqual({ code: "link-lossy", link: "bluetooth", generation: 2, delayMs: 140 });
});

test("some players play the objects of Dolby Digital Plus out as MAT, where MAT is listed: then ARC carries none of them", () => {
  const route = (wrapsObjects: boolean) => [
    {
      kind: "sound",
      from: ["disc"],
      to: ["out"],
      passes: [
        { coding: "mat", channels: "7.1", objects: true },
        { coding: "eac3", channels: "5.1" },
      ],
      lpcm: "7.1",
      wrapsObjects,
    },
    { kind: "picture", from: ["disc"], to: ["out"] },
  ];
  const objects = film([{ coding: "eac3", channels: "5.1", objects: "atmos" }]);
  const play = (wraps: boolean) =>
    first(
      room({
        player: { sources: [{ id: "disc", name: "app", kind: "app", contents: [objects] }], routes: route(wraps) },
        bar: {
          decodes: [
            { coding: "lpcm", channels: "7.1" },
            { coding: "eac3", channels: "7.1", objects: true },
            { coding: "mat", channels: "7.1", objects: true },
          ],
        },
      }),
    );
  expect(play(true)).toMatchObject({ verdict: "full", arrives: { coding: "mat", objects: "atmos", generations: 1 } });
  expect(play(false)).toMatchObject({ verdict: "reduced", arrives: { coding: "eac3", objects: "none" } });
  // Said of a device that sends the coding, but without its objects.
  expect(play(false).losses[0]?.reason).toMatchObject({ code: "cannot-emit", coding: "eac3", objects: "atmos" });
});

test("a row whose picture reaches no screen says where the picture ends", () => {
  const row = first(room({ cables: [cable("a", "player out", "bar in")] }));
  expect(row.verdict).toBe("no-picture");
  expect(row.pictureLosses).toEqual([{ code: "picture-no-way", device: "bar" }]);
});
