import type { Infrared, Quirk } from "@/core/device";

/** A habit as it is seen on site. */
export const QUIRK_WORDS: Readonly<Record<Quirk, string>> = {
  "ignores-standby": "Did not go off with the others",
  "wakes-by-itself": "Came on by itself, for an update",
  "steals-source": "Took the screen back from another player",
  "system-audio-only-when-on": "Took over the sound only when it was already on",
  "ignores-foreign-keys": "Ignored the volume keys of another maker’s screen",
  "arc-only-by-hand": "Started the return channel only from its own key or menu",
  "drops-arc-on-input-change": "Lost the return channel when its input was changed",
  "sends-only": "Sent commands, obeyed none",
  "volume-by-remote-only": "Its volume changed with its own remote only",
  "switches-all-off": "Switched everything off when it went off",
};

/** How infrared switches a device. */
export const INFRARED_WORDS: Readonly<Record<Infrared, string>> = {
  "on-and-off": "separate on and off keys",
  "to-and-fro": "one toggle key",
  none: "no infrared",
};
