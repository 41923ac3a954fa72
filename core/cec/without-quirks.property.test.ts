import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { device, room, set, withQuirks } from "@/demo/room-under-test";
import { conflictsOf, curesOf, eventOf, householdOf, judgeAct, judgeAll } from "@/core/cec";
import { QUIRKS, type Quirk } from "@/core/device";
import { applyCommand, type Job } from "@/core/job";

/** A screen with its return socket, a sound system at it, and up to three players at either. */
interface Plan {
  readonly screen: "tv-arc" | "tv-earc";
  readonly system: "bar-two-inputs" | "receiver-72";
  readonly players: readonly { readonly kind: string; readonly atSystem: boolean }[];
}

const plans: fc.Arbitrary<Plan> = fc.record({
  screen: fc.constantFrom("tv-arc" as const, "tv-earc" as const),
  system: fc.constantFrom("bar-two-inputs" as const, "receiver-72" as const),
  players: fc.array(
    fc.record({ kind: fc.constantFrom("streamer-4k", "console-mat", "disc-player-4k", "set-top-box"), atSystem: fc.boolean() }),
    { minLength: 1, maxLength: 3 },
  ),
});

function roomOf({ screen, system, players }: Plan): Job {
  const back = screen === "tv-arc" ? "hdmi1" : "hdmi3";
  const free = { tv: ["hdmi2", screen === "tv-arc" ? "hdmi3" : "hdmi1"], system: ["hdmi-in1", "hdmi-in2"] };
  const plugs = players.flatMap(({ atSystem }, index) => {
    const first = atSystem ? free.system : free.tv;
    const side = first.length ? first : atSystem ? free.tv : free.system;
    const port = side.shift();
    return port ? [`p${index} hdmi-out > ${side === free.tv ? "tv" : "system"} ${port}`] : [];
  });
  return room(
    [device(screen, "tv"), device(system, "system"), ...players.map(({ kind }, index) => device(kind, `p${index}`))],
    `system hdmi-out > tv ${back}`,
    ...plugs,
  );
}

describe("a room without habits", () => {
  test("ends every act as wished, whatever its players and wherever they are plugged", () => {
    fc.assert(
      fc.property(plans, fc.nat({ max: 1000 }), (plan, seed) => {
        const household = householdOf(roomOf(plan));
        expect(conflictsOf(household)).toEqual([]);
        const amiss = judgeAll(household).filter(({ verdict }) => verdict.verdict !== "as-wished");
        expect(amiss.map(({ act, verdict }) => [eventOf(act), verdict])).toEqual([]);
        for (const { act } of judgeAll(household)) expect(judgeAct(household, act, seed)?.verdict.verdict).toBe("as-wished");
      }),
      { numRuns: 60, seed: 71 },
    );
  });
});

describe("whatever order power comes back in", () => {
  test("no logical address has two owners on one wire, and whoever found none is told", () => {
    fc.assert(
      fc.property(plans, fc.nat(), (plan, seed) => {
        const job = roomOf({ ...plan, players: [...plan.players, ...plan.players, ...plan.players] });
        const order = shuffled(
          job.devices.map(({ id }) => id),
          seed,
        );
        const household = householdOf(job, "planned", { order });
        const held = [...household.stations.values()].flatMap(({ nature }) =>
          nature.logical === null || nature.logical === 15 ? [] : [`${nature.wire} ${nature.logical}`],
        );
        expect(new Set(held).size).toBe(held.length);
        const unheard = [...household.stations.values()].filter(({ nature }) => nature.logical === 15).map(({ nature }) => nature.device);
        const told = conflictsOf(household).flatMap((conflict) => (conflict.conflict === "no-address-left" ? [conflict.device] : []));
        expect(told.sort()).toEqual(unheard.sort());
      }),
      { numRuns: 60, seed: 73 },
    );
  });
});

/** An order that a number decides. */
const shuffled = (ids: readonly string[], seed: number): readonly string[] =>
  ids
    .map((id, index) => ({ id, by: Math.imul(seed + index + 1, 2654435761) >>> 0 }))
    .sort((a, b) => a.by - b.by)
    .map(({ id }) => id);

describe("a cure that is offered", () => {
  const switches = ["tv cec off", "system cec off", "system arc off", "p0 control-wakes off", "p0 control-obeys off", "tv speakers own"];
  const rank = { "as-wished": 0, "with-a-step": 1, fails: 2, unstable: 3 } as const;

  test("was played before: with it the act ends better, never worse", () => {
    fc.assert(
      fc.property(
        plans,
        fc.subarray(switches, { minLength: 1, maxLength: 3 }),
        fc.option(fc.constantFrom<Quirk>(...QUIRKS)),
        (plan, off, quirk) => {
          const bare = roomOf(plan);
          const habit = quirk ? { ...bare, devices: bare.devices.map((one) => (one.id === "p0" ? withQuirks(one, quirk) : one)) } : bare;
          const job = set(habit, ...off);
          const household = householdOf(job);
          for (const judged of judgeAll(household).slice(0, 4))
            for (const cure of curesOf(household, judged)) {
              if (cure.cure !== "setting") continue;
              const applied = applyCommand(job, cure.command);
              const after = applied.ok ? judgeAct(householdOf(applied.value.job), judged.act) : null;
              const [was, is] = [judged.verdict, after?.verdict ?? judged.verdict];
              expect(rank[is.verdict]).toBeLessThanOrEqual(rank[was.verdict]);
              if (rank[is.verdict] === rank[was.verdict])
                expect("misses" in is ? is.misses.length : 0).toBeLessThan("misses" in was ? was.misses.length : 0);
            }
        },
      ),
      { numRuns: 40, seed: 72 },
    );
  });
});
