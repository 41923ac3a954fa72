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
      return `${codingName(caution.coding)} from ${name} tends to slip out of step${driftWords(caution)}. PCM at ${name} cures it, and costs every channel beyond what PCM carries there.`;
    case "units-apart":
      return `${upperFirst(caution.units)} of ${name} play ${caution.byMs}\u2009ms after its other speakers; delay those by as much where its menu allows.`;
    case "keeps-old-edid":
      return `What ${name} lists has changed since it was found, and it shows the old list until it is plugged anew or switched off and on.`;
    case "two-volumes":
      return `Two volumes stand in series: ${name}, then ${deviceName(job, caution.then)}. Set the first high and steady, and move the other.`;
    case "forgets-edid":
      return `${name} may show no list while the screen sleeps: switch the screen on first.`;
    case "return-by-hand":
      return `${name} begins its return channel only by its own key or menu: until that is pressed, nothing of this arrives.`;
    case "lead-long":
      return `${upperFirst(cableName(job, caution.cable))} is ${formatMetres(caution.need)} long; its kind is certain to ${formatMetres(caution.have)}.`;
    case "not-all-ways":
      return "The boxes of this room are joined in more ways than are looked at: another of them could bring more to this row.";
    case "socket-wasted":
      return `${socketName(job, caution)} is one of the few protected 4K sockets, and this player never needs one: ${socketName(job, { device: caution.device, port: caution.better })} serves it as well.`;
    case "speech-folded":
      return "Speech has a channel of its own in this content, and here it arrives folded into left and right: less clear than it could be.";
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
      return `The screen's remote moves the volume at ${deviceName(job, volume.device)}.`;
    case "own-remote":
      return `The volume moves by the remote of ${deviceName(job, volume.device)} itself.`;
    case "knob":
      return `The volume moves only by the knob at ${deviceName(job, volume.device)}.`;
    case "unknown":
      return "What moves the volume is not known.";
    default:
      return unreachable(volume);
  }
}

/** The most telling caution in a word or two; null where none tells anything of this row alone. */
export function cautionFlag(cautions: readonly Caution[]): string | null {
  if (cautions.some(({ code }) => code === "drift")) return "tends to drift";
  if (cautions.some(({ code }) => code === "keeps-old-edid")) return "plug the box anew";
  if (cautions.some(({ code }) => code === "return-by-hand")) return "begins by hand";
  if (cautions.some(({ code }) => code === "lead-long")) return "long lead";
  if (cautions.some(({ code }) => code === "speech-folded")) return "speech folded away";
  if (cautions.some(({ code }) => code === "one-more-remote")) return "one remote more";
  if (cautions.some(({ code }) => code === "not-all-ways")) return "not every way looked at";
  return cautions.some(({ code }) => code === "socket-wasted") ? "wastes a 4K socket" : null;
}
