import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { device } from "@/demo/room-under-test";
import { arrivalsOf } from "@/core/chain";
import type { Device } from "@/core/device";
import { applyCommand, emptyJob, readJob, type Job } from "@/core/job";
import { planTables } from "@/core/report";
import { conflictOfWishes, givenUp, impossibleSchool, planIdea, planProof, whyNotSentence } from "@/core/text";
import { atHand, type Bond, boxOfShelf, wiringSpace } from "../space";
import { smallestConflict, whyNot } from "../explain";
import { type Preset, PRESETS, readMust } from "../evaluation";
import { planCommand, readAsked, readForbidden, readPin, scheduleOf, settingsSheetOf, shoppingOf, soldLength } from "../report";
import type { WiringPlan } from "./plan-draft";
import { searchPlans, type PlanSearch } from "./search";

const household = (...devices: readonly Device[]): Job => ({ ...emptyJob("Room"), devices: [...devices] });

interface With {
  readonly preset?: Preset;
  readonly boxes?: readonly string[];
  readonly bonds?: readonly Bond[];
}

function spaceOf(job: Job, { boxes = [], bonds = [] }: With) {
  const own = boxes.flatMap((archetype) => boxOfShelf(job, archetype, 80, "van") ?? []);
  const space = wiringSpace(job, { boxes: own }, { bonds });
  if (!space) throw new Error("nothing to plan");
  return space;
}

const plansOf = (job: Job, options: With = {}): PlanSearch => searchPlans(spaceOf(job, options), PRESETS[options.preset ?? "best-sound"]);

function first({ plans }: PlanSearch): WiringPlan {
  const [plan] = plans;
  if (!plan) throw new Error("no plan");
  return plan;
}

const placesOf = ({ places }: WiringPlan) => Object.fromEntries(places);

describe("a receiver with fewer inputs than players", () => {
  // Four inputs, five players; the screen has ARC.
  const five = household(
    device("tv-arc", "tv"),
    device("receiver-51", "receiver"),
    device("disc-player-4k", "disc"),
    device("console-mat", "console"),
    device("set-top-box", "box"),
    device("streamer-4k", "streamer"),
    device("disc-player-hd", "old-disc"),
  );
  const found = plansOf(five);

  test("is mixed: who has most to lose through ARC sits in the receiver", () => {
    const best = first(found);
    expect(found.proven).toBe(true);
    expect(best.school).toBe("mixed");
    expect(placesOf(best)).toMatchObject({ disc: "receiver", console: "receiver" });
    // The receiver has a socket for one of the other two: neither loses anything through ARC, so which of them has it does not matter.
    const inScreen = [...best.places].filter(([, hub]) => hub === "tv").map(([player]) => player);
    expect(inScreen.length).toBeGreaterThan(0);
    for (const player of inScreen) expect(["box", "streamer"]).toContain(player);
  });

  test("and every school that is possible stands beside it with what it costs", () => {
    const behind = found.plans.map(({ school, points }) => [school, Number((first(found).points - points).toFixed(2))] as const);
    expect(behind.map(([school]) => school)).toContain("screen-hub");
    for (const [, points] of behind.slice(1)) expect(points).toBeGreaterThan(0);
    for (const school of found.impossible) expect(impossibleSchool(five, school, "receiver")).toMatch(/^[A-Z].*: .*\.$/);
  });
});

describe("an old screen and a bar whose only socket is eARC", () => {
  const old = household(device("tv-no-return", "tv"), device("bar-earc-only", "bar"), device("streamer-4k", "streamer"));
  const boxes = ["earc-extractor-mixed", "earc-extractor-copy", "extractor"];

  test("takes an eARC extractor before the screen; the plain extractor does not fit the bar", () => {
    const found = plansOf(old, { boxes });
    expect(found.plans.map(({ school }) => school)).toEqual(["split"]);
    expect(first(found).boxes.map(({ device: { archetype } }) => archetype)).toEqual(["earc-extractor-mixed"]);
    expect(arrivalsOf(first(found).job).find(({ player }) => player === "streamer")?.verdict).toBe("full");
  });

  test("gives up the screen's own apps, and says which socket keeps them", () => {
    const lost = givenUp(first(plansOf(old, { boxes }))).filter(({ device: about }) => about === "tv");
    for (const { words } of lost) expect(words).toMatch(/^tv, .*: nothing arrives\. .*(return|connects)/);
    expect(lost.length).toBeGreaterThan(0);
  });
});

describe("why not with another setting", () => {
  const loft = demoJob("sail-loft");
  const space = wiringSpace(loft, atHand(loft));
  const found = space && searchPlans(space, PRESETS["best-sound"]);

  test("a screen that sends only PCM back loses what it would hand on, and the difference is told", () => {
    const asked = readAsked(loft, "setting:television.digital-output=pcm");
    if (!space || !found || !asked) throw new Error("nothing to ask");
    const answer = whyNot(space, PRESETS["best-sound"], found, asked, { onlyBest: true });
    expect(answer.proven).toBe(true);
    expect(answer.behind).toBeGreaterThan(0);
    const tv = answer.best?.job.devices.find(({ id }) => id === "television");
    expect(tv?.settings.find(({ key }) => key === "digital-output")).toMatchObject({ planned: "pcm" });
    expect(whyNotSentence(answer, space.system.id)).toMatch(/points behind the best: /);
  });

  test("what a device cannot be set to is nothing to ask about", () => {
    for (const text of [
      "setting:television.digital-output=loud",
      "setting:television.colour=red",
      "setting:nobody.arc=on",
      "setting:television",
    ])
      expect(readAsked(loft, text)).toBeNull();
  });
});

describe("wishes that cannot all be had", () => {
  const old = household(device("tv-no-return", "tv"), device("bar-earc-only", "bar"), device("streamer-4k", "streamer"));
  const wishes = (job: Job, ...texts: readonly string[]) => texts.flatMap((text) => readMust(job, text) ?? []);

  test("the old screen, the eARC bar, and the screen's own apps from the bar: any two of them, not all three", () => {
    const musts = wishes(old, "sounds:tv", "keep:tv", "keep:bar", "keep:streamer");
    const conflict = smallestConflict({ job: old, atHand: { boxes: [] }, bonds: [], musts });
    expect(conflict).toEqual({ kind: "conflict", musts: wishes(old, "sounds:tv", "keep:tv", "keep:bar"), isSmallest: true });
    expect(conflictOfWishes(old, conflict)).toBe(
      "These wishes conflict; drop any one of them and the others are possible: everything tv plays comes from the sound system; tv is kept; bar is kept.",
    );
  });

  test("the old screen alone cannot show what the streamer has, whatever else is wished", () => {
    const musts = wishes(old, "keep:bar", "picture:streamer", "keep:tv");
    expect(smallestConflict({ job: old, atHand: { boxes: [] }, bonds: [], musts })).toMatchObject({
      musts: wishes(old, "picture:streamer", "keep:tv"),
    });
  });

  test("what can be had is no conflict, and every plan fulfils it", () => {
    const den = demoJob("receiver-den");
    const musts = wishes(den, "whole:console", "keep:receiver", "picture:disc-player");
    expect(smallestConflict({ job: den, atHand: { boxes: [] }, bonds: [], musts })).toEqual({ kind: "none" });
    const space = wiringSpace(den, { boxes: [] }, { musts });
    for (const plan of space ? searchPlans(space, PRESETS["least-spending"]).plans : [])
      expect(
        arrivalsOf(plan.job)
          .filter(({ player }) => player === "console")
          .map(({ verdict }) => verdict),
      ).toEqual(["full"]);
  });

  test("where the time is over before anything is shown that is said, and no set is made up", () => {
    let now = 0;
    const clock = () => (now += 1000);
    const musts = wishes(old, "sounds:tv", "keep:tv", "keep:bar");
    const conflict = smallestConflict({ job: old, atHand: { boxes: [] }, bonds: [], musts }, { clock, mostMs: 500 });
    expect(conflict).toEqual({ kind: "not-known" });
    expect(conflictOfWishes(old, conflict)).toMatch(/could not be determined in time/);
  });

  test("a wish of nobody is none", () => {
    expect([readMust(old, "sounds:nobody"), readMust(old, "loud:tv")]).toEqual([null, null]);
  });
});

describe("an amplifier with a knob", () => {
  test("gets the ARC adapter that the screen's remote moves", () => {
    const found = plansOf(household(device("tv-arc", "tv"), device("amplifier-knob", "amplifier")), {
      boxes: ["arc-adapter", "dac-optical"],
      preset: "easiest-to-use",
    });
    expect(first(found)).toMatchObject({ school: "adapter", figures: { remotes: 1, steps: 0 } });
  });
});

describe("a console whose objects come as MAT only, and a screen with ARC", () => {
  test("sits in the bar", () => {
    const found = plansOf(household(device("tv-arc", "tv"), device("bar-one-input", "bar"), device("console-mat", "console")));
    expect(placesOf(first(found))).toEqual({ console: "bar" });
    expect(found.plans.find(({ school }) => school === "screen-hub")?.figures.reduced).toBeGreaterThan(0);
  });
});

describe("an HD stick", () => {
  test("never takes the only protected 4K socket from who needs it", () => {
    const plan = first(plansOf(demoJob("10-scarce-sockets", "systems")));
    const streamer = arrivalsOf(plan.job).filter(({ player }) => player === "streamer");
    for (const { verdict, pictureLosses } of streamer) expect([verdict, pictureLosses]).toEqual(["full", []]);
  });
});

describe("what a person asks of a plan", () => {
  const loft = demoJob("sail-loft");

  test("a pin is kept, a place that is forbidden is left, and no new cable is laid where none may be", () => {
    const pin = readPin(loft, "streamer:bar");
    const forbid = readForbidden(loft, "console:bar");
    const without = readForbidden(loft, "new-cables");
    if (!pin || !forbid || !without) throw new Error("bonds");
    expect(placesOf(first(plansOf(loft, { bonds: [pin] }))).streamer).toBe("bar");
    expect(placesOf(first(plansOf(loft, { bonds: [forbid] }))).console).not.toBe("bar");
    for (const { figures } of plansOf(loft, { bonds: [without] }).plans) expect(figures.newCables).toBe(0);
  });

  test("names that this job does not know are no bonds", () => {
    expect([readPin(loft, "nobody:bar"), readPin(loft, "console:bar.nowhere"), readForbidden(loft, "box:console-mat")]).toEqual([
      null,
      null,
      null,
    ]);
    expect(readForbidden(loft, "school:split")).toEqual({ bond: "forbid-school", school: "split" });
  });

  test("why not so: planned with it, and how far it is behind", () => {
    const space = spaceOf(loft, {});
    const before = searchPlans(space, PRESETS["best-sound"]);
    const asked = whyNot(space, PRESETS["best-sound"], before, { bond: "use-school", school: "screen-hub" });
    expect(asked.best?.school).toBe("screen-hub");
    expect(asked.behind).toBeGreaterThanOrEqual(0);
    const impossible = whyNot(space, PRESETS["best-sound"], before, { bond: "use-box", archetype: "matrix-4x2" });
    expect(impossible).toEqual({ best: null, proven: true, behind: null });
  });

  test("two pins that cannot both hold leave a player out, and nothing is made up", () => {
    const bonds = ["console", "streamer"].flatMap((player) => readPin(loft, `${player}:bar`) ?? []);
    const best = first(plansOf(loft, { bonds }));
    expect([...best.places.values()].filter((hub) => hub === "bar")).toHaveLength(1);
    expect([...best.places.values()]).toContain(null);
  });
});

describe("a plan made the planned state of its job", () => {
  const jobs = demoJobNames()
    .filter((name) => name !== "village-hall")
    .map((name) => demoJob(name));

  test("by one edit, which gives the board that the plan promised and a document that reads", () => {
    for (const job of jobs) {
      const plan = first(plansOf(job, { boxes: ["earc-extractor-mixed", "switch-3x1"] }));
      const applied = applyCommand(job, planCommand(job, plan));
      if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
      const board = (of: Job) => arrivalsOf(of).map(({ id, verdict, arrives }) => [id, verdict, arrives?.coding, arrives?.channels]);
      expect(board(applied.value.job).toSorted()).toEqual(board(plan.job).toSorted());
      expect(readJob(JSON.parse(JSON.stringify(applied.value.job))).ok).toBe(true);
      const back = applyCommand(applied.value.job, applied.value.inverse);
      expect(back.ok && back.value.job).toEqual(job);
    }
  });

  test("planned again it is still the best, and asks for no work", () => {
    const job = demoJob("receiver-den");
    const plan = first(plansOf(job));
    const applied = applyCommand(job, planCommand(job, plan));
    if (!applied.ok) throw new Error("refused");
    const again = first(plansOf(applied.value.job));
    expect(again.points).toBeGreaterThanOrEqual(plan.points - 1e-6);
    expect(again.figures.newCables).toBe(0);
  });
});

describe("the lists of a plan", () => {
  const job = demoJob("flat-4b");
  const plan = first(plansOf(job, { boxes: ["matrix-4x2"] }));

  test("name each box and cable that is missing, in lengths that are sold", () => {
    expect([soldLength(2.1), soldLength(3), soldLength(80)]).toEqual([3, 3, 80]);
    const lines = shoppingOf(plan);
    const fresh = scheduleOf(job, plan).filter(({ work }) => work === "new");
    expect(lines.flatMap((line) => (line.kind === "cable" ? [line.count] : [])).reduce((sum, count) => sum + count, 0)).toBe(fresh.length);
    expect(lines.filter(({ kind }) => kind === "box")).toHaveLength(plan.boxes.filter(({ isThere }) => !isThere).length);
  });

  test("visit only menus that stand otherwise", () => {
    for (const { device: id, rows } of settingsSheetOf(job, plan))
      for (const { key, value, found } of rows) {
        expect(found).not.toBe(value);
        expect(plan.job.devices.find((one) => one.id === id)?.settings.find((row) => row.key === key)?.options).toContain(value);
      }
  });

  test("as a table hold nothing that a spreadsheet would compute", () => {
    const named = { ...job, devices: job.devices.map((one) => ({ ...one, name: `=${one.name}"` })) };
    const table = planTables(named, {
      ...plan,
      job: { ...plan.job, devices: plan.job.devices.map((one) => ({ ...one, name: `=${one.name}"` })) },
    });
    for (const line of table.split("\r\n")) for (const cell of line.split(",")) expect(cell).not.toMatch(/^"?[=+@]/);
    expect(table).toContain(`"'=`);
  });
});

describe("boxes to plan with", () => {
  test("are those of the van with their price, then what may be bought, and none that is dearer than the budget", () => {
    const item = { id: "a", what: { kind: "device", archetype: "splitter-1x2" }, count: 1, minimum: 0, price: 40 } as const;
    const job = { ...demoJob("flat-4b"), brief: { ...demoJob("flat-4b").brief, budget: 50, mayBuy: [] } };
    expect(atHand(job, [item], new Map([["a", 1]])).boxes.map(({ device: one, price }) => [one.archetype, price])).toEqual([
      ["splitter-1x2", 40],
    ]);
    expect(atHand(job, [{ ...item, price: 60 }], new Map([["a", 1]])).boxes).toEqual([]);
    expect(atHand({ ...job, brief: { ...job.brief, mayBuy: ["box"] } }).boxes.every(({ price }) => price === null)).toBe(true);
  });
});

test("a room with nothing to plan has no space, and words say how sure a search is", () => {
  expect(wiringSpace(emptyJob("Empty"), { boxes: [] })).toBeNull();
  const found = plansOf(demoJob("attic-screen"));
  expect(planProof(found)).toMatch(/^Proven best/);
  expect(planProof({ ...found, proven: false, gap: 2.34 })).toContain("2.3\u2009% more points");
  expect(planProof({ ...found, proven: false, leadsTried: false })).toContain("no time to try every sound cable of a player’s own");
  expect(planProof({ ...found, plans: [] })).toMatch(/^No plan/);
  expect(planIdea(first(found), "bar")).toBe("Streamer into Bar. Bar connects to Projector “HDMI 1”.");
});

test("a search that has no time ends at once, without a plan and without claiming that there is none", () => {
  let now = 0;
  const found = searchPlans(spaceOf(demoJob("sail-loft"), {}), PRESETS["best-sound"], { clock: () => (now += 1000), mostMs: 1 });
  expect(found).toMatchObject({ plans: [], proven: false, gap: 100, schoolsProven: false, impossible: [] });
  expect(planProof(found)).toBe("No plan was found in the time allowed; there may be one.");
});

describe("where there are more ways than there is time to lay out", () => {
  // The more boxes lie in the van, the more ways there are; each look at the clock takes a millisecond.
  const hall = spaceOf(demoJob("village-hall"), {
    boxes: ["extractor", "earc-extractor-mixed", "splitter-1x2", "switch-3x1", "arc-adapter"],
  });
  const within = (mostMs: number): PlanSearch => {
    let now = 0;
    return searchPlans(hall, PRESETS["best-sound"], { clock: () => (now += 1), mostMs });
  };

  test("a plan is found among those that were, and nothing is called proven or impossible", () => {
    const found = within(60);
    expect(found.plans.length).toBeGreaterThan(0);
    expect(found).toMatchObject({ proven: false, schoolsProven: false, impossible: [] });
    expect(found.gap).toBeGreaterThan(0);
  });

  test("the points still open are those of a room where everything is whole", () => {
    const { gap, plans } = within(60);
    const best = plans[0]?.points ?? 0;
    expect(best * (1 + gap / 100)).toBeCloseTo(65 + 25 + 10, 6);
  });
});
