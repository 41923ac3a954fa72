import { UNREGISTERED, type CecKind } from "@/core/facts";
import type { Device, VolumeKeyTaker } from "@/core/device";
import type { PhysicalAddress } from "./address";
import type { Message } from "./message";

/** Whether a device of a kind plays something that can be shown. */
export const isPlayer = (kind: CecKind): boolean => kind === "playback" || kind === "tuner" || kind === "recorder";

export type Power = "on" | "standby" | "waking";

/** What never changes of a device while an act runs. */
export interface Nature extends VolumeKeyTaker {
  readonly device: string;
  readonly kind: CecKind;
  readonly wire: number;
  readonly physical: PhysicalAddress;
  /** The display at the root of the tree in which that address counts; null: none. */
  readonly root: string | null;
  /** Null: it takes no part, and only hands and its own remote move it. */
  readonly logical: number | null;
  /** Physical address by input number minus one. */
  readonly inputs: readonly (PhysicalAddress | null)[];
  readonly wakeMs: number;
  /** It has neither a remote nor a control wire, so it is left on. */
  readonly leftOn: boolean;
  readonly version: Device["control"]["version"];
  /** The screen that must be awake before it reads where it is; null: it always knows. */
  readonly placedBy: string | null;
  /** Its own switches for power: whether it wakes others, and whether it goes off with them. */
  readonly wakesOthers: boolean;
  readonly obeysStandby: boolean;
  /** A screen set to play from the sound system; always so for the others. */
  readonly playsElsewhere: boolean;
  /** It can play sound itself; a monitor or projector without speakers never does. */
  readonly hasSpeakers: boolean;
  /** It hands the picture of its inputs on while it sleeps. */
  readonly passesAsleep: boolean;
  /** A screen: the sound system that hears its volume keys by infrared; null: none does. */
  readonly infraredTo: string | null;
  /** The return channel between it and its partner, as far as sockets, wires and switches allow. */
  readonly returnLink: "none" | "arc" | "earc";
}

/** What a device is doing at a moment. */
export interface Station {
  readonly nature: Nature;
  /** It reads from an EDID where it is. Without one it holds no address. */
  readonly placed: boolean;
  readonly power: Power;
  /** The number of the chosen input; null: its own apps or tuner, or for a sound system what comes back from the screen. */
  readonly input: number | null;
  /** Who it takes for the one that is shown. */
  readonly source: PhysicalAddress | null;
  /** Sound plays from the sound system, as it believes. */
  readonly systemAudio: boolean;
  /** The return channel was agreed on. */
  readonly arc: boolean;
  readonly volume: number;
  readonly muted: boolean;
  /** Asked for while it was still waking: done once it is awake. */
  readonly pending: readonly Wish[];
}

/** What a waking device does first of all. */
export type Wish =
  { readonly wish: "system-audio"; readonly address: PhysicalAddress } | { readonly wish: "be-source" } | { readonly wish: "start" };

/** What happens to a device. */
export type Happening =
  | { readonly kind: "hears"; readonly from: number; readonly toAll: boolean; readonly message: Message; readonly fromMaker: string }
  | { readonly kind: "presses"; readonly key: Press }
  | { readonly kind: "timer"; readonly name: Timer };

/** The EDID above a device comes or goes with its screen. */
export type PlaceShown = { readonly kind: "edid"; readonly shown: boolean };

/** A key of the device's own remote. */
export type Press =
  | { readonly press: "power-on" | "power-off" | "volume-up" | "volume-down" | "mute" | "begin-return" }
  | { readonly press: "input"; readonly input: number | null };

export type Timer = "awake" | "claim-again" | "ask-return";

/** What a device does next: its new state, what it sends, what it waits for. */
export interface Step {
  readonly station: Station;
  readonly sends: readonly { readonly to: number; readonly message: Message | null }[];
  readonly timers: readonly { readonly name: Timer; readonly afterMs: number }[];
  /** Keys that it sends on by infrared, and to whom. */
  readonly infrared: readonly { readonly device: string; readonly key: Press }[];
}

/** The logical address by which it speaks and is spoken to now; null: it takes no part. */
export const addressOf = ({ nature, placed }: Station): number | null =>
  nature.logical !== null && !placed ? UNREGISTERED : nature.logical;

export const stay = (station: Station): Step => ({ station, sends: [], timers: [], infrared: [] });

/** One step and then another, as one. */
export function andThen(step: Step, next: (station: Station) => Step): Step {
  const more = next(step.station);
  return {
    station: more.station,
    sends: [...step.sends, ...more.sends],
    timers: [...step.timers, ...more.timers],
    infrared: [...step.infrared, ...more.infrared],
  };
}

export const become = (station: Station, changes: Partial<Station>): Step => stay({ ...station, ...changes });

export const send = (station: Station, to: number, ...messages: readonly (Message | null)[]): Step => ({
  ...stay(station),
  sends: messages.filter((message) => maySend(station, message)).map((message) => ({ to, message })),
});

/** One that does not know where it is may only ask the screen to wake. Source: CEC 1.4 §10.2.1 (unregistered), §13.1.3. */
const maySend = ({ nature, placed }: Station, message: Message | null): boolean =>
  nature.logical !== null && (placed || message?.kind === "image-view-on");

export const wait = (station: Station, name: Timer, afterMs: number): Step => ({ ...stay(station), timers: [{ name, afterMs }] });

/** Sends a key on by infrared. */
export const beam = (station: Station, device: string, key: Press): Step => ({ ...stay(station), infrared: [{ device, key }] });
