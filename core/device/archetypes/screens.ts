import { contents, onOff, sounds, type Archetype } from "../archetype";
import type { SoundDescriptor, SoundRouteInput } from "../device";

interface Television {
  readonly archetype: string;
  readonly name: string;
  readonly summary: string;
  readonly inputs: number;
  readonly gbps: number;
  readonly hdcp: "1.4" | "2.2";
  /** The marked return socket, by number, and its kind. */
  readonly returnOn: { readonly input: number; readonly kind: "arc" | "earc" } | null;
  readonly apps: readonly string[];
  /** Bitstreams from its HDMI inputs that it hands on. */
  readonly passes: SoundDescriptor[];
  readonly lpcmFromHdmi: "2.0" | "5.1" | "7.1";
  readonly decodes: SoundDescriptor[];
  readonly display: NonNullable<Archetype["display"]>;
}

/** A television: numbered HDMI inputs, apps and a tuner, an optical output, and a return channel on at most one input. */
function television(spec: Television): Archetype {
  const inputs = Array.from({ length: spec.inputs }, (_, index) => `hdmi${index + 1}`);
  const back = spec.returnOn ? `hdmi${spec.returnOn.input}` : null;
  const inner = ["apps", "tuner"];
  const external = { setting: "speakers", value: "external" } as const;
  const output: Omit<SoundRouteInput, "from" | "to"> = { kind: "sound", format: "digital-output", opens: external, encodes: ["ac3"] };
  const own = sounds(["ac3", "5.1"], ["eac3", "5.1", "objects"]);
  const legacy = spec.passes.filter(({ coding }) => coding === "ac3" || coding === "dts");
  return {
    archetype: spec.archetype,
    name: spec.name,
    summary: spec.summary,
    role: "screen",
    ports: [
      ...inputs.map((id, index) => {
        const marked = id === back && spec.returnOn ? spec.returnOn.kind : "none";
        const mark = marked === "earc" ? " eARC" : marked === "arc" ? " ARC" : "";
        return {
          id,
          label: `HDMI ${index + 1}${mark}`,
          connector: "hdmi",
          direction: "in",
          maxGbps: spec.gbps,
          hdcp: spec.hdcp,
          returns: marked,
        } as const;
      }),
      { id: "optical-out", label: "DIGITAL AUDIO OUT", connector: "optical", direction: "out" },
    ],
    sources: [
      { id: "apps", name: "its own app", kind: "app", contents: contents(...spec.apps) },
      { id: "tuner", name: "its tuner", kind: "tuner", contents: contents("news-aac") },
    ],
    decodes: spec.decodes,
    speakers: { bed: "2.0", delayMs: 0 },
    display: spec.display,
    routes: [
      { kind: "picture", from: [...inputs, ...inner], to: ["display"] },
      { kind: "sound", from: [...inputs, ...inner], to: ["speakers"], opens: { setting: "speakers", value: "own" } },
      ...(back
        ? [
            { ...output, from: inner, to: [back], passes: own, delayMs: 15 },
            { ...output, from: inputs.filter((id) => id !== back), to: [back], passes: spec.passes, lpcm: spec.lpcmFromHdmi, delayMs: 18 },
          ]
        : []),
      { ...output, from: inner, to: ["optical-out"], passes: sounds(["ac3", "5.1"]), delayMs: 15 },
      { ...output, from: inputs, to: ["optical-out"], passes: legacy, delayMs: 18 },
    ],
    presents: [{ rule: "list", ports: inputs, sound: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"]), widenedBy: back }],
    settings: [
      { key: "digital-output", options: ["auto", "pass-through", "pcm", "dolby-digital"], found: "auto" },
      { key: "speakers", options: ["own", "external"], found: back ? "external" : "own" },
      ...(spec.returnOn?.kind === "earc" ? [onOff("earc")] : []),
      ...(back ? [onOff("arc")] : []),
      onOff("cec"),
    ],
  };
}

const BASIC = sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"], ["aac", "5.1"]);

export const SCREENS: readonly Archetype[] = [
  television({
    archetype: "tv-earc",
    name: "Television",
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
    name: "Television",
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
    name: "Television",
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
