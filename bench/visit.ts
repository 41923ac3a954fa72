import { actsOf, eventOf, householdOf, isOnPurpose } from "@/core/cec";
import { solve } from "@/core/chain";
import type { Job } from "@/core/job";
import { explain, type Observation } from "@/core/proof";
import { runSheet } from "@/core/visit";
import { allNew, demoJob } from "@/demo/demo-jobs";
import { bigJob } from "./big-job";

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

/** What was seen of a job: so many rows silent, everything else as predicted. */
function observed(job: Job, most: number, silent: number): readonly Observation[] {
  const rows = solve(job, "planned").rows.map(({ id }, index): Observation => ({
    row: id,
    sees: index < silent ? "silent" : "as-predicted",
  }));
  const acts = actsOf(householdOf(job, "planned"))
    .filter(isOnPurpose)
    .map((act): Observation => ({ act: eventOf(act), sees: "as-predicted" }));
  return [...rows, ...acts].slice(0, most);
}

/** Explaining observations, by the size of the job. */
export function benchExplanations(timed: (call: () => unknown, rounds?: number) => number) {
  const jobs = [
    ["village-hall", demoJob("village-hall")],
    ["12 players", bigJob(12)],
  ] as const;
  const cases = jobs.flatMap(([name, job]) => ([1, 30] as const).map((silent) => ({ name, job, silent })));
  return cases.map(({ name, job, silent }) => {
    const observations = observed(job, 30, silent);
    const { explanations } = explain(job, observations);
    return {
      explaining: name,
      silent: observations.filter(({ sees }) => sees === "silent").length,
      observations: observations.length,
      offered: explanations.length,
      ms: Number(timed(() => explain(job, observations), 3).toFixed(0)),
    };
  });
}
