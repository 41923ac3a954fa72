import highsLoader from "highs";
import { fromShelfOrThrow } from "@/core/device";
import type { Job } from "@/core/job";
import { bestAssignment, boxOfShelf, PRESETS, searchPlans, wiringSpace } from "@/core/plan";
import { bigJob } from "./big-job";

const BOXES = [
  "extractor",
  "earc-extractor-mixed",
  "earc-extractor-copy",
  "matrix-4x2",
  "splitter-1x2",
  "switch-3x1",
  "arc-adapter",
  "optical-to-coaxial",
];

/** A job of so many players, a receiver and two screens, the second of which is connected to nothing yet. */
function roomOf(players: number): Job {
  const job = bigJob(players);
  const devices = job.devices.filter(({ id }) => !id.startsWith("spare"));
  return { ...job, devices: [...devices, fromShelfOrThrow("projector", { id: "projector", name: "Projector" })] };
}

/** How often a room is planned again, as after a pin, once the engine that runs the program has seen the work. */
const AGAIN = 5;

/** Planning by the number of players, with eight boxes at hand: until the first plan, until the best is proven, until all schools are; the first time, and the median when planned again. */
export function benchPlans() {
  return [2, 4, 6, 8, 12, 16, 24].map((players) => {
    const job = roomOf(players);
    const boxes = BOXES.flatMap((archetype) => boxOfShelf(job, archetype, 80, "van") ?? []);
    const planned = (onlyBest: boolean) => {
      // A space of its own, so that nothing is remembered from the last time.
      const space = wiringSpace(job, { boxes });
      if (!space) throw new Error("nothing to plan");
      const begun = performance.now();
      let first = 0;
      const found = searchPlans(space, PRESETS["best-sound"], {
        clock: () => performance.now(),
        mostMs: 5000,
        onlyBest,
        onBetter: () => (first ||= performance.now() - begun),
      });
      return { found, first, all: performance.now() - begun };
    };
    const { found, first, all } = planned(false);
    const again = Array.from({ length: AGAIN }, () => planned(true));
    const median = (of: (one: (typeof again)[number]) => number) => again.map(of).sort((x, y) => x - y)[Math.floor(AGAIN / 2)] ?? 0;
    return {
      players,
      "first plan ms": Math.round(first),
      "best proven ms": Math.round(found.provenAfter ?? 0),
      "all schools ms": Math.round(all),
      proven: found.proven && found.schoolsProven,
      "gap %": Number(found.gap.toFixed(2)),
      "rooms played": found.looked.rooms,
      "again: first plan ms": Math.round(median((one) => one.first)),
      "again: best proven ms": Math.round(median((one) => one.found.provenAfter ?? 0)),
      // What is on the heap when the search ends, rubbish not yet collected included.
      "heap MB": Math.round(process.memoryUsage().heapUsed / 1e6),
    };
  });
}

/** Assigning players to sockets, beside a solver of linear programs in the same run. */
export async function benchAssignment(timed: (call: () => unknown, rounds?: number) => number) {
  const highs = await highsLoader();
  return [4, 8, 12, 24, 48].map((takers) => {
    const worth = Array.from({ length: takers }, (_, taker) =>
      Array.from({ length: takers + 4 }, (__, place) => (Math.imul(taker * 31 + place * 17 + 7, 2654435761) >>> 0) % 1000),
    );
    const name = (taker: number, place: number) => `x${taker}_${place}`;
    const program = [
      "Maximize",
      ` obj: ${worth.flatMap((row, taker) => row.map((value, place) => `+ ${value} ${name(taker, place)}`)).join(" ")}`,
      "Subject To",
      ...worth.map((row, taker) => ` t${taker}: ${row.map((_, place) => name(taker, place)).join(" + ")} = 1`),
      ...(worth[0] ?? []).map((_, place) => ` p${place}: ${worth.map((__, taker) => name(taker, place)).join(" + ")} <= 1`),
      "End",
    ].join("\n");
    return {
      players: takers,
      sockets: takers + 4,
      "own ms": Number(timed(() => bestAssignment(worth), 50).toFixed(3)),
      "solver ms": Number(timed(() => highs.solve(program), 10).toFixed(1)),
      alike: bestAssignment(worth)?.worth === Math.round(highs.solve(program).ObjectiveValue),
    };
  });
}
