import { NO_HISTORY } from "@/core/diagnose";
import type { Job } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { DEMO_PREFERENCES } from "@/demo/demo-van";
import { printOut, type PrintKind } from "@/print";
import { bigJob } from "./big-job";

const SOURCE = {
  firm: DEMO_PREFERENCES.firm,
  units: "metric",
  paper: "a4",
  day: "2026-11-27",
  language: "en",
  faults: NO_HISTORY,
  photos: [],
} as const;

/** Papers and packages by size of the job; the first of a run also unpacks the fonts. */
export async function benchPrints() {
  const jobs: readonly (readonly [string, Job])[] = [
    ["sail-loft", demoJob("sail-loft")],
    ["village-hall", demoJob("village-hall")],
    ["100 players, 200 devices", bigJob(100)],
  ];
  const prints: readonly PrintKind[] = ["household", "record", "map", "package"];
  const rows = [];
  for (const [name, job] of jobs)
    for (const print of prints) {
      const start = performance.now();
      const bytes = await printOut({ print, job, source: SOURCE }, process.cwd());
      rows.push({ job: name, print, ms: Math.round(performance.now() - start), kB: Math.round(bytes.length / 1024) });
    }
  return rows;
}
