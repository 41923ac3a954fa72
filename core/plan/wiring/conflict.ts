import { fromShelfOrThrow, SHELF } from "@/core/device";
import { applyCommand, findDevice, replaceDevice, type Job } from "@/core/job";
import { backbonesOf } from "./backbones";
import { Caps } from "./caps";
import { bestSettled, Worth } from "./nodes";
import type { Must } from "./musts";
import { groundsOf, newMeasure } from "./grounds";
import { plugsOf } from "./plugs";
import { schoolsOn } from "./schools";
import { wiringSpace, type AtHand, type Bond } from "./space";
import { startsOf } from "./starts";
import { PRESETS } from "./weights";

/** A room with what may be put into it and what is wished of it. */
export interface Wished {
  readonly job: Job;
  readonly atHand: AtHand;
  readonly bonds: readonly Bond[];
  readonly musts: readonly Must[];
}

/**
 * A set of wishes that cannot all be had, none of which can be spared: without any one of them the others can. Null where all of them
 * can be had. A device that need not be kept may be replaced by another of its kind from the shelf.
 */
export function smallestConflict(wished: Wished): readonly Must[] | null {
  if (isPossible(wished)) return null;
  let kept = wished.musts;
  for (const wish of wished.musts) {
    const fewer = kept.filter((other) => other !== wish);
    if (!isPossible({ ...wished, musts: fewer }, replaceable(wished.musts, fewer))) kept = fewer;
  }
  return kept;
}

/** Devices whose keeping was wished and is wished no more. */
const replaceable = (all: readonly Must[], left: readonly Must[]): readonly string[] =>
  all.flatMap((wish) => (wish.must === "keep" && !left.includes(wish) ? [wish.device] : []));

/** Whether any way to wire the room fulfils every wish, with these devices replaced by others of their kind where that helps. */
function isPossible(wished: Wished, mayGo: readonly string[] = []): boolean {
  if (canBeWired(wished)) return true;
  const [device, ...rest] = mayGo;
  const old = device === undefined ? undefined : findDevice(wished.job, device);
  if (!old) return rest.length > 0 && isPossible(wished, rest);
  return (
    isPossible(wished, rest) ||
    SHELF.some(({ archetype, role }) => {
      if (role !== old.role || archetype === old.archetype) return false;
      const other = { ...fromShelfOrThrow(archetype, { id: old.id, name: old.name }), sources: old.sources };
      const applied = applyCommand(wished.job, replaceDevice(wished.job, old.id, other));
      return applied.ok && isPossible({ ...wished, job: applied.value.job }, rest);
    })
  );
}

/** Whether some backbone with some settings leaves every player an option that fulfils what is wished of it. */
function canBeWired({ job, atHand, bonds, musts }: Wished): boolean {
  const space = wiringSpace(job, atHand, { bonds, musts });
  if (!space) return false;
  const measure = newMeasure(space, PRESETS["best-sound"]);
  for (const backbone of backbonesOf(space)) {
    const { tables } = plugsOf(measure, backbone);
    const starts = schoolsOn(space, backbone).flatMap((school) => startsOf(space, backbone, school, tables));
    for (const ground of groundsOf(measure, backbone)) {
      const worth = new Worth(measure, ground, new Map(), new Caps(measure, backbone));
      if (starts.some((start) => bestSettled(start, worth, -Infinity) !== null)) return true;
    }
  }
  return false;
}
