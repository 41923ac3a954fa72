import type { Job } from "@/core/job";
import { jobByHand } from "@/demo/by-hand-under-test";
import type { PaperRoom, PaperSound } from "./room";

const end = (device: string, port: string) => ({ device, port });
const choice = (key: string, options: readonly string[], found: string) => ({ key, options, found });
const hdmi = (id: string, direction: "in" | "out", returns = "none") => ({
  id,
  label: id,
  connector: "hdmi",
  direction,
  maxGbps: 48,
  hdcp: "2.3",
  returns,
});
const optical = (id: string, direction: "in" | "out") => ({ id, label: id, connector: "optical", direction });
const recodes = (can: boolean) => (can ? ["ac3"] : []);

/** The job file of a paper room, every device spelled out, as it is read by the program. */
export function jobOf(room: PaperRoom): Job {
  return jobByHand({
    name: "On paper",
    brief: { soundSystem: "bar" },
    devices: [playerOf(room), tvOf(room), barOf(room), ...(room.way === "extractor" ? [extractorOf(room)] : [])],
    cables: cablesOf(room),
  });
}

const contentOf = ({ content }: PaperRoom) => ({
  id: "content",
  name: content.name,
  kind: "film",
  tracks: content.tracks,
  picture: { mode: "1920x1080@50", depth: 8, chroma: "444", hdr: "sdr", protected: false },
});

const playerOf = (room: PaperRoom) => ({
  id: "player",
  name: "Player",
  role: "player",
  ports: [hdmi("out", "out")],
  sources: [{ id: "drive", name: "drive", kind: "media", contents: [contentOf(room)] }],
  decodes: room.player.decodes,
  routes: [
    {
      kind: "sound",
      from: ["drive"],
      to: ["out"],
      passes: room.player.passes,
      lpcm: room.player.lpcm,
      pcm: "7.1",
      encodes: recodes(room.player.makesDolbyDigital),
      format: "player-audio",
    },
    { kind: "picture", from: ["drive"], to: ["out"] },
  ],
  settings: [choice("player-audio", ["auto", "bitstream", "pcm", "stereo", "dolby-digital"], room.player.format)],
});

function tvOf(room: PaperRoom) {
  const { tv } = room;
  const out = (to: string, from: readonly string[]) => ({
    kind: "sound",
    from,
    to: [to],
    passes: tv.passes,
    lpcm: tv.lpcm,
    encodes: recodes(tv.makesDolbyDigital),
    format: "digital-output",
    opens: { setting: "speakers", value: "external" },
  });
  return {
    id: "tv",
    name: "Television",
    role: "screen",
    ports: [hdmi("hdmi1", "in"), hdmi("hdmi2", "in", tv.returns), optical("optical", "out")],
    sources: [{ id: "app", name: "app", kind: "app", contents: [contentOf(room)] }],
    decodes: tv.decodes,
    speakers: { bed: "2.0" },
    display: { maxMode: "3840x2160@60", hdr: ["hdr10"], delayMs: 20, gameDelayMs: 10 },
    routes: [
      { kind: "picture", from: ["hdmi1", "hdmi2", "app"], to: ["display"] },
      { kind: "sound", from: ["hdmi1", "hdmi2", "app"], to: ["speakers"], opens: { setting: "speakers", value: "own" } },
      out("hdmi2", ["hdmi1", "app"]),
      out("optical", ["hdmi1", "app"]),
    ],
    presents: [{ rule: "list", ports: ["hdmi1", "hdmi2"], sound: tv.lists, widenedBy: "hdmi2" }],
    settings: [
      choice("digital-output", ["auto", "pass-through", "pcm", "dolby-digital"], tv.format),
      choice("speakers", ["own", "external"], tv.speakers),
      ...switches(tv),
    ],
  };
}

const switches = (of: PaperRoom["tv"] | PaperRoom["bar"]) =>
  (["earc", "arc", "cec"] as const).map((key) => choice(key, ["on", "off"], of[key]));

const barOf = ({ bar }: PaperRoom) => ({
  id: "bar",
  name: "Bar",
  role: "sound",
  ports: [hdmi("in", "in"), hdmi("out", "out", bar.returns), optical("optical", "in")],
  decodes: bar.decodes,
  speakers: { bed: bar.bed, heights: bar.heights },
  routes: [
    { kind: "sound", from: ["in", "out", "optical"], to: ["speakers"] },
    { kind: "picture", from: ["in"], to: ["out"] },
  ],
  presents: [{ rule: "decoders", ports: ["in"] }],
  settings: [choice("decode-mode", ["auto", "stereo"], bar.mode), ...switches(bar)],
});

function extractorOf({ shows }: PaperRoom) {
  const list = (value: string, sound: readonly PaperSound[]) => ({
    rule: "list",
    ports: ["in"],
    when: { setting: "edid-mode", value },
    sound,
  });
  const stereo: PaperSound = { coding: "lpcm", channels: "2.0", objects: false };
  const old: readonly PaperSound[] = (["ac3", "dts"] as const).map((coding) => ({ coding, channels: "5.1", objects: false }));
  return {
    id: "box",
    name: "Extractor",
    role: "box",
    ports: [hdmi("in", "in"), hdmi("out", "out"), optical("optical", "out")],
    routes: [
      { kind: "picture", from: ["in"], to: ["out"] },
      { kind: "sound", from: ["in"], to: ["optical"], passes: old, lpcm: "2.0", blind: true },
    ],
    presents: [list("2ch", [stereo]), list("5.1", [stereo, ...old]), { rule: "copy", ports: ["in"], of: "out" }],
    settings: [choice("edid-mode", ["2ch", "5.1", "screen"], shows)],
  };
}

function cablesOf({ way, wires }: PaperRoom) {
  const lead = (id: string, from: ReturnType<typeof end>, to: ReturnType<typeof end>, returnWires = "none") => ({
    id,
    from,
    to,
    class: from.port === "optical" ? "optical" : "ultra-high-speed",
    lengthM: 2,
    returnWires,
  });
  const toScreen = lead("screen", end("bar", "out"), end("tv", "hdmi2"), wires);
  switch (way) {
    case "tv-return":
      return [lead("player", end("player", "out"), end("tv", "hdmi1")), toScreen];
    case "tv-optical":
      return [lead("player", end("player", "out"), end("tv", "hdmi1")), lead("sound", end("tv", "optical"), end("bar", "optical"))];
    case "bar-input":
      return [lead("player", end("player", "out"), end("bar", "in")), toScreen];
    case "extractor":
      return [
        lead("player", end("player", "out"), end("box", "in")),
        lead("screen", end("box", "out"), end("tv", "hdmi1")),
        lead("sound", end("box", "optical"), end("bar", "optical")),
      ];
  }
}
