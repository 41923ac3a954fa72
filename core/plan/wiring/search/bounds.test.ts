import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { tries } from "@/demo/tries-under-test";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { PlugBounds } from "./plug-bounds";
import { topologyEffort, draftOf, planOf } from "./plan-draft";
import { refinedAssignment } from "./plug-assignment";
import { PlugValues } from "./plug-values";
import { anywhere } from "./school-needs";
import { GroupBounds } from "./group-bounds";
import { controlKeyOf, settingsOf } from "./setting-group";
import { commonActs, effortPoints, PRESETS, remotesNeeded } from "../evaluation";
import { type PlayerOption } from "./judge-plug";
import { worked } from "../under-test/worked";

const kindOf = ({ kind }: Pick<PlayerOption, "kind">) => (kind ? `${kind.device} ${kind.ports.join()}` : "");

describe("the bound of an assignment", () => {
  const weights = PRESETS["best-sound"];

  test("is never below what the plan has: any options of any players, played whole", () => {
    fc.assert(
      fc.property(rooms, fc.array(fc.nat(), { minLength: 8, maxLength: 8 }), (one, picks) => {
        const space = spaceOf(one);
        let pick = 0;
        for (const { context, topology, configurations } of worked(space, 4, 2))
          for (const { configuration, options } of configurations) {
            const taken = new Map<string, number>();
            const chosen = options.flatMap((plugs): PlayerOption[] => {
              const free = plugs.flatMap(({ option }) =>
                option && (!option.kind || (taken.get(kindOf(option)) ?? 0) < option.kind.ports.length) ? [option] : [],
              );
              const option = free[(picks[(pick += 1) % picks.length] ?? 0) % free.length];
              if (option?.kind) taken.set(kindOf(option), (taken.get(kindOf(option)) ?? 0) + 1);
              return option ? [option] : [];
            });
            const plan = planOf(context, configuration, "mixed", chosen);
            const ease = space.players.length ? 0 : weights.ease;
            const before = configuration.points + ease - effortPoints(topologyEffort(space, topology), weights);
            if (plan) expect(plan.points).toBeLessThanOrEqual(before + chosen.reduce((sum, { points }) => sum + points, 0) + 1e-6);
            for (const { remotes } of chosen)
              if (plan) expect(remotesNeeded(plan.figures.acts, commonActs(space))).toBeGreaterThanOrEqual(remotes);
            // What arrives of each alone is what arrives of all together.
            expect(draftOf(context, configuration, "mixed", chosen)?.estimate()?.points ?? null).toEqual(
              plan && expect.closeTo(plan.points, 6),
            );
          }
      }),
      tries(30, 120, 32),
    );
  });

  test("from the way of its sound and from who hears whom is never below what the plug brings, with any settings of the hubs", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { context, topology, tables, configurations } of worked(spaceOf(one), 6, 4)) {
          const bounds = new PlugBounds(context, topology);
          tables.flat().forEach((plug) => bounds.refine(plug));
          for (const { configuration, options } of configurations)
            for (const { plug, option } of options.flat())
              // What is known of the control switches of this very configuration is no less a bound.
              if (option) expect(option.points).toBeLessThanOrEqual(Math.min(bounds.of(plug), bounds.on(configuration, plug)) + 1e-6);
        }
      }),
      tries(40, 160, 36),
    );
  });

  test("in a group of configurations is never below what the plug brings on any of them, nor is what the hubs bring themselves", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { context, topology, tables } of worked(spaceOf(one), 4, 0))
          for (const group of settingsOf(context, topology).split(controlKeyOf).slice(0, 3)) {
            const bounds = new PlugBounds(context, topology);
            const within = new GroupBounds(context, topology, bounds, group);
            tables.flat().forEach((plug) => within.refine(plug));
            for (const configuration of group.configurations().slice(0, 4)) {
              expect(configuration.points).toBeLessThanOrEqual(within.points + 1e-6);
              const values = new PlugValues(context, configuration, bounds, bounds);
              for (const plug of tables.flat()) {
                const worth = values.settled(plug)?.points ?? -Infinity;
                expect(worth).toBeLessThanOrEqual(within.on(configuration, plug) + 1e-6);
              }
            }
          }
      }),
      tries(15, 80, 37),
    );
  });

  test("from the reach of a socket alone is never below what the plug brings", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { configurations } of worked(spaceOf(one), 6, 6))
          for (const { options } of configurations)
            for (const { plug, option } of options.flat()) if (option) expect(option.points).toBeLessThanOrEqual(plug.most + 1e-6);
      }),
      tries(25, 120, 34),
    );
  });

  test("worked out only where it could win is the same as worked out everywhere", () => {
    fc.assert(
      fc.property(rooms, (one) => {
        for (const { context, topology, tables, configurations } of worked(spaceOf(one), 4, 2))
          for (const { configuration, options } of configurations) {
            const fresh = () => {
              const bounds = new PlugBounds(context, topology);
              return new PlugValues(context, configuration, bounds, bounds);
            };
            const found = refinedAssignment(anywhere(tables), fresh(), -Infinity);
            const all = fresh();
            for (const _step of [1, 2, 3]) options.flat().forEach(({ plug }) => all.refine(plug));
            expect(found?.worth).toBeCloseTo(refinedAssignment(anywhere(tables), all, -Infinity)?.worth ?? NaN, 9);
          }
      }),
      tries(20, 80, 35),
    );
  });
});
