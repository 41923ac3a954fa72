import type { Job } from "@/core/job";
import { boxOfShelf, type WiringSpace, wiringSpace } from "../space";
import { topologiesOf, type Topology } from "../topology";

/** For tests: the space of a room with these boxes in the van. */
export function spaceWith(job: Job, ...boxes: readonly string[]): WiringSpace {
  const space = wiringSpace(job, { boxes: boxes.flatMap((archetype) => boxOfShelf(job, archetype, 50, "van") ?? []) });
  if (!space) throw new Error("nothing to plan");
  return space;
}

/** For tests: the topology with exactly these wires, written as "from>to". */
export function topologyOf(space: WiringSpace, ...wires: readonly string[]): Topology {
  const found = [...topologiesOf(space)].find(
    (one) =>
      one.wires
        .map(({ cable }) => `${cable.from.device}>${cable.to.device}`)
        .toSorted()
        .join() === wires.toSorted().join(),
  );
  if (!found) throw new Error(`no topology ${wires.join(" ")}`);
  return found;
}
