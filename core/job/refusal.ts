import type { CableClass, Connector, SettingKey } from "@/core/facts";
import type { CableEnd } from "./job";

/** Why an edit is not made. */
export type Refusal =
  | { readonly code: "no-such-device"; readonly device: string }
  | { readonly code: "no-such-port"; readonly end: CableEnd }
  | { readonly code: "no-such-cable"; readonly cable: string }
  | { readonly code: "no-such-setting"; readonly device: string; readonly setting: SettingKey }
  | { readonly code: "no-such-option"; readonly device: string; readonly setting: SettingKey; readonly value: string }
  | { readonly code: "no-such-source"; readonly device: string; readonly source: string }
  | { readonly code: "no-such-room"; readonly room: string }
  | { readonly code: "no-such-snapshot"; readonly snapshot: string }
  | { readonly code: "no-such-attachment"; readonly attachment: string }
  | { readonly code: "no-such-step"; readonly step: string }
  | { readonly code: "no-such-sentence"; readonly line: string }
  /** The brief says that the device must stay. */
  | { readonly code: "must-stay"; readonly device: string }
  /** A device is in the room, or a run of the brief ends there. */
  | { readonly code: "room-in-use"; readonly room: string }
  /** The brief says that no cable may run between the two rooms. */
  | { readonly code: "run-forbidden"; readonly rooms: readonly [string, string] }
  | { readonly code: "id-taken"; readonly id: string }
  | { readonly code: "name-empty" }
  | { readonly code: "value-out-of-range"; readonly field: string; readonly expected: string }
  | { readonly code: "device-has-cables"; readonly device: string; readonly cables: number }
  | { readonly code: "same-device"; readonly device: string }
  | { readonly code: "socket-taken"; readonly end: CableEnd; readonly by: string }
  | { readonly code: "plug-does-not-fit"; readonly plug: Connector; readonly socket: Connector; readonly end: CableEnd }
  | { readonly code: "cable-does-not-fit"; readonly cable: CableClass; readonly sockets: readonly [Connector, Connector] }
  /** A wide stick beside the socket covers it. */
  | { readonly code: "socket-covered"; readonly end: CableEnd; readonly by: string }
  /** The stick itself would cover a socket that is taken. */
  | { readonly code: "neighbour-covered"; readonly end: CableEnd; readonly by: string }
  | { readonly code: "both-outputs"; readonly end: CableEnd }
  | { readonly code: "both-inputs"; readonly end: CableEnd }
  /** A cable is marked as found in two sockets of one direction, and is not. */
  | { readonly code: "not-miswired"; readonly cable: string }
  | { readonly code: "cable-loop"; readonly devices: readonly string[] };
