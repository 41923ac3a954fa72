import type { Solved } from "@/core/chain";
import { judgeLipSync } from "@/core/facts";
import { effectiveSetting, type SettingState } from "@/core/device";
import { milliseconds } from "@/core/units";
import type { Change } from "./changes";

/**
 * The sound delay to set where rows sound so early that it is noticed: the step that leaves the fewest rows out of step, and of those the
 * smallest. Null where no row is early, or no step helps without putting another out. A delay can be added, never removed: ITU-R BT.1359-1.
 */
export function delayChange({ job, rows }: Pick<Solved, "job" | "rows">, state: SettingState): Change | null {
  for (const device of job.devices) {
    const setting = device.settings.find(({ key }) => key === "sound-delay");
    const own = rows.filter(({ system, lipSyncMs }) => system === device.id && lipSyncMs !== null).map(({ lipSyncMs }) => lipSyncMs ?? 0);
    if (!setting || own.every((lipSync) => judgeLipSync(milliseconds(lipSync)) === "in-step")) continue;
    const now = Number(effectiveSetting(device, "sound-delay", state) ?? 0);
    const out = (value: number) => own.filter((lipSync) => judgeLipSync(milliseconds(lipSync - now + value)) !== "in-step").length;
    const values = setting.options.map(Number).toSorted((a, b) => a - b);
    const best = values.reduce((least, value) => (out(value) < out(least) ? value : least), now);
    if (best === now) continue;
    return {
      kind: "setting",
      count: 1,
      decides: [`setting ${device.id} sound-delay`],
      command: { kind: "set-setting", device: device.id, setting: "sound-delay", state, value: String(best) },
    };
  }
  return null;
}
