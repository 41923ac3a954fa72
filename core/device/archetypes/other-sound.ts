import { hdmi, onOff, choice, sounds, type Archetype } from "../archetype";
import type { SoundDescriptor } from "../device";
import { COARSE_BAR, pair, REARS, subwoofer, wireless } from "./speaker-units";

/** A thing with stereo inputs, an amplifier and speakers, and nothing more. */
const stereoThing = (
  spec: Pick<Archetype, "archetype" | "name" | "summary"> & {
    readonly ports: NonNullable<Archetype["ports"]>;
    readonly decodes: SoundDescriptor[];
    readonly volume: NonNullable<Archetype["volume"]>;
    readonly units?: NonNullable<Archetype["units"]>;
    readonly dials?: NonNullable<Archetype["dials"]>;
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
  units: spec.units ?? [],
  dials: spec.dials ?? null,
  speaksCec: false,
  volume: spec.volume,
  // What has a knob has no remote.
  ...(spec.volume === "knob" ? { control: { infrared: "none" as const } } : {}),
});

/** Sound systems that are neither bar nor receiver. */
export const OTHER_SOUND: readonly Archetype[] = [
  {
    archetype: "wireless-hub",
    name: "Wireless speaker hub",
    summary: "Hub of a wireless 5.1 set; HDMI only with a module in its slot",
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
    units: [
      { id: "hub", name: "hub", feed: { feed: "own" }, mains: true },
      ...pair(["L", "R"], ["front left", "front right"], [wireless(), wireless()], { mains: true, massKg: 3 }),
      { id: "centre", name: "centre", drivers: [{ channel: "C" }], feed: wireless(), mains: true, massKg: 3 },
      ...pair(["Ls", "Rs"], REARS, [wireless(), wireless()], { mains: true, massKg: 3 }),
      subwoofer(wireless()),
    ],
    dials: { ...COARSE_BAR, time: { kind: "distance", min: 1, max: 9, step: 0.3, usual: 3, unit: "m" }, testTone: true, saves: "menu" },
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
    dials: { leastOhm: 4 },
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
    units: pair(["L", "R"], ["left speaker", "right speaker"], [{ feed: "own" }, { feed: "lead", from: "left-speaker", lengthM: 3 }], {
      massKg: 4,
      size: { widthMm: 170, heightMm: 270, depthMm: 200 },
      holes: [],
    }),
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
    units: [
      {
        id: "speaker",
        name: "speaker",
        drivers: [
          { channel: "L", rightMm: -60 },
          { channel: "R", rightMm: 60 },
        ],
        feed: { feed: "own" },
        battery: { hours: 12, chargeHours: 4 },
      },
    ],
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
    // Nothing of them has a place in the room.
    units: [{ id: "headphones", name: "headphones", feed: { feed: "own" } }],
  }),
];
