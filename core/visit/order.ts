import type { CableEnd } from "@/core/job";
import type { DraftStep, OrderReason, StepAct, StepAfter } from "./step";

/** What must come before a step. Only direct reasons; what follows from others is not told again. */
export function afterOf(step: DraftStep, all: readonly DraftStep[]): readonly StepAfter[] {
  const every = (because: OrderReason, test: (other: DraftStep) => boolean): StepAfter[] =>
    all.filter((other) => other !== step && test(other)).map(({ id }) => ({ step: id, because }));
  const of = (because: OrderReason, ...acts: readonly StepAct[]) => every(because, ({ act }) => acts.includes(act));
  /** Of the device of this step. */
  const own = (because: OrderReason, ...acts: readonly StepAct[]) =>
    every(because, ({ act, device }) => device === step.device && acts.includes(act));
  /** Of the unit of this step. */
  const ofUnit = (because: OrderReason, ...acts: readonly StepAct[]) =>
    every(because, ({ act, device, unit }) => device === step.device && unit === step.unit && acts.includes(act));
  const previous = (because: OrderReason, isAlike: (other: DraftStep) => boolean): StepAfter[] => {
    const alike = all.filter((other) => other.act === step.act && isAlike(other));
    const before = alike[alike.indexOf(step) - 1];
    return before ? [{ step: before.id, because }] : [];
  };
  switch (step.act) {
    case "protect":
    case "by-hand":
      return [];
    case "photo":
      return of("pictures-first", "protect");
    case "power-off":
      return of("pictures-first", "photo");
    case "unplug":
    case "fit-module":
      return of("off-before-plugs", "power-off");
    case "take-away":
      return [
        ...of("off-before-plugs", "power-off"),
        ...every("unplugged-before-moved", (other) => other.act === "unplug" && endsAt(other, step.device)),
      ];
    case "mount":
    case "place":
    case "pull":
    case "charge":
      return of("pictures-first", "photo");
    case "plug":
      return [
        ...of("off-before-plugs", "power-off"),
        ...every("free-the-socket", (other) => other.act === "unplug" && sharesSocket(step, other)),
        ...every("pulled-before-plugged", (other) => other.act === "pull" && other.cable === step.cable),
        ...every("in-place-before-plugs", (other) => (other.act === "place" || other.act === "mount") && endsAt(step, other.device)),
        ...every("module-before-its-socket", (other) => other.act === "fit-module" && endsAt(step, other.device)),
      ];
    case "wire":
      return [
        ...of("off-before-plugs", "power-off"),
        ...ofUnit("in-place-before-plugs", "place", "mount"),
        ...every("in-place-before-plugs", ({ act, device, unit }) => act === "place" && device === step.device && unit === null),
      ];
    case "power-on":
      return [
        ...every(
          "plugged-before-power",
          (other) => other.act === "unplug" || ((other.act === "plug" || other.act === "wire") && touches(other, step.device)),
        ),
        ...own("plugged-before-power", "place", "mount", "fit-module"),
        ...previous("order-of-power", () => true),
      ];
    case "firmware":
      return own("update-needs-power", "power-on");
    case "isolate":
      return of("menus-need-power", "power-on", "firmware");
    case "pair":
      return [
        ...own("update-forgets-pairings", "firmware"),
        ...own("module-before-pairing", "fit-module"),
        ...ofUnit("in-place-before-pairing", "place", "mount", "charge"),
        ...previous("one-unit-at-a-time", ({ device }) => device === step.device),
      ];
    case "confirm":
      return own("confirm-at-the-end", "pair");
    case "set":
    case "pattern":
      return own("menus-need-power", "power-on", "firmware");
    case "calibrate":
      return [
        ...own("pattern-first", "pattern"),
        ...own("calibrate-when-all-stands", "mount", "place", "wire", "pair", "confirm", "power-on", "set"),
      ];
    case "dial":
      return [
        ...own("pattern-first", "pattern"),
        ...own("calibration-overwrites", "calibrate"),
        ...own("menus-need-power", "power-on", "pair", "confirm", "firmware"),
      ];
    case "tone":
      return own("tones-after-dials", "pattern", "dial", "calibrate", "pair", "confirm", "power-on");
    case "prove":
    case "acts":
      return [
        ...of("pictures-first", "photo"),
        ...of(
          "prove-what-is-finished",
          "power-on",
          "set",
          "pattern",
          "isolate",
          "confirm",
          "pair",
          "firmware",
          "tone",
          "dial",
          "calibrate",
        ),
      ];
    case "label":
      return every(
        "plugged-before-labelled",
        (other) =>
          (other.act === "plug" && step.cable !== null && other.cable === step.cable) ||
          (other.act === "wire" && step.unit !== null && other.device === step.device && other.unit === step.unit),
      );
    case "hand-over":
      return [...of("proof-before-handover", "prove", "acts"), ...of("labels-before-leaving", "label")];
  }
}

const sameSocket = (a: CableEnd, b: CableEnd): boolean => a.device === b.device && a.port === b.port;
const sharesSocket = (a: DraftStep, b: DraftStep): boolean =>
  (a.sockets ?? []).some((end) => (b.sockets ?? []).some((other) => sameSocket(end, other)));
const endsAt = ({ sockets }: DraftStep, device: string | null): boolean => (sockets ?? []).some((end) => end.device === device);
const touches = (step: DraftStep, device: string | null): boolean => step.device === device || endsAt(step, device);
