import { deviceQuestion, makeRig, type Rig } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import type { Room } from "./by-questions";
import type { Measure } from "./grounds";
import type { KeptAtMost } from "./most";
import { pictureAtMost } from "./picture-on";
import { soundAtMost } from "./sound-most";

/** What passes of a device at most. */
export type Passed = Pick<KeptAtMost, "sounds" | "pictures">;

/**
 * What could come at most of a device in a room: its sound with every switch at will, its picture as the room is set; from another room
 * where that is alike in all that it depends on.
 * @param jobOf the room as a job, made only where it is needed
 */
export function passedIn({ space, sounds, pictures }: Measure, room: Room, device: Device, jobOf: () => Job): Passed {
  let rig: Rig | undefined;
  const asking = <Answer>(work: (rig: Rig) => Answer) => {
    const asked = (rig ??= makeRig(jobOf(), "planned"));
    const own = asked.traced(() => work(asked));
    return { answer: own.answer, asked: [deviceQuestion(device.id), deviceQuestion(space.system.id), ...own.asked] };
  };
  return {
    sounds: sounds.of(room, device.id, () => asking((one) => soundAtMost(space, one, device))).answer,
    pictures: pictures.of(room, device.id, () => asking((one) => pictureAtMost(one, device.id))).answer,
  };
}
