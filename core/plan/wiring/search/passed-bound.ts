import { deviceQuestion, makeRig, type Rig } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import type { JobFacts } from "../memo";
import type { PlanContext } from "./configurations";
import { type KeptUpperBound, pictureUpperBound, soundUpperBound } from "../bounds";

/** What passes of a device at most. */
export type PassedUpperBound = Pick<KeptUpperBound, "sounds" | "pictures">;

/**
 * What could come at most of a device in a room: its sound with every switch at will, its picture as the room is set; from another room
 * where that is alike in all that it depends on.
 * @param jobOf the room as a job, made only where it is needed
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
