// `npm run prove`: the long forms of what `npm test` tries in short. Prints a table of what was tried and what failed, and keeps it
// in docs/keeping.md; ends with an error where anything failed.
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { join, relative } from "node:path";
import { ensureBuild, ensureDependencies, root, run, say } from "./prepare.mjs";

/** The unit tests of what is called proven, and of what is kept; those that can try more do so here. */
const UNIT = [
  "core/chain/paper.property.test.ts",
  "core/chain/not-known.property.test.ts",
  "core/chain/reasons.property.test.ts",
  "core/chain/picture-reasons.property.test.ts",
  "core/plan/paper-changes.property.test.ts",
  "core/plan/paper-plans.property.test.ts",
  "core/plan/wander.property.test.ts",
  "core/cec/bus-on-paper.property.test.ts",
  "cli/spelled-rooms.test.ts",
  "demo/check.test.ts",
  "core/plan/wiring/bounds",
  "core/plan/wiring/evaluation",
  "core/plan/wiring/search",
  "core/plan/wiring/explain",
  "core/plan/smallest-changes.test.ts",
  "server/soundness.test.ts",
  "server/mutated.test.ts",
  "server/writers.test.ts",
  "server/small-disk.test.ts",
  "server/standing.test.ts",
  "server/versions.test.ts",
  "server/erase.test.ts",
  "server/everything.test.ts",
  "server/access",
  "core/zip/read-zip.test.ts",
  "ui/job/job-saver.test.ts",
  "ui/job/saved-once.property.test.ts",
  "ui/visit/ticks-kept.property.test.ts",
];
const BROWSER = ["durability", "long-use", "http-keeping"];

const results = join(root, ".scratch", "results");
const proof = { OCTACHORD_PROVE: "1" };
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, "utf8")) : null);
const fresh = (name) => {
  mkdirSync(results, { recursive: true });
  const file = join(results, name);
  rmSync(file, { force: true });
  return file;
};

/** One row for each test of a report of Vitest. */
const unitRows = (report) =>
  report.testResults.flatMap(({ name, assertionResults }) =>
    assertionResults.map(({ fullName, status, duration }) => ({
      file: relative(root, name),
      tried: fullName,
      ok: status === "passed",
      seconds: (duration ?? 0) / 1000,
    })),
  );

/** One row for each test of a report of Playwright. */
const browserRows = (suite, titles = []) => [
  ...(suite.suites ?? []).flatMap((inner) => browserRows(inner, inner.file === inner.title ? [] : [...titles, inner.title])),
  ...(suite.specs ?? []).map(({ title, file, ok, tests }) => ({
    file: `e2e/${file}`,
    tried: [...titles, title].join(" "),
    ok,
    seconds: tests.flatMap((test) => test.results).reduce((sum, { duration }) => sum + duration, 0) / 1000,
  })),
];

const took = (seconds) => (seconds < 1 ? "under 1 s" : seconds < 120 ? `${Math.round(seconds)} s` : `${Math.round(seconds / 60)} min`);

/** The table, in the columns of docs/keeping.md. */
function tableOf(rows) {
  const cells = [
    ["tried", "took", "outcome", "where"],
    ...rows.map(({ tried, seconds, ok, file }) => [tried.replaceAll("|", "\\|"), took(seconds), ok ? "held" : "FAILED", `\`${file}\``]),
  ];
  const widths = [0, 1, 2, 3].map((column) => Math.max(...cells.map((row) => row[column].length)));
  const line = (row) => `| ${row.map((cell, column) => cell.padEnd(widths[column])).join(" | ")} |`;
  return [line(cells[0]), line(widths.map((width) => "-".repeat(width))), ...cells.slice(1).map(line)].join("\n");
}

/** Puts the table between its two marks. */
function keepTable(table, failed, total) {
  const file = join(root, "docs", "keeping.md");
  const [start, end] = ["<!-- last run of npm run prove -->", "<!-- end of the last run -->"];
  const text = readFileSync(file, "utf8");
  const day = new Date().toISOString().slice(0, 10);
  const block = `${start}\n\nRun on ${day}: ${total} tried, ${failed} failed.\n\n${table}\n\n${end}`;
  writeFileSync(file, text.slice(0, text.indexOf(start)) + block + text.slice(text.indexOf(end) + end.length));
}

await ensureDependencies();
say("proofs, the long forms");
const unit = fresh("prove-unit.json");
const unitOk = run(
  process.execPath,
  [join(root, "node_modules/vitest/vitest.mjs"), "run", "--reporter=default", "--reporter=json", `--outputFile.json=${unit}`, ...UNIT],
  { env: proof },
);
say("kill -9 and an hour of use, the long forms");
ensureBuild();
const browser = fresh("prove-browser.json");
const browserOk = run(process.execPath, [join(root, "node_modules/@playwright/test/cli.js"), "test", ...BROWSER], {
  env: { ...proof, PLAYWRIGHT_JSON_OUTPUT_NAME: browser },
});
const [unitReport, browserReport] = [read(unit), read(browser)];
const rows = [...(unitReport ? unitRows(unitReport) : []), ...(browserReport ? browserRows(browserReport) : [])].sort((a, b) =>
  a.file.localeCompare(b.file, "en"),
);
const failed = rows.filter(({ ok }) => !ok).length;
const table = tableOf(rows);
console.log(`\n${table}\n\n${rows.length} tried, ${failed} failed`);
if (unitReport && browserReport) keepTable(table, failed, rows.length);
process.exit(unitOk && browserOk ? 0 : 1);
