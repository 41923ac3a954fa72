import type { Cure, Household, InfraredLimit } from "@/core/cec";
import { settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import { changeWords } from "./change-words";
import { actWords, eventWords, stepWords } from "./control-words";
import { cableShortName, deviceName, listed, lowerFirst } from "./names";
import { plural } from "./plural";
import { settingValueIn } from "./setting-words";

/** A cure as something to do. */
export function cureWords(job: Job, cure: Cure, screen: string | undefined): string {
  switch (cure.cure) {
    case "setting":
      return `set “${settingFact(cure.setting).name}” at ${deviceName(job, cure.device)} to ${settingValueIn(job, cure.device, cure.setting, cure.value)}`;
    case "power-in-order":
      return `cut the power to all of them, then switch it back on in this order: ${listed(cure.order.map((device) => deviceName(job, device)))}; wait until each is ready`;
    case "other-act":
      return `a house rule: ${actWords(job, cure.act, screen)} instead`;
    case "plug":
      return lowerFirst(changeWords(job, cure));
    case "adapter":
      return `put an adapter without the control wire, made for the purpose, on the ${cableShortName(job, cure.cable)}`;
    case "side-cable":
      return `${sideCableWords(job, cure)},${cure.off ? ` and set HDMI control at ${deviceName(job, cure.off)} to off` : " and leave HDMI control as it is"}`;
    case "programmed-remote":
      return `a programmed remote whose one key also sends ${listed(cure.steps.map((step) => stepWords(job, step)))}`;
  }
}

function sideCableWords(job: Job, { command }: Extract<Cure, { cure: "side-cable" }>): string {
  const lead = command.kind === "batch" ? command.commands.find(({ kind }) => kind === "plug") : undefined;
  return lead ? lowerFirst(changeWords(job, { command: lead })) : "run a lead for the sound";
}

/** The acts by name where they are few, else how many. */
const worsenedWords = (household: Household, events: readonly string[]): string =>
  events.length > 2 ? plural(events.length, "other act") : listed(events.map((event) => eventWords(household, event)));

function loweredWords({ lowers, silences }: Pick<Extract<Cure, { lowers: number }>, "lowers" | "silences">): string {
  const words = `It lowers the sound of ${plural(lowers, "row")}`;
  if (silences === 0) return words;
  const who = silences < lowers ? `${silences} of which` : "which";
  return `${words}, ${who} ${silences === 1 ? "is" : "are"} silent then or no longer shown`;
}

/** What a cure costs or cannot do; null where nothing. */
export function cureLimits(household: Household, cure: Cure): string | null {
  const { job } = household;
  if ("lowers" in cure) {
    const parts = [
      ...(cure.lowers ? [`${loweredWords(cure)}.`] : []),
      ...(cure.darkens ? [`It lowers the picture of ${plural(cure.darkens, "row")}, or takes it away.`] : []),
      ...(cure.worsens.length ? [`Makes worse: ${worsenedWords(household, cure.worsens)}.`] : []),
    ];
    return parts.length ? parts.join(" ") : null;
  }
  if (cure.cure !== "programmed-remote") return null;
  return [
    "It needs line of sight, or an infrared emitter close to the device.",
    ...cure.limits.map((limit) => limitSentence(job, limit)),
  ].join(" ");
}

function limitSentence(job: Job, limit: InfraredLimit): string {
  switch (limit.limit) {
    case "behind-a-door":
      return `${deviceName(job, limit.device)} is behind a door: infrared does not reach it while that is shut.`;
    case "out-of-step":
      return `${deviceName(job, limit.device)} has a single toggle key: if it is already on, the key switches it off.`;
    case "slower":
      return `It takes ${(limit.ms / 1000).toFixed(1)}\u2009s longer than the bus.`;
  }
}
