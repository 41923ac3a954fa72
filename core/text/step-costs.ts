import type { CableSide, Cure, Step } from "@/core/diagnose";
import type { Job } from "@/core/job";
import { unreachable } from "@/core/outcome";

/** What a cure costs beside its minutes; null where it costs nothing. */
export function curePrice(job: Job, cure: Cure): string | null {
  switch (cure.does) {
    case "take-pcm":
      return "PCM costs surround where the way carries only two channels.";
    case "go-round":
      return "1080p in place of 2160p, where there is no other way.";
    case "replace":
      return "A new part; ask first whether it is still under warranty.";
    case "set":
      return cure.setting === "arc-take"
        ? "The screen’s own apps fall silent when the box’s button is off."
        : cure.setting === "cec"
          ? "With control on, devices may wake and switch each other."
          : null;
    case "seat":
    case "turn":
    case "lead":
    case "power":
    case "own-key":
    case "restart":
    case "cycle":
    case "unpair":
    case "update":
    case "other-title":
    case "unit":
    case "other-socket":
    case "follow-arrivals":
      return null;
    default:
      return unreachable(cure);
  }
}

const ASK_FIRST = "Whoever is watching or recording is interrupted: ask first.";
const SET_BACK = "Set it back if it changed nothing.";
const PLUG_BACK = "Plug it back afterwards.";

const DISTURBS: Readonly<Record<Step["does"], string | null>> = {
  ask: null,
  "ask-players": null,
  play: null,
  act: null,
  lamp: null,
  panel: null,
  "red-light": PLUG_BACK,
  "found-list": null,
  "format-list": null,
  tone: "Say that a test tone comes, and begin quietly.",
  bypass: PLUG_BACK,
  set: null,
  seat: null,
  turn: null,
  lead: "Set it back if it was not the lead, so that the good one returns to the van.",
  power: null,
  "own-key": "The sound stops for half a minute.",
  restart: ASK_FIRST,
  cycle: ASK_FIRST,
  unpair: null,
  update: "It takes the device out of use for some minutes; power must not fail meanwhile.",
  "other-title": null,
  "take-pcm": SET_BACK,
  "go-round": SET_BACK,
  unit: null,
  "other-socket": SET_BACK,
  replace: SET_BACK,
  "follow-arrivals": null,
};

/** What a step disturbs, and what to do when it was not the cause; null where nothing. */
export const disturbsSentence = ({ does }: Step): string | null => DISTURBS[does];

/** Where a step can hurt: what to take care of. */
export function stepDanger(job: Job, step: Step): string | null {
  switch (step.does) {
    case "unit":
      return step.to === "wire" || step.to === "sides"
        ? "Switch the amplifier off before touching its clamps, and follow its maker’s manual."
        : null;
    case "seat":
      return behindScreen(job, endsOf(job, step.cable, [step.side]));
    case "turn":
    case "lead":
      return behindScreen(job, endsOf(job, step.cable));
    case "go-round":
    case "other-socket":
      return behindScreen(job, [step.device]);
    case "power":
      return "A socket or strip that is warm, smells or sparks is for a licensed electrician.";
    case "red-light":
      return "Do not look straight into the light.";
    case "ask":
    case "ask-players":
    case "play":
    case "act":
    case "lamp":
    case "panel":
    case "found-list":
    case "format-list":
    case "tone":
    case "bypass":
    case "set":
    case "own-key":
    case "restart":
    case "cycle":
    case "unpair":
    case "update":
    case "other-title":
    case "take-pcm":
    case "replace":
    case "follow-arrivals":
      return null;
    default:
      return unreachable(step);
  }
}

/** The devices at the ends of a cable. */
const endsOf = (job: Job, id: string, sides: readonly CableSide[] = ["from", "to"]): readonly string[] =>
  job.cables.flatMap((cable) => (cable.id === id ? sides.map((side) => cable[side].device) : []));

/** What hands reach behind a screen for. */
const behindScreen = (job: Job, devices: readonly string[]): string | null =>
  job.devices.some(({ id, role }) => role === "screen" && devices.includes(id))
    ? "A screen on the wall is heavy: two people where it has to come off, a steady ladder at a projector."
    : null;
