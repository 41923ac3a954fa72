import type { Miss } from "@/core/cec";
import type { Reason } from "@/core/chain";
import type { Habit } from "@/core/device";
import type { Cure } from "@/core/diagnose";
import type { TroubleOfKind } from "@/core/handover";
import { FAULT_KIND_WORDS } from "./fault-kind-words";
import { QUIRK_WORDS } from "./quirk-words";
import { lowerFirst } from "./names";

/** What a row lost, as the name of a bar. */
export const LOSS_WORDS: Readonly<Record<Reason["code"], string>> = {
  "link-capacity": "Link too slow",
  "link-channels": "Link with too few channels",
  "format-setting": "Sound format in a menu",
  "does-not-pass": "Device does not pass it on",
  "passes-fewer": "Device passes fewer channels",
  "cannot-emit": "Player cannot send it",
  prefers: "Player prefers another form",
  "coded-again": "Coded again on the way",
  "not-listed": "Not in the EDID",
  "cannot-decode": "Sound system cannot decode it",
  "speakers-fewer": "Fewer speakers",
  "no-object-decoder": "No decoder for objects",
  "no-height-speakers": "No height speakers",
  "no-return-socket": "No return socket",
  "no-return-wire": "No return wires",
  "return-off": "Return channel off",
  "no-sound-route": "No way for sound in a device",
  "speakers-choice": "Screen on its own speakers",
  "setting-shuts": "A menu shuts the way",
  "app-fails-over": "App silent over this link",
  "plug-mutes": "A plug mutes it",
  "link-lossy": "Bluetooth",
  "no-cec": "No HDMI control",
  "no-control-wire": "No control wire",
  "renders-binaural": "Rendered for headphones",
  "decode-mode": "Sound mode",
  "not-connected": "Not connected",
  "no-way": "No way to the sound system",
  "cable-backwards": "Cable backwards",
  miswired: "Cable in the wrong sockets",
  "cable-state": "Cable not in order",
  "device-state": "Device without power or broken",
  "no-sound-system": "No sound system",
  "unknown-fact": "Fact not known",
  "other-way-unknown": "Fact of another way not known",
};

const CURE_WORDS: Readonly<Record<Cure["does"], string>> = {
  set: "Menu set",
  seat: "Plug seated",
  turn: "Cable turned round",
  lead: "Lead replaced",
  power: "Power restored",
  "own-key": "Own power key",
  restart: "Restart",
  cycle: "Power cycle in order",
  unpair: "Headphones disconnected",
  update: "Firmware updated",
  "other-title": "Another title",
  "take-pcm": "Player set to PCM",
  "go-round": "Box gone round",
  unit: "Speaker put right",
  "other-socket": "Another socket",
  replace: "Replaced",
  "follow-arrivals": "Change from Arrivals",
};

/** What a cure was, as the name of a bar; one that an older record calls otherwise by the name it has there. */
export const cureName = (does: string): string => Object.entries(CURE_WORDS).find(([known]) => known === does)?.[1] ?? does;

/** What a device did or failed to do in an everyday act, as a past habit: "did not go off". */
const MISS_HABITS: Readonly<Record<Miss["miss"], string>> = {
  "screen-off": "stayed off",
  "player-off": "stayed off",
  "shows-other": "was not switched to",
  "passes-no-picture": "passed no picture in standby",
  "hub-elsewhere": "stayed on another input",
  "system-off": "stayed off",
  "sound-from-screen": "played from its own speakers",
  "sound-from-system": "played although the screen’s speakers were wanted",
  "no-sound": "gave no sound",
  "still-on": "did not go off with the others",
  woke: "came on by itself",
  "went-off": "went off by itself",
  "loudness-stays": "did not obey the volume keys",
};

const HABIT_WORDS: Readonly<Record<Habit["habit"], string>> = {
  drifts: "slipped out of step after a while",
  "blanks-without-hdcp": "went blank where HDCP was too old",
  "keeps-old-edid": "kept an old EDID",
  "forgets-edid": "had no EDID while the screen slept",
};

const NUMBERS = ["no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"] as const;
const inWords = (count: number): string => NUMBERS[count] ?? String(count);

/** "Three of five of this kind did not go off with the others." */
export function recurringSentence(trouble: TroubleOfKind, devices: number, of: number): string {
  const count = `${inWords(devices)} of ${inWords(of)}`;
  const what = habitOf(trouble);
  return `${count.charAt(0).toUpperCase()}${count.slice(1)} of this kind ${what}.`;
}

function habitOf(trouble: TroubleOfKind): string {
  switch (trouble.of) {
    case "quirk":
      return lowerFirst(QUIRK_WORDS[trouble.quirk]).replace(/^its volume changed/, "changed volume");
    case "habit":
      return HABIT_WORDS[trouble.habit];
    case "miss":
      return MISS_HABITS[trouble.miss];
    case "fault":
      return `had this fault: ${lowerFirst(FAULT_KIND_WORDS[trouble.fault])}`;
  }
}
