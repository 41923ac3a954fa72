// `npm test`: everything that must hold, from types to the real interface. Ends with "N passed, N failed".
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { begin, beginDependencies, ensureBuild, installPackages, root, run, say } from "./prepare.mjs";

const tally = { passed: 0, failed: 0 };
const results = join(root, ".scratch", "results");
const tool = (name, args, options) => run(process.execPath, [join(root, "node_modules", name), ...args], options);

/** Begins a part of the run; the call it returns ends it with a line of how it went and how long it took. */
function part(name) {
  say(name);
  const begun = Date.now();
  return (ok) => say(`${name}: ${ok ? "passed" : "failed"} in ${Math.round((Date.now() - begun) / 1000)} s`);
}

/** Checks that read the sources alone, one after the other. */
async function checks(all) {
  for (const [name, file, args] of all) {
    const end = part(name);
    const ok = await begin(process.execPath, [join(root, "node_modules", file), ...args]);
    tally[ok ? "passed" : "failed"] += 1;
    end(ok);
  }
}

/** Counts a suite by its own report; a suite that gave none counts as one failure. */
function suite(name, file, call, count) {
  const end = part(name);
  rmSync(file, { force: true });
  const ok = call();
  const counts = existsSync(file) ? count(JSON.parse(readFileSync(file, "utf8"))) : { passed: 0, failed: 1 };
  tally.passed += counts.passed;
  tally.failed += counts.failed || (ok ? 0 : 1);
  end(ok);
}

mkdirSync(results, { recursive: true });
const dependencies = beginDependencies();
// The browser, and programs that read what ours writes (EDID, PDF); without those two the comparisons with them are left out.
const PROGRAMS = { chromium: "chromium", "edid-decode": "edid-decode", pdftotext: "poppler-utils" };
const wanted = Object.entries(PROGRAMS).flatMap(([program, name]) => (existsSync(`/usr/bin/${program}`) ? [] : [name]));
if (wanted.length) installPackages(wanted);
await checks([["route types", "next/dist/bin/next", ["typegen"]]]);
// Two lines of them, for the two cores of the smallest machine that this is run on.
await Promise.all([
  checks([["lint", "eslint/bin/eslint.js", [".", "--max-warnings", "0"]]]),
  checks([
    ["type check", "typescript/bin/tsc", ["--noEmit"]],
    ["format", "prettier/bin/prettier.cjs", ["--check", "--log-level", "warn", "."]],
    [
      "boundaries",
      "dependency-cruiser/bin/dependency-cruise.mjs",
      ["core", "server", "workers", "ui", "app", "cli", "demo", "bench", "print"],
    ],
  ]),
]);
// Types, style and boundaries need no database; everything from here on does.
await dependencies;
const unit = join(results, "unit.json");
suite(
  "unit tests",
  unit,
  () => tool("vitest/vitest.mjs", ["run", "--reporter=default", "--reporter=json", `--outputFile.json=${unit}`]),
  ({ numPassedTests, numFailedTests, numFailedTestSuites }) => ({
    passed: numPassedTests,
    failed: Math.max(numFailedTests, Math.min(1, numFailedTestSuites)),
  }),
);
const endBuild = part("build");
ensureBuild();
tally.passed += 1;
endBuild(true);
const browser = join(results, "browser.json");
suite(
  "browser tests",
  browser,
  () => tool("@playwright/test/cli.js", ["test"], { env: { PLAYWRIGHT_JSON_OUTPUT_NAME: browser } }),
  ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }),
);
console.log(`${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed ? 1 : 0);
