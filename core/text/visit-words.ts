import { optionLabel, settingFact } from "@/core/facts";
import type { Arrival } from "@/core/chain";
import { findDevice, findPort, type Cable, type Job } from "@/core/job";
import type { OrderReason, VisitStep } from "@/core/visit";
import { cableMark } from "./cable-words";
import { cableClassName, deviceName, lowerFirst, socketName, unitName, upperFirst } from "./names";
import { playedWords, rowWords, streamWords } from "./sound-words";

/** What to do in a step: "Plug C3 into Television “HDMI 3 eARC”, other end Bar “HDMI OUT”". */
export function visitStepWords(job: Job, step: VisitStep, rows: readonly Arrival[]): string {
  const device = step.device === null ? "" : deviceName(job, step.device);
  const unit = step.device !== null && step.unit !== null ? lowerFirst(unitName(job, { device: step.device, unit: step.unit })) : "";
  const cable = cableOf(job, step);
  const row = rows.find(({ id }) => id === step.row);
  switch (step.act) {
    case "protect":
      return "Cover the floor and furniture, clear the way behind the screen.";
    case "photo":
      return "Photograph every back plate and the cables as they are.";
    case "power-off":
      return "Switch everything off and pull the mains plugs of what is worked on.";
    case "unplug":
      return cable
        ? `Unplug cable ${cableMark(job, cable)} at ${socketName(job, cable.from)} and ${socketName(job, cable.to)}.`
        : "Unplug the cable.";
    case "mount":
      return `Mount the ${unit} of ${device}.`;
    case "place":
      return unit ? `Put the ${unit} of ${device} in its place.` : `Put ${device} in its place.`;
    case "pull":
      return cable
        ? `Pull cable ${cableMark(job, cable)}, ${cableClassName(cable.class)}, ${cable.lengthM}\u2009m, from ${deviceName(job, cable.from.device)} to ${deviceName(job, cable.to.device)}.`
        : "Pull the cable.";
    case "plug":
      return cable ? plugWords(job, cable) : "Plug the cable in.";
    case "fit-module":
      return `Fit the module of ${device}.`;
    case "power-on":
      return `Give ${device} power.`;
    case "firmware":
      return `Update ${device} and let it finish.`;
    case "charge":
      return `Charge the ${unit}.`;
    case "isolate":
      return "Unplug the other HDMI devices from the screen until it has found the sound system, then plug them in again.";
    case "pair":
      return `Switch on the ${unit} alone, choose its position, wait for its lamp.`;
    case "confirm":
      return `Confirm or save the pairing at ${device}.`;
    case "set":
      return step.setting
        ? `At ${device} set “${settingFact(step.setting.key).name}” to ${optionLabel(step.setting.key, step.setting.value)}: ${settingFact(step.setting.key).lookIn}.`
        : `Set ${device}.`;
    case "calibrate":
      return `Calibrate ${device}: quiet room, everyone in place.`;
    case "dial":
      return `Enter distances and levels at ${device} from the dialling sheet in Room.`;
    case "tone":
      return `Play the test tone of ${device}: each speaker, on its side, equally loud.`;
    case "prove":
      return row
        ? `Play ${lowerFirst(rowWords(row))} from ${device}: ${row.arrives ? "compare with what is predicted" : "predicted to stay silent"}.`
        : `Prove ${device}.`;
    case "label":
      return cable ? `Label both ends of cable ${cableMark(job, cable)}.` : "Label the cable.";
    case "hand-over":
      return "Show the household how to use it, and leave the sheet.";
  }
}

const cableOf = (job: Job, step: VisitStep): Cable | undefined => {
  const all = [...job.cables, ...job.snapshots.flatMap(({ cables }) => cables)];
  return all.find(({ id }) => id === step.cable);
};

function plugWords(job: Job, cable: Cable): string {
  const optical = findPort(job, cable.from)?.connector === "optical";
  const arrow = cable.direction === "one-way" ? " Its arrow points to that end." : "";
  return `Plug cable ${cableMark(job, cable)}, ${cableClassName(cable.class)}: ${socketName(job, cable.from)} to ${socketName(job, cable.to)}.${arrow}${optical ? " Take the caps off both ends first." : ""}`;
}

const BECAUSE: Readonly<Record<OrderReason, string>> = {
  "pictures-first": "what is moved later must be on the photos",
  "off-before-plugs": "plugs go in and out without power",
  "free-the-socket": "the socket has to be free",
  "in-place-before-plugs": "a device in its place needs no second plugging",
  "pulled-before-plugged": "the cable has to be there",
  "module-before-its-socket": "the socket is on the module",
  "plugged-before-power": "devices ask each other once, when they wake",
  "order-of-power": "what comes later asks what is already on",
  "update-needs-power": "an update needs power",
  "update-forgets-pairings": "an update forgets pairings",
  "module-before-pairing": "the module does the pairing",
  "one-unit-at-a-time": "two units at once take each other's place",
  "in-place-before-pairing": "its position is chosen while pairing",
  "confirm-at-the-end": "pairings count once they are confirmed",
  "menus-need-power": "menus need power, and updates reset them",
  "calibrate-when-all-stands": "calibration counts for what stands and is set",
  "calibration-overwrites": "calibration overwrites what was entered before",
  "tones-after-dials": "tones check what was entered",
  "prove-what-is-finished": "only what is finished can be proven",
  "labels-before-leaving": "nobody labels after leaving",
  "proof-before-handover": "what is shown has to work",
  "finish-first": "nothing is left open",
};

/** Why a step comes where it does, in one line; empty where nothing comes before it. */
export function orderWords({ after }: Pick<VisitStep, "after">): string {
  const reasons = [...new Set(after.map(({ because }) => BECAUSE[because]))];
  return reasons.length ? `${upperFirst(reasons.join("; "))}.` : "";
}

/** How one sees that a step worked; null where there is nothing to see. */
export function signWords(job: Job, step: VisitStep, rows: readonly Arrival[]): string | null {
  const cable = cableOf(job, step);
  switch (step.act) {
    case "plug":
      if (!cable) return null;
      return findPort(job, cable.from)?.connector === "optical"
        ? "Red light shows in the free end before it goes in, and it clicks."
        : "It sits flush and does not wobble.";
    case "power-on":
      return "Its lamp stays lit; wait 5 to 20\u2009s before judging.";
    case "firmware":
      return "It says that it is up to date, or restarts by itself.";
    case "pair":
      return "Its lamp stays lit and no longer blinks, within 20 to 30\u2009s.";
    case "isolate":
      return "The screen says that sound comes from external speakers; the link lamp is steady.";
    case "set":
      return "The menu shows the new value after leaving and entering it again.";
    case "tone":
      return "The right unit sounds, on the right side.";
    case "calibrate":
      return "It says that it has finished; none of its units is reported missing.";
    case "prove":
      return predictedWords(rows.find(({ id }) => id === step.row));
    default:
      return null;
  }
}

/** What the display should show of a row: "Display: Dolby TrueHD; 5.1 plays." */
function predictedWords(row: Arrival | undefined): string | null {
  if (!row?.arrives) return row ? "Nothing sounds from the sound system." : null;
  const plays = row.plays ? `; ${playedWords(row.plays, row.arrives)}` : "";
  const step =
    row.lipSyncMs === null
      ? ""
      : ` Sound ${Math.abs(Math.round(row.lipSyncMs))}\u2009ms ${row.lipSyncMs < 0 ? "before" : "after"} the picture.`;
  return `The display says ${streamWords(row.arrives)}${plays}.${step}`;
}

/** What can hurt somebody in a step; null where nothing can. */
export function stepCaution(job: Job, step: VisitStep): string | null {
  if (step.needs.ladder)
    return "Ladder on firm ground, held by somebody. Look for cables and pipes before drilling; local rules and the maker's manual win.";
  if (step.act === "mount") return "Look for cables and pipes before drilling; local rules and the maker's manual win.";
  if (step.act === "tone" || step.act === "calibrate") return "Announce loud sounds, start with the volume at zero.";
  if (step.act === "fit-module" || step.act === "power-off") return "Mains plugs out, not only switched off.";
  const heavy =
    step.device !== null && step.unit !== null ? findDevice(job, step.device)?.units.find(({ id }) => id === step.unit)?.massKg : null;
  return step.act === "place" && heavy && heavy >= 20 ? `${heavy}\u2009kg: two people.` : null;
}

/** "1 h 47 min". */
export function durationWords(minutes: number): string {
  const whole = Math.ceil(minutes);
  const [hours, rest] = [Math.floor(whole / 60), whole % 60];
  return hours ? `${hours}\u2009h${rest ? ` ${rest}\u2009min` : ""}` : `${rest}\u2009min`;
}

/** How sure a run sheet is of its time. */
export const scheduleSentence = ({
  minutes,
  proven,
  gap,
  people,
}: {
  readonly minutes: number;
  readonly proven: boolean;
  readonly gap: number;
  readonly people: number;
}): string =>
  `${people === 1 ? "One person" : "Two people"}: ${durationWords(minutes)}, ${proven ? "proven shortest for these steps" : `at most ${durationWords(gap)} longer than the shortest order`}. Minutes are estimates of the trade.`;
