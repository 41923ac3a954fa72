import { CEC_ABORTS, CEC_ADDRESSES, CEC_KEYS, CEC_MESSAGES, CEC_POWER, CEC_VERSIONS, EVERYONE } from "@/core/facts";
import type { Cut, Frame, FrameFinding, Household, Message, StateChange } from "@/core/cec";
import type { Job } from "@/core/job";
import { cableName, deviceName, socketName } from "./names";

/** How the holders of addresses are called; an address that nobody holds is called by what the standard reserves it for. */
export type AddressNames = (address: number) => string | null;

/** The names by which the devices of one wire answer. */
export const addressNamesOf =
  ({ job, stations }: Pick<Household, "job" | "stations">, wire: number): AddressNames =>
  (address) => {
    const holder = [...stations.values()].find(({ nature }) => nature.wire === wire && nature.logical === address && address !== EVERYONE);
    return holder ? deviceName(job, holder.nature.device) : null;
  };

const addressName = (names: AddressNames, address: number): string =>
  address === EVERYONE ? "everyone" : (names(address) ?? `the ${CEC_ADDRESSES.find((row) => row.address === address)?.name ?? "address"}`);
const senderName = (names: AddressNames, address: number): string =>
  address === EVERYONE ? (names(address) ?? "A device without an address") : addressName(names, address);

/** A frame in plain words: "Streamer tells everyone: I am the source (1.0.0.0)." One that was read may hold what no standard has. */
export function frameWords(frame: Frame & { readonly bytes?: readonly number[] }, names: AddressNames): string {
  const from = senderName(names, frame.from);
  if (frame.message === null && (frame.bytes?.length ?? 1) !== 1)
    return `${from} tells ${addressName(names, frame.to)} something that cannot be read.`;
  if (frame.message === null)
    return frame.from === frame.to
      ? `Is the address “${reservedName(frame.to)}” free?`
      : `${from} polls ${addressName(names, frame.to)}: are you there?`;
  const to = addressName(names, frame.to);
  const words = messageWords(frame.message);
  return `${from} ${ASKS.has(frame.message.kind) ? "asks" : "tells"} ${to}: ${words}${words.endsWith("?") ? "" : "."}`;
}

const reservedName = (address: number): string => CEC_ADDRESSES.find((row) => row.address === address)?.name ?? String(address);

const ASKS: ReadonlySet<Message["kind"]> = new Set<Message["kind"]>([
  "image-view-on",
  "text-view-on",
  "request-active-source",
  "set-stream-path",
  "standby",
  "give-physical-address",
  "give-osd-name",
  "give-power-status",
  "give-device-vendor-id",
  "get-cec-version",
  "get-menu-language",
  "give-audio-status",
  "give-system-audio-mode-status",
  "give-features",
  "system-audio-mode-request",
  "request-arc-initiation",
  "request-arc-termination",
  "request-short-audio-descriptor",
  "request-current-latency",
]);

/** What a message says, without who says it. */
export function messageWords(message: Message): string {
  switch (message.kind) {
    case "active-source":
      return `I am the source (${message.address})`;
    case "inactive-source":
      return `I am no longer the source (${message.address})`;
    case "image-view-on":
    case "text-view-on":
      return "wake and show a picture";
    case "request-active-source":
      return "who is the source?";
    case "routing-change":
      return `the route changed from ${message.from} to ${message.into}`;
    case "routing-information":
      return `the route leads to ${message.address}`;
    case "set-stream-path":
      return `become the source at ${message.address}`;
    case "standby":
      return "go to standby";
    case "give-physical-address":
      return "what is your physical address?";
    case "report-physical-address":
      return `my physical address is ${message.address}`;
    case "give-osd-name":
      return "what are you called?";
    case "set-osd-name":
      return `I am called “${message.text}”`;
    case "give-power-status":
      return "are you on?";
    case "report-power-status":
      return `I am ${CEC_POWER.find(({ code }) => code === message.power)?.words ?? "in an unknown state"}`;
    case "get-cec-version":
      return "which CEC version do you support?";
    case "cec-version":
      return `I support CEC ${CEC_VERSIONS.find(({ code }) => code === message.version)?.words ?? `of version ${message.version}`}`;
    case "key-pressed":
      return `key “${CEC_KEYS.find(({ code }) => code === message.key)?.key ?? hex(message.key)}”`;
    case "key-released":
      return "key released";
    case "feature-abort":
      return `no to ${titleOf(message.of)}: ${CEC_ABORTS.find(({ code }) => code === message.reason)?.words ?? "for an unknown reason"}`;
    case "system-audio-mode-request":
      return message.data.length ? "take the sound over" : "give the sound back";
    case "set-system-audio-mode":
    case "system-audio-mode-status":
      return message.mode ? "the sound is mine" : "the sound is yours again";
    case "give-system-audio-mode-status":
      return "do you have the sound?";
    case "give-audio-status":
      return "what is your volume?";
    case "report-audio-status":
      return `${message.status.muted ? "muted" : "not muted"}, volume ${message.status.volume ?? "not known"}`;
    case "initiate-arc":
      return "start the return channel";
    case "report-arc-initiated":
      return "the return channel has started";
    case "terminate-arc":
      return "end the return channel";
    case "report-arc-terminated":
      return "the return channel has ended";
    case "request-arc-initiation":
      return "ask me to start the return channel";
    case "request-arc-termination":
      return "ask me to end the return channel";
    case "request-short-audio-descriptor":
      return "which formats do you accept?";
    case "report-short-audio-descriptor":
      return "these are the formats I accept";
    default:
      return CEC_MESSAGES.find(({ name }) => name === message.kind)?.title ?? message.kind;
  }
}

const hex = (byte: number): string => byte.toString(16).padStart(2, "0").toUpperCase();

/** "Standby (36)": a message by its name in the standard. */
const titleOf = (opcode: number): string => {
  const row = CEC_MESSAGES.find((one) => one.opcode === opcode);
  return row ? `${row.title} (${hex(opcode)})` : `the message ${hex(opcode)}`;
};

/** "0F:82:10:00", as adapters print a frame. */
export const frameBytes = (bytes: readonly number[]): string => bytes.map(hex).join(":");

/** What is strange about a frame that was read. */
export function frameFindingSentence(finding: FrameFinding): string {
  switch (finding.code) {
    case "empty":
      return "It is empty.";
    case "too-long":
      return `It has ${finding.blocks} blocks; a frame has at most 16.`;
    case "unknown-opcode":
      return `The standard has no message ${hex(finding.opcode)}.`;
    case "to-everyone-only":
      return "This message goes to everyone only.";
    case "to-one-only":
      return "This message goes to one device only.";
    case "operands-missing":
      return `It ends before its “${finding.field}”.`;
    case "impossible-address":
      return `${finding.address} is not a possible physical address.`;
  }
}

/** Where the control wire ends although HDMI goes on. */
export function cutSentence(job: Job, cut: Cut): string {
  switch (cut.at) {
    case "device":
      return `${deviceName(job, cut.device)} cuts the control wire.`;
    case "socket":
      return `The control wire of ${deviceName(job, cut.device)} does not reach ${socketName(job, cut)}.`;
    case "cable":
      return `${cableName(job, cut.cable).replace(/^the/, "The")} has no control wire.`;
  }
}

const STATE_WORDS = { on: "is on", standby: "is in standby", waking: "wakes" } as const;

/** A change of state as a short sentence: "Bar is on." */
export function stateChangeWords(job: Job, { device, what, value }: StateChange): string {
  const name = deviceName(job, device);
  switch (what) {
    case "power":
      return `${name} ${STATE_WORDS[value as keyof typeof STATE_WORDS]}.`;
    case "input":
      return value === null ? `${name} switches to its own sources.` : `${name} switches to input ${value}.`;
    case "source":
      return value === null ? `${name} has no active source.` : `${name} takes ${value} as the active source.`;
    case "systemAudio":
      return value ? `${name}: system audio mode on.` : `${name}: system audio mode off.`;
    case "arc":
      return value ? `${name}: return channel started.` : `${name}: return channel ended.`;
    case "volume":
      return `${name} is at volume ${value}.`;
    case "muted":
      return value ? `${name} is muted.` : `${name} is unmuted.`;
  }
}
