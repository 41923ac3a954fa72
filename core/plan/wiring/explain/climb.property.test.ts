import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyRoom, anySpace } from "@/demo/any-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { device, room } from "@/demo/room-under-test";
import { applyCommand, type Brief, type Job } from "@/core/job";
import { present } from "@/core/outcome";
import { planProof } from "@/core/text";
import { PRESETS, type Weights, weightsOf } from "../evaluation";
import { type Must, wiringSpace, type WiringSpace } from "../space";
import { allowedChanges, withOwnNames, worthOfRoom } from "./check";
import { checkedPlans } from "./checked-plans";
import { smallestConflict } from "./conflict";
import { supposed, suppositionsOf, whatIfs } from "./what-if";

/**
 * The judge that goes several steps: it wanders from room to room by single changes, uphill and now and then down, and knows nothing of
 * topologies, bounds or schools. A neighbour of the best plan may be worse where the room behind it is better.
 */

/** The highest worth of any room on a way that some numbers lead. */
function climbed(space: WiringSpace, weights: Weights, from: Job, tape: readonly number[], mustSound: boolean): number {
  let job = from;
  let worth = worthOfRoom(space, weights, job, mustSound) ?? -Infinity;
  let best = worth;
  for (const [step, number] of tape.entries()) {
    const open = allowedChanges(space, job);
    const change = open[number % Math.max(1, open.length)];
    const applied = change && applyCommand(job, change.command);
    if (!applied?.ok) continue;
    const there = withOwnNames(space, job, applied.value.job);
    const next = worthOfRoom(space, weights, there, mustSound);
    best = Math.max(best, next ?? -Infinity);
    // What is worth less is taken less and less often; a room that is none counts some points less.
    const drop = worth - (next ?? worth - 8);
    if (drop > 0 && (number % 97) / 97 > Math.exp(-drop / (6 * (1 - step / tape.length) ** 2 + 0.02))) continue;
    job = there;
    worth -= drop;
  }
  return best;
}

test("no room on a way of many single changes beats a plan that is called proven", () => {
  fc.assert(
    fc.property(anyRoom, fc.array(fc.nat(1_000_000), { minLength: 150, maxLength: 150, size: "max" }), (one, tape) => {
      const space = anySpace(one);
      const weights = weightsOf(space.job.brief);
      const { plans, proven } = checkedPlans(space, weights, { onlyBest: true, clock: () => performance.now(), mostMs: 20_000 });
      const [plan] = plans;
      if (!plan || !proven) return;
      for (const from of [space.job, plan.job])
        expect(climbed(space, weights, from, tape, plan.figures.heard)).toBeLessThanOrEqual(plan.points + 1e-6);
    }),
    tries(25, 400, 42),
  );
}, 900_000);

describe("a lead for sound from the player itself", () => {
  // The disc may not go into the receiver, and the screen hands nothing back by HDMI.
  const job = room([
    device("tv-coaxial", "tv"),
    device("projector", "projector"),
    device("receiver-51", "receiver"),
    device("disc-player-4k", "disc"),
  ]);
  const brief: Partial<Brief> = {
    mayBuy: ["cable"],
    newsFrom: "screen",
    bonds: [{ bond: "forbid-place", player: "disc", hub: "receiver" }],
  };
  const briefed = (of: Job, more: Partial<Brief> = {}): Job => ({ ...of, brief: { ...of.brief, ...brief, ...more } });
  const spaceOf = (of: Job, wishes?: Parameters<typeof wiringSpace>[2]): WiringSpace =>
    present(wiringSpace(of, { boxes: [] }, wishes), "something to plan");
  const best = (more: Partial<Brief> = {}) => {
    const space = spaceOf(briefed(job, more));
    const { plans, proven } = checkedPlans(space, PRESETS["easiest-to-use"], { onlyBest: true });
    const cables = plans[0]?.job.cables.map(({ from, to }) => `${from.device} ${from.port} > ${to.device} ${to.port}`) ?? [];
    return { school: plans[0]?.school, proven, cables, sound: plans[0]?.figures.sound ?? 0 };
  };

  test("is laid beside its HDMI where nothing else brings its sound whole, and the plan is proven with it", () => {
    const plan = best();
    expect(plan).toMatchObject({ school: "side-cable", proven: true });
    expect(plan.cables).toEqual(expect.arrayContaining(["disc optical-out > receiver optical-in", "disc hdmi-out > tv hdmi2"]));
  });

  test("is not where no cable may be bought, or no separate sound cable is wanted", () => {
    for (const more of [{ mayBuy: [] }, { bonds: [...(brief.bonds ?? []), { bond: "forbid-school" as const, school: "side-cable" }] }])
      expect(best(more as Partial<Brief>).cables.filter((cable) => cable.startsWith("disc optical-out"))).toEqual([]);
  });

  test("fulfils a wish that nothing else does, and then no wishes are said to conflict", () => {
    // A projector returns nothing, and the disc may not go into the receiver.
    const dark = room([device("projector", "projector"), device("receiver-51", "receiver"), device("disc-player-4k", "disc")]);
    const musts: readonly Must[] = [{ want: "sounds", device: "disc" }];
    const bonds = brief.bonds ?? [];
    const space = spaceOf(briefed(dark), { bonds, musts });
    const { plans, proven, impossible } = checkedPlans(space, PRESETS["easiest-to-use"]);
    expect({ school: plans[0]?.school, proven, isImpossible: impossible.includes("side-cable") }).toEqual({
      school: "side-cable",
      proven: true,
      isImpossible: false,
    });
    expect(smallestConflict({ job: space.job, atHand: { boxes: [] }, bonds, musts }).kind).toBe("none");
  });

  test("of two players at once is laid where one alone is not enough, and proven; where one does not help the proof names the others", () => {
    const dark = room([
      device("projector", "projector"),
      device("receiver-72", "receiver"),
      device("disc-player-4k", "disc"),
      device("disc-player-4k", "second"),
    ]);
    const bonds = ["disc", "second"].map((player) => ({ bond: "forbid-place" as const, player, hub: "receiver" }));
    const wished = briefed(dark, { bonds });
    const musts: readonly Must[] = ["disc", "second"].map((player) => ({ want: "sounds", device: player }));
    const open = spaceOf(briefed(dark, { bonds: [] }));
    for (const one of [spaceOf(wished, { bonds, musts }), spaceOf(wished, { bonds })]) {
      const { plans, proven } = checkedPlans(one, PRESETS["easiest-to-use"]);
      const leads = plans[0]?.job.cables.filter(({ to }) => to.device === "receiver").map(({ from }) => `${from.device} ${from.port}`);
      expect({ leads: leads?.toSorted(), proven }).toEqual({ leads: ["disc optical-out", "second optical-out"], proven: true });
    }
    expect(smallestConflict({ job: wished, atHand: { boxes: [] }, bonds, musts }).kind).toBe("none");
    expect(planProof(checkedPlans(open, PRESETS["best-sound"]))).toContain("with one new sound cable of a player’s own at most");
  });

  test("is thought of too where something about the room is supposed", () => {
    // One player more than the screen has sockets for: one more socket there helps, and the disc keeps its lead.
    const players = ["disc-player-4k", "streamer-4k", "console-mat", "streamer-4k"];
    const crowded = room([
      ...job.devices.slice(0, 3),
      ...players.map((archetype, index) => device(archetype, index ? `player-${index}` : "disc")),
    ]);
    const bonds = crowded.devices.slice(3).map(({ id }) => ({ bond: "forbid-place" as const, player: id, hub: "receiver" }));
    const space = spaceOf(briefed(crowded, { bonds }));
    const weights = PRESETS["easiest-to-use"];
    const first = present(checkedPlans(space, weights, { onlyBest: true }).plans[0], "a plan");
    expect(first.school).toBe("side-cable");
    const supposition = { suppose: "one-more-input", device: "tv" } as const;
    expect(suppositionsOf(space)).toContainEqual(supposition);
    const [plan] = checkedPlans(supposed(space, supposition), weights, { onlyBest: true }).plans;
    const told = whatIfs(space, weights, first).find(
      (one) => one.supposition.suppose === "one-more-input" && one.supposition.device === "tv",
    );
    expect(plan?.school).toBe("side-cable");
    expect(told?.gain).toBeCloseTo((plan?.points ?? 0) - first.points, 6);
  });

  test("that is there is thought away too, and what is asked of the plan's school still holds", () => {
    const laid = room(job.devices, "disc optical-out > receiver optical-in", "disc hdmi-out > tv hdmi1");
    for (const school of ["screen-hub", "sound-hub", "mixed"] as const) {
      const space = spaceOf(laid, { bonds: [{ bond: "use-school", school }] });
      const { plans } = checkedPlans(space, PRESETS["best-sound"], { onlyBest: true });
      expect(plans.map((plan) => plan.school)).toEqual(plans.length ? [school] : []);
    }
  });
});

test("where only boxes may be bought, the cables that come with one stay at it: none joins two devices that were there before", () => {
  const space = anySpace({
    screen: "tv-arc",
    second: null,
    system: "bar-one-input",
    players: ["streamer-4k"],
    boxes: ["earc-extractor-mixed"],
    settings: [],
    quirks: [],
    plugs: [],
    brief: {
      weighing: "least-spending",
      mayBuy: ["box"],
      newsFrom: "system",
      surround: "wished",
      screensAtOnce: null,
      remotes: null,
      bonds: [],
      musts: [],
      hopes: [],
    },
  });
  const weights = weightsOf(space.job.brief);
  const plan = present(checkedPlans(space, weights, { onlyBest: true }).plans[0], "a plan");
  expect(worthOfRoom(space, weights, plan.job)).toBeCloseTo(plan.points, 6);
  const fromSystem = present(
    plan.job.cables.find(({ from }) => from.device === "system"),
    "a cable of the bar",
  );
  const moved = plan.job.cables.map((cable) => (cable === fromSystem ? { ...cable, to: { device: "screen", port: "hdmi1" } } : cable));
  const asFound = (mayBuy: Brief["mayBuy"]): WiringSpace => ({ ...space, job: { ...space.job, brief: { ...space.job.brief, mayBuy } } });
  expect(worthOfRoom(asFound(["box"]), weights, { ...plan.job, cables: moved })).toBeNull();
  expect(worthOfRoom(asFound(["box", "cable"]), weights, { ...plan.job, cables: moved })).not.toBeNull();
});
