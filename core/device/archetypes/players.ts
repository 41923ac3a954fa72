import { contents, DOLBY_OBJECTS, DTS_ALL, onOff, sounds, type Archetype } from "../archetype";
import type { SoundDescriptor, SoundRouteInput } from "../device";

const hdmiOut = (maxGbps: number, hdcp: "1.4" | "2.2" | "2.3" = "2.2") =>
  ({ id: "hdmi-out", label: "HDMI OUT", connector: "hdmi", direction: "out", maxGbps, hdcp, returns: "none" }) as const;

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
  readonly encodes?: readonly "ac3"[];
  readonly formats: readonly string[];
  readonly optical?: boolean;
}

/** A player is one HDMI output, a source behind it, and the format setting between the two. */
function player(spec: Player): Archetype {
  const { source } = spec;
  const shared: Omit<SoundRouteInput, "to"> = {
    kind: "sound",
    from: [source.id],
    format: "player-audio",
    encodes: [...(spec.encodes ?? [])],
  };
  const legacy = spec.emits.filter(({ coding }) => coding === "ac3" || coding === "dts");
  return {
    archetype: spec.archetype,
    name: spec.name,
    summary: spec.summary,
    role: "player",
    ports: [
      hdmiOut(spec.gbps, spec.hdcp),
      ...(spec.optical ? [{ id: "optical-out", label: "OPTICAL OUT", connector: "optical", direction: "out" } as const] : []),
    ],
    sources: [{ ...source, contents: contents(...spec.plays) }],
    decodes: spec.decodes,
    routes: [
      { ...shared, to: ["hdmi-out"], passes: spec.emits, lpcm: spec.lpcm, pcm: spec.lpcm },
      ...(spec.optical ? [{ ...shared, to: ["optical-out"], passes: legacy } satisfies SoundRouteInput] : []),
      { kind: "picture", from: [source.id], to: ["hdmi-out"] },
    ],
    settings: [{ key: "player-audio", options: [...spec.formats], found: "auto" }, onOff("cec")],
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
    formats: ["auto", "pcm", "dolby-digital"],
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
    formats: ["auto", "bitstream", "pcm"],
    optical: true,
  }),
  player({
    archetype: "set-top-box",
    name: "Set-top box",
    summary: "Television box: Dolby Digital broadcasts, stereo AAC",
    gbps: 10.2,
    hdcp: "1.4",
    source: { id: "channels", name: "channels", kind: "media" },
    plays: ["broadcast-ac3", "news-aac"],
    emits: sounds(["ac3", "5.1"]),
    decodes: sounds(["ac3", "5.1"], ["aac", "5.1"]),
    lpcm: "2.0",
    formats: ["auto", "pcm"],
  }),
];
