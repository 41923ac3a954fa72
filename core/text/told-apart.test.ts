import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { finderOf } from "@/core/diagnose";
import type { Job } from "@/core/job";
import { stepSentence, suspectSentence, symptomWords, visitStepWords } from "@/core/text";
import { visitSteps } from "@/core/visit";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { spelledRooms } from "@/demo/spelled-room-under-test";

const ROOMS: readonly Job[] = [
  ...demoJobNames().map((name) => demoJob(name)),
  ...demoJobNames("systems").map((name) => demoJob(name, "systems")),
];
const asIs = (event: string): string => event;

/** All that a room's search for a fault and its visit may put before somebody, each list by itself. */
function listsOf(job: Job): Readonly<Record<string, readonly string[]>> {
  const { singles } = finderOf(job);
  const steps = [...singles.looks.map(({ look }) => look), ...singles.cures.map(({ cure }) => cure)];
  const rows = arrivalsOf(job);
  return {
    suspects: singles.suspects.map((suspect) => suspectSentence(job, suspect)),
    complaints: singles.symptoms.map((symptom) => symptomWords(job, symptom, asIs)),
    checks: steps.map((step) => stepSentence(job, step, asIs)),
    visit: visitSteps(job).map((step) => visitStepWords(job, step, rows)),
  };
}

/** A room in which every content of a source has a name of its own. */
const withNames = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((device) => ({
    ...device,
    sources: device.sources.map((source) => ({
      ...source,
      contents: source.contents.map((content) => ({ ...content, name: content.id })),
    })),
  })),
});

/** What is left where a word was missing. */
const BROKEN = /undefined|null|NaN|\[object|\$\{| {2}|\.\.| [.,;:]/;

describe("whoever reads a list can tell its rows apart", () => {
  const check = (job: Job) => {
    for (const [list, sentences] of Object.entries(listsOf(job))) {
      const twice = sentences.filter((sentence, index) => sentences.indexOf(sentence) !== index);
      expect(twice, `${list} of ${job.name}`).toEqual([]);
      expect(
        sentences.filter((sentence) => BROKEN.test(sentence)),
        `${list} of ${job.name}`,
      ).toEqual([]);
    }
  };

  test.each(ROOMS.map((job) => [job.name, job] as const))("%s", (_, job) => check(job));

  test("rooms spelled out by hand", () => {
    fc.assert(fc.property(spelledRooms.map(withNames), check), { seed: 9, numRuns: 25 });
  });
});
