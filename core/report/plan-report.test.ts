import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { PRESETS, checkedPlans, tradesOf, whatIfs, whyNot, wiringSpace } from "@/core/plan";
import { planLists, plansReport, planSheet, planTables } from "@/core/report";

const job = demoJob("sail-loft");
const space = wiringSpace(job, { boxes: [] });
if (!space) throw new Error("nothing to plan");
const found = checkedPlans(space, PRESETS["best-sound"]);
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

  test("as a page to print hold every list that has something in it, and nothing that a name could break", () => {
    const [plan] = found.plans;
    if (!plan) throw new Error("no plan");
    const named = { ...job, name: 'Loft <script>"&' };
    const page = planSheet(named, plan, "An idea & more.");
    expect(page).toContain("<h1>Loft &lt;script&gt;&quot;&amp;</h1><p>An idea &amp; more.</p>");
    expect(page).not.toContain("<script>");
    const lists = planLists(job, plan);
    for (const { heading, columns, rows } of lists) {
      expect(page.includes(`<h2>${heading}</h2>`)).toBe(rows.length > 0);
      for (const row of rows) expect(row).toHaveLength(columns.length);
    }
    expect(lists.map(({ heading }) => heading)).toEqual([
      "To buy or fetch",
      "Cables",
      "Pulls by route",
      "Speaker wire",
      "Menus",
      "Delays to set",
    ]);
  });

  test("with trades and suppositions tell each in words, and what is asked with its answer", () => {
    const weights = PRESETS["best-sound"];
    const [best] = found.plans;
    if (!best) throw new Error("no plan");
    const trades = tradesOf(space, 3);
    const asked = whyNot(space, weights, found, { bond: "use-school", school: "sound-hub" });
    const full = plansReport(space, found, { trades, whatIfs: whatIfs(space, weights, best), asked });
    expect(full.trades?.map(({ words }) => words).every((words) => words.length > 3)).toBe(true);
    expect(full.whatIf?.every(({ gain, words }) => gain >= 0.5 && words.includes("points more"))).toBe(true);
    expect(full.whyNot).toMatchObject({
      proven: true,
      words: expect.stringMatching(/points behind the best|As good as the best/) as string,
    });
    expect(JSON.parse(JSON.stringify(full))).toEqual(full);
  });
});
