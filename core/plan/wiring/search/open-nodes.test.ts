import fc from "fast-check";
import { expect, test } from "vitest";
import { tries } from "@/demo/tries-under-test";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { openTopologiesOf, type School } from "../topology";
import { newContext, withPictureBounds } from "./configurations";
import type { WiringPlan } from "./plan-draft";
import { ALIKE } from "./plug-assignment";
import { searchPlans } from "./search";
import { expand } from "./expand";
import { topologyNode, type SearchState, type OpenNode } from "./open-nodes";
import { boundOpenTopology, hasSound } from "./bounded-topology";
import { PRESETS } from "../evaluation";

test("steps taken in any order, each as far as anybody asks, lead to the same best plan, and no bound ever rises", () => {
  fc.assert(
    fc.property(rooms, fc.infiniteStream(fc.nat(1000)), (one, picks) => {
      const space = spaceOf(one);
      const weights = PRESETS["best-sound"];
      const pick = (): number => picks.next().value ?? 0;
      const best = new Map<School, WiringPlan>();
      const incumbent = () => Math.max(-Infinity, ...[...best.values()].map(({ points }) => points));
      const run: SearchState = {
        context: withPictureBounds(newContext(space, weights)),
        best,
        incumbent,
        mustSound: true,
        counts: { topologies: 0 },
        keep: (plan) => {
          if (!plan || !plan.figures.heard) return null;
          if (plan.points > (best.get(plan.school)?.points ?? -Infinity) + ALIKE) best.set(plan.school, plan);
          return plan;
        },
      };
      const open: OpenNode[] = [...openTopologiesOf(space)]
        .map((topology) => boundOpenTopology(run.context, topology))
        .filter(hasSound)
        .map(topologyNode);
      while (open.length > 0) {
        const [node] = open.splice(pick() % open.length, 1);
        if (!node || node.bound <= incumbent() + ALIKE) continue;
        // Somebody else asks whether it brings less than this.
        const next = pick() % 3 === 0 ? -Infinity : node.bound - pick() / 100;
        for (const left of expand(run, node, next)) {
          expect(left.bound).toBeLessThanOrEqual(node.bound + 1e-6);
          open.push(left);
        }
      }
      const found = searchPlans(space, weights, { onlyBest: true });
      expect(found.proven).toBe(true);
      if (found.plans[0] && found.plans[0].figures.heard) expect(incumbent()).toBeCloseTo(found.plans[0].points, 5);
    }),
    tries(20, 120, 74),
  );
}, 900_000);
