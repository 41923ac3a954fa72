import { gzipSync } from "node:zlib";
import { existsSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { arrivalsOf } from "@/core/chain";
import { readJob } from "@/core/job";
import { liftingChanges } from "@/core/plan";
import { bigJob } from "./big-job";

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

function once(call: () => unknown): number {
  const start = performance.now();
  call();
  return performance.now() - start;
}

const rows = [2, 4, 6, 8, 12, 16, 20, 24].map((players) => {
  const job = bigJob(players);
  const board = arrivalsOf(job);
  return {
    players,
    devices: job.devices.length,
    rows: board.length,
    "arrivals ms": Number(timed(() => arrivalsOf(job)).toFixed(2)),
    "all single changes ms": Number(once(() => liftingChanges(job)).toFixed(0)),
    "read file ms": Number(timed(() => readJob(JSON.parse(JSON.stringify(job))), 20).toFixed(1)),
  };
});
console.log("Arrivals by size of the job (aim: 12 players, 24 devices under 5 ms)");
console.table(rows);

const pages = join(process.cwd(), ".next", "first-load.json");
if (existsSync(pages)) {
  console.log("First load of compressed script, measured by the last browser tests (aim: at most 350 kB on the docket)");
  console.table(JSON.parse(readFileSync(pages, "utf8")));
}
console.log(`The largest job document here: ${(gzipSync(JSON.stringify(bigJob(24))).length / 1024).toFixed(0)} kB compressed.`);
