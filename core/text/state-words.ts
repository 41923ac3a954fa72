import type { CableState } from "@/core/device";

type Sentence = (name: string) => string;

/** What is wrong with a lead, as a sentence about it. */
export const CABLE_STATE_SENTENCE: Readonly<Record<Exclude<CableState, "sound">, Sentence>> = {
  "half-in": (name) => `${name} is not fully in at one end: push both plugs home.`,
  "cap-on": (name) => `${name} still has the cap on one end: take it off.`,
  stale: (name) => `The devices at the two ends of ${name.replace(/^The/, "the")} are stuck: plug it again, or switch both off and on.`,
  broken: (name) => `${name} is broken: use another.`,
};
export const CABLE_STATE_SHORT: Readonly<Record<Exclude<CableState, "sound">, string>> = {
  "half-in": "plug not fully in",
  "cap-on": "cap on the plug",
  stale: "link is stuck",
  broken: "cable is broken",
};

type Silent = "no-power" | "dead" | "headphones";
/** What is wrong with a device, as a sentence about it. */
export const DEVICE_STATE_SENTENCE: Readonly<Record<Silent, Sentence>> = {
  "no-power": (name) => `${name} has no power.`,
  dead: (name) => `${name} is broken.`,
  headphones: (name) => `${name} plays into headphones.`,
};
export const DEVICE_STATE_SHORT: Readonly<Record<Silent, string>> = {
  "no-power": "no power",
  dead: "broken",
  headphones: "plays into headphones",
};
