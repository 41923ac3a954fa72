import { cableClassFact, optionLabel, settingFact } from "@/core/facts";
import type { Job } from "@/core/job";
import type { Change } from "@/core/plan";
import { cableShortName, deviceName, socketPrint } from "./names";

/** A change as an instruction: "Set eARC to on at Television". */
export function changeWords(job: Job, { command }: Pick<Change, "command">): string {
  switch (command.kind) {
    case "set-setting":
      return `Set “${settingFact(command.setting).name}” to ${command.value === null ? "nothing" : optionLabel(command.setting, command.value)} at ${deviceName(job, command.device)}`;
    case "edit-cable":
      return `Change the ${cableShortName(job, command.cable)}${command.fields.class ? ` for ${cableClassFact(command.fields.class).name}` : ""}`;
    case "batch": {
      const plug = command.commands.find((step) => step.kind === "plug");
      return plug
        ? `Move ${deviceName(job, plug.cable.from.device)} to ${deviceName(job, plug.cable.to.device)} ${socketPrint(job, plug.cable.to)}`
        : "Make several changes";
    }
    default:
      return "Make this change";
  }
}
