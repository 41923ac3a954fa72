import type { TimeDial } from "@/core/device";
import type { Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import type { AnchorClass, ChargePlan, Load, Mounting, PairingStep, SheetLine, SpeechStep, TemplateRefusal, WireRun } from "@/core/room";
import { formatLength, type UnitSystem } from "@/core/units";
import { deviceName, lowerFirst, upperFirst } from "./names";
import { unitName } from "./unit-name";
import { channelName } from "./room-words";

/** "+2", "−0.5", "0". */
export const signed = (figure: number, digits = 1): string =>
  `${figure > 0 ? "+" : figure < 0 ? "\u2212" : ""}${Number(Math.abs(figure).toFixed(digits))}`;

/** "+2 dB". */
export const decibelWords = (db: number): string => `${signed(db)}\u2009dB`;

/** The value as the device shows it: "2.4 m", "12 ft", "15 ms". */
export const dialValueWords = (value: number, unit: TimeDial["unit"]): string => `${Number(value.toFixed(2))}\u2009${unit}`;

/** "plays 0.3 ms (9 cm) late". Null where nothing worth telling is left. */
export function errorWords(errorMs: number, speedOfSound: number): string | null {
  if (Math.abs(errorMs) < 0.005) return null;
  const cm = Math.abs(errorMs / 10) * speedOfSound;
  return `${Math.abs(errorMs).toFixed(2)}\u2009ms (${cm < 10 ? cm.toFixed(1) : cm.toFixed(0)}\u2009cm) ${errorMs > 0 ? "late" : "early"}`;
}

/** One line of the dialling sheet. */
export function sheetLineWords(line: SheetLine): { readonly what: string; readonly value: string } {
  switch (line.step) {
    case "quiet":
      return { what: "Before calibrating", value: "quiet room, everyone in place, all units where they stay" };
    case "calibrate":
      return {
        what: "Calibrate",
        value: line.by === "own-microphones" ? "with its own microphones" : "with its microphone at the main seat, at ear height",
      };
    case "crossover":
      return { what: "Crossover", value: `${line.hertz}\u2009Hz` };
    case "time":
      return {
        what: `${line.kind === "distance" ? "Distance" : "Delay"}, ${channelName(line.channel)}`,
        value: dialValueWords(line.value, line.in),
      };
    case "test-tone":
      return { what: "Test tone", value: `start from silence; meter at the main seat, aim for ${line.targetDb}\u2009dB` };
    case "level":
      return { what: `Level, ${channelName(line.channel)}`, value: line.name ?? decibelWords(line.db) };
    case "save":
      return {
        what: "Save",
        value: line.by === "menu" ? "choose “save” in the menu before leaving it" : "hold the key until the lamp or display confirms",
      };
    default:
      return unreachable(line);
  }
}

/** A step towards clearer speech, and how it is taken back. */
export function speechStepWords(step: SpeechStep): string {
  switch (step.act) {
    case "voice-mode":
      return "Turn the voice mode on. To undo: turn it off.";
    case "centre-up":
      return `Centre ${decibelWords(step.db)}. To undo: back to the value on the sheet.`;
    case "bass-down":
      return `Subwoofer ${decibelWords(step.db)}. To undo: back to the value on the sheet.`;
    case "heights-down":
      return `Heights ${decibelWords(step.db)}. To undo: back to the value on the sheet.`;
    case "surrounds-down":
      return `Surrounds ${decibelWords(step.db)}. To undo: back to the value on the sheet.`;
    default:
      return unreachable(step);
  }
}

/** One step of joining wireless units. */
export function pairingStepWords(job: Job, step: PairingStep): string {
  const name = "unit" in step ? lowerFirst(unitName(job, { device: step.device, unit: step.unit })) : deviceName(job, step.device);
  switch (step.act) {
    case "firmware":
      return `Update ${name} first: an update may forget pairings.`;
    case "fit-module":
      return `Fit the module of ${name}, with the mains plug out.`;
    case "charge":
      return `Charge the ${name}: ${step.hours}\u2009h from empty.`;
    case "pairing-mode":
      return `Put ${name} into pairing mode.`;
    case "pair":
      return `Switch on the ${name} alone, choose its position, wait for its lamp to stay lit.`;
    case "joins-by-itself":
      return `Give the ${name} power: it joins by itself. Wait for its lamp to stay lit.`;
    case "confirm":
      return `Confirm or save the pairing at ${name}.`;
    default:
      return unreachable(step);
  }
}

const ANCHOR_WORDS: Readonly<Record<AnchorClass, string>> = {
  "plasterboard-plug": "plasterboard plugs",
  toggle: "toggle anchors",
  "stud-or-masonry": "screws into a stud, joist or masonry",
};

const NEED_WORDS = {
  "two-people": "two people",
  ladder: "a ladder, held",
  "look-for-cables-and-pipes": "look for cables and pipes before drilling",
} as const satisfies Record<Mounting["needs"][number], string>;

/** What holds a unit to its wall. */
export const mountingSentence = ({ one, massKg, ratedKg, anchors, eachKg, anchor, needs }: Mounting): string =>
  `${upperFirst(one.unit.name)}, ${massKg}\u2009kg: ${anchors} ${ANCHOR_WORDS[anchor]} rated ${Math.ceil(eachKg)}\u2009kg each (${Math.ceil(ratedKg)}\u2009kg together, four times its weight). Needs: ${needs.map((need) => NEED_WORDS[need]).join("; ")}.`;

/** The wire to one speaker. */
export const wireSentence = ({ one, lengthM, mm2, awg, ohm, limitOhm, inWall }: WireRun, units: UnitSystem): string => {
  const size =
    mm2 === null ? "no stocked wire is thick enough; place the amplifier nearer" : `${mm2}\u2009mm²${awg === null ? "" : ` or AWG ${awg}`}`;
  return `${upperFirst(one.unit.name)}: ${formatLength(lengthM, units)}, ${size} (${ohm.toFixed(2)} of ${limitOhm.toFixed(2)}\u2009Ω)${inWall ? ", rated for in-wall use; local codes decide" : ""}. Mark one conductor: it goes to + at both ends.`;
};

/** Speakers in parallel on one channel. */
export const loadSentence = (job: Job, { device, channel, units, ohm, leastOhm, isAllowed }: Load): string =>
  `${upperFirst(channelName(channel))} of ${deviceName(job, device)}: ${units.length > 1 ? `${units.length} speakers in parallel, ` : ""}${ohm.toFixed(1)}\u2009Ω${isAllowed ? "" : `, below the ${leastOhm}\u2009Ω that the amplifier needs: do not connect them together`}.`;

/** Whether a battery lasts. */
export const chargeSentence = ({ one, hours, chargeHours, days }: ChargePlan): string =>
  days === null
    ? `${upperFirst(one.unit.name)}: plays ${hours}\u2009h, charges in ${chargeHours}\u2009h. Ask how long they listen.`
    : days < 1
      ? `${upperFirst(one.unit.name)}: plays ${hours}\u2009h, less than one of their days. Leave it on its charger between films.`
      : `${upperFirst(one.unit.name)}: charge it every ${Math.floor(days)} ${Math.floor(days) === 1 ? "day" : "days"}, ${chargeHours}\u2009h from empty.`;

/** Why there is no drilling template. */
export const templateRefusalSentence = (refusal: TemplateRefusal): string =>
  refusal.code === "no-such-unit"
    ? `There is no unit “${refusal.unit}” in this job${refusal.units.length ? `; its units are ${refusal.units.join(", ")}` : ""}.`
    : `The bracket holes of ${refusal.unit} are not written down; measure them on its back and enter them on Gear.`;
