import { DOLBY_OBJECTS, DTS_ALL, onOff, sounds, type Archetype } from "../archetype";
import type { PictureRouteInput, SoundDescriptor } from "../device";

interface SoundSystem {
  readonly archetype: string;
  readonly name: string;
  readonly summary: string;
  readonly hdmiInputs: number;
  /** The marked socket toward the screen. */
  readonly returnSocket: { readonly label: string; readonly kind: "arc" | "earc"; readonly picture: boolean } | null;
  readonly optical: number;
  readonly decodes: SoundDescriptor[];
  readonly speakers: NonNullable<Archetype["speakers"]>;
}

/** A bar or receiver: HDMI inputs whose picture goes on to the screen, a return socket, optical inputs, decoders and speakers. */
function soundSystem(spec: SoundSystem): Archetype {
  const inputs = Array.from({ length: spec.hdmiInputs }, (_, index) => `hdmi-in${spec.hdmiInputs > 1 ? index + 1 : ""}`);
  const opticals = Array.from({ length: spec.optical }, (_, index) => `optical-in${spec.optical > 1 ? index + 1 : ""}`);
  const back = spec.returnSocket;
  const hdmi = { connector: "hdmi", maxGbps: 18, hdcp: "2.2" } as const;
  return {
    archetype: spec.archetype,
    name: spec.name,
    summary: spec.summary,
    role: "sound",
    ports: [
      ...inputs.map(
        (id, index) =>
          ({ id, label: spec.hdmiInputs > 1 ? `HDMI IN ${index + 1}` : "HDMI IN", direction: "in", returns: "none", ...hdmi }) as const,
      ),
      ...(back ? [{ id: "hdmi-out", label: back.label, direction: "out", returns: back.kind, ...hdmi } as const] : []),
      ...opticals.map(
        (id, index) =>
          ({ id, label: spec.optical > 1 ? `OPTICAL ${index + 1}` : "OPTICAL IN", connector: "optical", direction: "in" }) as const,
      ),
    ],
    decodes: spec.decodes,
    speakers: spec.speakers,
    routes: [
      { kind: "sound", from: [...inputs, ...(back ? ["hdmi-out"] : []), ...opticals], to: ["speakers"] },
      ...(back?.picture && inputs.length ? [{ kind: "picture", from: inputs, to: ["hdmi-out"] } satisfies PictureRouteInput] : []),
    ],
    presents: inputs.length ? [{ rule: "decoders", ports: inputs }] : [],
    settings: [
      ...(back?.kind === "earc" ? [onOff("earc")] : []),
      ...(back ? [onOff("arc")] : []),
      onOff("cec"),
      { key: "upmix", options: ["off", "on"], found: "off" },
    ],
  };
}

const LPCM_71 = sounds(["lpcm", "7.1"]);
const OUT_EARC = { label: "HDMI OUT (TV eARC)", kind: "earc", picture: true } as const;

export const SOUND_SYSTEMS: readonly Archetype[] = [
  soundSystem({
    archetype: "bar-one-input",
    name: "Bar",
    summary: "5.1.2 bar: one HDMI input, HDMI output with eARC, optical; Dolby with objects and DTS",
    hdmiInputs: 1,
    returnSocket: OUT_EARC,
    optical: 1,
    decodes: [...LPCM_71, ...DOLBY_OBJECTS, ...DTS_ALL],
    speakers: { bed: "5.1", heights: 2, delayMs: 22 },
  }),
  soundSystem({
    archetype: "bar-two-inputs",
    name: "Bar",
    summary: "5.1.2 bar: two HDMI inputs, HDMI output with eARC, optical; Dolby with objects and DTS",
    hdmiInputs: 2,
    returnSocket: OUT_EARC,
    optical: 1,
    decodes: [...LPCM_71, ...DOLBY_OBJECTS, ...DTS_ALL],
    speakers: { bed: "5.1", heights: 2, delayMs: 22 },
  }),
  soundSystem({
    archetype: "bar-earc-only",
    name: "Bar",
    summary: "3.1.2 bar whose only socket is HDMI eARC; Dolby with objects, no DTS",
    hdmiInputs: 0,
    returnSocket: { label: "HDMI (TV eARC)", kind: "earc", picture: false },
    optical: 0,
    decodes: [...LPCM_71, ...DOLBY_OBJECTS],
    speakers: { bed: "3.1", heights: 2, delayMs: 20 },
  }),
  soundSystem({
    archetype: "bar-arc-optical",
    name: "Bar",
    summary: "3.1 bar without HDMI inputs: ARC and optical; Dolby Digital, Plus and DTS",
    hdmiInputs: 0,
    returnSocket: { label: "HDMI (TV ARC)", kind: "arc", picture: false },
    optical: 1,
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"], ["dts", "5.1"]),
    speakers: { bed: "3.1", delayMs: 25 },
  }),
  soundSystem({
    archetype: "receiver-72",
    name: "Receiver",
    summary: "Receiver with seven amplifiers as 5.1.2: five HDMI inputs, HDMI output with eARC, two optical; all Dolby and DTS codings",
    hdmiInputs: 5,
    returnSocket: { label: "HDMI OUT (ARC/eARC)", kind: "earc", picture: true },
    optical: 2,
    decodes: [...LPCM_71, ...DOLBY_OBJECTS, ...DTS_ALL],
    speakers: { bed: "5.1", heights: 2, delayMs: 18 },
  }),
];
