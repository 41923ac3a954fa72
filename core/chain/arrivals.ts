import type { Job } from "@/core/job";
import type { SettingState } from "@/core/device";
import type { Arrival } from "./arrival";
import { solve } from "./solve";

/**
 * The board: what arrives for every player and kind of content, in the order of the document; where a picture reaches several
 * screens, a row for each. `state` chooses whose settings count: as found, as planned (found where no plan is), or as left.
 */
export const arrivalsOf = (job: Job, state: SettingState = "planned"): readonly Arrival[] => solve(job, state).rows;
