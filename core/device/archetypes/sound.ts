import {
  choice,
  DOLBY_OBJECTS,
  EVERYTHING,
  hdmi,
  LPCM_71,
  numbered,
  onOff,
  sounds,
  type Archetype,
  type ConditionInput,
  type RouteInput,
} from "../archetype";
import type { PictureRouteInput, SoundDescriptor } from "../device";

interface SoundSystem {
  readonly archetype: string;
  readonly name: string;
  readonly summary: string;
  /** How many HDMI inputs; from `oldFrom` on they are of the old kind, without HDCP 2.2. */
  readonly hdmiInputs: number;
  readonly oldFrom?: number;
  /** The marked socket toward the screen. */
  readonly returnSocket: { readonly label: string; readonly kind: "none" | "arc" | "earc"; readonly picture: boolean } | null;
  readonly optical: number;
  readonly coaxial?: number;
  /** Analogue inputs: RCA pairs and 3.5 mm sockets. */
  readonly rca?: number;
  readonly aux?: boolean;
  readonly usb?: boolean;
  readonly bluetooth?: boolean;
  /** Composite pictures come in beside the first RCA pairs and leave only by a composite monitor output. */
  readonly composite?: number;
  readonly decodes: SoundDescriptor[];
  readonly speakers: NonNullable<Archetype["speakers"]>;
  /** A receiver: sound modes, stand-by, a picture mode. */
  readonly isReceiver?: boolean;
  /** HDR formats that it passes; any where not said. */
  readonly hdr?: NonNullable<PictureRouteInput["hdr"]>;
  /** Its HDMI sockets have a picture mode, as found. */
  readonly signalFormat?: "standard" | "enhanced";
}

const HDMI_RATE = { maxGbps: 18, hdcp: "2.2" } as const;
const OLD_HDMI_RATE = { maxGbps: 10.2, hdcp: "1.4" } as const;

/** A bar or receiver: HDMI inputs whose picture goes on to the screen, a return socket, other inputs, decoders and speakers. */
function soundSystem(spec: SoundSystem): Archetype {
  const inputs = numbered("hdmi-in", spec.hdmiInputs);
  const opticals = numbered("optical-in", spec.optical);
  const coaxials = numbered("coaxial-in", spec.coaxial ?? 0);
  const pairs = numbered("rca-in", spec.rca ?? 0);
  const videos = numbered("video-in", spec.composite ?? 0);
  const single = [...(spec.aux ? ["aux-in"] : []), ...(spec.usb ? ["usb"] : []), ...(spec.bluetooth ? ["bluetooth"] : [])];
  const back = spec.returnSocket;
  const hasAnalogue = pairs.length > 0 || spec.aux === true;
  const standard = spec.signalFormat ? { standardGbps: 9 } : {};
  const label = (words: string, ids: readonly string[], index: number) => (ids.length > 1 ? `${words} ${index + 1}` : words);
  const hasForward = back !== null && back.picture && inputs.length > 0;
  return {
    archetype: spec.archetype,
    name: spec.name,
    summary: spec.summary,
    role: "sound",
    ports: [
      ...inputs.map((id, index) =>
        hdmi(id, label("HDMI IN", inputs, index), "in", {
          ...(index >= (spec.oldFrom ?? inputs.length) ? OLD_HDMI_RATE : { ...HDMI_RATE, ...standard }),
        }),
      ),
      ...(back ? [hdmi("hdmi-out", back.label, "out", { ...HDMI_RATE, ...standard, returns: back.kind })] : []),
      ...opticals.map(
        (id, index) =>
          ({ id, label: opticals.length > 1 ? `OPTICAL ${index + 1}` : "OPTICAL IN", connector: "optical", direction: "in" }) as const,
      ),
      ...coaxials.map((id, index) => ({ id, label: label("COAXIAL IN", coaxials, index), connector: "coaxial", direction: "in" }) as const),
      ...pairs.map((id, index) => ({ id, label: label("AUDIO IN L/R", pairs, index), connector: "rca", direction: "in" }) as const),
      ...videos.map((id, index) => ({ id, label: label("VIDEO IN", videos, index), connector: "composite", direction: "in" }) as const),
      ...(videos.length ? [{ id: "video-out", label: "MONITOR OUT", connector: "composite", direction: "out" } as const] : []),
      ...(spec.aux ? [{ id: "aux-in", label: "AUX IN", connector: "minijack", direction: "in" } as const] : []),
      ...(spec.usb ? [{ id: "usb", label: "USB", connector: "usb", direction: "in" } as const] : []),
      ...(spec.bluetooth ? [{ id: "bluetooth", label: "Bluetooth", connector: "bluetooth", direction: "in" } as const] : []),
    ],
    decodes: hasAnalogue ? [...spec.decodes, ...sounds(["analogue", "2.0"])] : spec.decodes,
    speakers: spec.speakers,
    routes: [
      {
        kind: "sound",
        from: [...inputs, ...(back && back.kind !== "none" ? ["hdmi-out"] : []), ...opticals, ...coaxials, ...pairs, ...single],
        to: ["speakers"],
        ...(spec.isReceiver ? { opens: { setting: "power" as const, value: "on" } } : {}),
      },
      ...(hasForward ? [pictureOn(inputs, spec.isReceiver ? awake : null, spec.hdr ?? null)] : []),
      ...(hasForward && spec.isReceiver ? [soundInStandby(inputs)] : []),
      ...(videos.length ? [{ kind: "picture", from: [...videos], to: ["video-out"] } satisfies PictureRouteInput] : []),
    ],
    presents: inputs.length ? [{ rule: "decoders", ports: [...inputs] }] : [],
    settings: [
      ...(back?.kind === "earc" ? [onOff("earc")] : []),
      ...(back && back.kind !== "none" ? [onOff("arc")] : []),
      ...(back || inputs.length ? [onOff("cec")] : []),
      choice("upmix", ["off", "on"], "off"),
      ...(spec.isReceiver
        ? [
            choice("decode-mode", ["auto", "direct", "stereo", "all-channel-stereo"], "auto"),
            choice("power", ["on", "standby"], "on"),
            onOff("standby-pass", "off"),
          ]
        : []),
      ...(spec.signalFormat ? [choice("signal-format", ["standard", "enhanced"], spec.signalFormat)] : []),
    ],
    volume: back || inputs.length ? "remote-and-cec" : "remote",
  };
}

/** A receiver hands its HDMI inputs on while it is on, or in stand-by with pass-through. */
const awake: ConditionInput = {
  either: [
    { setting: "power", value: "on" },
    { setting: "standby-pass", value: "on" },
  ],
};

const pictureOn = (inputs: readonly string[], opens: ConditionInput | null, hdr: PictureRouteInput["hdr"]): RouteInput => ({
  kind: "picture",
  from: [...inputs],
  to: ["hdmi-out"],
  opens,
  hdr: hdr ?? null,
});

/** In stand-by the sound goes on to the screen with the picture; while the receiver is on, it plays it itself. */
const soundInStandby = (inputs: readonly string[]): RouteInput => ({
  kind: "sound",
  from: [...inputs],
  to: ["hdmi-out"],
  passes: EVERYTHING,
  lpcm: "7.1",
  blind: true,
  opens: [
    { setting: "power", value: "standby" },
    { setting: "standby-pass", value: "on" },
  ],
});

/** A thing with stereo inputs, an amplifier and speakers, and nothing more. */
const stereoThing = (
  spec: Pick<Archetype, "archetype" | "name" | "summary"> & {
    readonly ports: NonNullable<Archetype["ports"]>;
    readonly decodes: SoundDescriptor[];
    readonly volume: NonNullable<Archetype["volume"]>;
    readonly delayMs?: number;
  },
): Archetype => ({
  archetype: spec.archetype,
  name: spec.name,
  summary: spec.summary,
  role: "sound",
  ports: spec.ports,
  decodes: spec.decodes,
  speakers: { bed: "2.0", delayMs: spec.delayMs ?? 0 },
  routes: [{ kind: "sound", from: spec.ports.map(({ id }) => id), to: ["speakers"] }],
  speaksCec: false,
  volume: spec.volume,
});

const OUT_EARC = { label: "HDMI OUT (TV eARC)", kind: "earc", picture: true } as const;

export const SOUND_SYSTEMS: readonly Archetype[] = [
  soundSystem({
    archetype: "bar-one-input",
    name: "Bar",
    summary: "5.1.2 bar: one HDMI input, HDMI output with eARC, optical; Dolby with objects and DTS",
    hdmiInputs: 1,
    returnSocket: OUT_EARC,
    optical: 1,
    decodes: EVERYTHING,
    speakers: { bed: "5.1", heights: 2, delayMs: 22 },
  }),
  soundSystem({
    archetype: "bar-two-inputs",
    name: "Bar",
    summary: "5.1.2 bar: two HDMI inputs, HDMI output with eARC, optical; Dolby with objects and DTS",
    hdmiInputs: 2,
    returnSocket: OUT_EARC,
    optical: 1,
    decodes: EVERYTHING,
    speakers: { bed: "5.1", heights: 2, delayMs: 22 },
  }),
  soundSystem({
    archetype: "bar-earc-only",
    name: "Bar",
    summary: "3.1.2 bar whose only socket is HDMI eARC, beside Bluetooth; Dolby with objects, no DTS",
    hdmiInputs: 0,
    returnSocket: { label: "HDMI (TV eARC)", kind: "earc", picture: false },
    optical: 0,
    bluetooth: true,
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
    summary:
      "Receiver with seven amplifiers as 5.1.2: five HDMI inputs, three of them protected 4K, HDMI output with eARC, two optical; all Dolby and DTS codings",
    hdmiInputs: 5,
    oldFrom: 3,
    isReceiver: true,
    rca: 2,
    returnSocket: { label: "HDMI OUT (ARC/eARC)", kind: "earc", picture: true },
    optical: 2,
    decodes: EVERYTHING,
    speakers: { bed: "5.1", heights: 2, delayMs: 18 },
  }),
  soundSystem({
    archetype: "bar-arc-only",
    name: "Bar",
    summary: "2.1 bar whose only digital socket is ARC; stereo and Dolby Digital",
    hdmiInputs: 0,
    returnSocket: { label: "HDMI (ARC)", kind: "arc", picture: false },
    optical: 0,
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"]),
    speakers: { bed: "2.1", delayMs: 20 },
  }),
  soundSystem({
    archetype: "bar-many-inputs",
    name: "Bar",
    summary: "2.1 bar with ARC, optical, coaxial, aux, USB and Bluetooth; Dolby Digital and DTS",
    hdmiInputs: 0,
    returnSocket: { label: "HDMI (ARC)", kind: "arc", picture: false },
    optical: 1,
    coaxial: 1,
    aux: true,
    usb: true,
    bluetooth: true,
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["dts", "5.1"]),
    speakers: { bed: "2.1", delayMs: 25 },
  }),
  soundSystem({
    archetype: "bar-stereo-aux",
    name: "Bar",
    summary: "Stereo bar with optical and aux: PCM only, no Dolby",
    hdmiInputs: 0,
    returnSocket: null,
    optical: 1,
    aux: true,
    decodes: sounds(["lpcm", "2.0"]),
    speakers: { bed: "2.0", delayMs: 15 },
  }),
  soundSystem({
    archetype: "bar-picture-mode",
    name: "Bar",
    summary: "5.1.2 bar with HDMI input and output and a picture mode, standard from the factory",
    hdmiInputs: 1,
    returnSocket: OUT_EARC,
    optical: 1,
    signalFormat: "standard",
    hdr: ["hdr10", "hlg"],
    decodes: EVERYTHING,
    speakers: { bed: "5.1", heights: 2, delayMs: 22 },
  }),
  soundSystem({
    archetype: "bar-subwoofer-hub",
    name: "Subwoofer hub",
    summary: "5.1 system whose subwoofer holds all sockets and drives bar and satellites by attached leads; ARC, optical, aux",
    hdmiInputs: 1,
    returnSocket: { label: "HDMI OUT (ARC)", kind: "arc", picture: true },
    optical: 1,
    aux: true,
    hdr: ["hdr10"],
    decodes: sounds(["lpcm", "5.1"], ["ac3", "5.1"], ["eac3", "5.1"], ["dts", "5.1"]),
    speakers: { bed: "5.1", delayMs: 18 },
  }),
  soundSystem({
    archetype: "bar-wireless-subwoofer",
    name: "Bar",
    summary: "5.1 bar with a wireless subwoofer behind the sofa that drives the rears; ARC and optical",
    hdmiInputs: 0,
    returnSocket: { label: "HDMI (ARC)", kind: "arc", picture: false },
    optical: 1,
    bluetooth: true,
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"], ["dts", "5.1"]),
    speakers: { bed: "5.1", delayMs: 35 },
  }),
  soundSystem({
    archetype: "bar-battery-rears",
    name: "Bar",
    summary: "9.1 bar, 5.1.4, with battery rears; two HDMI inputs, eARC; all codings with objects",
    hdmiInputs: 2,
    returnSocket: OUT_EARC,
    optical: 1,
    decodes: EVERYTHING,
    speakers: { bed: "5.1", heights: 4, delayMs: 38 },
  }),
  soundSystem({
    archetype: "receiver-51",
    name: "Receiver",
    summary: "Receiver 5.1: four HDMI inputs, ARC, two composite inputs that leave only by the composite monitor output",
    hdmiInputs: 4,
    returnSocket: { label: "HDMI OUT (ARC)", kind: "arc", picture: true },
    optical: 1,
    coaxial: 1,
    rca: 2,
    composite: 2,
    isReceiver: true,
    hdr: ["hdr10", "hlg"],
    decodes: [
      ...LPCM_71,
      ...sounds(["ac3", "5.1"], ["eac3", "7.1"], ["truehd", "7.1"], ["dts", "5.1"], ["dts-hd-hra", "7.1"], ["dts-hd-ma", "7.1"]),
    ],
    speakers: { bed: "5.1", delayMs: 15 },
  }),
  soundSystem({
    archetype: "receiver-92",
    name: "Receiver",
    summary: "Receiver with nine amplifiers as 7.1.2: six HDMI inputs with a picture mode, eARC; all codings with objects",
    hdmiInputs: 6,
    returnSocket: { label: "HDMI OUT (ARC/eARC)", kind: "earc", picture: true },
    optical: 2,
    coaxial: 1,
    rca: 3,
    isReceiver: true,
    signalFormat: "enhanced",
    decodes: EVERYTHING,
    speakers: { bed: "7.1", heights: 2, delayMs: 18 },
  }),
  soundSystem({
    archetype: "receiver-optical",
    name: "Receiver",
    summary: "Older receiver 5.1 without HDMI: optical, coaxial and RCA; Dolby Digital and DTS",
    hdmiInputs: 0,
    returnSocket: null,
    optical: 2,
    coaxial: 1,
    rca: 3,
    isReceiver: true,
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["dts", "5.1"]),
    speakers: { bed: "5.1", delayMs: 10 },
  }),
  {
    archetype: "wireless-hub",
    name: "Wireless speaker hub",
    summary: "Hub of a wireless 5.1 set; HDMI only once a module sits in its slot",
    role: "sound",
    ports: [
      hdmi("hdmi", "HDMI (ARC) ON MODULE", "out", { returns: "arc", returnOpens: { setting: "module", value: "fitted" } }),
      { id: "optical-in", label: "OPTICAL IN", connector: "optical", direction: "in" },
      { id: "bluetooth", label: "Bluetooth", connector: "bluetooth", direction: "in" },
    ],
    decodes: sounds(["lpcm", "2.0"], ["ac3", "5.1"], ["eac3", "5.1"]),
    speakers: { bed: "5.1", delayMs: 30 },
    routes: [
      { kind: "sound", from: ["hdmi"], to: ["speakers"], opens: { setting: "module", value: "fitted" } },
      { kind: "sound", from: ["optical-in", "bluetooth"], to: ["speakers"] },
    ],
    settings: [choice("module", ["fitted", "missing"], "missing"), onOff("arc"), onOff("cec")],
    volume: "remote-and-cec",
  },
  stereoThing({
    archetype: "amplifier-knob",
    name: "Amplifier",
    summary: "Stereo amplifier with a knob and no remote: RCA and 3.5 mm",
    ports: [
      { id: "rca-in", label: "LINE IN L/R", connector: "rca", direction: "in" },
      { id: "aux-in", label: "AUX", connector: "minijack", direction: "in" },
    ],
    decodes: sounds(["analogue", "2.0"]),
    volume: "knob",
  }),
  stereoThing({
    archetype: "powered-speakers",
    name: "Powered speakers",
    summary: "Pair of powered speakers with RCA and 3.5 mm inputs and a knob",
    ports: [
      { id: "rca-in", label: "INPUT L/R", connector: "rca", direction: "in" },
      { id: "aux-in", label: "3.5 mm", connector: "minijack", direction: "in" },
    ],
    decodes: sounds(["analogue", "2.0"]),
    volume: "knob",
  }),
  stereoThing({
    archetype: "bluetooth-speaker",
    name: "Bluetooth speaker",
    summary: "Speaker with Bluetooth, no low-delay codec, and a 3.5 mm input",
    ports: [
      { id: "bluetooth", label: "Bluetooth", connector: "bluetooth", direction: "in" },
      { id: "aux-in", label: "AUX", connector: "minijack", direction: "in" },
    ],
    decodes: sounds(["lpcm", "2.0"], ["analogue", "2.0"]),
    volume: "knob",
  }),
  stereoThing({
    archetype: "headphones",
    name: "Headphones",
    summary: "Headphones on 3.5 mm or low-delay Bluetooth",
    ports: [
      { id: "jack", label: "3.5 mm", connector: "minijack", direction: "in" },
      { id: "bluetooth", label: "Bluetooth", connector: "bluetooth", direction: "in", lowDelay: true },
    ],
    decodes: sounds(["lpcm", "2.0"], ["analogue", "2.0"]),
    volume: "knob",
  }),
];
