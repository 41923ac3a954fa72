/** How far a job is, in the order of the work. */
export const PHASES = ["survey", "design", "visit", "handover"] as const;
export type Phase = (typeof PHASES)[number];
