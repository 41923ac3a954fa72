import type { Job } from "@/core/job";
import { runSheet } from "@/core/visit";
import { demoJob } from "@/demo/demo-jobs";
import { bigJob } from "./big-job";

/** A job whose gear and cables all come new, so that its visit is as long as it can be. */
const allNew = (job: Job): Job => ({
  ...job,
  devices: job.devices.map((device) => ({ ...device, supply: "buy" as const })),
  cables: job.cables.map((cable) => ({ ...cable, supply: "buy" as const })),
});

/** Run sheets by size, for one and two people. */
export function benchVisits(timed: (call: () => unknown, rounds?: number) => number) {
  const jobs = [
    ["flat-4b", demoJob("flat-4b")],
    ["village-hall", demoJob("village-hall")],
    ["6 players", bigJob(6)],
    ["12 players", bigJob(12)],
  ] as const;
  return jobs.flatMap(([name, job]) =>
    ([1, 2] as const).map((people) => {
      const visit = allNew(job);
      const { steps, minutes, proven, gap } = runSheet(visit, people);
      return {
        visit: name,
        people,
        steps: steps.length,
        minutes,
        proven,
        "gap min": gap,
        ms: Number(timed(() => runSheet(visit, people), 3).toFixed(0)),
      };
    }),
  );
}
