import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { arrivalsOf, compareArrivals } from "@/core/chain";
import type { Job } from "@/core/job";
import { bigJob } from "@/bench/big-job";
import { reasonFlag, reasonSentence } from "@/core/text";

const SEED = 424242;

/** A demo job with settings thrown about, cables degraded, and some of it unknown. */
const disturbed = fc
  .record({
    name: fc.constantFrom(...demoJobNames()),
    settings: fc.array(fc.nat(), { minLength: 40, maxLength: 40 }),
    wires: fc.array(fc.constantFrom("none", "arc", "earc", null), { minLength: 10, maxLength: 10 }),
    drop: fc.nat({ max: 12 }),
  })
  .map(({ name, settings, wires, drop }): Job => {
    const job = demoJob(name);
    let n = 0;
    const next = () => settings[n++ % settings.length] ?? 0;
    return {
      ...job,
      devices: job.devices.map((device) => ({
        ...device,
        settings: device.settings.map((row) => {
          const choice = next();
          return {
            ...row,
            planned: choice % 3 === 0 ? (row.options[choice % row.options.length] ?? null) : null,
            found: choice % 11 === 0 ? null : row.found,
          };
        }),
      })),
      cables: job.cables
        .filter((_, index) => index !== drop)
        .map((cable, index) => ({ ...cable, returnWires: index % 2 ? (wires[index] ?? null) : cable.returnWires })),
    };
  });

const forAny = (claim: (job: Job) => void) =>
  fc.assert(
    fc.property(disturbed, (job) => {
      claim(job);
    }),
    { numRuns: 400, seed: SEED },
  );

describe("for any room, however set", () => {
  test("the same input gives the same answer", () => forAny((job) => expect(arrivalsOf(structuredClone(job))).toEqual(arrivalsOf(job))));

  test("the order of the cables does not matter", () =>
    forAny((job) => expect(arrivalsOf({ ...job, cables: [...job.cables].reverse() })).toEqual(arrivalsOf(job))));

  test("every row that is not whole says why, and every loss names one hop of its way", () =>
    forAny((job) => {
      for (const arrival of arrivalsOf(job)) {
        const path = arrival.losses.filter(({ scope }) => scope === "path");
        if (arrival.verdict === "full") expect(path).toEqual([]);
        if (arrival.verdict === "silent" || arrival.verdict === "unknown" || arrival.verdict === "reduced")
          expect(path.length).toBeGreaterThan(0);
        for (const { hop } of arrival.losses) expect(hop === 0 || hop < arrival.hops.length).toBe(true);
      }
    }));

  test("whatever is unknown names its fact, and nothing silent pretends to play", () =>
    forAny((job) => {
      for (const arrival of arrivalsOf(job)) {
        if (arrival.verdict === "unknown") expect(arrival.losses[0]?.reason.code).toBe("unknown-fact");
        expect(arrival.plays === null).toBe(arrival.arrives === null);
        if (arrival.verdict === "silent" || arrival.verdict === "unknown") expect(arrival.arrives).toBeNull();
      }
    }));

  test("never more arrives than the content holds", () =>
    forAny((job) => {
      for (const { arrives, content } of arrivalsOf(job)) {
        if (!arrives) continue;
        expect(content.tracks.some(({ channels }) => Number.parseFloat(channels) >= Number.parseFloat(arrives.channels))).toBe(true);
        if (arrives.objects !== "none") expect(content.tracks.some(({ objects }) => objects === arrives.objects)).toBe(true);
      }
    }));

  test("every reason has a sentence and a flag that a person can read", () =>
    forAny((job) => {
      for (const { losses } of arrivalsOf(job)) {
        for (const { reason } of losses) {
          expect(reasonSentence(job, reason)).toMatch(/^\S.*\.$/);
          expect(reasonFlag(job, reason)).not.toMatch(/undefined|null|NaN/);
        }
      }
    }));

  test("taking a bitstream out of what the TV passes never lifts a row of a player on auto", () =>
    forAny((job) => {
      const auto: Job = {
        ...job,
        devices: job.devices.map((device) => ({
          ...device,
          settings: device.settings.map((row) =>
            row.key === "player-audio" || row.key === "digital-output" ? { ...row, found: "auto", planned: null } : row,
          ),
        })),
      };
      const fewer: Job = {
        ...auto,
        devices: auto.devices.map((device) => ({
          ...device,
          routes:
            device.role === "screen"
              ? device.routes.map((route) =>
                  route.kind === "sound" && route.passes
                    ? { ...route, passes: route.passes.filter(({ coding }) => coding !== "truehd") }
                    : route,
                )
              : device.routes,
        })),
      };
      const before = new Map(arrivalsOf(auto).map((arrival) => [arrival.id, arrival]));
      for (const arrival of arrivalsOf(fewer)) {
        const old = before.get(arrival.id);
        if (old && old.verdict !== "unknown" && arrival.verdict !== "unknown") expect(compareArrivals(arrival, old)).toBeLessThanOrEqual(0);
      }
    }));
});

test("a job of two dozen players is solved row by row like a small one", () => {
  const job = bigJob(24);
  const board = arrivalsOf(job);
  expect(board.length).toBeGreaterThan(40);
  for (const { verdict } of board) expect(verdict).toBe("full");
});
