// `npm test`: everything that must hold, from types to the real interface. Ends with "N passed, N failed".
import { existsSync, mkdirSync, readFileSync, rmSync } from "node:fs";
import { join } from "node:path";
import { beginDependencies, ensureBuild, installPackages, root, run, say } from "./prepare.mjs";

const tally = { passed: 0, failed: 0 };
const results = join(root, ".scratch", "results");
const tool = (name, args, options) => run(process.execPath, [join(root, "node_modules", name), ...args], options);

function check(name, call) {
  say(name);
  const ok = call();
  tally[ok ? "passed" : "failed"] += 1;
  if (!ok) say(`${name}: failed`);
  return ok;
}

/** Counts a suite by its own report; a suite that gave none counts as one failure. */
function suite(name, file, call, count) {
  say(name);
  rmSync(file, { force: true });
  const ok = call();
  const counts = existsSync(file) ? count(JSON.parse(readFileSync(file, "utf8"))) : { passed: 0, failed: 1 };
  tally.passed += counts.passed;
  tally.failed += counts.failed || (ok ? 0 : 1);
}

mkdirSync(results, { recursive: true });
const dependencies = beginDependencies();
// The browser, and programs that read what ours writes (EDID, PDF); without those two the comparisons with them are left out.
const PROGRAMS = { chromium: "chromium", "edid-decode": "edid-decode", pdftotext: "poppler-utils" };
const wanted = Object.entries(PROGRAMS).flatMap(([program, name]) => (existsSync(`/usr/bin/${program}`) ? [] : [name]));
if (wanted.length) installPackages(wanted);
check("route types", () => tool("next/dist/bin/next", ["typegen"]));
check("type check", () => tool("typescript/bin/tsc", ["--noEmit"]));
check("lint", () => tool("eslint/bin/eslint.js", [".", "--max-warnings", "0"]));
check("format", () => tool("prettier/bin/prettier.cjs", ["--check", "--log-level", "warn", "."]));
check("boundaries", () =>
  tool("dependency-cruiser/bin/dependency-cruise.mjs", ["core", "server", "workers", "ui", "app", "cli", "demo", "bench", "print"]),
);
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
check("build", () => {
  ensureBuild();
  return true;
});
const browser = join(results, "browser.json");
suite(
  "browser tests",
  browser,
  () => tool("@playwright/test/cli.js", ["test"], { env: { PLAYWRIGHT_JSON_OUTPUT_NAME: browser } }),
  ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }),
);
console.log(`${tally.passed} passed, ${tally.failed} failed`);
process.exit(tally.failed ? 1 : 0);
