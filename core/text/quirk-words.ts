import type { Device, Infrared, Quirk } from "@/core/device";

/** A habit as it is seen on site, and in which devices it is looked for. */
export const QUIRK_WORDS: Readonly<Record<Quirk, { readonly seen: string; readonly of: readonly Device["role"][] }>> = {
  "ignores-standby": { seen: "Did not go off with the others", of: ["screen", "sound", "player"] },
  "wakes-by-itself": { seen: "Came on by itself, for an update", of: ["player"] },
  "steals-source": { seen: "Took the screen back from another player", of: ["player"] },
  "system-audio-only-when-on": { seen: "Took over the sound only when it was already on", of: ["sound"] },
  "ignores-foreign-keys": { seen: "Ignored the volume keys of another maker’s screen", of: ["sound"] },
  "arc-only-by-hand": { seen: "Started the return channel only from its own key or menu", of: ["sound"] },
  "drops-arc-on-input-change": { seen: "Lost the return channel when its input was changed", of: ["sound"] },
  "sends-only": { seen: "Sent commands, obeyed none", of: ["screen", "sound", "player"] },
  "volume-by-remote-only": { seen: "Its volume changed with its own remote only", of: ["sound"] },
  "switches-all-off": { seen: "Switched everything off when it went off", of: ["player"] },
};

/** How infrared switches a device. */
export const INFRARED_WORDS: Readonly<Record<Infrared, string>> = {
  "on-and-off": "separate on and off keys",
  "to-and-fro": "one toggle key",
  none: "no infrared",
};
