import type { SheetFact } from "@/core/handover";
import { lowerFirst, upperFirst } from "../../names";
import { plural } from "../../plural";
import { byUses } from "../by-uses";
import type { SheetWords } from "../sheet-words";
import { parts } from "./parts";

const { listed } = parts;

/** "comes on by itself", "come on by themselves". */
const byThemselves = (devices: readonly string[]): string =>
  `${listed(devices)} ${devices.length === 1 ? "turns on by itself" : "turn on by themselves"}.`;

const STAYS = {
  "passes-sound": "The sound passes through",
  "passes-picture": "The picture passes through",
  plays: "The sound comes from",
} as const;

const UNTIL = { picture: "the picture", sound: "the sound", both: "picture and sound" } as const;

function line(fact: SheetFact): string {
  switch (fact.says) {
    case "use":
      return byUses(parts, fact.players, "with");
    case "also-on":
      return `To watch on ${fact.screen} too`;
    case "press":
      return parts.press(fact.press);
    case "press-own-power":
      return "Press the power key of the one that you want.";
    case "wakes":
      return [
        ...(fact.devices.length ? [byThemselves(fact.devices)] : []),
        ...(fact.seconds === null ? [] : [`Wait about ${plural(fact.seconds, "second")} for ${UNTIL[fact.until]}.`]),
      ].join(" ");
    case "volume":
      return `Volume${fact.players ? `, ${lowerFirst(byUses(parts, fact.players, "with"))}` : ""}: ${fact.by === "knob" ? "turn the knob" : "the keys of the remote"} of ${fact.device}.`;
    case "off":
      return `Off: ${lowerFirst(parts.press(fact.press))}${fact.stays.length ? ` Then switch off ${listed(fact.stays)} too.` : " Everything goes off."}`;
    case "follows":
      return `There is nothing to choose on ${fact.system}. It follows by itself.`;
    case "stays-at":
      return `Leave ${fact.system} at the input “${fact.input}”.`;
    case "choose":
      return `For ${listed(fact.players)} choose “${fact.input}” on ${fact.on}.`;
    case "display":
      return `With ${listed(fact.players)}, the display of ${fact.system} says “${fact.words}” when the title has surround sound.${fact.height ? " Then sound also comes from above." : ""}`;
    case "not-expected":
      return `${byUses(parts, fact.players, "with")}: ${fact.isSome ? "with some titles " : ""}${parts.missing[fact.missing]}.${fact.cause ? ` ${upperFirst(parts.cause(fact.cause))}` : ""} ${fact.missing === "sound" || fact.missing === "picture" ? "Your installer knows of it." : "Nothing is broken."}`;
    case "lamp-unit":
      return `${upperFirst(fact.unit)}: a steady lamp means it is ready. A blinking lamp means it has lost its partner.`;
    case "lamp-box":
      return `${fact.device}: its lamp should be on.${fact.searches ? " It blinks while it looks for the screen." : ""}`;
    case "charge":
      return fact.everyDays === null
        ? `${upperFirst(fact.unit)}: plays ${fact.hours} hours, charges in ${fact.chargeHours}. Put it on its own charger after use.`
        : fact.everyDays < 1
          ? `${upperFirst(fact.unit)}: put it on its own charger after every film.`
          : `${upperFirst(fact.unit)}: charge it every ${fact.everyDays === 1 ? "day" : `${fact.everyDays} days`}, for ${fact.chargeHours} hours. Use its own charger.`;
    case "speech-order":
      return "Try one step. Go on to the next only if it is not enough.";
    case "speech":
      switch (fact.act) {
        case "voice-mode":
          return `Turn on the voice mode of ${fact.device}. To undo: turn it off.`;
        case "centre-up":
          return `Turn the centre speaker of ${fact.device} up by ${fact.steps}. To undo: down by ${fact.steps}.`;
        case "bass-down":
          return `Turn the bass of ${fact.device} down by ${fact.steps}. To undo: up by ${fact.steps}.`;
        case "heights-down":
          return `Turn the height speakers of ${fact.device} down by ${fact.steps}. To undo: up by ${fact.steps}.`;
        case "surrounds-down":
          return `Turn the back speakers of ${fact.device} down by ${fact.steps}. To undo: up by ${fact.steps}.`;
      }
    // falls through
    case "stays-on":
      return `Leave ${listed(fact.devices)} plugged in and on. ${STAYS[fact.does]} ${fact.devices.length === 1 ? "it" : "them"}.`;
    case "control-stays":
      return `Leave “HDMI control” on in the menus of ${listed(fact.devices)}. The sound of ${listed(fact.sound)} needs it.`;
    case "check":
      return parts.check(fact.check);
    case "call":
      return fact.firm || fact.phone
        ? `Still silent? Call ${[fact.firm, fact.phone].filter(Boolean).join(", ")}.`
        : "Still silent? Call your installer.";
  }
}

/** English. */
export const en: SheetWords = {
  name: "English",
  tag: "en",
  title: (room) => `How to use: ${room}`,
  headings: {
    use: "Watch, play, listen",
    silent: "No sound? Try these in order",
    sound: "On the sound system",
    surround: "Surround sound: what to expect",
    speech: "If speech is hard to follow",
    lamps: "Lamps",
    charging: "Charging",
    "stays-on": "Leave these on",
  },
  line,
  madeBy: (firm, date) => [firm, date].filter(Boolean).join(", "),
  missingLetters: (count) => `[${plural(count, "letter")} not in this font]`,
  missingNote: "Some names have letters that this printed font does not have. The job file has them in full.",
  page: (page, of) => `Page ${page} of ${of}`,
};
