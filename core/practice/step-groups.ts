import type { Step } from "@/core/diagnose";

/** The kinds of things that a person can do at a rig, in the order in which good people try them. */
export const STEP_GROUPS = ["ask", "look", "menu", "power", "plug", "speaker", "part"] as const;
export type StepGroup = (typeof STEP_GROUPS)[number];

/** To which kind a step belongs. */
export function groupOf({ does }: Step): StepGroup {
  switch (does) {
    case "ask":
    case "ask-players":
      return "ask";
    case "play":
    case "act":
    case "lamp":
    case "panel":
    case "red-light":
    case "found-list":
    case "format-list":
    case "bypass":
      return "look";
    case "set":
    case "unpair":
    case "take-pcm":
    case "other-title":
    case "follow-arrivals":
      return "menu";
    case "power":
    case "own-key":
    case "restart":
    case "cycle":
    case "update":
      return "power";
    case "seat":
    case "turn":
    case "lead":
    case "other-socket":
    case "go-round":
      return "plug";
    case "tone":
    case "unit":
      return "speaker";
    case "replace":
      return "part";
  }
}
