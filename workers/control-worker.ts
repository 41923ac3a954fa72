import { expose } from "comlink";
import { actOfEvent, curesOf, householdOf, judgeAct, roomCures, type Cure, type WeighedCure } from "@/core/cec";
import type { Job } from "@/core/job";

/** Cures that were played until the time was over; all of them where there was time enough. */
export interface Played<One> {
  readonly cures: readonly One[];
  readonly isWhole: boolean;
}

/** After this no further change is tried. */
const MOST_MS = 10_000;

function inTime<One>(play: (isOver: () => boolean) => readonly One[]): Played<One> {
  const end = performance.now() + MOST_MS;
  let isCut = false;
  const cures = play(() => (isCut ||= performance.now() > end));
  return { cures, isWhole: !isCut };
}

const api = {
  /** The cures of one act of a job; none for an act that it does not know. */
  actCures(job: Job, event: string): Played<Cure> {
    const household = householdOf(job);
    const act = actOfEvent(household, event);
    const judged = act && judgeAct(household, act);
    return judged ? inTime((isOver) => curesOf(household, judged, "planned", isOver)) : { cures: [], isWhole: true };
  },
  roomCures: (job: Job): Played<WeighedCure> => inTime((isOver) => roomCures(householdOf(job), "planned", isOver)),
};
export type ControlWorker = typeof api;

expose(api);
