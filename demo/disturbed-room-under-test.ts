import fc from "fast-check";
import { applyCommand, type Job } from "@/core/job";
import { possibleChanges } from "@/core/plan";
import { demoJob, demoJobNames } from "./demo-jobs";
import { spelledRooms } from "./spelled-room-under-test";

const ROOMS: readonly Job[] = [
  ...demoJobNames().map((name) => demoJob(name)),
  ...demoJobNames("systems").map((name) => demoJob(name, "systems")),
];

/** For tests: a room of the demo, or one spelled out by hand, after a few changes, each chosen by a number. */
export const disturbedRooms: fc.Arbitrary<Job> = fc
  .tuple(fc.oneof(fc.constantFrom(...ROOMS), spelledRooms), fc.array(fc.nat(), { maxLength: 5 }))
  .map(([room, numbers]): Job =>
    numbers.reduce((job, number) => {
      const changes = possibleChanges(job);
      const change = changes[number % Math.max(1, changes.length)];
      const applied = change && applyCommand(job, change.command);
      return applied?.ok ? applied.value.job : job;
    }, room),
  );
