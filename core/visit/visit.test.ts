import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { fromShelfOrThrow } from "@/core/device";
import { applyAll, joinSockets, type Command, type Job } from "@/core/job";
import { durationWords } from "@/core/text";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { allNew } from "@/demo/room-under-test";
import { differenceOf, runSheet, visitSteps, type VisitStep } from "@/core/visit";

const applied = (job: Job, ...commands: readonly Command[]): Job => {
  const made = applyAll(job, commands);
  if (!made.ok) throw new Error(JSON.stringify(made.refusal));
  return made.value;
};

/** Every step that must come before one, near and far. */
function before(steps: readonly VisitStep[], id: string): ReadonlySet<string> {
  const found = new Set<string>();
  const walk = (step: string) => {
    for (const { step: other } of steps.find((row) => row.id === step)?.after ?? []) {
      if (found.has(other)) continue;
      found.add(other);
      walk(other);
    }
  };
  walk(id);
  return found;
}

const wirelessJob = (): Job => {
  const bar = { ...fromShelfOrThrow("bar-battery-rears", { id: "bar", name: "Bar" }), supply: "buy" as const };
  const tv = fromShelfOrThrow("tv-earc", { id: "tv", name: "Screen" });
  const base = {
    ...demoJob("sail-loft"),
    devices: [tv, bar],
    cables: [],
    rooms: [],
    brief: { ...demoJob("sail-loft").brief, soundSystem: "bar", mustStay: [] },
  };
  const joined = applied(base, joinSockets(base, { device: "bar", port: "hdmi-out" }, { device: "tv", port: "hdmi3" }));
  return { ...joined, cables: joined.cables.map((cable) => ({ ...cable, supply: "van" as const })) };
};

describe("the orders of the trade", () => {
  const job = wirelessJob();
  const steps = visitSteps(job);

  test("firmware before pairing, each unit in its place before it is paired, one after the other, confirmed at the end", () => {
    const pair = before(steps, "pair bar right-rear");
    expect([...pair]).toEqual(
      expect.arrayContaining(["firmware bar", "place bar right-rear", "charge bar right-rear", "pair bar left-rear", "pair bar subwoofer"]),
    );
    expect(before(steps, "confirm bar").has("pair bar right-rear")).toBe(true);
  });

  test("off before plugs, plugged before power, calibration before dialling and tones, everything before it is proven", () => {
    const plug = steps.find(({ act }) => act === "plug");
    expect(plug && before(steps, plug.id).has("power-off")).toBe(true);
    expect(plug && before(steps, "power-on bar").has(plug.id)).toBe(true);
    expect(before(steps, "tone bar").has("calibrate bar")).toBe(true);
    for (const { id } of steps.filter(({ act }) => act === "prove"))
      expect([...before(steps, id)]).toEqual(expect.arrayContaining(["power-on bar", "confirm bar", "tone bar", "isolate"]));
  });

  test("a module is fitted before its socket is plugged and before anything is paired", () => {
    const hub = fromShelfOrThrow("wireless-hub", { id: "hub", name: "Hub" });
    const planned = {
      ...hub,
      supply: "buy" as const,
      settings: hub.settings.map((row) => (row.key === "module" ? { ...row, planned: "fitted" } : row)),
    };
    const made = visitSteps({ ...job, devices: [...job.devices, planned] });
    expect(before(made, "pair hub left-rear").has("fit-module hub")).toBe(true);
    expect(before(made, "power-on hub").has("fit-module hub")).toBe(true);
  });

  test("boxes get power before players, these before the screen, and the sound system last", () => {
    const order = runSheet(allNew(demoJob("village-hall")), 1)
      .steps.filter(({ act }) => act === "power-on")
      .map(({ device }) => device);
    expect(order[0]).toBe("matrix");
    expect(order.at(-1)).toBe("receiver");
  });

  test("labels and proofs come before the handover, and nothing after it", () => {
    const last = before(steps, "hand-over");
    expect(steps.filter(({ id }) => id !== "hand-over" && !last.has(id))).toEqual([]);
  });
});

describe("steps come of the difference", () => {
  test.each(demoJobNames())("%s, all new: every cable is plugged once, every menu set once, and nothing goes in a circle", (name) => {
    const job = allNew(demoJob(name));
    const steps = visitSteps(job);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
    expect(
      steps
        .filter(({ act }) => act === "plug")
        .map(({ cable }) => cable)
        .toSorted(),
    ).toEqual(job.cables.map(({ id }) => id).toSorted());
    expect(steps.filter(({ act }) => act === "set").length).toBe(differenceOf(job).set.filter(({ key }) => key !== "module").length);
    for (const { id } of steps) expect(before(steps, id).has(id)).toBe(false);
  });

  test("a moved cable is unplugged and plugged, an untouched one is neither, and an undone edit leaves no work", () => {
    const job = demoJob("sail-loft");
    const found = applied(job, {
      kind: "keep-snapshot",
      at: null,
      snapshot: { id: "as-found", name: "As found", takenAt: "2026-11-27T10:00:00Z", devices: job.devices, cables: job.cables },
    });
    expect(visitSteps(found).filter(({ act }) => act === "plug" || act === "unplug" || act === "set")).toEqual([]);
    const [cable] = found.cables;
    if (!cable) throw new Error("no cable");
    const without = applied(found, { kind: "unplug", cable: cable.id });
    expect(
      visitSteps(without)
        .filter(({ act }) => act === "unplug")
        .map((step) => step.cable),
    ).toEqual([cable.id]);
    const back = applied(without, { kind: "plug", cable, at: 0 });
    expect(visitSteps(back).filter(({ act }) => act === "unplug")).toEqual([]);
  });

  test("whatever is edited, the steps can be ordered, and every one is in the schedule", () => {
    fc.assert(
      fc.property(fc.constantFrom(...demoJobNames()), fc.array(fc.nat(40), { maxLength: 5 }), fc.boolean(), (name, cuts, fresh) => {
        let job = demoJob(name);
        for (const cut of cuts) {
          const cable = job.cables[cut % Math.max(1, job.cables.length)];
          if (cable) job = applied(job, { kind: "unplug", cable: cable.id });
        }
        const sheet = runSheet(fresh ? allNew(job) : job, 1);
        expect(sheet.steps.map(({ id }) => id).toSorted()).toEqual(
          visitSteps(fresh ? allNew(job) : job)
            .map(({ id }) => id)
            .toSorted(),
        );
      }),
      { numRuns: 25, seed: 25 },
    );
  });
});

test("times are shown to the quarter of a minute, so that the minutes of the steps add up to the whole by hand", () => {
  const sheet = runSheet(demoJob("sail-loft"), 1);
  const told = (minutes: number) => durationWords(minutes);
  expect([told(3.5), told(6.25), told(60), told(69.5), told(0)]).toEqual([
    "3.5\u2009min",
    "6.25\u2009min",
    "1\u2009h",
    "1\u2009h 9.5\u2009min",
    "0\u2009min",
  ]);
  // One person without waits in between: each step begins where the one before ends, and the last ends the visit.
  const inOrder = sheet.steps.toSorted((a, b) => a.starts - b.starts);
  const sum = inOrder.reduce((minutes, step) => minutes + step.minutes, 0);
  expect(inOrder.at(-1)?.ends).toBe(sheet.minutes);
  expect(sheet.minutes).toBe(sum);
});
