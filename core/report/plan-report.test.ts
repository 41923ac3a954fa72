import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { PRESETS, searchPlans, wiringSpace } from "@/core/plan";
import { plansReport, planTables } from "@/core/report";

const job = demoJob("sail-loft");
const space = wiringSpace(job, { boxes: [] });
if (!space) throw new Error("nothing to plan");
const found = searchPlans(space, PRESETS["best-sound"]);
const report = plansReport(space, found, { top: 2 });

describe("plans for other programs", () => {
  test("are at most as many as asked for, the best first, each with how far it is behind", () => {
    expect(report.plans.length).toBeLessThanOrEqual(2);
    expect(report.plans[0]).toMatchObject({ behind: 0, proven: true, gap: 0 });
    for (const { behind } of report.plans) expect(behind).toBeGreaterThanOrEqual(0);
    expect(report.impossible.map(({ school }) => school)).toEqual(found.impossible);
  });

  test("name both ends of every cable as they are printed on the plates", () => {
    for (const { cables } of report.plans)
      for (const { ends } of cables) expect([ends.from, ends.to]).toEqual([expect.stringMatching(/“.+”$/), expect.stringMatching(/“.+”$/)]);
  });

  test("carry the rows of the board and the sentences of the story", () => {
    const [best] = report.plans;
    expect(best?.arrivals.map(({ verdict }) => verdict)).toEqual(best?.arrivals.map(() => "full"));
    expect(best?.why).toMatchObject({ idea: expect.stringMatching(/into Television/) as string, givenUp: [] });
    expect(JSON.parse(JSON.stringify(report))).toEqual(report);
  });

  test("as tables begin each part with its heading and end each line as spreadsheets expect", () => {
    const [plan] = found.plans;
    if (!plan) throw new Error("no plan");
    const lines = planTables(job, plan).split("\r\n");
    expect(lines.filter((line) => /^"(To buy or fetch|Cables|Pulls by route|Menus)"/.test(line))).toHaveLength(4);
    expect(lines.at(-1)).toBe("");
  });
});
