import { choice, contents, DOLBY_OBJECTS, DTS_ALL, HD_SOCKET, hdmi, onOff, sounds, type Archetype } from "../archetype";
import type { PortInput, SoundDescriptor, SoundRouteInput } from "../device";

interface Television {
  readonly archetype: string;
  readonly name?: string;
  readonly summary: string;
  readonly inputs: number;
  readonly gbps: number;
  readonly hdcp: "1.4" | "2.2" | "2.3";
  /** The marked return socket, by number, and its kind. */
  readonly returnOn: { readonly input: number; readonly kind: "arc" | "earc" } | null;
  /** ARC and eARC hang on the one menu item for CEC. */
  readonly returnNeedsCec?: boolean;
  readonly apps: readonly string[];
  /** Bitstreams from its HDMI inputs that it hands on. */
  readonly passes: SoundDescriptor[];
  readonly lpcmFromHdmi: "2.0" | "5.1" | "7.1";
  readonly decodes: SoundDescriptor[];
  readonly display: NonNullable<Archetype["display"]>;
  /** What it lists on its own account; two channels, Dolby Digital and Plus unless said otherwise. */
  readonly lists?: SoundDescriptor[];
  /** Sound outputs beside the return; an optical one unless said otherwise. */
  readonly outputs?: readonly Output[];
}

type Output = "optical" | "coaxial" | "headphones";

const OUTPUT_PORTS = {
  optical: { id: "optical-out", label: "DIGITAL AUDIO OUT", connector: "optical", direction: "out" },
  coaxial: { id: "coaxial-out", label: "DIGITAL AUDIO OUT (COAXIAL)", connector: "coaxial", direction: "out" },
  headphones: { id: "headphones", label: "HEADPHONES / AUDIO OUT", connector: "minijack", direction: "out" },
} as const satisfies Record<Output, PortInput>;

/** Its headphone jack is silent while the digital output makes Dolby, and mutes the speakers once a plug is in it. */
const JACK_OPENS = {
  either: [
    { setting: "digital-output" as const, value: "pcm" },
    { setting: "digital-output" as const, value: "auto" },
  ],
};

/** A television: numbered HDMI inputs, apps and a tuner, sound outputs, and a return channel on at most one input. */
function television(spec: Television): Archetype {
  const inputs = Array.from({ length: spec.inputs }, (_, index) => `hdmi${index + 1}`);
  const back = spec.returnOn ? `hdmi${spec.returnOn.input}` : null;
  const inner = spec.apps.length ? ["apps", "tuner"] : ["tuner"];
  const outputs = spec.outputs ?? ["optical"];
  const digital = outputs.filter((output) => output !== "headphones").map((output) => OUTPUT_PORTS[output].id);
  const hasJack = outputs.includes("headphones");
  const external = { setting: "speakers", value: "external" } as const;
  const output: Omit<SoundRouteInput, "from" | "to"> = { kind: "sound", format: "digital-output", opens: external, encodes: ["ac3"] };
  const own = sounds(["ac3", "5.1"], ["eac3", "5.1", "objects"]);
  const legacy = spec.passes.filter(({ coding }) => coding === "ac3" || coding === "dts");
  return {
    archetype: spec.archetype,
    name: spec.name ?? "Television",
    summary: spec.summary,
    role: "screen",
    ports: [
      ...inputs.map((id, index) => {
        const marked = id === back && spec.returnOn ? spec.returnOn.kind : "none";
        const mark = marked === "earc" ? " eARC" : marked === "arc" ? " ARC" : "";
        return hdmi(id, `HDMI ${index + 1}${mark}`, "in", {
          maxGbps: spec.gbps,
          hdcp: spec.hdcp,
          returns: marked,
          ...(marked !== "none" && spec.returnNeedsCec ? { returnOpens: { setting: "cec", value: "on" } } : {}),
        });
      }),
      ...outputs.map((one) => OUTPUT_PORTS[one]),
    ],
    sources: [
      ...(spec.apps.length ? [{ id: "apps", name: "its own app", kind: "app" as const, contents: contents(...spec.apps) }] : []),
      { id: "tuner", name: "its tuner", kind: "tuner", contents: contents("news-aac") },
    ],
    decodes: spec.decodes,
    speakers: { bed: "2.0", delayMs: 0 },
    display: spec.display,
    routes: [
      { kind: "picture", from: [...inputs, ...inner], to: ["display"] },
      {
        kind: "sound",
        from: [...inputs, ...inner],
        to: ["speakers"],
        opens: [{ setting: "speakers", value: "own" }, ...(hasJack ? [{ unplugged: OUTPUT_PORTS.headphones.id }] : [])],
      },
      ...(back
        ? [
            { ...output, from: inner, to: [back], passes: own, delayMs: 15 },
            { ...output, from: inputs.filter((id) => id !== back), to: [back], passes: spec.passes, lpcm: spec.lpcmFromHdmi, delayMs: 18 },
          ]
        : []),
      ...digital.flatMap((id): SoundRouteInput[] => [
        { ...output, from: inner, to: [id], passes: sounds(["ac3", "5.1"]), delayMs: 15 },
        { ...output, from: inputs, to: [id], passes: legacy, delayMs: 18 },
      ]),
      ...(hasJack
        ? [
            {
              kind: "sound",
              from: [...inputs, ...inner],
              to: [OUTPUT_PORTS.headphones.id],
              opens: JACK_OPENS,
              delayMs: 10,
            } satisfies SoundRouteInput,
          ]
        : []),
    ],
    presents: [
      { rule: "list", ports: inputs, sound: spec.lists ?? sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"]), widenedBy: back },
    ],
    settings: [
      ...(outputs.length || back ? [choice("digital-output", ["auto", "pass-through", "pcm", "dolby-digital"], "auto")] : []),
      choice("speakers", ["own", "external"], back ? "external" : "own"),
      ...(spec.returnOn?.kind === "earc" && !spec.returnNeedsCec ? [onOff("earc")] : []),
      ...(back && !spec.returnNeedsCec ? [onOff("arc")] : []),
      onOff("cec"),
    ],
    volume: "remote-and-cec",
  };
}

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

export const SCREENS: readonly Archetype[] = [
  television({
    archetype: "tv-earc",
    summary: "4K TV, eARC on HDMI 3, apps and tuner; passes Dolby, no DTS",
    inputs: 4,
    gbps: 18,
    hdcp: "2.2",
    returnOn: { input: 3, kind: "earc" },
    apps: ["series-ddp-atmos"],
    passes: sounds(["ac3", "5.1"], ["eac3", "7.1", "objects"], ["truehd", "7.1", "objects"], ["mat", "7.1", "objects"]),
    lpcmFromHdmi: "7.1",
    decodes: BASIC,
    display: { maxMode: "3840x2160@60", hdr: ["hdr10", "hlg", "dolby-vision"], delayMs: 55, gameDelayMs: 14 },
  }),
  television({
    archetype: "tv-arc",
    summary: "4K TV, ARC on HDMI 1, apps and tuner; passes Dolby Digital and Plus, no DTS",
    inputs: 3,
    gbps: 18,
    hdcp: "2.2",
    returnOn: { input: 1, kind: "arc" },
    apps: ["series-ddp-atmos"],
    passes: sounds(["ac3", "5.1"], ["eac3", "5.1", "objects"]),
    lpcmFromHdmi: "2.0",
    decodes: BASIC,
    display: { maxMode: "3840x2160@60", hdr: ["hdr10", "hlg"], delayMs: 60, gameDelayMs: 16 },
  }),
  television({
    archetype: "tv-no-return",
    summary: "Older TV without any return channel; optical output",
    inputs: 3,
    gbps: 10.2,
    hdcp: "1.4",
    returnOn: null,
    apps: [],
    passes: sounds(["ac3", "5.1"]),
    lpcmFromHdmi: "2.0",
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"], ["aac", "5.1"]),
    display: { maxMode: "1920x1080@60", hdr: [], delayMs: 45, gameDelayMs: 25 },
  }),
  television({
    archetype: "tv-earc-dts",
    summary: "4K TV, eARC on HDMI 2, apps and tuner; passes Dolby and DTS",
    inputs: 4,
    gbps: 18,
    hdcp: "2.2",
    returnOn: { input: 2, kind: "earc" },
    apps: ["series-ddp-atmos"],
    passes: [...DOLBY_OBJECTS, ...DTS_ALL],
    lpcmFromHdmi: "7.1",
    decodes: BASIC,
    display: { maxMode: "3840x2160@60", hdr: ["hdr10", "hlg", "hdr10-plus"], delayMs: 55, gameDelayMs: 14 },
  }),
  television({
    archetype: "tv-earc-120",
    summary: "4K TV at up to 120 Hz over 40 Gb/s, eARC on HDMI 3; passes Dolby, no DTS",
    inputs: 4,
    gbps: 40,
    hdcp: "2.3",
    returnOn: { input: 3, kind: "earc" },
    apps: ["series-ddp-atmos"],
    passes: DOLBY_OBJECTS,
    lpcmFromHdmi: "7.1",
    decodes: BASIC,
    display: { maxMode: "3840x2160@120", hdr: ["hdr10", "hlg", "dolby-vision"], gaming: true, delayMs: 45, gameDelayMs: 9 },
  }),
  television({
    archetype: "tv-stereo-hdmi",
    summary: "4K TV with ARC on HDMI 1 that passes only two channels from its HDMI inputs; its own apps keep Dolby",
    inputs: 3,
    gbps: 18,
    hdcp: "2.2",
    returnOn: { input: 1, kind: "arc" },
    apps: ["series-ddp"],
    passes: [],
    lpcmFromHdmi: "2.0",
    lists: sounds(["lpcm", "2.0"]),
    decodes: BASIC,
    display: { maxMode: "3840x2160@60", hdr: ["hdr10", "hlg"], delayMs: 60, gameDelayMs: 18 },
  }),
  television({
    archetype: "tv-arc-cec-linked",
    summary: "4K TV whose ARC on HDMI 2 hangs on one menu item with HDMI control",
    inputs: 3,
    gbps: 18,
    hdcp: "2.2",
    returnOn: { input: 2, kind: "arc" },
    returnNeedsCec: true,
    apps: ["series-ddp-atmos"],
    passes: sounds(["ac3", "5.1"], ["eac3", "5.1", "objects"]),
    lpcmFromHdmi: "2.0",
    decodes: BASIC,
    display: { maxMode: "3840x2160@60", hdr: ["hdr10", "hlg"], delayMs: 60, gameDelayMs: 16 },
  }),
  television({
    archetype: "tv-coaxial",
    summary: "HD TV whose only digital sound output is coaxial",
    inputs: 2,
    gbps: 10.2,
    hdcp: "1.4",
    returnOn: null,
    apps: [],
    passes: sounds(["ac3", "5.1"]),
    lpcmFromHdmi: "2.0",
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["aac", "5.1"]),
    lists: sounds(["lpcm", "2.0"], ["ac3", "5.1"]),
    outputs: ["coaxial", "headphones"],
    display: { maxMode: "1920x1080@60", hdr: [], delayMs: 45, gameDelayMs: 30 },
  }),
  television({
    archetype: "tv-headphone",
    summary: "Small HD TV whose only sound output is a headphone jack",
    inputs: 2,
    gbps: 10.2,
    hdcp: "1.4",
    returnOn: null,
    apps: [],
    passes: [],
    lpcmFromHdmi: "2.0",
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["aac", "5.1"]),
    lists: sounds(["lpcm", "2.0"]),
    outputs: ["headphones"],
    display: { maxMode: "1920x1080@60", hdr: [], delayMs: 45, gameDelayMs: 30 },
  }),
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
    summary: "Monitor with stereo speakers; lists two channels and no more",
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
    summary: "HD projector: two HDMI inputs of the old kind, no sound, no return channel",
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
