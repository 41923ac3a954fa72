import { choice, contents, hdmi, onOff, sounds, type Archetype } from "../archetype";
import type { PortInput, SoundDescriptor, SoundRouteInput } from "../device";

export interface Television {
  readonly archetype: string;
  readonly name?: string;
  readonly summary: string;
  readonly inputs: number;
  readonly gbps: number;
  readonly hdcp: "1.4" | "2.2" | "2.3";
  /** The marked return socket, by number, and its kind. */
  readonly returnOn: { readonly input: number; readonly kind: "arc" | "earc" } | null;
  /** ARC and eARC depend on the one menu item for CEC. */
  readonly returnNeedsCec?: boolean;
  readonly apps: readonly string[];
  /** Bitstreams from its HDMI inputs that it hands on. */
  readonly passes: SoundDescriptor[];
  readonly lpcmFromHdmi: "2.0" | "5.1" | "7.1";
  readonly decodes: SoundDescriptor[];
  readonly display: NonNullable<Archetype["display"]>;
  /** Its sockets sit in a box of their own, joined to the panel by one lead. */
  readonly isBoxed?: boolean;
  /** Its HDMI sockets have a picture mode, as it comes from the factory. */
  readonly signalFormat?: "standard" | "enhanced";
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
export function television(spec: Television): Archetype {
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
        return hdmi(id, `${spec.isBoxed ? "BOX " : ""}HDMI ${index + 1}${mark}`, "in", {
          ...(spec.signalFormat ? { standardGbps: 9 } : {}),
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
      choice("input-sound", ["on", ...inputs], "on"),
      choice("picture-mode", ["auto", "standard", "film", "game"], "auto"),
      ...(spec.returnOn?.kind === "earc" && !spec.returnNeedsCec ? [onOff("earc")] : []),
      ...(back && !spec.returnNeedsCec ? [onOff("arc")] : []),
      onOff("cec"),
      onOff("control-wakes"),
      onOff("control-obeys"),
      ...(spec.signalFormat ? [choice("signal-format", ["standard", "enhanced"], spec.signalFormat)] : []),
    ],
    volume: "remote-and-cec",
  };
}
