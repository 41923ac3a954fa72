import type { Quirk, SettingState } from "@/core/device";
import { asItStands, findDevice, type Job } from "@/core/job";
import { networkOf } from "./topology";

/** Habits by which a device disturbs others on its control wire. */
const DISTURBS: ReadonlySet<Quirk> = new Set<Quirk>(["wakes-by-itself", "steals-source", "switches-all-off"]);

/** The devices of which a quarrel is noted and that take part on a control wire with others, so that it is lived with. */
export function quarrelsOf(job: Job, state: SettingState = "planned"): readonly string[] {
  if (!job.devices.some(isQuarrelsome)) return [];
  const speaking = networkOf(asItStands(job), state).nodes.filter(({ speaks }) => speaks);
  return speaking.flatMap(({ device, wire }) => {
    const noted = findDevice(job, device);
    return noted && isQuarrelsome(noted) && speaking.some((other) => other.device !== device && other.wire === wire) ? [device] : [];
  });
}

const isQuarrelsome = ({ control }: Job["devices"][number]): boolean => control.quirks.some((quirk) => DISTURBS.has(quirk));
