import type { CableState } from "@/core/device";
import type { PictureMode, SettingKey } from "@/core/facts";
import type { Hdcp, Picture } from "./picture";

/** What one thing on the way of a picture can do; null where nobody knows. */
export type PictureLimit =
  | {
      readonly kind: "socket";
      readonly device: string;
      readonly port: string;
      readonly gbps: number | null;
      readonly hdcp: Hdcp | null;
      /** Its rate is low only because the device's picture mode is standard. */
      readonly standard: boolean;
      /** What it would carry in the standard picture mode, where nobody knows which mode is set; null where that is known. */
      readonly perhapsGbps: number | null;
    }
  | {
      readonly kind: "cable";
      readonly cable: string;
      readonly gbps: number;
      readonly lengthM: number;
      readonly passive: boolean;
      readonly certainM: number;
    }
  /** A device that passes only some HDR formats, or no variable refresh. */
  | { readonly kind: "route"; readonly device: string; readonly hdr: readonly Picture["hdr"][] | null; readonly gaming: boolean }
  /** Another screen on a splitter without a scaler: all get what the least of them can. */
  | { readonly kind: "other-screen"; readonly device: string; readonly maxMode: PictureMode; readonly hdr: readonly Picture["hdr"][] }
  /** A converter that makes one timing of whatever comes. */
  | { readonly kind: "converter"; readonly device: string; readonly makes: PictureMode };

/** Why the picture is not as mastered, or not assured. */
export type PictureLoss =
  | {
      readonly code: "picture-hdcp";
      readonly device: string;
      readonly port: string;
      readonly need: string;
      readonly have: string;
      /** What the player does then. */
      readonly then: "drops" | "black";
    }
  | { readonly code: "picture-rate"; readonly at: PictureLimit; readonly need: number; readonly have: number; readonly unit: "Gb/s" }
  | { readonly code: "picture-mode"; readonly device: string; readonly need: PictureMode; readonly have: PictureMode }
  | { readonly code: "picture-hdr"; readonly device: string; readonly need: string }
  | { readonly code: "picture-hdr-off"; readonly device: string; readonly need: string }
  | { readonly code: "picture-gaming"; readonly device: string }
  | { readonly code: "picture-lines"; readonly device: string; readonly need: PictureMode; readonly have: number }
  | { readonly code: "picture-length"; readonly cable: string; readonly need: number; readonly have: number; readonly unit: "m" }
  | { readonly code: "picture-tight"; readonly need: number; readonly have: number; readonly unit: "Gb/s" }
  | { readonly code: "picture-shut"; readonly device: string; readonly setting: SettingKey; readonly value: string }
  | { readonly code: "picture-setting-unknown"; readonly device: string; readonly setting: SettingKey }
  | { readonly code: "picture-plug"; readonly device: string; readonly port: string }
  | { readonly code: "picture-backwards"; readonly cable: string }
  /** The player is set to send one format, whatever the way carries. */
  | { readonly code: "picture-forced"; readonly device: string }
  /** No cable and no inner way leads the picture from this device to a screen. */
  | { readonly code: "picture-no-way"; readonly device: string }
  /** A device that does nothing as it is now. */
  | { readonly code: "picture-device-state"; readonly device: string; readonly state: "no-power" | "dead" }
  /** A lead that carries nothing as it is now. */
  | { readonly code: "picture-cable-state"; readonly cable: string; readonly state: Exclude<CableState, "sound"> }
  /** Nobody has noted what this screen shows. */
  | { readonly code: "picture-no-display"; readonly device: string }
  | { readonly code: "picture-unknown"; readonly device: string; readonly port: string };
