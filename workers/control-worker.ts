import { expose } from "comlink";
import { actOfEvent, curesOf, householdOf, judgeAct, roomCures, type Cure, type WeighedCure } from "@/core/cec";
import type { Job } from "@/core/job";

const api = {
  /** The cures of one act of a job; none for an act that it does not know. */
  actCures(job: Job, event: string): readonly Cure[] {
    const household = householdOf(job);
    const act = actOfEvent(household, event);
    const judged = act && judgeAct(household, act);
    return judged ? curesOf(household, judged) : [];
  },
  roomCures: (job: Job): readonly WeighedCure[] => roomCures(householdOf(job)),
};
export type ControlWorker = typeof api;

expose(api);
