import type { Due, PastVisit } from "@/core/handover";
import type { HouseholdChange, Job, StepState, VisitReason } from "@/core/job";
import { deviceName, listed, upperFirst } from "./names";
import { unitName } from "./unit-name";
import { plural } from "./plural";

export const VISIT_REASON_WORDS: Readonly<Record<VisitReason, string>> = {
  survey: "Survey",
  install: "Installation",
  finish: "Finishing",
  "call-back": "Call-back",
  "check-up": "Check-up",
};

/** What a household is asked about the time since the last visit: each change as a question that they can answer. */
export const HOUSEHOLD_CHANGE_WORDS: Readonly<Record<HouseholdChange, string>> = {
  "a-new-device": "a device was bought, swapped or taken away",
  moved: "furniture or gear was moved, or cleaned behind",
  "a-plug": "a cable was pulled or plugged",
  "an-update": "something updated itself",
  "a-power-cut": "the power was cut, or a mains plug pulled",
  "a-menu": "somebody changed a menu",
};

export const STEP_STATE_WORDS: Readonly<Record<StepState, string>> = {
  done: "done",
  "not-done": "not done",
  "put-off": "put off",
  open: "open",
};

/** What is due, in one sentence without its day. */
export function dueSentence(job: Job, due: Due): string {
  switch (due.due) {
    case "firmware":
      return due.devices.length === job.devices.length && due.devices.length > 2
        ? "Check the firmware of every device."
        : `Check the firmware of ${listed(due.devices.map((id) => deviceName(job, id)))}.`;
    case "battery":
      return `Check how long the batteries last: ${listed(due.units.map((one) => unitName(job, one)))}.`;
    case "promised":
      return due.words ? `Promised visit: ${due.words}` : "Promised visit.";
  }
}

/** "Installation; A. Fitter; 95 min; 34 steps, 12 checks; found: …": one line for a visit. */
export function visitSentence({ reason, who, minutes, steps, checks, handedOver }: PastVisit): string {
  return [
    reason === null ? "Visit not closed" : VISIT_REASON_WORDS[reason],
    listed(who),
    minutes === null ? "" : `${Math.round(minutes)}\u2009min`,
    [...(steps ? [plural(steps, "step")] : []), ...(checks ? [plural(checks, "check")] : [])].join(", "),
    handedOver ? "handed over" : "",
  ]
    .filter(Boolean)
    .map((part, index) => (index === 0 ? upperFirst(part) : part))
    .join("; ");
}

/** Words of the printed record. */
export const recordWords = {
  title: (job: string) => `Record: ${job}`,
  customer: "Customer",
  address: "Address",
  visitOn: "Visit",
  contents: "What this is",
  explains:
    "How the room was left: what is plugged where, every menu, every measured value, what was proven and what is open. It is made from the job file that goes with it.",
  visits: "Visits",
  visitColumns: ["Day", "What", "Remarks"],
  plugged: "What is plugged where",
  plugColumns: ["No.", "From", "To", "Cable", "Length", "Own words on its labels"],
  map: "Wiring map",
  settings: "Settings",
  settingColumns: ["Setting", "Found", "Planned", "Left", "Where to look"],
  notSeen: "not seen",
  asFound: "as found",
  notNoted: "not noted",
  room: (name: string) => `Room: ${name}`,
  dialColumns: ["To dial", "Value"],
  measured: "Measured",
  measuredColumns: ["What", "Value", "Day", "By"],
  arrivals: "What arrives",
  arrivalColumns: ["Player and content", "Verdict", "What arrives", "Why not more"],
  proof: "Proof",
  notLookedAt: (rows: number, acts: number, speakers: number) =>
    `Not looked at: ${listed([...(rows ? [plural(rows, "row")] : []), ...(acts ? [plural(acts, "act")] : []), ...(speakers ? [plural(speakers, "speaker")] : [])])}.`,
  proofColumns: ["Check", "Predicted", "Seen", "Day", "By"],
  firmware: "Firmware",
  firmwareColumns: ["Device", "Version or note", "Day", "By"],
  open: "Open points",
  openColumns: ["What", "Why", "Day"],
  unanswered: "Not known yet",
  refused: "Not wanted by the household",
  refusedColumns: ["What", "Day", "By"],
  due: "Due",
  dueColumns: ["From", "What"],
  faults: "Faults found",
  faultColumns: ["Fault", "Day"],
  replaced: "Devices replaced",
  replacedColumns: ["Was", "Now", "Day"],
  ids: "EDIDs that were read",
  edidColumns: ["Device", "Name in it", "Preferred picture", "Sound list"],
  trace: "HDMI control when the screen is switched on, as it should run",
  /** What becomes of a frame; nothing is said of one that is answered at once. */
  answered: (isAnswered: boolean, tries: number) =>
    isAnswered ? (tries > 1 ? `Answered at try ${tries}.` : "") : tries > 1 ? `Nobody answers; sent ${tries} times.` : "Nobody answers.",
  traceColumns: ["After", "From", "Message", "Bytes"],
  photos: "Photos",
  photoLeftOut: (name: string) => `${name}: this kind of picture cannot be printed; it is in the package.`,
  nothing: "Nothing.",
} as const;
