import { expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { fromShelfOrThrow } from "@/core/device";
import { addDevice, applyCommand, emptyJob, type Job } from "@/core/job";

const add = (job: Job, archetype: string, id: string): Job => {
  const applied = applyCommand(job, addDevice(job, fromShelfOrThrow(archetype, { id })));
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  return applied.value.job;
};

test("a television alone in a room plays from its own speakers, and hands its sound on once the first sound system comes", () => {
  const alone = add(emptyJob("Room"), "tv-earc", "tv");
  expect(arrivalsOf(alone).every(({ arrives }) => arrives !== null)).toBe(true);
  const speakers = (job: Job) => job.devices[0]?.settings.find(({ key }) => key === "speakers");
  expect(speakers(alone)).toMatchObject({ found: "own", planned: null });
  expect(speakers(add(alone, "bar-one-input", "bar"))).toMatchObject({ found: "own", planned: "external" });
  // One that has nowhere to send its sound stays as it is.
  expect(speakers(add(add(emptyJob("Room"), "tv-no-return", "tv"), "bar-one-input", "bar"))).toMatchObject({ planned: null });
});
