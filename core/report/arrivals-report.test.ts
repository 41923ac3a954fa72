import { expect, test } from "vitest";
import { z } from "zod";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { CODING_IDS } from "@/core/facts";
import { arrivalsOf } from "@/core/chain";
import { liftingChanges } from "@/core/plan";
import { arrivalsReport } from "@/core/report";

/** The shape that other programs rely on; additions are allowed, removals are not. */
const Sound = z.object({ coding: z.enum(CODING_IDS), channels: z.string().regex(/^\d\.\d$/), objects: z.enum(["none", "atmos", "dtsx"]) });
const Report = z.object({
  arrivals: z.array(
    z.object({
      player: z.string(),
      content: z.string(),
      app: z.string().optional(),
      screen: z.string().nullable(),
      verdict: z.enum(["full", "reduced", "silent", "no-picture", "unknown"]),
      leaves: Sound.nullable(),
      arrives: Sound.extend({ lossless: z.boolean(), generations: z.number().int() }).nullable(),
      plays: z.object({ layout: z.string().nullable(), upmixed: z.boolean() }),
      best: Sound.nullable(),
      delayMs: z.number().nullable(),
      lipSyncMs: z.number().nullable(),
      picture: z.object({ mode: z.string(), depth: z.number(), chroma: z.string(), hdr: z.string(), hdcp: z.string() }).nullable(),
      hops: z.array(
        z.object({
          device: z.string(),
          port: z.string(),
          cable: z.string().optional(),
          in: Sound.nullable(),
          out: Sound.nullable(),
          reason: z.object({ code: z.string() }).optional(),
        }),
      ),
      losses: z.array(
        z.object({
          code: z.string(),
          hop: z.number().int(),
          scope: z.enum(["path", "ceiling"]),
          need: z.union([z.string(), z.number(), z.null()]),
          have: z.union([z.string(), z.number(), z.null()]),
          words: z.string(),
        }),
      ),
      cures: z.array(z.object({ kind: z.string(), words: z.string(), lifts: z.array(z.string()) })),
    }),
  ),
});

test.each(demoJobNames())("the board of %s has the shape that other programs rely on", (name) => {
  const job = demoJob(name);
  const report = JSON.parse(JSON.stringify(arrivalsReport(job, arrivalsOf(job), liftingChanges(job)))) as unknown;
  expect(Report.safeParse(report).error).toBeUndefined();
});

test("a loss carries its numbers beside its code, and the hop where it binds carries the reason", () => {
  const loft = demoJob("sail-loft");
  const job = { ...loft, cables: loft.cables.map((cable) => (cable.id === "bar-tv" ? { ...cable, returnWires: "arc" as const } : cable)) };
  const disc = arrivalsReport(job, arrivalsOf(job), []).arrivals.find(({ content }) => content === "film-truehd-atmos");
  expect(disc?.losses[0]).toMatchObject({ code: "link-capacity", need: 24.576, have: 6.144, unit: "Mb/s" });
  expect(disc?.hops[disc.losses[0]?.hop ?? -1]).toMatchObject({ device: "bar", cable: "bar-tv", reason: { code: "link-capacity" } });
});
