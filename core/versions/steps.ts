import type { VersionStep } from "./migrate";

/** In the order of their versions. Version 1 is the first, so there is nothing to lift yet. */
export const STEPS: readonly VersionStep[] = [];
