import { deviceQuestion, makeRig, type Rig } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import type { JobFacts } from "../memo";
import type { PlanContext } from "./configurations";
import { type KeptUpperBound, pictureUpperBound, soundUpperBound } from "../bounds";

/** Upper bounds of what passes of a device. */
export type PassedUpperBound = Pick<KeptUpperBound, "sounds" | "pictures">;

/**
 * Upper bounds for a device in a job: its sound with every setting free, its picture with the settings as they are. From the memo where
 * everything they depend on is the same.
 * @param jobOf the job, made only where it is needed
 */
export function passedUpperBound(
  { space, sounds, pictures }: PlanContext,
  room: JobFacts,
  device: Device,
  jobOf: () => Job,
): PassedUpperBound {
  let rig: Rig | undefined;
  const asking = <Answer>(work: (rig: Rig) => Answer) => {
    const asked = (rig ??= makeRig(jobOf(), "planned"));
    const own = asked.traced(() => work(asked));
    return { answer: own.answer, asked: [deviceQuestion(device.id), deviceQuestion(space.system.id), ...own.asked] };
  };
  return {
    sounds: sounds.of(room, device.id, () => asking((one) => soundUpperBound(space, one, device))).answer,
    pictures: pictures.of(room, device.id, () => asking((one) => pictureUpperBound(one, device.id))).answer,
  };
}
