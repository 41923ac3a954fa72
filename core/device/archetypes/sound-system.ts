import {
  choice,
  EVERYTHING,
  hdmi,
  numbered,
  onOff,
  soundDelay,
  sounds,
  type Archetype,
  type ConditionInput,
  type RouteInput,
} from "../archetype";
import type { PictureRouteInput, SoundDescriptor } from "../device";

export interface SoundSystem {
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
  /** The boxes it comes in, and what can be dialled at it; left out: loose speakers, as people connect them. */
  readonly units?: NonNullable<Archetype["units"]>;
  readonly dials: NonNullable<Archetype["dials"]>;
  readonly attachedLeads?: NonNullable<Archetype["attachedLeads"]>;
  /** HDR formats that it passes; any where not said. */
  readonly hdr?: NonNullable<PictureRouteInput["hdr"]>;
  /** Its HDMI sockets have a picture mode, as found. */
  readonly signalFormat?: "standard" | "enhanced";
}

const HDMI_RATE = { maxGbps: 18, hdcp: "2.2" } as const;
const OLD_HDMI_RATE = { maxGbps: 10.2, hdcp: "1.4" } as const;

/** A bar or receiver: HDMI inputs whose picture goes on to the screen, a return socket, other inputs, decoders and speakers. */
export function soundSystem(spec: SoundSystem): Archetype {
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
      ...(back || inputs.length ? [onOff("cec"), onOff("control-wakes", "off"), onOff("control-obeys")] : []),
      choice("upmix", ["off", "on"], "off"),
      choice("mute", ["off", "on"], "off"),
      choice("volume-level", ["usual", "zero"], "usual"),
      // Receivers hold sound back up to a fifth of a second in fine steps, bars in coarse ones.
      ...(back || inputs.length ? [soundDelay(spec.isReceiver ? 5 : 25, 200)] : []),
      ...(spec.isReceiver
        ? [
            choice("decode-mode", ["auto", "direct", "stereo", "all-channel-stereo"], "auto"),
            choice("power", ["on", "standby"], "on"),
            onOff("standby-pass", "off"),
          ]
        : []),
      ...(spec.signalFormat ? [choice("signal-format", ["standard", "enhanced"], spec.signalFormat)] : []),
    ],
    attachedLeads: spec.attachedLeads ?? [],
    units: spec.units ?? [],
    dials: spec.dials,
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
