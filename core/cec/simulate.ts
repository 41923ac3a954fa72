import { CEC_TIMES, EVERYONE } from "@/core/facts";
import { bytesOfFrame, frameMs, restMs, winsArbitration, type Frame } from "./frame";
import { playerStep } from "./machines/player";
import { screenStep } from "./machines/screen";
import { soundStep } from "./machines/sound";
import { readsPlace } from "./manners";
import { INFRARED_KEY_MS } from "./programmed-remote";
import { addressOf, type Happening, type PlaceShown, type Press, type Station, type Step } from "./station";

/** A frame as it went over the wire. */
export interface SentFrame {
  readonly tMs: number;
  readonly endMs: number;
  readonly wire: number;
  readonly device: string;
  readonly frame: Frame;
  readonly bytes: readonly number[];
  /** Somebody answered with the acknowledge bit; to everyone: nobody refused. */
  readonly acknowledged: boolean;
  /** How often it had been sent before. */
  readonly again: number;
  /** Who wanted to begin at the same moment and gave way. */
  readonly gaveWay: readonly string[];
}

/** What changed at a device and when. */
export interface StateChange {
  readonly tMs: number;
  readonly device: string;
  readonly what: "power" | "input" | "source" | "systemAudio" | "arc" | "volume" | "muted";
  readonly value: string | number | boolean | null;
}

/** What went over the wires during an act, and how the room stands after it. */
export interface Trace {
  readonly frames: readonly SentFrame[];
  readonly changes: readonly StateChange[];
  readonly end: ReadonlyMap<string, Station>;
  /** The bus did not come to rest within the bounds of an act. */
  readonly restless: boolean;
}

/** The first frame that nobody answered or that was refused; null where all went through. */
export function faultOf({ frames }: Pick<Trace, "frames">): number | null {
  const at = frames.findIndex(
    ({ acknowledged, frame }) => (!acknowledged && frame.message !== null) || frame.message?.kind === "feature-abort",
  );
  return at < 0 ? null : at;
}

/** A key pressed on a device's own remote, at a time of the act. */
export interface Pressed {
  readonly atMs: number;
  readonly device: string;
  readonly key: Press;
}

/** An act that is not at rest by then never is. */
const MOST_FRAMES = 400;
const LONGEST_MS = 120_000;
/** How long a hot plug lasts before the EDID is read again. Source: HDMI 1.4 §8.5, at least 100 ms low. */
const HOT_PLUG_MS = 150;
const WATCHED = ["power", "input", "source", "systemAudio", "arc", "volume", "muted"] as const;

interface Waiting {
  readonly readyMs: number;
  readonly frame: Frame;
  readonly again: number;
}
interface Due {
  readonly atMs: number;
  readonly device: string;
  readonly happening: Happening | PlaceShown;
}

/**
 * Plays an act on the wires of a room by a clock of its own: keys are pressed, devices wake, send, give way, are acknowledged or try
 * again. The same room, keys and seed give the same trace.
 * Source: CEC 1.4 §7 (arbitration, acknowledge, retransmission), §9 (signal-free times).
 */
export function simulate(stations: ReadonlyMap<string, Station>, pressed: readonly Pressed[], seed = 1): Trace {
  const now = new Map(stations);
  const queues = new Map<string, Waiting[]>([...stations.keys()].map((device) => [device, []]));
  const wires = new Map<number, { freeMs: number; last: string | null }>();
  const frames: SentFrame[] = [];
  const changes: StateChange[] = [];
  const chance = chanceOf(seed);
  /** The earliest first; of two at one moment the one that was scheduled first. */
  const due: Due[] = [];
  const schedule = (atMs: number, device: string, happening: Due["happening"]) => {
    const later = due.findLastIndex((other) => other.atMs <= atMs) + 1;
    due.splice(later, 0, { atMs, device, happening });
  };
  /** Whoever reads its place through this screen finds it or loses it. */
  const showEdid = (tMs: number, screen: string, shown: boolean) => {
    for (const { nature } of now.values())
      if (nature.placedBy === screen) schedule(tMs + HOT_PLUG_MS, nature.device, { kind: "edid", shown });
  };
  const happen = (tMs: number, device: string, happening: Due["happening"]) => {
    const station = now.get(device);
    if (!station) return;
    const step = stepOf(station, happening);
    if (step.station !== station) {
      for (const what of WATCHED) if (step.station[what] !== station[what]) changes.push({ tMs, device, what, value: step.station[what] });
      now.set(device, step.station);
      if ((step.station.power === "on") !== (station.power === "on")) showEdid(tMs, device, step.station.power === "on");
    }
    // A device thinks for a moment before it answers; how long differs from time to time.
    let readyMs = tMs + (happening.kind === "hears" ? 20 + 60 * chance() : 5);
    for (const { to, message } of step.sends) {
      queues.get(device)?.push({ readyMs, frame: { from: addressOf(step.station) ?? EVERYONE, to, message }, again: 0 });
      readyMs += 1;
    }
    for (const { device: to, key } of step.infrared) schedule(tMs + INFRARED_KEY_MS, to, { kind: "presses", key });
    for (const { name, afterMs } of step.timers) schedule(tMs + afterMs, device, { kind: "timer", name });
  };
  for (const { atMs, device, key } of pressed) schedule(atMs, device, { kind: "presses", key });

  while (frames.length < MOST_FRAMES) {
    const next = nextFrame(now, queues, wires);
    const [first] = due;
    if (!next && !first) return { frames, changes, end: now, restless: false };
    if (first && (!next || first.atMs <= next.startMs)) {
      if (first.atMs > LONGEST_MS) break;
      due.shift();
      happen(first.atMs, first.device, first.happening);
      continue;
    }
    if (!next || next.startMs > LONGEST_MS) break;
    const listeners = listenersOf(now, next);
    const sent = sendOne(queues, wires, next, listeners);
    frames.push(sent);
    const { from, to, message } = sent.frame;
    const sender = now.get(sent.device);
    if (!sent.acknowledged || !message || !sender) continue;
    const hears = { kind: "hears", from, toAll: to === EVERYONE, message, fromMaker: sender.nature.maker } as const;
    for (const listener of listeners) schedule(sent.endMs, listener, hears);
  }
  return { frames, changes, end: now, restless: true };
}

function stepOf(station: Station, happening: Happening | PlaceShown): Step {
  if (happening.kind === "edid") return readsPlace(station, happening.shown);
  switch (station.nature.kind) {
    case "tv":
      return screenStep(station, happening);
    case "audio":
      return soundStep(station, happening);
    default:
      return playerStep(station, happening);
  }
}

interface Next {
  readonly startMs: number;
  readonly wire: number;
  readonly device: string;
  readonly waiting: Waiting;
  readonly gaveWay: readonly string[];
}

/** The frame that begins next: the earliest that its wire's rest allows; of two at one moment the lower header. */
function nextFrame(
  stations: ReadonlyMap<string, Station>,
  queues: ReadonlyMap<string, readonly Waiting[]>,
  wires: ReadonlyMap<number, { freeMs: number; last: string | null }>,
): Next | null {
  let best: Next | null = null;
  for (const [device, queue] of queues) {
    const waiting = queue[0];
    const station = waiting && stations.get(device);
    if (!station) continue;
    const { wire } = station.nature;
    const { freeMs, last } = wires.get(wire) ?? { freeMs: 0, last: null };
    const rest = restMs(waiting.again ? "again" : last === device ? "same-initiator" : "new-initiator");
    best = earlier(best, { startMs: Math.max(waiting.readyMs, freeMs + rest), wire, device, waiting, gaveWay: [] });
  }
  return best;
}

/** Two that begin within the same tenth of a bit both pull the wire; the lower header goes on. */
function earlier(best: Next | null, other: Next): Next {
  if (!best) return other;
  const isTie = best.wire === other.wire && Math.abs(best.startMs - other.startMs) < CEC_TIMES.bitMs / 10;
  if (!isTie) return other.startMs < best.startMs ? other : best;
  const [winner, loser] = winsArbitration(best.waiting.frame, other.waiting.frame) === best.waiting.frame ? [best, other] : [other, best];
  return { ...winner, gaveWay: [...winner.gaveWay, ...loser.gaveWay, loser.device] };
}

function sendOne(
  queues: Map<string, Waiting[]>,
  wires: Map<number, { freeMs: number; last: string | null }>,
  { startMs, wire, device, waiting, gaveWay }: Next,
  listeners: readonly string[],
): SentFrame {
  const bytes = bytesOfFrame(waiting.frame);
  const endMs = startMs + frameMs(bytes.length);
  const acknowledged = waiting.frame.to === EVERYONE || listeners.length > 0;
  const rest = queues.get(device)?.slice(1) ?? [];
  const isGivenUp = acknowledged || waiting.frame.message === null || waiting.again >= CEC_TIMES.triesAgain;
  queues.set(device, isGivenUp ? rest : [{ ...waiting, readyMs: endMs, again: waiting.again + 1 }, ...rest]);
  wires.set(wire, { freeMs: endMs, last: device });
  return { tMs: startMs, endMs, wire, device, frame: waiting.frame, bytes, acknowledged, again: waiting.again, gaveWay };
}

/** Who takes a frame in: the one that holds its address, or everyone else on the wire. */
function listenersOf(stations: ReadonlyMap<string, Station>, { wire, device, waiting: { frame } }: Next): readonly string[] {
  const listeners: string[] = [];
  for (const station of stations.values()) {
    const { nature } = station;
    if (nature.wire !== wire || nature.device === device) continue;
    const address = addressOf(station);
    if (address !== null && (frame.to === EVERYONE || address === frame.to)) listeners.push(nature.device);
  }
  return listeners;
}

/** Numbers from 0 to 1 that a seed decides: a linear congruential generator, constants of Numerical Recipes §7.1. */
function chanceOf(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}
