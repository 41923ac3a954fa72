import type { Preset } from "@/core/plan";

/**
 * The five questions of a household that asks how to join a screen to a sound system. Each answer stands for an archetype of the shelf, or
 * for what the brief would say; the words for them belong to the page.
 */

/** What the screen is, by what is printed at its sockets. */
export const SCREEN_ANSWERS = {
  earc: "tv-earc",
  arc: "tv-arc",
  "no-return": "tv-no-return",
  coaxial: "tv-coaxial",
  headphones: "tv-headphone",
  projector: "projector",
} as const;
export type ScreenAnswer = keyof typeof SCREEN_ANSWERS;

/** What should sound, by the sockets that it has. */
export const SOUND_ANSWERS = {
  "bar-with-input": "bar-one-input",
  "bar-earc-only": "bar-earc-only",
  "bar-arc-optical": "bar-arc-optical",
  receiver: "receiver-72",
  "old-receiver": "receiver-optical",
  amplifier: "amplifier-knob",
  bluetooth: "bluetooth-speaker",
} as const;
export type SoundAnswer = keyof typeof SOUND_ANSWERS;

/** What plays beside what the screen has itself. */
export const PLAYER_ANSWERS = {
  streamer: "streamer-4k",
  console: "console-mat",
  disc: "disc-player-4k",
  "set-top-box": "set-top-box",
} as const;
export type PlayerAnswer = keyof typeof PLAYER_ANSWERS;

/** How far it is from the screen to the sound system. */
export const WAY_ANSWERS = ["beside", "far", "no-cable"] as const;
export type WayAnswer = (typeof WAY_ANSWERS)[number];

/** All five, answered. */
export interface JoinAnswers {
  readonly screen: ScreenAnswer;
  readonly sound: SoundAnswer;
  readonly players: readonly PlayerAnswer[];
  readonly way: WayAnswer;
  readonly matters: Preset;
}
