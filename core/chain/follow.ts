import { bedChannels, BLUETOOTH_DELAY, settingFact, type LinkKind } from "@/core/facts";
import type { Device, SoundRoute } from "@/core/device";
import { alignmentMs } from "@/core/room";
import { addDelays, milliseconds, type Milliseconds } from "@/core/units";
import { isBackwards } from "./backwards";
import { gateOf } from "./conditions";
import { handOn } from "./hand-on";
import { exitLink, forwardLink } from "./exit-link";
import { carriesCodings, leavingOn, turnedBy, whyNotCarry } from "./link";
import { listingAt } from "./listing";
import { pastUnknown } from "./past-unknown";
import { keepsObjects, playOn, whyNotPlay, type Played } from "./play";
import type { Loss, Reason, UnknownFact } from "./reason";
import { returnChannel } from "./return-channel";
import type { Rig } from "./rig";
import { streamKey, type Stream } from "./stream";
import { decodingAll } from "./upper-bound";
import type { Step, Way } from "./way";
import { whyNothing } from "./why-nothing";

/** A place on the way: what came in, what went on, and over which link it came. */
export interface Hop {
  readonly device: string;
  /** The socket, or the source or "speakers" inside the device. */
  readonly port: string;
  readonly cable: string | null;
  readonly link: LinkKind | null;
  readonly in: Stream | null;
  readonly out: Stream | null;
  readonly delayMs: Milliseconds | null;
}

/** A way with its sound: hop by hop, and what comes of it. */
export interface Followed {
  readonly way: Way;
  readonly hops: readonly Hop[];
  readonly leaves: Stream | null;
  readonly arrives: Stream | null;
  readonly plays: Played | null;
  /** What stops the sound, each at its hop. All are told, so that curing the first does not only uncover the second. */
  readonly blocks: readonly Loss[];
  readonly unknown: readonly { readonly fact: UnknownFact; readonly hop: number }[];
  /** What may arrive where nobody knows what does. */
  readonly mayArrive: readonly Stream[];
  readonly delayMs: Milliseconds | null;
}

interface Progress {
  readonly out: Stream | null;
  readonly delayMs: Milliseconds | null;
  readonly link: LinkKind | null;
  readonly reasons: readonly Reason[];
  readonly facts: readonly UnknownFact[];
  readonly plays?: Played | null;
}

/** Sends the streams of a source along a way and notes what each hop does. */
export function follow(rig: Rig, way: Way, tracks: readonly Stream[]): Followed {
  const hops: Hop[] = [];
  const blocks: Loss[] = [];
  const unknown: { fact: UnknownFact; hop: number }[] = [];
  let current: Stream | null = null;
  let delayMs: Milliseconds | null = milliseconds(0);
  let plays: Played | null = null;
  // What may be on its way where nobody knows what is.
  let possible: readonly Stream[] = [];
  for (const [hop, step] of way.entries()) {
    const inputs: readonly Stream[] = hop === 0 ? tracks : current ? [current] : [];
    const told = takeStep(rig, step, inputs, hop === 0);
    const refused = told.out && told.link ? appRefuses(way, told.link) : null;
    const progress: Progress = refused ? { ...told, ...stopped([refused]), link: told.link } : told;
    for (const reason of progress.reasons) {
      // A socket without a return is missed inside the screen and again on its cable; it is told once, where it is first missed.
      if (!blocks.some((block) => sameReason(block.reason, reason))) blocks.push({ reason, hop, scope: "path" });
    }
    for (const fact of progress.facts) unknown.push({ fact, hop });
    if (progress.facts.length || (inputs.length === 0 && possible.length)) {
      const choices = inputs.length ? [inputs] : possible.map((stream) => [stream]);
      const beyond = pastUnknown(rig, step, progress.reasons.length ? [] : choices, hop === 0);
      if (beyond.reason) blocks.push({ reason: beyond.reason, hop, scope: "path" });
      possible = beyond.streams;
    }
    hops.push(hopOf(step, inputs[0] ?? null, progress));
    current = progress.out;
    delayMs = delayMs === null || progress.delayMs === null ? null : addDelays(delayMs, progress.delayMs);
    plays = progress.plays ?? null;
  }
  return {
    way,
    hops,
    leaves: hops[0]?.out ?? null,
    arrives: plays ? current : null,
    plays,
    blocks,
    unknown,
    mayArrive: blocks.length ? [] : possible,
    delayMs,
  };
}

/** Some apps stay silent over a link that carries the others. */
function appRefuses(way: Way, link: LinkKind): Reason | null {
  const [start] = way;
  const source = start?.kind === "inside" ? start.device.sources.find(({ id }) => id === start.from) : undefined;
  return start?.kind === "inside" && source?.failsOver.some((name) => name === link)
    ? { code: "app-fails-over", device: start.device.id, source: source.id, link }
    : null;
}

/** The same obstacle met twice: a missing return socket inside the screen and on its cable, one switch that shuts a box both ways. */
function sameReason(a: Reason, b: Reason): boolean {
  if (a.code === "no-return-socket" && b.code === a.code) return a.device === b.device && a.port === b.port;
  return a.code === "setting-shuts" && b.code === a.code && a.device === b.device && a.setting === b.setting;
}

/** Written out field by field: hops are made many thousand times. */
const hopOf = (step: Step, input: Stream | null, { link, out, delayMs }: Progress): Hop =>
  step.kind === "link"
    ? { device: step.to.device, port: step.to.port, cable: step.cable.id, link, in: input, out, delayMs }
    : { device: step.device.id, port: step.to, cable: null, link, in: input, out, delayMs };

function takeStep(rig: Rig, step: Step, inputs: readonly Stream[], isPlayer: boolean): Progress {
  switch (step.kind) {
    case "gap":
      return stopped([step.reason]);
    case "link":
      return alongLink(rig, step, inputs[0] ?? null);
    case "inside":
      return step.to === "speakers"
        ? toSpeakers(rig, step.device, step.from, step.route, inputs)
        : throughDevice(rig, step, inputs, isPlayer);
  }
}

const NONE = [] as const;
const nothing: Progress = { out: null, delayMs: milliseconds(0), link: null, reasons: NONE, facts: NONE };
const stopped = (reasons: readonly Reason[]): Progress => ({ ...nothing, reasons });
const doubtful = (facts: readonly UnknownFact[]): Progress => ({ ...nothing, facts });
const sent = (out: Stream | null, link: LinkKind | null, delayMs: Milliseconds | null): Progress => ({
  out,
  delayMs,
  link,
  reasons: NONE,
  facts: NONE,
});
const routeDelay = (route: SoundRoute) => (route.delayMs === null ? null : milliseconds(route.delayMs));

function alongLink(rig: Rig, step: Extract<Step, { kind: "link" }>, input: Stream | null): Progress {
  if (step.transport === "forward") {
    const link = forwardLink(rig, step.from);
    if (isBackwards(step.cable)) return { ...stopped([{ code: "cable-backwards", cable: step.cable.id }]), link };
    return carried(input, link, input ? whyNotCarry(input, link, []) : null, linkDelay(rig, step));
  }
  const channel = returnChannel(rig, step.cable);
  if (channel.kind === "closed") return { ...stopped(channel.reasons), link: "arc" };
  if (channel.kind === "unknown") return { ...doubtful(channel.facts), link: "arc" };
  return carried(input, channel.link, input ? whyNotCarry(input, channel.link, channel.because) : null, milliseconds(0));
}

/** Bluetooth alone takes time on the way: as long as was seen at either end, else as the codec that both ends share; the usual where nobody knows. */
export function linkDelay(rig: Rig, step: Extract<Step, { kind: "link" }>): Milliseconds {
  const ends = [rig.port(step.from), rig.port(step.to)];
  if (!ends.some((port) => port?.connector === "bluetooth")) return milliseconds(0);
  const seen = ends.flatMap((port) => (port?.connector === "bluetooth" && port.delayMs !== null ? [port.delayMs] : []));
  if (seen.length) return milliseconds(Math.max(...seen));
  return ends.every((port) => port?.connector === "bluetooth" && port.lowDelay === true) ? BLUETOOTH_DELAY.low : BLUETOOTH_DELAY.usual;
}

const carried = (input: Stream | null, link: LinkKind, reason: Reason | null, delayMs: Milliseconds): Progress =>
  reason ? { ...stopped([reason]), link } : sent(input && turnedBy(link, input), link, delayMs);

function throughDevice(rig: Rig, step: Extract<Step, { kind: "inside" }>, inputs: readonly Stream[], isPlayer: boolean): Progress {
  const { device, route } = step;
  const gate = gateOf(rig, device, route.opens);
  if (gate.reason) return stopped([gate.reason]);
  const off = inputOff(rig, device, step.from);
  if (off) return stopped([off]);
  const format = route.format ? rig.setting(device, route.format) : undefined;
  const listing = listingAt(rig, { device: device.id, port: step.to });
  const facts: UnknownFact[] = [];
  if (gate.fact) facts.push(gate.fact);
  if (rig.setting(device, "input-sound") === null) facts.push({ fact: "setting", device: device.id, setting: "input-sound" });
  if (route.format && format === null) facts.push({ fact: "setting", device: device.id, setting: route.format });
  if (listing.unknown && !route.blind) facts.push(listing.unknown);
  if (inputs.length === 0) return facts.length ? doubtful(facts) : { ...nothing, delayMs: routeDelay(route) };
  if (route.passes === null && inputs.some((input) => input.coding !== "lpcm"))
    facts.push({ fact: "passes", device: device.id, port: step.from });
  if (facts.length) return doubtful(facts);
  const link = exitLink(rig, { device: device.id, port: step.to })?.link ?? null;
  const desk = { device, route, listing, format: format ?? undefined, carriesCodings: link === null || carriesCodings(link) };
  const out = handOn(desk, inputs);
  if (device.decodes === null && !isSame(out, handOn({ ...desk, device: decodingAll(device) }, inputs)))
    return doubtful([{ fact: "decoders", device: device.id }]);
  if (out) return sent(link ? leavingOn(link, out, route.blind) : out, null, routeDelay(route));
  const reason = inputs[0] ? whyNothing(rig, step, inputs[0], isPlayer, listing.sounds) : null;
  return reason ? stopped([reason]) : nothing;
}

const isSame = (a: Stream | null, b: Stream | null): boolean => (a && streamKey(a)) === (b && streamKey(b));

/** The sound of one HDMI input may be switched off at a screen. */
function inputOff(rig: Rig, device: Device, from: string): Reason | null {
  const value = rig.setting(device, "input-sound");
  return value === from ? { code: "setting-shuts", device: device.id, setting: "input-sound", value, wanted: ["on"] } : null;
}

const HUSHERS = ["mute", "volume-level"] as const;
/** Settings that can keep a system silent. */
const SILENCERS = [...HUSHERS, "input-sound"] as const;

/** A system that is muted, or whose volume is at nothing. */
function hushed(rig: Rig, device: Device): readonly Reason[] {
  const reasons: Reason[] = [];
  for (const setting of HUSHERS) {
    const value = rig.setting(device, setting);
    const { usual } = settingFact(setting);
    if (value && usual !== null && value !== usual)
      reasons.push({ code: "setting-shuts", device: device.id, setting, value, wanted: [usual] });
  }
  return reasons;
}

/** What a person has set the sound to be held back by. Null: nobody has looked. */
function addedDelay(rig: Rig, device: Device): Milliseconds | null {
  const value = rig.setting(device, "sound-delay");
  return value === null ? null : milliseconds(Number(value ?? 0) || 0);
}

function toSpeakers(rig: Rig, device: Device, from: string, route: SoundRoute, inputs: readonly Stream[]): Progress {
  const gate = gateOf(rig, device, route.opens);
  if (gate.reason) return stopped([gate.reason]);
  const off = inputOff(rig, device, from);
  const hush = hushed(rig, device);
  if (off || hush.length) return stopped(off ? [off, ...hush] : hush);
  const input = inputs[0];
  const facts: UnknownFact[] = gate.fact ? [gate.fact] : [];
  for (const setting of SILENCERS) if (rig.setting(device, setting) === null) facts.push({ fact: "setting", device: device.id, setting });
  if (input && device.decodes === null) facts.push({ fact: "decoders", device: device.id });
  if (input && rig.setting(device, "decode-mode") === null && (bedChannels(input.channels) > 2 || keepsObjects(input, device)))
    facts.push({ fact: "setting", device: device.id, setting: "decode-mode" });
  if (facts.length) return doubtful(facts);
  if (!input) return nothing;
  // A screen's own source may hold several tracks: its decoder takes the first it knows.
  const playable = inputs.find((stream) => whyNotPlay(stream, device) === null);
  if (!playable) {
    const reason = whyNotPlay(input, device);
    return reason ? stopped([reason]) : nothing;
  }
  const own = device.speakers?.delayMs ?? null;
  const inside = routeDelay(route);
  const added = addedDelay(rig, device);
  return {
    ...nothing,
    out: playable,
    plays: playOn(rig, playable, device),
    delayMs:
      own === null || inside === null || added === null
        ? null
        : addDelays(addDelays(milliseconds(own + alignmentMs(rig.job, device)), inside), added),
  };
}
