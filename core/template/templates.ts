import type { SettingKey } from "@/core/facts";
import { fromShelfOrThrow } from "@/core/device";
import { applyAll, emptyJob, joinSockets, type CableEnd, type Command, type Job } from "@/core/job";

/** A common room to begin from: devices of the shelf by id, and the sockets that cables join, as "device socket". */
interface Template {
  readonly id: string;
  readonly name: string;
  readonly summary: string;
  readonly devices: Readonly<Record<string, string>>;
  readonly cables: readonly (readonly [string, string])[];
  /** What has to be set otherwise than from the factory: device, setting, value. */
  readonly plans?: readonly (readonly [device: string, setting: SettingKey, value: string])[];
}

/** Ordinary situations, each as an installer usually finds or leaves it. */
export const TEMPLATES: readonly Template[] = [
  {
    id: "screen-hub-bar",
    name: "Screen hub with a bar",
    summary: "All players into the TV, one eARC cable to the bar",
    devices: { streamer: "streamer-4k", console: "console-mat", "set-top-box": "set-top-box", television: "tv-earc", bar: "bar-earc-only" },
    cables: [
      ["streamer hdmi-out", "television hdmi1"],
      ["console hdmi-out", "television hdmi2"],
      ["set-top-box hdmi-out", "television hdmi4"],
      ["bar hdmi-out", "television hdmi3"],
    ],
  },
  {
    id: "bar-hub",
    name: "Bar with inputs",
    summary: "The demanding players into the bar, the others into the TV",
    devices: { disc: "disc-player-4k", console: "console-mat", streamer: "streamer-4k", television: "tv-earc", bar: "bar-two-inputs" },
    cables: [
      ["disc hdmi-out", "bar hdmi-in1"],
      ["console hdmi-out", "bar hdmi-in2"],
      ["streamer hdmi-out", "television hdmi1"],
      ["bar hdmi-out", "television hdmi3"],
    ],
  },
  {
    id: "receiver-hub",
    name: "Receiver hub",
    summary: "All players into the receiver, the TV by eARC behind it",
    devices: {
      disc: "disc-player-4k",
      console: "console-mat",
      streamer: "streamer-4k",
      "set-top-box": "set-top-box",
      television: "tv-earc",
      receiver: "receiver-72",
    },
    cables: [
      ["disc hdmi-out", "receiver hdmi-in1"],
      ["console hdmi-out", "receiver hdmi-in2"],
      ["streamer hdmi-out", "receiver hdmi-in3"],
      ["set-top-box hdmi-out", "receiver hdmi-in4"],
      ["receiver hdmi-out", "television hdmi3"],
    ],
  },
  {
    id: "projector-receiver",
    name: "Projector and receiver",
    summary: "A dark room: players into the receiver, one long cable to the projector",
    devices: { disc: "disc-player-4k", streamer: "streamer-4k", projector: "projector", receiver: "receiver-92" },
    cables: [
      ["disc hdmi-out", "receiver hdmi-in1"],
      ["streamer hdmi-out", "receiver hdmi-in2"],
      ["receiver hdmi-out", "projector hdmi1"],
    ],
  },
  {
    id: "projector-earc-bar",
    name: "Projector and an eARC bar",
    summary: "A projector without return, an extractor before it feeds the bar",
    devices: { streamer: "streamer-4k", extractor: "earc-extractor-mixed", projector: "projector", bar: "bar-earc-only" },
    cables: [
      ["streamer hdmi-out", "extractor hdmi-in"],
      ["extractor hdmi-out", "projector hdmi1"],
      ["bar hdmi-out", "extractor earc-out"],
    ],
  },
  {
    id: "old-tv-optical",
    name: "Older TV with optical",
    summary: "No return channel: everything into the TV, optical to the bar",
    devices: { streamer: "streamer-4k", "set-top-box": "set-top-box", television: "tv-no-return", bar: "bar-arc-optical" },
    cables: [
      ["streamer hdmi-out", "television hdmi1"],
      ["set-top-box hdmi-out", "television hdmi2"],
      ["television optical-out", "bar optical-in"],
    ],
    plans: [["television", "speakers", "external"]],
  },
  {
    id: "two-screens",
    name: "Two screens",
    summary: "A matrix gives TV and projector their players, sound to a receiver",
    devices: {
      disc: "disc-player-4k",
      streamer: "streamer-4k",
      matrix: "matrix-4x2",
      television: "tv-earc",
      projector: "projector",
      receiver: "receiver-72",
    },
    cables: [
      ["disc hdmi-out", "matrix hdmi-in1"],
      ["streamer hdmi-out", "matrix hdmi-in2"],
      ["matrix output-a", "television hdmi3"],
      ["matrix output-b", "projector hdmi1"],
      ["receiver hdmi-out", "matrix earc-out"],
    ],
  },
  {
    id: "stereo-amplifier",
    name: "TV and a stereo amplifier",
    summary: "An amplifier with only a knob: an ARC adapter keeps the TV's remote in charge",
    devices: { streamer: "streamer-4k", television: "tv-arc", adapter: "arc-adapter", amplifier: "amplifier-knob" },
    cables: [
      ["streamer hdmi-out", "television hdmi2"],
      ["adapter tv", "television hdmi1"],
      ["adapter rca-out", "amplifier rca-in"],
    ],
  },
  {
    id: "games-room",
    name: "Games room",
    summary: "Consoles at 120 Hz into the TV, a computer beside them, objects over eARC",
    devices: {
      console: "console-120",
      computer: "computer",
      "game-box": "console-lpcm",
      television: "tv-earc-120",
      bar: "bar-battery-rears",
    },
    cables: [
      ["console hdmi-out", "television hdmi4"],
      ["game-box hdmi-out", "bar hdmi-in1"],
      ["computer hdmi-out", "bar hdmi-in2"],
      ["bar hdmi-out", "television hdmi3"],
    ],
  },
  {
    id: "bedroom",
    name: "Bedroom TV",
    summary: "A small TV with a headphone jack and a pair of powered speakers",
    devices: { stick: "stick-hd", television: "tv-headphone", speakers: "powered-speakers" },
    cables: [
      ["stick hdmi-out", "television hdmi1"],
      ["television headphones", "speakers aux-in"],
    ],
  },
];

const endOf = (text: string): CableEnd => {
  const [device = "", port = ""] = text.split(" ");
  return { device, port };
};

/** A job started from a template. Null where there is none by that id. */
export function jobFromTemplate(id: string, name: string): Job | null {
  const template = TEMPLATES.find((row) => row.id === id);
  if (!template) return null;
  const devices = Object.entries(template.devices).map(([device, archetype]) => fromShelfOrThrow(archetype, { id: device }));
  const plans = (template.plans ?? []).map(
    ([device, setting, value]) => ({ kind: "set-setting", device, setting, state: "planned", value }) as const,
  );
  // Each cable is named after those that lie already, so they are laid one by one.
  return template.cables.reduce<Job>(
    (job, [a, b]) => sound(id, job, [joinSockets(job, endOf(a), endOf(b))]),
    sound(id, { ...emptyJob(name), devices }, plans),
  );
}

/** A template that cannot be made is a mistake of ours and throws. */
function sound(id: string, job: Job, commands: readonly Command[]): Job {
  const made = applyAll(job, commands);
  if (!made.ok) throw new Error(`Template ${id}: ${JSON.stringify(made.refusal.refusal)}`);
  return made.value;
}
