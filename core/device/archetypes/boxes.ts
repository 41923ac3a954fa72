import {
  choice,
  EVERYTHING,
  HD_SOCKET,
  hdmi,
  LEGACY,
  numbered,
  onOff,
  sounds,
  type Archetype,
  type ConditionInput,
  type RouteInput,
} from "../archetype";
import type { SoundDescriptor } from "../device";

const STEREO = sounds(["lpcm", "2.0"]);
const optical = (id: string, label: string, direction: "in" | "out") => ({ id, label, connector: "optical", direction }) as const;
const coaxial = (id: string, label: string, direction: "in" | "out") => ({ id, label, connector: "coaxial", direction }) as const;
const rca = (id: string, label: string, direction: "in" | "out") => ({ id, label, connector: "rca", direction }) as const;
const minijack = (id: string, label: string, direction: "in" | "out") => ({ id, label, connector: "minijack", direction }) as const;

/** Sound and picture from sockets to sockets, as they come. */
const through = (from: readonly string[], to: readonly string[]): RouteInput[] => [
  { kind: "sound", from: [...from], to: [...to], passes: EVERYTHING, lpcm: "7.1", blind: true },
  { kind: "picture", from: [...from], to: [...to] },
];
/** A way that hands on what its chips take, whatever the far end lists. */
function blind(
  from: readonly string[],
  to: readonly string[],
  passes: SoundDescriptor[] = [],
  rest: Partial<Extract<RouteInput, { kind: "sound" }>> = {},
): RouteInput {
  return { kind: "sound", from: [...from], to: [...to], passes, lpcm: "2.0", blind: true, ...rest };
}

const arcTake = (value: "on" | "off"): ConditionInput => ({ setting: "arc-take", value });
const MATRIX_INPUTS = numbered("hdmi-in", 4);

/** The eARC socket of a box that plays the screen's part toward a bar: for the picture it is an input, sound goes out of it. */
const earcAudio = (label: string) => hdmi("earc-out", label, "in", { returns: "earc" });

export const BOXES: readonly Archetype[] = [
  {
    archetype: "extractor",
    name: "Extractor",
    summary:
      "Takes sound off HDMI to optical, 3.5 mm and RCA; a switch for the EDID it shows, a button that takes the screen's ARC instead",
    role: "box",
    ports: [
      hdmi("hdmi-in", "HDMI IN", "in"),
      hdmi("hdmi-out", "HDMI OUT", "out", { returns: "arc", returnOpens: arcTake("on") }),
      optical("optical-out", "SPDIF", "out"),
      minijack("minijack-out", "L/R 3.5", "out"),
      rca("rca-out", "L/R", "out"),
    ],
    decodes: STEREO,
    routes: [
      ...through(["hdmi-in"], ["hdmi-out"]),
      blind(["hdmi-in"], ["optical-out"], LEGACY, { opens: arcTake("off") }),
      blind(["hdmi-in"], ["minijack-out", "rca-out"], [], { opens: arcTake("off") }),
      blind(["hdmi-out"], ["optical-out"], LEGACY, { opens: arcTake("on") }),
    ],
    presents: [
      { rule: "list", ports: ["hdmi-in"], when: { setting: "edid-mode", value: "2ch" }, sound: STEREO },
      { rule: "list", ports: ["hdmi-in"], when: { setting: "edid-mode", value: "5.1" }, sound: [...STEREO, ...LEGACY] },
      { rule: "copy", ports: ["hdmi-in"], of: "hdmi-out" },
      { rule: "list", ports: ["hdmi-out"], sound: [...STEREO, ...LEGACY] },
    ],
    settings: [choice("edid-mode", ["2ch", "5.1", "screen"], "screen"), choice("arc-take", ["on", "off"], "off")],
    habits: [{ habit: "keeps-old-edid" }],
  },
  {
    archetype: "earc-extractor-copy",
    name: "eARC extractor",
    summary: "Feeds a bar's eARC socket from HDMI; shows the player a copy of the screen's EDID; no switch, no CEC",
    role: "box",
    ports: [hdmi("hdmi-in", "HDMI IN", "in"), hdmi("hdmi-out", "HDMI OUT", "out"), earcAudio("eARC OUT")],
    decodes: [],
    routes: [...through(["hdmi-in"], ["hdmi-out"]), blind(["hdmi-in"], ["earc-out"], EVERYTHING, { lpcm: "7.1" })],
    presents: [{ rule: "copy", ports: ["hdmi-in"], of: "hdmi-out" }],
    speaksCec: false,
    habits: [{ habit: "forgets-edid" }],
  },
  {
    archetype: "earc-extractor-mixed",
    name: "eARC extractor",
    summary: "Feeds a bar's eARC socket from HDMI; shows an EDID with the screen's picture modes and the bar's sound; no CEC",
    role: "box",
    ports: [hdmi("hdmi-in", "HDMI IN", "in"), hdmi("hdmi-out", "HDMI OUT", "out"), earcAudio("eARC OUT")],
    decodes: [],
    routes: [...through(["hdmi-in"], ["hdmi-out"]), blind(["hdmi-in"], ["earc-out"], EVERYTHING, { lpcm: "7.1" })],
    presents: [{ rule: "copy", ports: ["hdmi-in"], of: "earc-out" }],
    speaksCec: false,
  },
  {
    archetype: "matrix-4x2",
    name: "Matrix",
    summary: "Four players to two screens, each with a scaler; eARC, optical and RCA sound outputs; takes the return of output A",
    role: "box",
    ports: [
      ...MATRIX_INPUTS.map((id, index) => hdmi(id, `IN ${index + 1}`, "in", { maxGbps: 40, hdcp: "2.3" })),
      hdmi("output-a", "OUT A", "out", { maxGbps: 40, hdcp: "2.3", returns: "earc", returnOpens: arcTake("on") }),
      hdmi("output-b", "OUT B", "out", { maxGbps: 18, hdcp: "2.2" }),
      earcAudio("eARC AUDIO OUT"),
      optical("optical-out", "OPTICAL OUT", "out"),
      rca("rca-out", "AUDIO OUT L/R", "out"),
    ],
    decodes: STEREO,
    routes: [
      { kind: "sound", from: [...MATRIX_INPUTS], to: ["output-a", "output-b"], passes: EVERYTHING, lpcm: "7.1", blind: true },
      { kind: "picture", from: [...MATRIX_INPUTS], to: ["output-a", "output-b"], scaler: true, delayMs: 16 },
      blind(MATRIX_INPUTS, ["earc-out"], EVERYTHING, {
        lpcm: "7.1",
        opens: { soundFollows: { "output-a": "output-a", "output-b": "output-b" } },
      }),
      blind(MATRIX_INPUTS, ["optical-out"], LEGACY, { opens: arcTake("off") }),
      blind(MATRIX_INPUTS, ["rca-out"], [], { opens: arcTake("off") }),
      blind(["output-a"], ["earc-out"], EVERYTHING, { lpcm: "7.1", opens: arcTake("on") }),
      blind(["output-a"], ["optical-out"], LEGACY, { opens: arcTake("on") }),
    ],
    presents: [
      { rule: "copy", ports: [...MATRIX_INPUTS], of: "earc-out" },
      { rule: "copy", ports: ["output-a"], of: "earc-out" },
    ],
    // Its control wire joins the players and output A; output B and the sound output are on their own.
    control: { kind: "switch", joins: [...MATRIX_INPUTS, "output-a"] },
    settings: [choice("sound-follows", ["lit", "output-a", "output-b"], "lit"), choice("arc-take", ["on", "off"], "off"), onOff("cec")],
  },
  {
    archetype: "splitter-turning",
    name: "Splitter",
    summary: "One player to two screens, or by a switch to one screen and a bar's eARC socket; shows the player the EDID of OUT 1",
    role: "box",
    ports: [
      hdmi("hdmi-in", "IN", "in"),
      hdmi("out-1", "OUT 1", "out"),
      hdmi("out-2", "OUT 2 / eARC", "out", { returns: "earc", turnsWhen: { setting: "socket-mode", value: "return" } }),
    ],
    routes: [
      ...through(["hdmi-in"], ["out-1"]),
      { kind: "sound", from: ["hdmi-in"], to: ["out-2"], passes: EVERYTHING, lpcm: "7.1", blind: true },
      {
        kind: "picture",
        from: ["hdmi-in"],
        to: ["out-1", "out-2"],
        copies: "out-1",
        opens: { setting: "socket-mode", value: "output" },
      },
    ],
    presents: [
      { rule: "copy", ports: ["hdmi-in"], when: { setting: "socket-mode", value: "return" }, of: "out-2" },
      { rule: "copy", ports: ["hdmi-in"], of: "out-1" },
    ],
    settings: [choice("socket-mode", ["output", "return"], "output")],
    speaksCec: false,
  },
  {
    archetype: "splitter-1x2",
    name: "Splitter",
    summary: "One player to two screens without a scaler: both get what the weaker one can show",
    role: "box",
    ports: [hdmi("hdmi-in", "IN", "in"), hdmi("out-1", "OUT 1", "out"), hdmi("out-2", "OUT 2", "out")],
    routes: through(["hdmi-in"], ["out-1", "out-2"]),
    presents: [{ rule: "common", ports: ["hdmi-in"], of: ["out-1", "out-2"] }],
    speaksCec: false,
  },
  {
    archetype: "switch-3x1",
    name: "Switch",
    summary: "Three players to one input, with a selector",
    role: "box",
    ports: [...numbered("hdmi-in", 3).map((id, index) => hdmi(id, `IN ${index + 1}`, "in")), hdmi("hdmi-out", "OUT", "out")],
    routes: numbered("hdmi-in", 3).flatMap((id) => through([id], ["hdmi-out"]).map((route) => ({ ...route, opens: chosenOr(id) }))),
    presents: [{ rule: "copy", ports: [...numbered("hdmi-in", 3)], of: "hdmi-out" }],
    settings: [choice("input-select", ["follows", ...numbered("hdmi-in", 3)], "follows")],
    speaksCec: false,
  },
  {
    archetype: "dac-optical",
    name: "DAC",
    summary: "Optical to RCA and 3.5 mm: stereo PCM only, silence or noise of anything coded",
    role: "box",
    ports: [optical("optical-in", "OPTICAL IN", "in"), rca("rca-out", "L/R OUT", "out"), minijack("minijack-out", "3.5 mm OUT", "out")],
    decodes: STEREO,
    routes: [blind(["optical-in"], ["rca-out", "minijack-out"], [], { delayMs: 1 })],
    speaksCec: false,
  },
  {
    archetype: "dac-coaxial",
    name: "DAC",
    summary: "Coaxial to RCA: stereo PCM only, silence or noise of anything coded",
    role: "box",
    ports: [coaxial("coaxial-in", "COAXIAL IN", "in"), rca("rca-out", "L/R OUT", "out")],
    decodes: STEREO,
    routes: [blind(["coaxial-in"], ["rca-out"], [], { delayMs: 1 })],
    speaksCec: false,
  },
  {
    archetype: "coaxial-to-optical",
    name: "Converter",
    summary: "Coaxial to optical, the same signal on a different plug",
    role: "box",
    ports: [coaxial("coaxial-in", "COAXIAL IN", "in"), optical("optical-out", "OPTICAL OUT", "out")],
    routes: [blind(["coaxial-in"], ["optical-out"], LEGACY)],
    speaksCec: false,
  },
  {
    archetype: "optical-to-coaxial",
    name: "Converter",
    summary: "Optical to coaxial, the same signal on a different plug",
    role: "box",
    ports: [optical("optical-in", "OPTICAL IN", "in"), coaxial("coaxial-out", "COAXIAL OUT", "out")],
    routes: [blind(["optical-in"], ["coaxial-out"], LEGACY)],
    speaksCec: false,
  },
  {
    archetype: "composite-to-hdmi",
    name: "Converter",
    summary: "Composite and RCA to an HD timing on HDMI, with an HDMI input and a manual selector; adds no detail",
    role: "box",
    ports: [
      { id: "video-in", label: "VIDEO IN", connector: "composite", direction: "in" },
      rca("audio-in", "AUDIO IN L/R", "in"),
      hdmi("hdmi-in", "HDMI IN", "in", HD_SOCKET),
      hdmi("hdmi-out", "HDMI OUT", "out", HD_SOCKET),
    ],
    decodes: sounds(["analogue", "2.0"], ["lpcm", "2.0"]),
    routes: [
      { kind: "sound", from: ["audio-in"], to: ["hdmi-out"], opens: chosenOr("video-in") },
      { kind: "picture", from: ["video-in"], to: ["hdmi-out"], makes: "1920x1080@60", delayMs: 30, opens: chosenOr("video-in") },
      ...through(["hdmi-in"], ["hdmi-out"]).map((route) => ({ ...route, opens: chosenOr("hdmi-in") })),
    ],
    presents: [{ rule: "copy", ports: ["hdmi-in"], of: "hdmi-out" }],
    settings: [choice("input-select", ["follows", "video-in", "hdmi-in"], "follows")],
    speaksCec: false,
  },
  {
    archetype: "arc-adapter",
    name: "ARC adapter",
    summary: "The TV's ARC to RCA and 3.5 mm; takes stereo PCM and the TV remote's volume",
    role: "box",
    ports: [
      hdmi("tv", "TV (ARC)", "out", { ...HD_SOCKET, returns: "arc" }),
      rca("rca-out", "L/R OUT", "out"),
      minijack("minijack-out", "3.5 mm OUT", "out"),
    ],
    decodes: STEREO,
    routes: [blind(["tv"], ["rca-out", "minijack-out"], [], { delayMs: 2 })],
    presents: [{ rule: "list", ports: ["tv"], sound: STEREO }],
    volume: "cec",
  },
  {
    archetype: "hdmi-embedder",
    name: "Embedder",
    summary: "Adds sound from optical or RCA to a picture on HDMI",
    role: "box",
    ports: [
      hdmi("hdmi-in", "HDMI IN", "in"),
      optical("optical-in", "OPTICAL IN", "in"),
      rca("rca-in", "L/R IN", "in"),
      hdmi("hdmi-out", "HDMI OUT", "out"),
    ],
    decodes: sounds(["analogue", "2.0"], ["lpcm", "2.0"]),
    routes: [
      { kind: "picture", from: ["hdmi-in"], to: ["hdmi-out"] },
      blind(["optical-in"], ["hdmi-out"], LEGACY),
      { kind: "sound", from: ["rca-in"], to: ["hdmi-out"] },
    ],
    presents: [{ rule: "copy", ports: ["hdmi-in"], of: "hdmi-out" }],
    speaksCec: false,
  },
  {
    archetype: "edid-emulator",
    name: "EDID emulator",
    summary: "Sits before a screen and advertises every sound coding in its place",
    role: "box",
    ports: [hdmi("hdmi-in", "IN", "in"), hdmi("hdmi-out", "OUT", "out")],
    routes: through(["hdmi-in"], ["hdmi-out"]),
    presents: [{ rule: "list", ports: ["hdmi-in"], sound: EVERYTHING }],
    speaksCec: false,
  },
  {
    archetype: "wireless-hdmi",
    name: "Wireless HDMI",
    summary: "Sender and receiver of a 1080p link through the room: Dolby Digital and stereo, no return, some delay",
    role: "box",
    ports: [hdmi("hdmi-in", "SENDER IN", "in", HD_SOCKET), hdmi("hdmi-out", "RECEIVER OUT", "out", { maxGbps: 4.95, hdcp: "1.4" })],
    decodes: STEREO,
    routes: [
      { kind: "sound", from: ["hdmi-in"], to: ["hdmi-out"], passes: sounds(["ac3", "5.1"]), blind: true, delayMs: 25 },
      { kind: "picture", from: ["hdmi-in"], to: ["hdmi-out"], hdr: [], gaming: false, delayMs: 25 },
    ],
    presents: [{ rule: "list", ports: ["hdmi-in"], sound: [...STEREO, ...sounds(["ac3", "5.1"])] }],
    speaksCec: false,
    spans: true,
  },
  {
    archetype: "bluetooth-transmitter",
    name: "Bluetooth transmitter",
    summary: "Optical or 3.5 mm to Bluetooth, with a low-delay codec; stereo PCM only",
    role: "box",
    ports: [
      optical("optical-in", "OPTICAL IN", "in"),
      minijack("minijack-in", "3.5 mm IN", "in"),
      { id: "bluetooth", label: "Bluetooth", connector: "bluetooth", direction: "out", lowDelay: true },
    ],
    decodes: sounds(["analogue", "2.0"], ["lpcm", "2.0"]),
    routes: [blind(["optical-in"], ["bluetooth"]), { kind: "sound", from: ["minijack-in"], to: ["bluetooth"] }],
    speaksCec: false,
  },
];

/** Open while the selector is on this input, or is turned to whatever is in use. */
function chosenOr(input: string): ConditionInput {
  return {
    either: [
      { setting: "input-select", value: "follows" },
      { setting: "input-select", value: input },
    ],
  };
}
