import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { device } from "@/demo/room-under-test";
import { emptyJob, type Job } from "@/core/job";
import { tradesProof, tradeWords, whatIfSentence } from "@/core/text";
import { atHand, boxOfShelf, type WiringSpace, wiringSpace } from "../space";
import { delaysOf } from "../report";
import { searchPlans } from "../search";
import { beats, covers, tradeOf, type Trade } from "./trade";
import { tradesOf } from "./trades";
import { presetOf, PRESETS, readWeights, TUNABLE_NAMES, writeWeights } from "../evaluation";
import { supposed, suppositionsOf, whatIfs } from "../explain";

const household = (...devices: Parameters<typeof device>[]): Job => ({
  ...emptyJob("Room"),
  devices: devices.map(([archetype, id]) => device(archetype, id)),
});

function spaceOf(job: Job, ...boxes: readonly string[]): WiringSpace {
  const price = (archetype: string) => (archetype === "dac-optical" ? 30 : 80);
  const space = wiringSpace(job, { boxes: boxes.flatMap((archetype) => boxOfShelf(job, archetype, price(archetype), "van") ?? []) });
  if (!space) throw new Error("nothing to plan");
  return space;
}

const trades: fc.Arbitrary<Trade> = fc.record({
  arrivals: fc.double({ min: 0, max: 1, noNaN: true }),
  ease: fc.double({ min: 0, max: 1, noNaN: true }),
  cost: fc.integer({ min: 0, max: 500 }),
  work: fc.integer({ min: 0, max: 200 }),
});

describe("a trade", () => {
  test("beats another where it is better in everything, never itself, and never one of which clearly more arrives", () => {
    fc.assert(
      fc.property(trades, trades, (a, b) => {
        expect(beats(a, a)).toBe(false);
        if (a.arrivals > b.arrivals + 0.01 && a.ease > b.ease + 0.02 && a.cost < b.cost && a.work < b.work) expect(beats(a, b)).toBe(true);
        if (a.arrivals < b.arrivals - 0.01) expect(beats(a, b)).toBe(false);
      }),
    );
  });
});

describe("plans that none beats", () => {
  const space = spaceOf(household(["tv-arc", "tv"], ["amplifier-knob", "amplifier"]), "arc-adapter", "dac-optical");
  const { plans: shown } = tradesOf(space, 6);

  test("are the adapter for ease and the converter for less money", () => {
    const schools = shown.map(({ plan }) => plan.school);
    expect(schools).toEqual(expect.arrayContaining(["adapter", "side-cable"]));
    for (const one of shown) for (const other of shown) if (one !== other) expect(beats(other.trade, one.trade)).toBe(false);
  });

  test("differ from each other in something that a person would argue about", () => {
    // In the receiver's den a plan with the set-top box at the television is the same in everything but for two minutes more of work.
    const { plans } = tradesOf(spaceOf(demoJob("receiver-den")), 6);
    for (const [index, { trade }] of plans.entries())
      for (const other of plans.slice(index + 1)) expect(covers(trade, other.trade) || covers(other.trade, trade)).toBe(false);
  });

  test("are each told by what they are best in", () => {
    const adapter = shown.find(({ plan }) => plan.school === "adapter");
    expect(adapter && tradeWords(adapter, shown)).toMatch(/easiest/i);
  });

  test("hold the best plan for every preset, or one that is as good in everything", () => {
    const { plans: many } = tradesOf(space, 50);
    for (const weights of Object.values(PRESETS)) {
      const [best] = searchPlans(space, weights).plans;
      const trade = best && tradeOf(best);
      expect(
        trade && many.some((one) => !beats(trade, one.trade) && (beats(one.trade, trade) || one.trade.ease >= trade.ease - 0.01)),
      ).toBe(true);
    }
  });

  test("are no more than asked for, and the same each time", () => {
    const once = () => tradesOf(spaceOf(demoJob("sail-loft"), "switch-3x1"), 3);
    const { plans, of, isWhole } = once();
    expect(plans.length).toBeLessThanOrEqual(3);
    expect(of).toBeGreaterThanOrEqual(plans.length);
    expect(isWhole).toBe(true);
    expect(once().plans.map(({ trade }) => trade)).toEqual(plans.map(({ trade }) => trade));
  });
});

describe("what is said of plans that none beats", () => {
  const words = (...devices: Parameters<typeof device>[]) => tradesProof(tradesOf(spaceOf(household(...devices)), 4));

  test("names the sound cable of a player's own that was not tried, where there could be one", () => {
    expect(words(["projector", "projector"], ["receiver-51", "receiver"], ["disc-player-4k", "disc"])).toContain("was not tried here");
  });

  test("and not where the sound system takes no such cable", () => {
    const bare = words(["tv-earc", "tv"], ["bar-earc-only", "bar"], ["disc-player-4k", "disc"]);
    expect(bare).toContain("every other way was shown to be no better");
    expect(bare).not.toContain("not tried");
  });
});

describe("what would change the best plan", () => {
  test("an old screen: a return socket would bring its own apps, and it is said how much", () => {
    const job = household(["tv-no-return", "tv"], ["bar-earc-only", "bar"], ["streamer-4k", "streamer"]);
    const space = spaceOf(job, "earc-extractor-mixed");
    const [best] = searchPlans(space, PRESETS["best-sound"]).plans;
    if (!best) throw new Error("no plan");
    const [first] = whatIfs(space, PRESETS["best-sound"], best);
    expect(first).toMatchObject({ supposition: { suppose: "return-socket", device: "tv" }, proven: true });
    expect(first && whatIfSentence(first, best, "bar")).toMatch(/^With an ARC socket at tv: .*points more\. /);
  });

  test("ARC at the screen and a console that sends LPCM: eARC would carry it", () => {
    const job = household(["tv-arc", "tv"], ["bar-arc-optical", "bar"], ["console-lpcm", "console"]);
    expect(suppositionsOf(spaceOf(job))).toContainEqual({ suppose: "earc", device: "tv" });
    const earc = supposed(spaceOf(job), { suppose: "earc", device: "tv" }).screens[0];
    expect(earc?.ports.some((port) => port.connector === "hdmi" && port.returns === "earc")).toBe(true);
    expect(earc?.settings.some(({ key }) => key === "earc")).toBe(true);
  });

  test("a socket more is supposed only where players have none to spare, and a run only where none may be", () => {
    const few = household(["tv-arc", "tv"], ["bar-one-input", "bar"], ["streamer-4k", "a"], ["streamer-4k", "b"]);
    expect(suppositionsOf(spaceOf(few)).filter(({ suppose }) => suppose === "one-more-input")).toEqual([
      { suppose: "one-more-input", device: "bar" },
    ]);
    const hall = demoJob("village-hall");
    const space = wiringSpace(hall, atHand(hall));
    const runs = space ? suppositionsOf(space).filter(({ suppose }) => suppose === "run-allowed") : [];
    expect(runs).toEqual([{ suppose: "run-allowed", between: ["booth", "stage"] }]);
    const opened = space && runs[0] ? supposed(space, runs[0]) : null;
    expect(opened?.job.brief.runs.every(({ allowed }) => allowed)).toBe(true);
  });

  test("one more socket is in every way like the one beside it", () => {
    const space = spaceOf(household(["tv-arc", "tv"], ["bar-one-input", "bar"], ["streamer-4k", "a"], ["streamer-4k", "b"]));
    const bar = supposed(space, { suppose: "one-more-input", device: "bar" }).system;
    const inputs = bar.ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "in");
    expect(inputs).toHaveLength(2);
    for (const route of bar.routes.filter(({ from }) => from.includes(inputs[0]?.id ?? ""))) expect(route.from).toContain(inputs[1]?.id);
  });
});

describe("tuned weights", () => {
  test("stand in an address as six numbers; what is none of that is refused", () => {
    for (const weights of Object.values(PRESETS)) expect(readWeights(writeWeights(weights))).toEqual(weights);
    expect(presetOf(PRESETS["least-drilling"])).toBe("least-drilling");
    expect(presetOf({ ...PRESETS["best-sound"], ease: 11 })).toBeNull();
    for (const text of ["", "best", "1_2_3", "1_2_3_4_5_x", "101_0_0_0_0_0", "-1_0_0_0_0_0"]) expect(readWeights(text)).toBeNull();
    expect(TUNABLE_NAMES).toHaveLength(6);
  });
});

test("delays are told for sound that comes before its picture, by the socket at which it reaches the sound system", () => {
  const job = household(["tv-arc", "tv"], ["bar-one-input", "bar"], ["disc-player-4k", "disc"]);
  for (const plan of searchPlans(spaceOf(job), PRESETS["best-sound"]).plans)
    for (const { at, ms, spreadMs } of delaysOf(plan)) {
      expect(at.device).toBe("bar");
      expect(ms).toBeGreaterThan(0);
      expect(spreadMs).toBeGreaterThanOrEqual(0);
    }
});
