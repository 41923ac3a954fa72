import { describe, expect, test } from "vitest";
import { device, room } from "@/demo/room-under-test";
import { searchPlans, PRESETS, wiringSpace, type Supposition, type Trade, type TradedPlan } from "@/core/plan";
import { suppositionWords, tradeWords, whatIfSentence } from "@/core/text";

const job = {
  ...room([device("tv-arc", "tv"), device("bar-one-input", "bar"), device("streamer-4k", "streamer")]),
  rooms: [
    { id: "den", name: "Den", seats: 4, space: null },
    { id: "attic", name: "Attic", seats: 0, space: null },
  ],
};
const space = wiringSpace(job, { boxes: [] });
const [plan] = space ? searchPlans(space, PRESETS["best-sound"]).plans : [];
if (!plan) throw new Error("no plan");

describe("what is supposed", () => {
  test("is said with the names of this job", () => {
    const all: readonly Supposition[] = [
      { suppose: "one-more-input", device: "bar" },
      { suppose: "earc", device: "tv" },
      { suppose: "return-socket", device: "tv" },
      { suppose: "passes-dts", device: "tv" },
      { suppose: "run-allowed", between: ["den", "attic"] },
    ];
    expect(all.map((one) => suppositionWords(job, one))).toEqual([
      "With one more HDMI input at bar",
      "With eARC in place of ARC at tv",
      "With an ARC socket at tv",
      "If tv passed DTS on",
      "If a cable could run between Den and Attic",
    ]);
  });

  test("is told with what becomes better, and with what the plan then is", () => {
    const better = { ...plan, figures: { ...plan.figures, whole: plan.figures.whole + 2 }, school: "sound-hub" } as const;
    const before = { ...plan, school: "mixed" } as const;
    const words = whatIfSentence({ supposition: { suppose: "earc", device: "tv" }, plan: better, gain: 3.25, proven: true }, before, "bar");
    expect(words).toMatch(
      /^With eARC in place of ARC at tv: 2 more rows would play all they can, the best way would be “everything into the sound system” and 3\.3 points more\. /,
    );
  });
});

describe("a trade beside others", () => {
  const traded = (trade: Trade): TradedPlan => ({ plan, trade });

  test("is told by what it alone is best in, else by what it shares, else as existing between", () => {
    const all = [
      traded({ arrivals: 1, ease: 0.7, cost: 200, work: 60 }),
      traded({ arrivals: 0.8, ease: 1, cost: 100, work: 40 }),
      traded({ arrivals: 0.7, ease: 0.8, cost: 0, work: 10 }),
      traded({ arrivals: 0.9, ease: 0.9, cost: 90, work: 30 }),
      traded({ arrivals: 1, ease: 0.65, cost: 150, work: 50 }),
    ];
    expect(all.map((one) => tradeWords(one, all))).toEqual([
      "Most arrives",
      "Easiest",
      "Cheapest and least work",
      "In between",
      "Most arrives",
    ]);
  });
});
