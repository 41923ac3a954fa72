import {
  chooseByLookAhead,
  chooseExactly,
  finderOf,
  fitsSymptom,
  minutesOfPolicy,
  nextByProbabilityOverCost,
  nextOfChecklist,
  standOf,
  withoutErrors,
  type Finder,
} from "@/core/diagnose";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { bigJob } from "./big-job";

/** How long it takes to play every fault of a room and to choose a next check, as rooms grow. */
export function benchDiagnosis(once: (call: () => unknown) => number) {
  const rooms = [
    ...["flat-4b", "receiver-den", "village-hall"].map((name) => ({ name, job: demoJob(name) })),
    ...[4, 8, 12].map((players) => ({ name: `${players} players`, job: bigJob(players) })),
  ];
  return rooms.map(({ name, job }) => {
    finderOf(job);
    let finder: Finder | null = null;
    const playing = once(() => (finder = finderOf(job)));
    const given = finder as Finder | null;
    const times = (given?.singles.symptoms ?? []).slice(0, 20).map(({ id }) => once(() => given && standOf(given, [id], [])));
    return {
      room: name,
      devices: job.devices.length,
      faults: given?.played.length,
      "all faults played ms": Math.round(playing),
      "next check ms": Math.round(times.toSorted((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0),
      "at worst ms": Math.round(Math.max(...times)),
    };
  });
}

/** Expected minutes of the search against the optimal policy, where that can be computed, and against two plain orders; looks never err here. */
export function benchPolicies() {
  const minutes = { complaints: 0, optimal: 0, "look-ahead": 0, "worst ratio": 1, "fixed checklist": 0, "probability over cost": 0 };
  for (const name of demoJobNames("systems")) {
    const finder = finderOf(demoJob(name, "systems"));
    const plain = withoutErrors(finder.singles);
    for (const symptom of plain.symptoms) {
      const stand = standOf(finder, [symptom.id], []);
      if (!stand.ok) continue;
      const belief = stand.value.belief.map((share, index) => {
        const suspect = plain.suspects[index];
        const isCertain =
          suspect && suspect.faults[0]?.kind !== "unknown" && fitsSymptom(symptom, suspect.seen, plain.healthy.seen) === "told";
        return isCertain ? share : 0;
      });
      const exact = chooseExactly(plain, belief);
      if (!exact) continue;
      const sumOf = (weights: Float64Array) => weights.reduce((sum, one) => sum + one, 0);
      const ahead = minutesOfPolicy(
        plain,
        belief,
        (left) =>
          chooseByLookAhead(
            plain,
            left.map((one) => one / sumOf(left)),
          )?.row ?? null,
      );
      minutes.complaints += 1;
      minutes.optimal += exact.expectedMinutes;
      minutes["look-ahead"] += ahead;
      minutes["worst ratio"] = Math.max(minutes["worst ratio"], ahead / exact.expectedMinutes);
      minutes["fixed checklist"] += minutesOfPolicy(plain, belief, (left, taken) => nextOfChecklist(plain, left, taken));
      minutes["probability over cost"] += minutesOfPolicy(plain, belief, (left, taken) => nextByProbabilityOverCost(plain, left, taken));
    }
  }
  return [minutes].map((row) => Object.fromEntries(Object.entries(row).map(([key, value]) => [key, Number(value.toFixed(2))])));
}
