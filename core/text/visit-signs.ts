import type { Arrival } from "@/core/chain";
import type { SettingKey } from "@/core/facts";
import { findDevice, findPort, type Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import type { StepAct, VisitStep } from "@/core/visit";
import { displayedWords } from "./prove-words";
import { playedWords } from "./sound-words";
import { cableOfStep } from "./visit-words";

/** Settings after which a player or screen sets its link up again. */
const LINK_TESTED: ReadonlySet<SettingKey> = new Set(["hdr", "video-format", "signal-format", "socket-mode", "edid-mode"]);

/** How one sees that a step worked; null where there is nothing to see. */
export function signWords(job: Job, step: VisitStep, rows: readonly Arrival[]): string | null {
  const cable = cableOfStep(job, step);
  switch (step.act) {
    case "plug":
      if (!cable) return null;
      return findPort(job, cable.from)?.connector === "optical"
        ? "Red light shows in the free end before it goes in, and it clicks."
        : "It sits flush and does not wobble.";
    case "power-on":
      return "Its lamp stays lit; wait 5 to 20\u2009s before judging.";
    case "unplug":
      return "The socket is free and its label is on the plug.";
    case "wire":
      return "No strand stands out of the clamp; both ends have the same core at red.";
    case "firmware":
      return "It says that it is up to date, or restarts by itself.";
    case "pair":
      return "Its lamp stays lit and no longer blinks, within 20 to 30\u2009s.";
    case "isolate":
      return "The screen says that sound comes from external speakers; the link lamp is steady.";
    case "set":
      if (step.setting && LINK_TESTED.has(step.setting.key))
        return "The picture comes back after up to two minutes of black while it tests the link; then the menu shows the new value.";
      return "The menu shows the new value after leaving and entering it again. Some save only by a long press: its manual says so.";
    case "pattern":
      return "Its display shows the speakers that are there, and none that is not.";
    case "tone":
      return "The right unit sounds, on the right side.";
    case "calibrate":
      return "It says that it has finished; none of its units is reported missing.";
    case "prove":
      return predictedWords(
        job,
        rows.find(({ id }) => id === step.row),
      );
    case "protect":
    case "photo":
    case "power-off":
    case "take-away":
    case "mount":
    case "place":
    case "pull":
    case "fit-module":
    case "charge":
    case "confirm":
    case "dial":
    case "acts":
    case "label":
    case "by-hand":
    case "hand-over":
      return null;
    default:
      return unreachable(step.act);
  }
}

/** What the display should show of a row: "Display: Dolby TrueHD; 5.1 plays." */
function predictedWords(job: Job, row: Arrival | undefined): string | null {
  if (!row?.arrives) return row ? "Nothing sounds from the sound system." : null;
  const plays = row.plays ? `; ${playedWords(row.plays, row.arrives)}` : "";
  const step =
    row.lipSyncMs === null
      ? ""
      : ` Sound ${Math.abs(Math.round(row.lipSyncMs))}\u2009ms ${row.lipSyncMs < 0 ? "before" : "after"} the picture.`;
  return `The display says ${displayedWords(job, row, row.arrives)}${plays}.${step}`;
}

/** What can hurt somebody in a step; null where nothing can. */
export function stepCaution(job: Job, step: VisitStep): string | null {
  const own = cautionOfAct(job, step);
  if (!step.needs.ladder || step.act === "firmware" || step.act === "wire") return own;
  return "Ladder on firm ground, held by somebody. Look for cables and pipes before drilling; local rules and the maker's manual win.";
}

function cautionOfAct(job: Job, { act, device, unit }: VisitStep): string | null {
  switch (act) {
    case "firmware":
      return "Not while the power may fail or everybody leaves; one update at a time in a device.";
    case "wire":
      return "Amplifier off. Wire inside walls must be rated for it: local code wins.";
    case "pull":
      return "Keep clear of mains wiring. Cable inside walls must be rated for it: local code wins.";
    case "mount":
      return "Look for cables and pipes before drilling; local rules and the maker's manual win.";
    case "tone":
    case "calibrate":
      return "Announce loud sounds, start with the volume at zero.";
    case "fit-module":
    case "power-off":
      return "Mains plugs out, not only switched off.";
    case "place":
      return heavyCaution(findDevice(job, device ?? "")?.units.find(({ id }) => id === unit)?.massKg ?? null);
    case "protect":
    case "photo":
    case "unplug":
    case "take-away":
    case "plug":
    case "power-on":
    case "charge":
    case "isolate":
    case "pair":
    case "confirm":
    case "set":
    case "pattern":
    case "dial":
    case "acts":
    case "prove":
    case "label":
    case "by-hand":
    case "hand-over":
      return null;
    default:
      return unreachable(act);
  }
}

/** From this weight on nobody lifts alone. */
const HEAVY_KG = 20;
const heavyCaution = (massKg: number | null): string | null =>
  massKg !== null && massKg >= HEAVY_KG ? `${massKg}\u2009kg: two people.` : null;

/** What each step takes beside hands. */
const TOOLS: Readonly<Record<StepAct, readonly string[]>> = {
  protect: ["dust sheet"],
  photo: ["camera"],
  "power-off": [],
  unplug: ["label pen"],
  "take-away": [],
  mount: ["drill", "level", "detector", "anchors for this wall", "vacuum cleaner"],
  place: [],
  pull: ["draw wire", "rated cable"],
  plug: [],
  wire: ["wire stripper", "screwdriver"],
  "fit-module": [],
  "power-on": [],
  firmware: [],
  charge: [],
  isolate: [],
  pair: [],
  confirm: [],
  set: [],
  pattern: [],
  calibrate: ["its microphone"],
  dial: ["the dialling sheet"],
  tone: ["level meter"],
  acts: [],
  prove: [],
  label: ["label sheet"],
  "by-hand": [],
  "hand-over": ["the household's sheet"],
};

/** What has to be at hand for a step, beside what it fits; empty where hands are enough. */
export const stepTools = ({ act, needs }: Pick<VisitStep, "act" | "needs">): readonly string[] => [
  ...TOOLS[act],
  ...(needs.ladder ? ["ladder"] : []),
];
