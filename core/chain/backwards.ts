import type { Cable } from "@/core/job";

/** A cable with electronics in its plugs that is installed the wrong way round: nothing goes through it. */
export const isBackwards = ({ direction, backwards }: Pick<Cable, "direction" | "backwards">): boolean =>
  direction === "one-way" && backwards;
