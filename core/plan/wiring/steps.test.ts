import fc from "fast-check";
import { expect, test } from "vitest";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { backbonesOf } from "./backbones";
import { newMeasure, sharpened } from "./grounds";
import type { WiringPlan } from "./make-plan";
import { ALIKE } from "./nodes";
import { schoolsOn, type School } from "./schools";
import { searchPlans } from "./search";
import { stepOf, take, type Run, type Step } from "./steps";
import { hasSound, waitingOf } from "./waiting";
import { PRESETS } from "./weights";

test("steps taken in any order, each as far as anybody asks, lead to the same best plan, and no bound ever rises", () => {
  fc.assert(
    fc.property(rooms, fc.infiniteStream(fc.nat(1000)), (one, picks) => {
      const space = spaceOf(one);
      const weights = PRESETS["best-sound"];
      const pick = (): number => picks.next().value ?? 0;
      const best = new Map<School, WiringPlan>();
      const standing = () => Math.max(-Infinity, ...[...best.values()].map(({ points }) => points));
      const run: Run = {
        measure: sharpened(newMeasure(space, weights)),
        best,
        standing,
        looked: { backbones: 0, settled: 0 },
        keep: (plan) => {
          if (!plan || !plan.figures.heard) return null;
          if (plan.points > (best.get(plan.school)?.points ?? -Infinity) + ALIKE) best.set(plan.school, plan);
          return plan;
        },
      };
      const open: Step[] = [...backbonesOf(space)]
        .map((backbone) => waitingOf(run.measure, backbone, schoolsOn(space, backbone)))
        .filter(hasSound)
        .map(stepOf);
      while (open.length > 0) {
        const [step] = open.splice(pick() % open.length, 1);
        if (!step || step.bound <= standing() + ALIKE) continue;
        // Somebody else asks whether it brings less than this.
        const next = pick() % 3 === 0 ? -Infinity : step.bound - pick() / 100;
        for (const left of take(run, step, next)) {
          expect(left.bound).toBeLessThanOrEqual(step.bound + 1e-6);
          open.push(left);
        }
      }
      const found = searchPlans(space, weights, { onlyBest: true });
      expect(found.proven).toBe(true);
      if (found.plans[0] && found.plans[0].figures.heard) expect(standing()).toBeCloseTo(found.plans[0].points, 5);
    }),
    { numRuns: 60, seed: 74 },
  );
}, 180_000);
