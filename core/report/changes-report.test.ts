import { expect, test } from "vitest";
import { z } from "zod";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { Command } from "@/core/job";
import { CHANGE_KINDS, smallestChanges, weighedPurchases } from "@/core/plan";
import { changesReport } from "@/core/report";

const Change = z.object({ kind: z.enum(CHANGE_KINDS), count: z.number().int().min(1), words: z.string().min(1), command: Command });
const Rows = z.array(z.string());
/** The shape that other programs rely on; additions are allowed, removals are not. */
const Report = z.object({
  changes: z.array(Change),
  cost: z.number(),
  lifts: Rows,
  lowers: Rows,
  pictureLifts: Rows,
  pictureLowers: Rows,
  proof: z.enum(["every-row", "best-together", "not-proven"]),
  proven: z.boolean(),
  words: z.string().min(1),
  looked: z.number().int(),
  ties: z.array(z.array(Change)),
  after: z.array(z.object({ id: z.string(), verdict: z.string() })),
  purchases: z.array(Change.extend({ lifts: Rows, lowers: Rows })).optional(),
});

test.each(demoJobNames("systems"))("the changes for %s have the shape that other programs rely on", (name) => {
  const job = demoJob(name, "systems");
  const report: unknown = JSON.parse(JSON.stringify(changesReport(job, smallestChanges(job, { mostNodes: 60 }), null)));
  expect(Report.safeParse(report).error).toBeUndefined();
});

test("what a purchase would add stands beside, the place that lifts most first", () => {
  const flat = demoJob("flat-4b");
  const report = Report.parse(JSON.parse(JSON.stringify(changesReport(flat, smallestChanges(flat), weighedPurchases(flat, "tv-earc")))));
  expect(report.changes).toEqual([]);
  expect(report.purchases?.[0]?.lifts.length).toBe(4);
});
