import { z } from "zod";
import { CEC_KINDS } from "@/core/facts";

/** What a device is known to do on the control bus that its class does not. Each is learned on site by what was seen. */
export const QUIRKS = [
  "ignores-standby",
  "wakes-by-itself",
  "steals-source",
  "system-audio-only-when-on",
  "ignores-foreign-keys",
  "arc-only-by-hand",
  "drops-arc-on-input-change",
  "sends-only",
  "volume-by-remote-only",
  "switches-all-off",
] as const;
export type Quirk = (typeof QUIRKS)[number];

/** In which devices a habit is looked for. */
export const QUIRKS_OF: Readonly<Record<Quirk, readonly ("player" | "box" | "screen" | "sound")[]>> = {
  "ignores-standby": ["screen", "sound", "player"],
  "wakes-by-itself": ["player"],
  "steals-source": ["player"],
  "system-audio-only-when-on": ["sound"],
  "ignores-foreign-keys": ["sound"],
  "arc-only-by-hand": ["sound"],
  "drops-arc-on-input-change": ["sound"],
  "sends-only": ["screen", "sound", "player"],
  "volume-by-remote-only": ["sound"],
  "switches-all-off": ["player"],
};

/** How infrared switches a device: separate on and off keys, one toggle key, or not at all. */
export const INFRARED = ["on-and-off", "to-and-fro", "none"] as const;
export type Infrared = (typeof INFRARED)[number];

/** Nothing that is asked to wake takes longer, or it is taken for asleep. */
export const MOST_WAKE_MS = 120_000;

/** A device on the control bus (CEC). Whether it takes part at all is `speaksCec` and its setting. */
export const Control = z.strictObject({
  /** What it says it is; null: as its role and sources tell. */
  kind: z.enum(CEC_KINDS).nullable().default(null),
  /** The HDMI sockets across which its control wire runs on; null: all of them. */
  joins: z.array(z.string().min(1).max(64)).max(32).nullable().default(null),
  /** From the wish to be on until it is; null: as its class. */
  wakeMs: z.number().int().min(0).max(MOST_WAKE_MS).nullable().default(null),
  /** What its maker calls HDMI control in the menu, as read on site. */
  menuName: z.string().max(80).default(""),
  /** The edition of CEC that it says it speaks; from 2.0 a player may take a backup address. */
  version: z.enum(["1.4", "2.0"]).default("1.4"),
  infrared: z.enum(INFRARED).default("on-and-off"),
  /** A screen that sends volume keys by infrared itself, and how far that reaches in clear view; null: it does not. */
  infraredReachM: z.number().positive().max(20).nullable().default(null),
  /** How far it is from the screen; null: not measured. */
  fromScreenM: z.number().min(0).max(100).nullable().default(null),
  /** It is behind a door, out of the sight of a remote. */
  hidden: z.boolean().default(false),
  quirks: z.array(z.enum(QUIRKS)).max(QUIRKS.length).default([]),
});
export type Control = z.infer<typeof Control>;
