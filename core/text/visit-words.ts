import { settingFact, type VisitWork } from "@/core/facts";
import type { Arrival } from "@/core/chain";
import { findDevice, findPort, type Cable, type Job } from "@/core/job";
import type { ActVerdict } from "@/core/cec";
import { unreachable } from "@/core/outcome";
import type { OrderReason, SettingNeed, VisitStep } from "@/core/visit";
import { actWords } from "./control-words";
import { cableMark } from "./cable-words";
import { cableClassName, deviceName, lowerFirst, socketName, upperFirst } from "./names";
import { unitName } from "./unit-name";
import { plural } from "./plural";
import { rowWords, streamWords } from "./sound-words";
import { settingValueIn } from "./setting-words";

/** What the state is called that is saved before anything is changed on site. */
export const foundStateName = "As found";

/** What to do in a step: "Plug C3 into Television “HDMI 3 eARC”, other end Bar “HDMI OUT”". */
export function visitStepWords(job: Job, step: VisitStep, rows: readonly Arrival[]): string {
  const device = step.device === null ? "" : deviceName(job, step.device);
  const unit = step.device !== null && step.unit !== null ? lowerFirst(unitName(job, { device: step.device, unit: step.unit })) : "";
  const cable = cableOfStep(job, step);
  const row = rows.find(({ id }) => id === step.row);
  switch (step.act) {
    case "protect":
      return "Cover the floor and furniture, clear the way behind the screen.";
    case "photo":
      return "Photograph every back plate and the cables as they are.";
    case "power-off":
      return "Switch everything off and pull the mains plugs of what is worked on.";
    case "unplug":
      return step.sockets
        ? `Unplug cable ${cable ? cableMark(job, cable) : (step.cable ?? "")} at ${socketName(job, step.sockets[0])} and ${socketName(job, step.sockets[1])}; label both ends if they are not.`
        : "Unplug the cable.";
    case "take-away":
      return `Take ${device} away; it is no longer planned.`;
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
    case "wire":
      return `Run speaker wire from ${device} to the ${unit}: the marked core to red at both ends, slack at the unit, no pull on the clamps.`;
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
        ? `At ${device} set ${menuName(job, step)} to ${settingValueIn(job, step.device ?? "", step.setting.key, step.setting.value)}: ${settingFact(step.setting.key).lookIn}.`
        : `Set ${device}.`;
    case "pattern":
      return `Tell ${device} which speakers it has: ${patternOf(job, step)}.`;
    case "calibrate":
      return `Calibrate ${device}: quiet room, everyone in place.`;
    case "dial":
      return `Enter distances and levels at ${device} from the dialling sheet in Room.`;
    case "tone":
      return `Play the test tone of ${device}: each speaker, on its side, equally loud.`;
    case "prove":
      return row
        ? `Play ${lowerFirst(rowWords({ ...row, app: null }))} from ${device}${row.app ? ` (${row.app})` : ""}: ${row.arrives ? "compare with what is predicted" : "predicted to stay silent"}.`
        : `Prove ${device}.`;
    case "acts":
      return "Try the everyday acts with the household's remote: on, volume, another player, off. Prove lists them.";
    case "label":
      return cable ? `Label both ends of cable ${cableMark(job, cable)}.` : `Label both ends of the speaker wire to the ${unit}.`;
    case "by-hand":
      return step.added?.says ?? "";
    case "hand-over":
      return "Show the household how to use it, and leave the sheet.";
  }
}

/** The menu as its maker calls it, where that was noted. */
function menuName(job: Job, { device, setting }: VisitStep): string {
  if (!setting) return "";
  const name = `“${settingFact(setting.key).name}”`;
  const own = setting.key === "cec" ? (findDevice(job, device ?? "")?.control.menuName ?? "") : "";
  return own ? `“${own}” (${settingFact(setting.key).name})` : name;
}

const patternOf = (job: Job, { device }: VisitStep): string => {
  const speakers = findDevice(job, device ?? "")?.speakers;
  return speakers ? `${speakers.bed}${speakers.heights ? `, ${plural(speakers.heights, "height speaker")}` : ""}` : "as they stand";
};

/** The cable of a step, also one that is no longer planned. */
export const cableOfStep = (job: Job, step: VisitStep): Cable | undefined => {
  const all = [...job.cables, ...job.snapshots.flatMap(({ cables }) => cables)];
  return all.find(({ id }) => id === step.cable);
};

function plugWords(job: Job, cable: Cable): string {
  const optical = findPort(job, cable.from)?.connector === "optical";
  const arrow = cable.direction === "one-way" ? " Its arrow points to that end." : "";
  return `Plug cable ${cableMark(job, cable)}, ${cableClassName(cable.class)}: ${socketName(job, cable.from)} to ${socketName(job, cable.to)}.${arrow}${optical ? " Take the caps off both ends first." : ""}`;
}

const BECAUSE: Readonly<Record<OrderReason, string>> = {
  "pictures-first": "the photos show the room as it was found",
  "off-before-plugs": "plugs go in and out without power",
  "free-the-socket": "the socket has to be free",
  "unplugged-before-moved": "nothing is moved by its cables",
  "in-place-before-plugs": "a device in its place needs no second plugging",
  "pulled-before-plugged": "the cable has to be there",
  "plugged-before-labelled": "the label names the socket it is in",
  "pattern-first": "it plays no tone to a speaker that it does not know of",
  "put-there": "it was put here by hand",
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

/** "1 h 47 min". */
export function durationWords(minutes: number): string {
  // To the quarter of a minute that steps are counted in, so that what is shown adds up by hand.
  const quarters = Math.ceil(minutes * 4 - 1e-6);
  const [hours, rest] = [Math.floor(quarters / 240), (quarters % 240) / 4];
  return hours ? `${hours}\u2009h${rest ? ` ${rest}\u2009min` : ""}` : `${rest}\u2009min`;
}

/** Why a menu is set: "Left as found, Streamer, film arrives as LPCM 2.0, and 1 more row fares worse." */
export function settingNeedWords(job: Job, need: SettingNeed, screen: string | undefined): string {
  const more = (one: string) => (need.more ? `, and ${plural(need.more, `more ${one} is`, `more ${one}s are`)} worse off` : "");
  switch (need.need) {
    case "row": {
      const { row, without } = need;
      const what = without.arrives ? `arrives as ${streamWords(without.arrives)}` : "stays silent";
      return `Left as found, ${deviceName(job, row.player)}, ${rowWords(row)}, ${without.verdict === "no-picture" ? "has no picture" : what}${more("row")}.`;
    }
    case "act":
      return `Left as found, “${actWords(job, need.act, screen)}” ${NEED_WORDS[need.without]}${more("act")}.`;
    default:
      return unreachable(need);
  }
}

const NEED_WORDS: Readonly<Record<ActVerdict["verdict"], string>> = {
  "as-wished": "goes as wanted",
  "with-a-step": "needs an extra step",
  fails: "fails",
  unstable: "never comes to rest",
};

/** Kinds of work whose minutes count. */
export const WORK_WORDS: Readonly<Record<VisitWork, string>> = {
  protect: "Cover floor and furniture",
  photo: "Photos",
  "power-off": "Power off",
  unplug: "Unplug a cable",
  mount: "Mount on a wall or ceiling",
  place: "Put in place",
  pull: "Pull a cable",
  plug: "Plug a cable",
  "plug-behind-screen": "Plug a cable behind a screen",
  wire: "Speaker wire, both ends",
  "fit-module": "Fit a module",
  "power-on": "Power on",
  firmware: "Start an update",
  charge: "Put on charge",
  isolate: "First ARC pairing, alone",
  pair: "Pair a unit",
  confirm: "Confirm or save",
  set: "Set a menu",
  pattern: "Speaker pattern",
  calibrate: "Calibrate",
  dial: "Levels and distances",
  tone: "Tones",
  prove: "Prove a content",
  "prove-drift": "Prove a content that may drift",
  acts: "Prove the everyday acts",
  label: "Label a cable",
  "by-hand": "A step added by hand",
  "hand-over": "Hand over",
};

/** From and to, of hands: "3 to 8 min". */
export const rangeWords = ({ from, to }: { readonly from: number; readonly to: number }): string =>
  from === to ? `${from}\u2009min` : `${from} to ${to}\u2009min`;

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
