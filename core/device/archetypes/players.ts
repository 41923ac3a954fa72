import { choice, contents, DOLBY_OBJECTS, DTS_ALL, EVERYTHING, hdmi, numbered, onOff, sounds, type Archetype } from "../archetype";
import type { SoundDescriptor, SoundRouteInput } from "../device";

interface Player {
  readonly archetype: string;
  readonly name: string;
  readonly summary: string;
  readonly gbps: number;
  readonly hdcp?: "1.4" | "2.2" | "2.3";
  readonly source: { readonly id: string; readonly name: string; readonly kind: "media" | "app" | "tuner" };
  readonly plays: readonly string[];
  readonly emits: SoundDescriptor[];
  readonly decodes: SoundDescriptor[];
  readonly lpcm: "2.0" | "5.1" | "7.1";
  readonly encodes?: readonly ("ac3" | "dts")[];
  readonly formats: readonly string[];
  /** It plays the objects of Dolby Digital Plus out as MAT where that is listed. */
  readonly wrapsObjects?: boolean;
  /** Its picture can be set to one format whatever the screen shows. */
  readonly canForce?: boolean;
  readonly optical?: boolean;
  /** A stick: its plug is part of it, and covers the sockets beside. */
  readonly plug?: "wide";
  /** HDMI sockets of its own that it hands on. */
  readonly inputs?: number;
  readonly habits?: Archetype["habits"];
  /** On the control bus it is a tuner, not a player. */
  readonly isTuner?: boolean;
}

const DTS_ROWS = [
  ["dts", "5.1"],
  ["dts-hd-hra", "7.1"],
  ["dts-hd-ma", "7.1"],
] as const;

/** A player is one HDMI output, a source behind it, and the format setting between the two. */
function player(spec: Player): Archetype {
  const { source } = spec;
  const shared: Omit<SoundRouteInput, "to"> = {
    kind: "sound",
    from: [source.id],
    format: "player-audio",
    encodes: [...(spec.encodes ?? [])],
  };
  const inputs = numbered("hdmi-in", spec.inputs ?? 0);
  const legacy = spec.emits.filter(({ coding }) => coding === "ac3" || coding === "dts");
  return {
    archetype: spec.archetype,
    name: spec.name,
    summary: spec.summary,
    role: "player",
    ports: [
      ...inputs.map((id, index) => hdmi(id, `HDMI IN${inputs.length > 1 ? ` ${index + 1}` : ""}`, "in")),
      hdmi("hdmi-out", "HDMI OUT", "out", { maxGbps: spec.gbps, hdcp: spec.hdcp ?? "2.2", plug: spec.plug ?? null }),
      ...(spec.optical ? [{ id: "optical-out", label: "OPTICAL OUT", connector: "optical", direction: "out" } as const] : []),
    ],
    sources: [{ ...source, contents: contents(...spec.plays) }],
    decodes: spec.decodes,
    routes: [
      { ...shared, to: ["hdmi-out"], passes: spec.emits, lpcm: spec.lpcm, pcm: spec.lpcm, wrapsObjects: spec.wrapsObjects ?? false },
      ...(spec.optical ? [{ ...shared, to: ["optical-out"], passes: legacy } satisfies SoundRouteInput] : []),
      ...(inputs.length
        ? [{ kind: "sound", from: [...inputs], to: ["hdmi-out"], passes: EVERYTHING, lpcm: "7.1", blind: true } satisfies SoundRouteInput]
        : []),
      { kind: "picture", from: [source.id, ...inputs], to: ["hdmi-out"] },
    ],
    presents: inputs.length ? [{ rule: "copy", ports: [...inputs], of: "hdmi-out" }] : [],
    settings: [
      { key: "player-audio", options: [...spec.formats], found: "auto" },
      ...(spec.gbps >= 18 ? [onOff("hdr")] : []),
      ...(spec.canForce ? [choice("video-format", ["auto", "forced"], "auto")] : []),
      onOff("cec"),
      onOff("control-wakes"),
      onOff("control-obeys"),
    ],
    ...(spec.habits ? { habits: spec.habits } : {}),
    ...(spec.isTuner ? { control: { kind: "tuner" as const } } : {}),
  };
}

export const PLAYERS: readonly Archetype[] = [
  player({
    archetype: "streamer-4k",
    name: "Streamer",
    summary: "4K streamer: Dolby Digital Plus with objects, converts to Dolby Digital",
    gbps: 18,
    source: { id: "apps", name: "apps", kind: "media" },
    plays: ["film-ddp-atmos", "music-lpcm"],
    emits: sounds(["ac3", "5.1"], ["eac3", "7.1", "objects"]),
    decodes: sounds(["ac3", "5.1"], ["eac3", "5.1"], ["aac", "5.1"]),
    lpcm: "5.1",
    encodes: ["ac3"],
    formats: ["auto", "pcm", "stereo", "dolby-digital", "dolby-digital-plus"],
  }),
  player({
    archetype: "streamer-mat",
    name: "Streamer",
    summary: "4K streamer that plays objects out as Dolby MAT where the far end advertises it; its picture can be set to one format",
    gbps: 18,
    source: { id: "apps", name: "apps", kind: "media" },
    plays: ["film-ddp-atmos", "music-lpcm"],
    emits: sounds(["ac3", "5.1"], ["eac3", "7.1"], ["mat", "7.1", "objects"]),
    decodes: sounds(["ac3", "5.1"], ["eac3", "7.1"], ["aac", "5.1"]),
    lpcm: "7.1",
    encodes: ["ac3"],
    formats: ["auto", "pcm", "dolby-digital"],
    wrapsObjects: true,
    canForce: true,
  }),
  player({
    archetype: "set-top-box-strict",
    name: "Set-top box",
    summary: "4K television box that goes black, instead of dropping to 1080p, where HDCP on the path is too old",
    gbps: 18,
    source: { id: "channels", name: "channels", kind: "media" },
    isTuner: true,
    plays: ["series-ddp", "news-aac"],
    emits: sounds(["ac3", "5.1"], ["eac3", "5.1"]),
    decodes: sounds(["ac3", "5.1"], ["eac3", "5.1"], ["aac", "5.1"]),
    lpcm: "2.0",
    encodes: ["ac3"],
    formats: ["auto", "pcm", "dolby-digital"],
    habits: [{ habit: "blanks-without-hdcp" }],
  }),
  player({
    archetype: "console-mat",
    name: "Console",
    summary: "Game console: objects only as Dolby MAT, else LPCM up to 7.1",
    gbps: 18,
    source: { id: "games", name: "games", kind: "media" },
    plays: ["game-mat-atmos"],
    emits: sounds(["mat", "7.1", "objects"]),
    decodes: sounds(["lpcm", "7.1"]),
    lpcm: "7.1",
    formats: ["auto", "pcm"],
  }),
  player({
    archetype: "disc-player-4k",
    name: "Disc player",
    summary: "4K disc player: every disc coding as bitstream or decoded to 7.1",
    gbps: 18,
    source: { id: "disc", name: "disc", kind: "media" },
    plays: ["film-truehd-atmos", "concert-dts-hd-ma"],
    emits: [...DOLBY_OBJECTS.filter(({ coding }) => coding !== "mat"), ...DTS_ALL],
    decodes: sounds(["ac3", "5.1"], ["eac3", "7.1"], ["truehd", "7.1"], ["dts", "5.1"], ["dts-hd-ma", "7.1"]),
    lpcm: "7.1",
    formats: ["auto", "bitstream", "pcm", "stereo"],
    optical: true,
  }),
  player({
    archetype: "disc-player-hd",
    name: "Disc player",
    summary: "HD disc player: TrueHD and DTS-HD without objects, as bitstream or decoded to 7.1; optical",
    gbps: 10.2,
    hdcp: "1.4",
    source: { id: "disc", name: "disc", kind: "media" },
    plays: ["film-bluray", "film-dts"],
    emits: sounds(["ac3", "5.1"], ["eac3", "7.1"], ["truehd", "7.1"], ...DTS_ROWS),
    decodes: sounds(["ac3", "5.1"], ["eac3", "7.1"], ["truehd", "7.1"], ["dts", "5.1"], ["dts-hd-ma", "7.1"]),
    lpcm: "7.1",
    formats: ["auto", "bitstream", "pcm", "stereo"],
    optical: true,
  }),
  player({
    archetype: "stick-hd",
    name: "Stick",
    summary: "HD streaming stick: wide body that covers the next socket, Dolby Digital Plus without objects",
    gbps: 10.2,
    hdcp: "1.4",
    plug: "wide",
    source: { id: "apps", name: "apps", kind: "media" },
    plays: ["series-ddp-hd"],
    emits: sounds(["ac3", "5.1"], ["eac3", "5.1"]),
    decodes: sounds(["ac3", "5.1"], ["eac3", "5.1"], ["aac", "5.1"]),
    lpcm: "5.1",
    encodes: ["ac3"],
    formats: ["auto", "pcm", "stereo", "dolby-digital"],
  }),
  player({
    archetype: "streamer-switching",
    name: "Streamer with input",
    summary: "4K streamer with an HDMI input that it switches through to its output",
    gbps: 18,
    inputs: 1,
    source: { id: "apps", name: "apps", kind: "media" },
    plays: ["film-ddp-atmos"],
    emits: sounds(["ac3", "5.1"], ["eac3", "7.1", "objects"]),
    decodes: sounds(["ac3", "5.1"], ["eac3", "5.1"], ["aac", "5.1"]),
    lpcm: "5.1",
    encodes: ["ac3"],
    formats: ["auto", "pcm", "stereo", "dolby-digital"],
  }),
  player({
    archetype: "console-120",
    name: "Console",
    summary: "Game console at up to 2160p120: objects only as Dolby MAT, else LPCM up to 7.1",
    gbps: 40,
    hdcp: "2.3",
    source: { id: "games", name: "games", kind: "media" },
    plays: ["game-quick"],
    emits: sounds(["mat", "7.1", "objects"]),
    decodes: sounds(["lpcm", "7.1"]),
    lpcm: "7.1",
    formats: ["auto", "pcm", "stereo"],
  }),
  player({
    archetype: "console-lpcm",
    name: "Console",
    summary: "Game console without objects: LPCM up to 7.1, or encoded as Dolby Digital or DTS when set to",
    gbps: 18,
    source: { id: "games", name: "games", kind: "media" },
    plays: ["game-lpcm"],
    emits: sounds(["ac3", "5.1"], ["dts", "5.1"]),
    decodes: sounds(["lpcm", "7.1"]),
    lpcm: "7.1",
    encodes: ["ac3", "dts"],
    formats: ["auto", "pcm", "stereo", "dolby-digital", "dts"],
  }),
  player({
    archetype: "set-top-box-drift",
    name: "Set-top box",
    summary: "Television box whose Dolby Digital drifts out of sync after a while; stereo AAC",
    gbps: 10.2,
    hdcp: "1.4",
    source: { id: "channels", name: "channels", kind: "media" },
    isTuner: true,
    plays: ["broadcast-ac3", "news-aac"],
    emits: sounds(["ac3", "5.1"]),
    decodes: sounds(["ac3", "5.1"], ["aac", "5.1"]),
    lpcm: "2.0",
    formats: ["auto", "pcm"],
    habits: [{ habit: "drifts", codings: ["ac3"], amountMs: 120, afterMinutes: 30 }],
  }),
  player({
    archetype: "set-top-box",
    name: "Set-top box",
    summary: "Television box: Dolby Digital broadcasts, stereo AAC",
    gbps: 10.2,
    hdcp: "1.4",
    source: { id: "channels", name: "channels", kind: "media" },
    isTuner: true,
    plays: ["broadcast-ac3", "news-aac"],
    emits: sounds(["ac3", "5.1"]),
    decodes: sounds(["ac3", "5.1"], ["aac", "5.1"]),
    lpcm: "2.0",
    formats: ["auto", "pcm"],
  }),
];
