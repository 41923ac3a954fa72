import type { Caution, Volume } from "@/core/chain";
import type { Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import { formatMetres } from "@/core/units";
import { cableName, deviceName, socketName, upperFirst } from "./names";
import { codingName } from "./sound-words";

/** What tends to go wrong on a row that works now, with its cure and the price of the cure. */
export function cautionSentence(job: Job, caution: Caution): string {
  const name = "device" in caution ? deviceName(job, caution.device) : "";
  switch (caution.code) {
    case "drift":
      return `${codingName(caution.coding)} from ${name} tends to drift out of sync${driftWords(caution)}. Setting ${name} to PCM cures it, at the price of every channel beyond what PCM carries there.`;
    case "units-apart":
      return `${upperFirst(caution.units)} of ${name} play ${caution.byMs}\u2009ms after its other speakers; delay those by as much where its menu allows.`;
    case "keeps-old-edid":
      return `The EDID of ${name} has changed since the survey, and it shows the old one until it is replugged or switched off and on.`;
    case "two-volumes":
      return `Two volume controls in series: ${name}, then ${deviceName(job, caution.then)}. Set the first high and leave it; use the other.`;
    case "forgets-edid":
      return `${name} may show no EDID while the screen sleeps: switch the screen on first.`;
    case "return-by-hand":
      return `${name} starts its return channel only from its own key or menu: until then, nothing of this arrives.`;
    case "lead-long":
      return `${upperFirst(cableName(job, caution.cable))} is ${formatMetres(caution.need)} long; its class is reliable up to ${formatMetres(caution.have)}.`;
    case "not-all-ways":
      return "The boxes of this room are connected in more ways than were checked: another path could do better for this row.";
    case "socket-wasted":
      return `${socketName(job, caution)} is one of the few protected 4K sockets, and this player never needs one: ${socketName(job, { device: caution.device, port: caution.better })} serves it as well.`;
    case "speech-folded":
      return "Speech has a channel of its own in this content, and here it arrives mixed into left and right: less clear than it could be.";
    case "one-more-remote":
      return `The household wants one remote; the volume of this row needs another, that of ${name}.`;
    default:
      return unreachable(caution);
  }
}

function driftWords({ amountMs, afterMinutes }: Extract<Caution, { code: "drift" }>): string {
  const after = afterMinutes === null ? " after a while" : ` after about ${afterMinutes} minutes`;
  if (amountMs === null) return after;
  return `${after}, by ${Math.abs(amountMs)}\u2009ms, sound ${amountMs < 0 ? "early" : "late"}`;
}

/** What moves the volume: "The screen's remote moves the volume at Bar." */
export function volumeSentence(job: Job, volume: Volume): string {
  switch (volume.by) {
    case "screen-remote":
      return `The screen's remote changes the volume of ${deviceName(job, volume.device)}.`;
    case "own-remote":
      return `The remote of ${deviceName(job, volume.device)} changes the volume.`;
    case "knob":
      return `Only the knob on ${deviceName(job, volume.device)} changes the volume.`;
    case "unknown":
      return "What changes the volume is not known.";
    default:
      return unreachable(volume);
  }
}

/** The most telling caution in a word or two; null where none tells anything of this row alone. */
export function cautionFlag(cautions: readonly Caution[]): string | null {
  if (cautions.some(({ code }) => code === "drift")) return "tends to drift";
  if (cautions.some(({ code }) => code === "keeps-old-edid")) return "replug the box";
  if (cautions.some(({ code }) => code === "return-by-hand")) return "start it by hand";
  if (cautions.some(({ code }) => code === "lead-long")) return "long lead";
  if (cautions.some(({ code }) => code === "speech-folded")) return "speech mixed in";
  if (cautions.some(({ code }) => code === "one-more-remote")) return "one more remote";
  if (cautions.some(({ code }) => code === "not-all-ways")) return "not every path checked";
  return cautions.some(({ code }) => code === "socket-wasted") ? "wastes a 4K socket" : null;
}
