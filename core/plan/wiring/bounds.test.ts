import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { Caps } from "./caps";
import { backboneEffort, draftOf, planOf } from "./make-plan";
import { bestSettled, Worth } from "./nodes";
import { effortPoints } from "./effort";
import { commonActs, remotesNeeded } from "./everyday-acts";
import { type PlayerOption } from "./settle";
import { worked } from "./worked-under-test";
import { PRESETS } from "./weights";

const kindOf = ({ kind }: Pick<PlayerOption, "kind">) => (kind ? `${kind.device} ${kind.ports.join()}` : "");

describe("the bound of an assignment", () => {
  const weights = PRESETS["best-sound"];

  test("is never below what the plan has: any options of any players, played whole", () => {
    fc.assert(
      fc.property(rooms, fc.array(fc.nat(), { minLength: 8, maxLength: 8 }), (one, picks) => {
        const space = spaceOf(one);
        let pick = 0;
        for (const { measure, backbone, grounds } of worked(space, 4, 2))
          for (const { ground, options } of grounds) {
            const taken = new Map<string, number>();
            const chosen = options.flatMap((plugs): PlayerOption[] => {
              const free = plugs.flatMap(({ option }) =>
                option && (!option.kind || (taken.get(kindOf(option)) ?? 0) < option.kind.ports.length) ? [option] : [],
              );
              const option = free[(picks[(pick += 1) % picks.length] ?? 0) % free.length];
              if (option?.kind) taken.set(kindOf(option), (taken.get(kindOf(option)) ?? 0) + 1);
              return option ? [option] : [];
            });
            const plan = planOf(measure, ground, "mixed", chosen);
            const ease = space.players.length ? 0 : weights.ease;
            const before = ground.points + ease - effortPoints(backboneEffort(space, backbone), weights);
            if (plan) expect(plan.points).toBeLessThanOrEqual(before + chosen.reduce((sum, { points }) => sum + points, 0) + 1e-6);
            for (const { remotes } of chosen)
              if (plan) expect(remotesNeeded(plan.figures.acts, commonActs(space))).toBeGreaterThanOrEqual(remotes);
            // What arrives of each alone is what arrives of all together.
            expect(draftOf(measure, ground, "mixed", chosen)?.foreseen()?.points ?? null).toEqual(plan && expect.closeTo(plan.points, 6));
          }
      }),
      { numRuns: 60, seed: 32 },
    );
  });

  test("from the way of its sound and from who hears whom is never below what the plug brings, with any settings of the hubs", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { measure, backbone, tables, grounds } of worked(spaceOf(one), 6, 4)) {
          const caps = new Caps(measure, backbone);
          tables.flat().forEach((plug) => caps.look(plug));
          for (const { ground, options } of grounds)
            for (const { plug, option } of options.flat())
              // What is known of the control switches of this very ground is no less a bound.
              if (option) expect(option.points).toBeLessThanOrEqual(Math.min(caps.of(plug), caps.on(ground, plug)) + 1e-6);
        }
      }),
      { numRuns: 80, seed: 36 },
    );
  });

  test("from the reach of a socket alone is never below what the plug brings, nor is what one ground tells of another", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { grounds } of worked(spaceOf(one), 6, 6))
          for (const { ground, options } of grounds)
            options.forEach((plugs, player) =>
              plugs.forEach(({ plug, option }, at) => {
                if (!option) return;
                expect(option.points).toBeLessThanOrEqual(plug.most + 1e-6);
                for (const other of grounds.filter((one) => one.ground.control === ground.control))
                  expect(other.options[player]?.[at]?.option?.points ?? -Infinity).toBeLessThanOrEqual(option.most + 1e-6);
              }),
            );
      }),
      { numRuns: 60, seed: 34 },
    );
  });

  test("worked out only where it could win is the same as worked out everywhere", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { measure, backbone, tables, grounds } of worked(spaceOf(one), 4, 2))
          for (const { ground, options } of grounds) {
            const found = bestSettled(tables, new Worth(measure, ground, new Map(), new Caps(measure, backbone)), -Infinity);
            const all = new Worth(measure, ground, new Map(), new Caps(measure, backbone));
            for (const _step of [1, 2, 3]) options.flat().forEach(({ plug }) => all.advance(plug));
            expect(found?.worth).toBeCloseTo(bestSettled(tables, all, -Infinity)?.worth ?? NaN, 9);
          }
      }),
      { numRuns: 40, seed: 35 },
    );
  });
});
