import type { SettingKey, VisitWork } from "@/core/facts";
import type { CableEnd } from "@/core/job";

/** What is done in a step. */
export type StepAct =
  | "protect"
  | "photo"
  | "power-off"
  | "unplug"
  | "take-away"
  | "mount"
  | "place"
  | "pull"
  | "plug"
  | "wire"
  | "fit-module"
  | "power-on"
  | "firmware"
  | "charge"
  | "isolate"
  | "pair"
  | "confirm"
  | "set"
  | "pattern"
  | "calibrate"
  | "dial"
  | "tone"
  | "acts"
  | "prove"
  | "label"
  | "by-hand"
  | "hand-over";

/** Why one step comes after another. */
export type OrderReason =
  | "pictures-first"
  | "off-before-plugs"
  | "free-the-socket"
  | "unplugged-before-moved"
  | "in-place-before-plugs"
  | "pulled-before-plugged"
  | "plugged-before-labelled"
  | "module-before-its-socket"
  | "plugged-before-power"
  | "order-of-power"
  | "update-needs-power"
  | "update-forgets-pairings"
  | "module-before-pairing"
  | "one-unit-at-a-time"
  | "in-place-before-pairing"
  | "confirm-at-the-end"
  | "menus-need-power"
  | "calibrate-when-all-stands"
  | "calibration-overwrites"
  | "tones-after-dials"
  | "prove-what-is-finished"
  | "labels-before-leaving"
  | "proof-before-handover"
  | "pattern-first"
  | "put-there"
  | "finish-first";

export interface StepAfter {
  readonly step: string;
  readonly because: OrderReason;
}

/** One step of a visit, as it follows from the difference between how a room was found and how it is planned. */
export interface VisitStep {
  /** The same for the same piece of work however often it is derived. */
  readonly id: string;
  readonly act: StepAct;
  /** Whose minutes count. */
  readonly work: VisitWork;
  readonly device: string | null;
  readonly unit: string | null;
  readonly cable: string | null;
  /** The two sockets of its cable, as the step finds or makes them. */
  readonly sockets: readonly [CableEnd, CableEnd] | null;
  readonly setting: { readonly key: SettingKey; readonly value: string } | null;
  /** The row that is proven. */
  readonly row: string | null;
  /** What a person wrote of a step added by hand, and its minutes. */
  readonly added: { readonly says: string; readonly minutes: number } | null;
  readonly after: readonly StepAfter[];
  readonly needs: { readonly ladder: boolean; readonly silence: boolean; readonly noise: boolean };
}

/** A step that has no place in the order yet. */
export type DraftStep = Omit<VisitStep, "after">;

/** A step with nothing but its act. */
export const bareStep = (id: string, act: StepAct, work: VisitWork): DraftStep => ({
  id,
  act,
  work,
  device: null,
  unit: null,
  cable: null,
  sockets: null,
  setting: null,
  row: null,
  added: null,
  needs: { ladder: false, silence: false, noise: false },
});
