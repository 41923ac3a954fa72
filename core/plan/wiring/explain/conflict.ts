import { fromShelfOrThrow, SHELF } from "@/core/device";
import { applyCommand, findDevice, replaceDevice, type Job } from "@/core/job";
import type { PlanOptions } from "../search";
import { type AtHand, type Bond, type Must, wiringSpace } from "../space";
import { PRESETS } from "../evaluation";
import { bestWithLeads } from "./own-leads";

/** A room with what may be put into it and what is required of it. */
export interface Wished {
  readonly job: Job;
  readonly atHand: AtHand;
  readonly bonds: readonly Bond[];
  readonly musts: readonly Must[];
}

/** Whether all that must be can be had together. */
export type WishConflict =
  | { readonly kind: "none" }
  /** None of these can be spared: without any one of them the others can be had. Where the time was over some might still be. */
  | { readonly kind: "conflict"; readonly musts: readonly Must[]; readonly isSmallest: boolean }
  /** The time was over before anything was shown. */
  | { readonly kind: "not-known" };

/**
 * The smallest set of wishes that cannot all be had: each is left out in turn, and stays out where the others cannot be had even so.
 * A device that need not be kept may be replaced by another of its kind from the shelf.
 */
export function smallestConflict(wished: Wished, { clock, mostMs = Infinity }: Pick<PlanOptions, "clock" | "mostMs"> = {}): WishConflict {
  const begun = clock?.() ?? 0;
  const timeLeft = () => (clock ? begun + mostMs - clock() : Infinity);
  const ask = (musts: readonly Must[], mayGo: readonly string[]) => isPossible({ ...wished, musts }, mayGo, { clock, timeLeft });
  switch (ask(wished.musts, [])) {
    case "yes":
      return { kind: "none" };
    case "not-known":
      return { kind: "not-known" };
    case "no":
  }
  let kept = wished.musts;
  let isSmallest = true;
  for (const wish of wished.musts) {
    const fewer = kept.filter((other) => other !== wish);
    const answer = ask(fewer, replaceable(wished.musts, fewer));
    if (answer === "no") kept = fewer;
    isSmallest &&= answer !== "not-known";
  }
  return { kind: "conflict", musts: kept, isSmallest };
}

/** Devices that were to be kept and no longer are. */
const replaceable = (all: readonly Must[], left: readonly Must[]): readonly string[] =>
  all.flatMap((wish) => (wish.want === "keep" && !left.includes(wish) ? [wish.device] : []));

interface Time {
  readonly clock: PlanOptions["clock"];
  readonly timeLeft: () => number;
}

type Possible = "yes" | "no" | "not-known";

/** Whether any way to wire the room fulfils every wish, with these devices replaced by others of their kind where that helps. */
function isPossible(wished: Wished, mayGo: readonly string[], time: Time): Possible {
  let answer = canBeWired(wished, time);
  const [device, ...rest] = mayGo;
  if (answer === "yes" || device === undefined) return answer;
  const old = findDevice(wished.job, device);
  const others = SHELF.filter(({ archetype, role }) => old && role === old.role && archetype !== old.archetype);
  const tries = [
    () => isPossible(wished, rest, time),
    ...others.map(({ archetype }) => () => {
      const other = { ...fromShelfOrThrow(archetype, { id: device, name: old?.name ?? device }), sources: old?.sources ?? [] };
      const applied = applyCommand(wished.job, replaceDevice(wished.job, device, other));
      return applied.ok ? isPossible({ ...wished, job: applied.value.job }, rest, time) : "no";
    }),
  ];
  for (const attempt of tries) {
    const found = attempt();
    if (found === "yes") return "yes";
    if (found === "not-known") answer = "not-known";
  }
  return answer;
}

/** Whether some way of wiring fulfils what must be. */
function canBeWired({ job, atHand, bonds, musts }: Wished, { clock, timeLeft }: Time): Possible {
  const space = wiringSpace(job, atHand, { bonds, musts });
  if (!space) return "no";
  const mostMs = timeLeft();
  if (mostMs <= 0) return "not-known";
  const { best, proven } = bestWithLeads(space, PRESETS["best-sound"], { ...(clock ? { clock, mostMs } : {}), anyPlan: true });
  return best ? "yes" : proven ? "no" : "not-known";
}
