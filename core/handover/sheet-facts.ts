import type { SettingKey } from "@/core/facts";

/** What a household does with a player. */
export const USES = ["tv", "film", "game", "music"] as const;
export type Use = (typeof USES)[number];

/** A key that a person presses; an input is named as it is printed at the socket, and null is what the device plays by itself. */
export type SheetKey =
  { readonly key: "power" | "volume-up" | "volume-down" | "mute" | "return" } | { readonly key: "input"; readonly input: string | null };

/** Whose key, and which; whether it is known to have a remote. */
export type SheetPress = SheetKey & { readonly device: string; readonly hasRemote: boolean };

/** Players that are used in the same way, each with what is watched, played or heard there. */
export interface UsedPlayer {
  readonly player: string;
  readonly uses: readonly Use[];
}

/** What a content loses, as somebody on the sofa would notice it. */
export type Missing = "sound" | "picture" | "surround" | "height" | "some-speakers";

/** Why, in the words of somebody who does not know the trade. */
export type PlainCause =
  | { readonly because: "device"; readonly device: string }
  | { readonly because: "speakers"; readonly device: string }
  | { readonly because: "cable" }
  | { readonly because: "setting"; readonly device: string }
  | { readonly because: "connection" }
  | { readonly because: "not-connected"; readonly device: string }
  | { readonly because: "service"; readonly device: string };

/** A check that a household makes with its own hands and remotes. */
export type SheetCheck =
  | { readonly check: "power-on" | "mute" | "louder" | "own-key" | "restart" | "unpair" | "other-title"; readonly device: string }
  | { readonly check: "mains"; readonly devices: readonly string[] }
  | { readonly check: "input"; readonly device: string; readonly input: string | null }
  | { readonly check: "menu"; readonly device: string; readonly setting: SettingKey; readonly menu: string; readonly value: string }
  | { readonly check: "plug"; readonly device: string; readonly socket: string }
  | { readonly check: "charge" | "place"; readonly unit: string };

/** What a line of the household's sheet says, in no language: names are those of the job, figures have their unit in the name. */
export type SheetFact =
  | { readonly says: "use"; readonly players: readonly UsedPlayer[] }
  /** What is watched can be seen on this screen too. */
  | { readonly says: "also-on"; readonly screen: string }
  | { readonly says: "press"; readonly press: SheetPress }
  /** The power key of whichever of several devices is wanted. */
  | { readonly says: "press-own-power" }
  /** What comes on by itself, and how long it takes until there is picture, sound or both; null: nothing to wait for. */
  | {
      readonly says: "wakes";
      readonly devices: readonly string[];
      readonly seconds: number | null;
      readonly until: "picture" | "sound" | "both";
    }
  /** For some uses of some players, or for all that is heard. */
  | { readonly says: "volume"; readonly device: string; readonly by: "remote" | "knob"; readonly players: readonly UsedPlayer[] | null }
  | { readonly says: "off"; readonly press: SheetPress; readonly stays: readonly string[] }
  | { readonly says: "follows"; readonly system: string }
  /** It has one input plugged of several, and nobody turns it. */
  | { readonly says: "stays-at"; readonly system: string; readonly input: string }
  | { readonly says: "choose"; readonly on: string; readonly players: readonly string[]; readonly input: string }
  | {
      readonly says: "display";
      readonly system: string;
      readonly words: string;
      readonly height: boolean;
      readonly players: readonly string[];
    }
  | {
      readonly says: "not-expected";
      readonly players: readonly UsedPlayer[];
      /** Other titles of the same kind are not lost in this way. */
      readonly isSome: boolean;
      readonly missing: Missing;
      readonly cause: PlainCause | null;
    }
  | { readonly says: "lamp-unit"; readonly unit: string }
  | { readonly says: "lamp-box"; readonly device: string; readonly searches: boolean }
  | {
      readonly says: "charge";
      readonly unit: string;
      readonly everyDays: number | null;
      readonly hours: number;
      readonly chargeHours: number;
    }
  | { readonly says: "speech"; readonly act: "voice-mode"; readonly device: string }
  | {
      readonly says: "speech";
      readonly act: "centre-up" | "bass-down" | "heights-down" | "surrounds-down";
      readonly device: string;
      readonly steps: number;
    }
  | { readonly says: "speech-order" }
  | { readonly says: "stays-on"; readonly devices: readonly string[]; readonly does: "passes-sound" | "passes-picture" | "plays" }
  | { readonly says: "control-stays"; readonly devices: readonly string[]; readonly sound: readonly string[] }
  | { readonly says: "check"; readonly check: SheetCheck }
  | { readonly says: "call"; readonly firm: string; readonly phone: string };

export const SHEET_SECTIONS = ["use", "silent", "sound", "surround", "speech", "lamps", "charging", "stays-on"] as const;
export type SheetSectionId = (typeof SHEET_SECTIONS)[number];

/** A line: a heading of a few lines, a numbered step, or a sentence. Its id is the same however often it is made. */
export interface SheetLine {
  readonly id: string;
  readonly as: "head" | "step" | "sentence";
  readonly fact: SheetFact;
}

export interface SheetSection {
  readonly id: SheetSectionId;
  readonly lines: readonly SheetLine[];
}

/** The sheet of a household in no language yet; sections without a line are left out. */
export interface HouseholdSheet {
  readonly room: string;
  readonly sections: readonly SheetSection[];
}
