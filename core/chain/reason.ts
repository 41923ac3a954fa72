import type { Bed, Coding, LinkKind, Objects, SettingKey } from "@/core/facts";
import type { CableState } from "@/core/device";
import type { Milliseconds } from "@/core/units";

/** Why a return channel is only ARC where eARC was hoped for. */
export type ReturnLimit =
  | { readonly code: "earc-off"; readonly device: string }
  | { readonly code: "pair-missing"; readonly cable: string }
  | { readonly code: "socket-arc-only"; readonly device: string; readonly port: string };

/** A fact that the verdict depends on and that nobody has given. */
export type UnknownFact =
  | { readonly fact: "return-socket"; readonly device: string; readonly port: string }
  | { readonly fact: "return-wires"; readonly cable: string }
  | { readonly fact: "setting"; readonly device: string; readonly setting: SettingKey }
  | { readonly fact: "passes"; readonly device: string; readonly port: string }
  | { readonly fact: "listing"; readonly device: string; readonly port: string }
  | { readonly fact: "decoders"; readonly device: string };

/** Why something of the sound does not go on, with the numbers. Sentences are made of these in `core/text`. */
export type Reason =
  | {
      readonly code: "link-capacity";
      readonly link: LinkKind;
      readonly coding: Coding;
      readonly need: number;
      readonly have: number;
      readonly unit: "Mb/s";
      readonly because: readonly ReturnLimit[];
    }
  | {
      readonly code: "link-channels";
      readonly link: LinkKind;
      readonly need: Bed;
      readonly have: Bed;
      readonly because: readonly ReturnLimit[];
    }
  | {
      readonly code: "format-setting";
      readonly device: string;
      readonly setting: SettingKey;
      readonly value: string;
      readonly coding: Coding;
      readonly need: Bed;
      /** What comes out in its place; null: nothing. */
      readonly into: Coding | null;
      readonly have: Bed | null;
    }
  | { readonly code: "does-not-pass"; readonly device: string; readonly coding: Coding; readonly objects: Objects }
  | { readonly code: "passes-fewer"; readonly device: string; readonly coding: Coding; readonly need: Bed; readonly have: Bed }
  | {
      readonly code: "cannot-emit";
      readonly device: string;
      readonly coding: Coding;
      /** It sends the coding, but without these objects; "none": it does not send the coding, or not that wide. */
      readonly objects: Objects;
      readonly need: Bed;
      readonly have: Bed | null;
    }
  /** Nothing forbids the better form, but this device's own order of choice sends another. */
  | { readonly code: "prefers"; readonly device: string; readonly coding: Coding; readonly need: Bed; readonly sent: Coding }
  /** A device coded the sound again with loss: the how-manieth lossy coding that was. */
  | { readonly code: "coded-again"; readonly device: string; readonly from: Coding; readonly to: Coding; readonly generation: number }
  | {
      readonly code: "not-listed";
      readonly device: string;
      readonly port: string;
      readonly coding: Coding;
      readonly objects: Objects;
      readonly need: Bed;
      readonly have: Bed | null;
      /** The box that shows the sender a copy of that list; null: the sender sees the list itself. */
      readonly copiedBy: string | null;
      /** The device on the way that then does not send it on; null: the player itself. */
      readonly sender: string | null;
    }
  | { readonly code: "cannot-decode"; readonly device: string; readonly coding: Coding }
  | { readonly code: "speakers-fewer"; readonly device: string; readonly need: Bed; readonly have: Bed }
  | { readonly code: "no-object-decoder"; readonly device: string; readonly objects: Objects }
  /** Objects are decoded, and play from the speakers around the listener alone. */
  | { readonly code: "no-height-speakers"; readonly device: string; readonly objects: Objects; readonly have: Bed }
  | { readonly code: "no-return-socket"; readonly device: string; readonly port: string }
  | { readonly code: "no-return-wire"; readonly cable: string }
  | { readonly code: "return-off"; readonly device: string; readonly setting: "arc" | "cec"; readonly because: readonly ReturnLimit[] }
  | { readonly code: "no-sound-route"; readonly device: string; readonly port: string }
  | { readonly code: "speakers-choice"; readonly device: string; readonly value: string }
  | {
      readonly code: "setting-shuts";
      readonly device: string;
      readonly setting: SettingKey;
      readonly value: string;
      readonly wanted: readonly string[];
    }
  | { readonly code: "app-fails-over"; readonly device: string; readonly source: string; readonly link: LinkKind }
  | { readonly code: "plug-mutes"; readonly device: string; readonly port: string }
  | { readonly code: "link-lossy"; readonly link: LinkKind; readonly generation: number; readonly delayMs: Milliseconds }
  | { readonly code: "no-cec"; readonly device: string; readonly because: readonly ReturnLimit[] }
  | { readonly code: "no-control-wire"; readonly cable: string; readonly because: readonly ReturnLimit[] }
  | { readonly code: "renders-binaural"; readonly device: string }
  | { readonly code: "decode-mode"; readonly device: string; readonly value: string; readonly need: string; readonly have: Bed }
  | { readonly code: "not-connected"; readonly device: string }
  | { readonly code: "no-way"; readonly device: string; readonly to: string }
  | { readonly code: "cable-backwards"; readonly cable: string }
  /** A cable was found in two outputs, or in two inputs. */
  | { readonly code: "miswired"; readonly cable: string; readonly direction: "in" | "out" }
  /** A lead that carries nothing as it is now. */
  | { readonly code: "cable-state"; readonly cable: string; readonly state: Exclude<CableState, "sound"> }
  /** A device that does nothing as it is now, or plays into headphones. */
  | { readonly code: "device-state"; readonly device: string; readonly state: "no-power" | "dead" | "headphones" }
  | { readonly code: "no-sound-system" }
  | { readonly code: "unknown-fact"; readonly unknown: UnknownFact }
  /** By another way more may arrive than what is heard. */
  | { readonly code: "other-way-unknown"; readonly unknown: UnknownFact };

/** A loss names one hop of the way. A ceiling is what the sound system itself can never play; by itself it does not lower the verdict. */
export interface Loss {
  readonly reason: Reason;
  readonly hop: number;
  readonly scope: "path" | "ceiling";
}
