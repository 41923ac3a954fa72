import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made } from "@/demo/room-under-test";
import { editWithStates, removeWithCables, wiringOf, type Job } from "@/core/job";

const NAMES = { found: "As found", left: "As left" };
const survey: Job = { ...demoJob("sail-loft"), phase: "survey", snapshots: [] };
const turned = (job: Job, phase: Job["phase"]): Job => made(job, editWithStates(job, { phase }, NAMES, "2026-11-27T09:00:00.000Z"));

describe("how a room was found, and how it was left", () => {
  test("as found is saved when the survey ends, once, with its cables", () => {
    expect(wiringOf(survey, "found")).toBeNull();
    const design = turned(survey, "design");
    expect(wiringOf(design, "found")?.cables).toEqual(survey.cables);
    // Back in the survey something else is noted: what was found at first stays.
    const less = made(turned(design, "survey"), removeWithCables(design, "console"));
    expect(wiringOf(turned(less, "design"), "found")?.devices).toHaveLength(survey.devices.length);
    expect(wiringOf(less, "planned")).toBe(less);
  });

  test("as left is saved when the job is handed over, and again when it is handed over once more", () => {
    const once = turned({ ...survey, phase: "visit" }, "handover");
    expect(wiringOf(once, "left")?.cables).toHaveLength(survey.cables.length);
    const visit = made(turned(once, "visit"), removeWithCables(once, "console"));
    const twice = turned(visit, "handover");
    expect(wiringOf(twice, "left")?.devices).toHaveLength(survey.devices.length - 1);
    expect(twice.snapshots).toHaveLength(1);
  });

  test("straight from the survey to the handover only how it is left is known", () => {
    const done = turned(survey, "handover");
    expect([wiringOf(done, "found"), wiringOf(done, "left")?.devices.length]).toEqual([null, survey.devices.length]);
  });

  test("a phase that goes back, or a full list of states, saves nothing and hinders nothing", () => {
    expect(turned({ ...survey, phase: "visit" }, "design").snapshots).toEqual([]);
    const full = {
      ...survey,
      snapshots: Array.from({ length: 8 }, (_, at) => ({
        id: `s${at}`,
        name: `S${at}`,
        takenAt: "2026-11-27T09:00:00.000Z",
        devices: [],
        cables: [],
      })),
    };
    expect(turned(full, "design")).toMatchObject({ phase: "design" });
  });
});
