import { choice, contents, HD_SOCKET, hdmi, onOff, sounds, type Archetype } from "../archetype";

/** A screen that makes no sound of its own and hands none on. */
const silentScreen = (
  spec: Pick<Archetype, "archetype" | "name" | "summary" | "display"> & {
    readonly inputs: number;
    readonly gbps: number;
    readonly hdcp: "1.4" | "2.2";
  },
): Archetype => ({
  archetype: spec.archetype,
  name: spec.name,
  summary: spec.summary,
  role: "screen",
  ports: Array.from({ length: spec.inputs }, (_, index) =>
    hdmi(`hdmi${index + 1}`, `HDMI ${index + 1}`, "in", { maxGbps: spec.gbps, hdcp: spec.hdcp }),
  ),
  ...(spec.display ? { display: spec.display } : {}),
  routes: [{ kind: "picture", from: Array.from({ length: spec.inputs }, (_, index) => `hdmi${index + 1}`), to: ["display"] }],
  presents: [
    { rule: "list", ports: Array.from({ length: spec.inputs }, (_, index) => `hdmi${index + 1}`), sound: sounds(["lpcm", "2.0"]) },
  ],
  speaksCec: false,
});

const BASIC = sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"], ["aac", "5.1"]);

/** Monitors and projectors. */
export const OTHER_SCREENS: readonly Archetype[] = [
  silentScreen({
    archetype: "monitor-silent",
    name: "Monitor",
    summary: "Computer monitor without any sound",
    inputs: 2,
    gbps: 18,
    hdcp: "2.2",
    display: { maxMode: "3840x2160@60", hdr: ["hdr10"], delayMs: 10, gameDelayMs: 8 },
  }),
  {
    archetype: "monitor-stereo",
    name: "Monitor",
    summary: "Monitor with stereo speakers; advertises two channels only",
    role: "screen",
    ports: [hdmi("hdmi1", "HDMI 1", "in"), { id: "headphones", label: "AUDIO OUT", connector: "minijack", direction: "out" }],
    decodes: sounds(["lpcm", "2.0"]),
    speakers: { bed: "2.0", delayMs: 0 },
    display: { maxMode: "3840x2160@60", hdr: ["hdr10"], delayMs: 12, gameDelayMs: 8 },
    routes: [
      { kind: "picture", from: ["hdmi1"], to: ["display"] },
      { kind: "sound", from: ["hdmi1"], to: ["speakers"], opens: { unplugged: "headphones" } },
      { kind: "sound", from: ["hdmi1"], to: ["headphones"] },
    ],
    presents: [{ rule: "list", ports: ["hdmi1"], sound: sounds(["lpcm", "2.0"]) }],
    speaksCec: false,
  },
  silentScreen({
    archetype: "projector-hd",
    name: "Projector",
    summary: "HD projector: two older HDMI inputs, no sound, no return channel",
    inputs: 2,
    gbps: HD_SOCKET.maxGbps,
    hdcp: HD_SOCKET.hdcp,
    display: { maxMode: "1920x1080@60", hdr: [], delayMs: 45, gameDelayMs: 30 },
  }),
  {
    archetype: "projector-apps",
    name: "Projector",
    summary: "4K projector with apps, small speakers, ARC on HDMI 1 and Bluetooth",
    role: "screen",
    ports: [
      hdmi("hdmi1", "HDMI 1 ARC", "in", { returns: "arc" }),
      hdmi("hdmi2", "HDMI 2", "in"),
      { id: "bluetooth", label: "Bluetooth", connector: "bluetooth", direction: "out" },
    ],
    sources: [{ id: "apps", name: "its own app", kind: "app", contents: contents("series-ddp") }],
    decodes: BASIC,
    speakers: { bed: "2.0", delayMs: 0 },
    display: { maxMode: "3840x2160@60", hdr: ["hdr10", "hlg"], delayMs: 50, gameDelayMs: 25 },
    routes: [
      { kind: "picture", from: ["hdmi1", "hdmi2", "apps"], to: ["display"] },
      { kind: "sound", from: ["hdmi1", "hdmi2", "apps"], to: ["speakers"], opens: { setting: "speakers", value: "own" } },
      {
        kind: "sound",
        from: ["apps", "hdmi2"],
        to: ["hdmi1"],
        passes: sounds(["ac3", "5.1"], ["eac3", "5.1"]),
        format: "digital-output",
        opens: { setting: "speakers", value: "external" },
        encodes: ["ac3"],
        delayMs: 20,
      },
      { kind: "sound", from: ["hdmi1", "hdmi2", "apps"], to: ["bluetooth"], opens: { setting: "bluetooth", value: "on" } },
    ],
    presents: [{ rule: "list", ports: ["hdmi1", "hdmi2"], sound: sounds(["lpcm", "2.0"]), widenedBy: "hdmi1" }],
    settings: [
      choice("digital-output", ["auto", "pass-through", "pcm", "dolby-digital"], "auto"),
      choice("speakers", ["own", "external"], "own"),
      onOff("arc"),
      onOff("cec"),
      onOff("bluetooth", "off"),
    ],
    volume: "remote-and-cec",
  },
  {
    archetype: "projector",
    name: "Projector",
    summary: "4K projector: two HDMI inputs, no sound at all, no return channel",
    role: "screen",
    ports: [1, 2].map(
      (n) =>
        ({ id: `hdmi${n}`, label: `HDMI ${n}`, connector: "hdmi", direction: "in", maxGbps: 18, hdcp: "2.2", returns: "none" }) as const,
    ),
    display: { maxMode: "3840x2160@60", hdr: ["hdr10", "hlg"], delayMs: 40, gameDelayMs: 20 },
    routes: [{ kind: "picture", from: ["hdmi1", "hdmi2"], to: ["display"] }],
    presents: [{ rule: "list", ports: ["hdmi1", "hdmi2"], sound: sounds(["lpcm", "2.0"]) }],
    settings: [onOff("cec")],
  },
];
