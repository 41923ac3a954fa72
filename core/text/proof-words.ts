import { codingFact, settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import { unreachable } from "@/core/outcome";
import type { Explained, WrongFact } from "@/core/proof";
import { cableName, deviceName, lowerFirst, socketName, upperFirst } from "./names";
import { QUIRK_WORDS } from "./quirk-words";
import { settingValueIn } from "./setting-words";

/** A fact that may be otherwise than the job says, as a sentence. */
export function wrongFactSentence(job: Job, fact: WrongFact): string {
  switch (fact.fact) {
    case "setting":
      return `“${settingFact(fact.setting).name}” at ${deviceName(job, fact.device)} is set to ${settingValueIn(job, fact.device, fact.setting, fact.value)}.`;
    case "cable-out":
      return `${upperFirst(cableName(job, fact.cable))} is out or not fully in.`;
    case "return-wires":
      return `${upperFirst(cableName(job, fact.cable))} ${fact.wires === "none" ? "has no return wires" : "carries ARC and not eARC"}.`;
    case "no-return":
      return `${socketName(job, fact)} has ${fact.returns === "none" ? "no return channel" : "ARC and not eARC"}.`;
    case "stereo-only":
      return `${deviceName(job, fact.device)} hands on stereo alone from ${place(job, fact.device, fact.from)} to ${place(job, fact.device, fact.to)}.`;
    case "passes-not":
      return `${deviceName(job, fact.device)} hands on no ${codingFact(fact.coding).name}.`;
    case "decodes-not":
      return `${deviceName(job, fact.device)} does not decode ${codingFact(fact.coding).name}.`;
    case "quirk":
      return `${deviceName(job, fact.device)}: ${lowerFirst(QUIRK_WORDS[fact.quirk])}.`;
    default:
      return unreachable(fact);
  }
}

const place = (job: Job, device: string, terminal: string): string => {
  const found = job.devices.find(({ id }) => id === device);
  return found?.ports.some(({ id }) => id === terminal)
    ? socketName(job, { device, port: terminal })
    : (found?.sources.find(({ id }) => id === terminal)?.name ?? terminal);
};

/** What the observations come to. */
export function explainedSentence({ observed, unexpected, explanations }: Explained): string {
  if (unexpected === 0) return `${observed} of ${observed} as predicted.`;
  const [best] = explanations;
  if (!best)
    return `${unexpected} of ${observed} not as predicted, and no single fact of this room explains any of it. Write down what was seen.`;
  return `${unexpected} of ${observed} not as predicted; ${best.explains === observed ? "one fact explains all that was seen" : `the best single fact explains ${best.explains} of ${observed}`}.`;
}
