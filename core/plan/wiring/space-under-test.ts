import type { Job } from "@/core/job";
import { boxOfShelf } from "./at-hand";
import { backbonesOf, type Backbone } from "./backbones";
import { wiringSpace, type WiringSpace } from "./space";

/** For tests: the space of a room with these boxes in the van. */
export function spaceWith(job: Job, ...boxes: readonly string[]): WiringSpace {
  const space = wiringSpace(job, { boxes: boxes.flatMap((archetype) => boxOfShelf(job, archetype, 50, "van") ?? []) });
  if (!space) throw new Error("nothing to plan");
  return space;
}

/** For tests: the backbone with exactly these wires, written as "from>to". */
export function backboneOf(space: WiringSpace, ...wires: readonly string[]): Backbone {
  const found = [...backbonesOf(space)].find(
    (one) =>
      one.wires
        .map(({ cable }) => `${cable.from.device}>${cable.to.device}`)
        .toSorted()
        .join() === wires.toSorted().join(),
  );
  if (!found) throw new Error(`no backbone ${wires.join(" ")}`);
  return found;
}
