import { cableClassFact, settingFact } from "@/core/facts";
import { findArchetype, type Device } from "@/core/device";
import type { Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import type { Change, MovedRows, SmallestChanges } from "@/core/plan";
import { cableShortName, deviceName, socketName, socketPrint } from "./names";
import { plural } from "./plural";
import { settingValueIn } from "./setting-words";

/** A change as an instruction: "Set eARC to on at Television". */
export function changeWords(job: Job, { command }: Pick<Change, "command">): string {
  switch (command.kind) {
    case "set-setting":
      return `Set “${settingFact(command.setting).name}” to ${command.value === null ? "nothing" : settingValueIn(job, command.device, command.setting, command.value)} at ${deviceName(job, command.device)}`;
    case "unplug":
      return isPairing(job, command.cable)
        ? `Undo the ${cableShortName(job, command.cable)}`
        : `Unplug the ${cableShortName(job, command.cable)}`;
    case "edit-cable":
      if (command.fields.backwards === false && !command.fields.class) return `Turn the ${cableShortName(job, command.cable)} round`;
      return `Change the ${cableShortName(job, command.cable)}${command.fields.class ? ` for ${cableClassFact(command.fields.class).name}` : ""}`;
    case "plug":
      return `Run ${article(cableClassFact(command.cable.class).name)} cable from ${socketName(job, command.cable.from)} to ${socketName(job, command.cable.to)}`;
    case "batch": {
      const added = command.commands.find((step) => step.kind === "add-device");
      const removed = command.commands.find((step) => step.kind === "remove-device");
      if (added && removed) return `Replace ${deviceName(job, removed.device)} with ${replacementWords(added.device)}`;
      const plugs = command.commands.filter((step) => step.kind === "plug");
      const [first, second] = plugs;
      if (added && first)
        return `Put ${article(added.device.name)} between ${deviceName(job, first.cable.from.device)} and ${deviceName(job, second?.cable.to.device ?? first.cable.to.device)}`;
      if (first && second)
        return `Swap the plugs of ${deviceName(job, first.cable.from.device)} and ${deviceName(job, second.cable.from.device)}`;
      const plug = command.commands.find((step) => step.kind === "plug");
      return plug
        ? `Move ${deviceName(job, plug.cable.from.device)} to ${deviceName(job, plug.cable.to.device)} ${socketPrint(job, plug.cable.to)}`
        : "Make several changes";
    }
    default:
      return "Make this change";
  }
}

const isPairing = (job: Job, id: string): boolean => job.cables.find((cable) => cable.id === id)?.class === "bluetooth";

/** What a change does: "lifts 1 row, lowers 2; improves 3 pictures". */
export function movedWords(moved: MovedRows): string {
  const { lifts, lowers, pictureLifts, pictureLowers, syncLifts, syncLowers, troubles } = moved;
  const drifts = troubles.filter(({ trouble }) => trouble === "drift");
  const quarrels = troubles.filter(({ trouble }) => trouble === "quarrel");
  const parts = [
    ...(lifts.length ? [`lifts ${plural(lifts.length, "row")}`] : []),
    ...(lowers.length ? [`lowers ${plural(lowers.length, "row")}`] : []),
    ...(pictureLifts.length ? [`improves ${plural(pictureLifts.length, "picture")}`] : []),
    ...(pictureLowers.length ? [`makes ${plural(pictureLowers.length, "picture")} worse`] : []),
    ...(syncLifts.length ? [`brings ${plural(syncLifts.length, "row")} into sync`] : []),
    ...(syncLowers.length ? [`puts ${plural(syncLowers.length, "row")} out of sync`] : []),
    ...(drifts.length ? [`brings drift to ${plural(drifts.length, "row")}`] : []),
    ...(quarrels.length ? [`brings back ${plural(quarrels.length, "known conflict")} on HDMI control`] : []),
  ];
  return parts.join(", ");
}

/** "Set eARC to on at Television; move Console to …: lifts 2 rows, lowers none." */
export function setWords(job: Job, { best, proof }: Pick<SmallestChanges, "best" | "proof">): string {
  if (best.changes.length === 0)
    return proof === "not-proven"
      ? "No set of changes that lifts a row was found."
      : "No setting, plug or cable of this gear lifts a row without lowering another.";
  return `${changesWords(job, best.changes)}: ${movedWords(best)}, lowers none.`;
}

const changesWords = (job: Job, changes: readonly Change[]): string => changes.map((change) => changeWords(job, change)).join("; ");

/** What another set of the same size does otherwise: only the changes in which it differs. Null where there is none. */
export function tieWords(job: Job, { best, ties }: SmallestChanges): string | null {
  const [tie] = ties;
  if (!tie) return null;
  const own = new Set(best.changes.map(({ command }) => JSON.stringify(command)));
  const others = tie.changes.filter(({ command }) => !own.has(JSON.stringify(command)));
  const more = ties.length > 1 ? `, and ${plural(ties.length - 1, "more way")}` : "";
  return `Equally small: ${changesWords(job, others)}${more}.`;
}

/** How sure the smallest set is. */
export function proofSentence({ best, proof, looked, open }: Pick<SmallestChanges, "best" | "proof" | "looked" | "open">): string {
  switch (proof) {
    case "every-row":
      return best.changes.length === 0
        ? "Every row already has the best sound and picture that this gear can give."
        : "Every row then has the best sound and picture that this gear can give, and no smaller set does that.";
    case "best-together":
      return "Not every row can have its best at once; no other set does more in total without lowering a row.";
    case "not-proven":
      return `${looked} sets were tried and the search stopped there: ${plural(open, "row")} might still be lifted by a set that was not tried.`;
    default:
      return unreachable(proof);
  }
}

/** Single changes that lift something and cost something else, each with both. */
export const atAPriceWords = (job: Job, { atAPrice }: Pick<SmallestChanges, "atAPrice">): readonly string[] =>
  atAPrice.map((set) => `${changesWords(job, set.changes)}: ${movedWords(set)}.`);

/** What a device of the shelf is, in its own words; the name of one that is not from there. */
const replacementWords = ({ archetype, name }: Device): string => {
  const summary = archetype ? findArchetype(archetype)?.summary : undefined;
  return summary ? `“${summary}”` : article(name);
};

/** "a DAC", "an Extractor"; "an HDMI" and "an RCA" are said as they are spoken. */
const article = (name: string): string => `${/^([aeiou]|HDMI|RCA)/i.test(name) ? "an" : "a"} ${name}`;
