import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { allNew } from "@/demo/room-under-test";
import { runSheetReport } from "./run-sheet-report";

const JOBS = demoJobNames().map((name) => [name, allNew(demoJob(name))] as const);

describe.each(JOBS)("the run sheet of %s, all of it new", (_name, job) => {
  const sheets = ([1, 2] as const).map((people) => runSheetReport(job, people));

  test("starts no step before those that it comes after have ended, with their waits, save from one power key to the next", () => {
    for (const { steps } of sheets) {
      const byId = new Map(steps.map((step) => [step.id, step]));
      for (const step of steps)
        for (const id of step.after) {
          const earlier = byId.get(id);
          expect(earlier, id).toBeDefined();
          const wait = step.act === "power-on" && earlier?.act === "power-on" ? 0 : (earlier?.waitMinutes ?? 0);
          expect(step.starts).toBeGreaterThanOrEqual((earlier?.starts ?? 0) + (earlier?.minutes ?? 0) + wait - 1e-6);
        }
    }
  });

  test("gives nobody two things to do at once, and is no longer for two people than for one", () => {
    for (const { steps, people } of sheets)
      for (let person = 1; person <= people; person += 1) {
        const own = steps.filter((step) => step.person === person).toSorted((a, b) => a.starts - b.starts);
        own.slice(1).forEach((step, index) => {
          const last = own[index];
          expect(step.starts).toBeGreaterThanOrEqual((last?.starts ?? 0) + (last?.minutes ?? 0) - 1e-6);
        });
      }
    const [one, two] = sheets;
    expect(two?.minutes).toBeLessThanOrEqual(one?.minutes ?? 0);
  });

  test("plugs nothing before the mains are off, and says so at that step", () => {
    const [{ steps } = { steps: [] }] = sheets;
    const off = steps.filter(({ act }) => act === "power-off");
    for (const step of off) expect(step.caution).toContain("Mains plugs out");
    for (const step of steps.filter(({ act }) => act === "plug")) {
      const before = off.filter(({ device }) => device === undefined || device === step.device);
      expect(before.every(({ starts }) => starts <= step.starts)).toBe(true);
    }
  });

  test("every step that can hurt says how, and every step says what to do", () => {
    for (const { steps } of sheets)
      for (const { act, says, caution, sign, tools } of steps) {
        expect(says).toMatch(/^[A-Z].*\.$/);
        if (act === "tone" || act === "calibrate") expect(caution).toContain("start with the volume at zero");
        if (act === "firmware") expect(caution).toContain("power may fail");
        if (act === "wire") expect(caution).toContain("local code wins");
        if (act === "mount") {
          expect(caution).toContain("Look for cables and pipes before drilling");
          expect(tools).toEqual(expect.arrayContaining(["drill", "level", "detector"]));
        }
        if (act === "prove") expect(sign).toMatch(/display says|Nothing sounds/);
      }
  });

  test("the estimate of a step lies between the bounds that it names", () => {
    for (const { steps } of sheets)
      for (const step of steps)
        if ("fromMinutes" in step) {
          expect(step.fromMinutes).toBeLessThanOrEqual(step.toMinutes ?? 0);
          expect(step.minutes).toBeGreaterThan(0);
        }
  });
});
