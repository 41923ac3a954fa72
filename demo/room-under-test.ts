import type { SettingKey } from "@/core/facts";
import { applyCommand, type Command, type Job } from "@/core/job";

/** A room after edits that must be possible; one that is refused is a mistake of the test and throws. */
export const made = (job: Job, ...commands: Command[]): Job =>
  commands.reduce((current, command) => {
    const applied = applyCommand(current, command);
    if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
    return applied.value.job;
  }, job);

/** The edit that plans a value for a setting. */
export const planned = (device: string, setting: SettingKey, value: string): Command => ({
  kind: "set-setting",
  device,
  setting,
  state: "planned",
  value,
});
