import { gzipSync } from "node:zlib";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { arrivalsOf, solve, solveAgain } from "@/core/chain";
import { fromShelfOrThrow } from "@/core/device";
import { edidOfDevice, readEdid, writeEdid } from "@/core/edid";
import { applyCommand, readJob, type Job } from "@/core/job";
import { liftingChanges, smallestChanges } from "@/core/plan";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { bigJob } from "./big-job";
import { benchControl } from "./control";
import { benchDiagnosis, benchPolicies } from "./diagnose";
import { benchDocket } from "./docket";
import { benchAssignment, benchPlans } from "./plan";
import { benchPrints } from "./print";
import { benchRecording, benchRooms } from "./room";
import { benchExplanations, benchVisits } from "./visit";

/** The median time of one call in milliseconds, after a warm-up. */
function timed(call: () => unknown, rounds = 200): number {
  for (let n = 0; n < 30; n += 1) call();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    call();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)] ?? 0;
}

/** The same without a warm-up, for what takes long. */
function timedShort(call: () => unknown, rounds = 3): number {
  const times = Array.from({ length: rounds }, () => once(call));
  return times.sort((a, b) => a - b)[Math.floor(rounds / 2)] ?? 0;
}

function once(call: () => unknown): number {
  const start = performance.now();
  call();
  return performance.now() - start;
}

/** The time to work the board out again after one setting of the television has changed. */
function afterOneEdit(job: Job): number {
  const solved = solve(job, "planned");
  const edited = applyCommand(job, { kind: "set-setting", device: "tv", setting: "earc", state: "planned", value: "off" });
  if (!edited.ok) throw new Error("refused");
  return timed(() => solveAgain(solved, edited.value.job));
}

const rows = [2, 4, 6, 8, 12, 16, 20, 24].map((players) => {
  const job = bigJob(players);
  const board = arrivalsOf(job);
  return {
    players,
    devices: job.devices.length,
    rows: board.length,
    "arrivals ms": Number(timed(() => arrivalsOf(job)).toFixed(2)),
    "after one edit ms": Number(afterOneEdit(job).toFixed(2)),
    "all single changes ms": Number(once(() => liftingChanges(job)).toFixed(0)),
    "read file ms": Number(timed(() => readJob(JSON.parse(JSON.stringify(job))), 20).toFixed(1)),
  };
});
console.log("Arrivals by size of the job (aim: 12 players, 24 devices under 5 ms; after one edit under 4 ms)");
console.table(rows);

console.log("The smallest set of changes (aim: demo jobs under 300 ms)");
console.table(
  [
    ...demoJobNames().map((name) => [name, demoJob(name)] as const),
    ...demoJobNames("systems").map((name) => [name, demoJob(name, "systems")] as const),
  ].map(([job, document]) => {
    smallestChanges(document);
    const start = performance.now();
    const { proof, looked, best } = smallestChanges(document);
    return { job, ms: Number((performance.now() - start).toFixed(0)), proof, "sets looked at": looked, changes: best.changes.length };
  }),
);

const edid = edidOfDevice(fromShelfOrThrow("receiver-92", { id: "receiver" }));
if (edid) {
  const bytes = writeEdid(edid);
  console.log(
    `Reading a capability block of ${bytes.length} bytes: ${timed(() => readEdid(bytes), 1000).toFixed(3)} ms (aim: under 0.2 ms)`,
  );
}
console.log("Plans of a room with two screens and eight boxes at hand (aim for 12 players: first plan under 30 ms, proven under 300 ms)");
console.table(benchPlans());
console.log("Players to sockets, beside an independent solver in the same run (aim: faster at every size)");
console.table(await benchAssignment(timed));

console.log("The control bus (aim: an act in a room of 12 devices under 50 ms, all acts under 500 ms, 20,000 frames under 1 s)");
console.table(benchControl(timed));

console.log("Rooms (aim: geometry of 12 units under 2 ms, places under 300 ms)");
console.table(benchRooms(timed));
console.log("Run sheets (aim for 60 steps: one person under 100 ms, two under 300 ms proven)");
console.table(benchVisits((call, rounds) => timedShort(call, rounds)));
console.table(benchExplanations((call, rounds) => timedShort(call, rounds)));
console.log("Faults (aim: all of the largest demo job played under 1 s, the next check under 200 ms)");
console.table(benchDiagnosis(once));
console.log("Expected minutes of a search, over all complaints of the small rooms (aim: within a tenth of the optimal policy)");
console.table(benchPolicies());
console.log("Papers and packages (aim: the record of a job with 200 devices under 3 s)");
console.table(await benchPrints());
console.log("Sound (aim: a recording of 60 s and eight channels under 3 s)");
console.table(benchRecording());

console.log(`Memory of this run: ${(process.memoryUsage().heapUsed / 1024 / 1024).toFixed(0)} MB of objects.`);

console.log("A docket of 5,000 jobs on the server (aim: searched under 50 ms)");
console.table(await benchDocket());

const smooth = join(process.cwd(), ".next", "smoothness.json");
if (existsSync(smooth)) {
  console.log("The map of the largest room while a plate is dragged (aim: no frame over 50 ms), and the slowest interaction (aim: 100 ms)");
  console.table(JSON.parse(readFileSync(smooth, "utf8")));
}

const pages = join(process.cwd(), ".next", "first-load.json");
if (existsSync(pages)) {
  console.log(
    "First load of compressed script, measured by the last browser tests (aim: at most 300 kB on the docket, 400 kB inside a job)",
  );
  console.table(JSON.parse(readFileSync(pages, "utf8")));
}
console.log(`The largest job document here: ${(gzipSync(JSON.stringify(bigJob(24))).length / 1024).toFixed(0)} kB compressed.`);
