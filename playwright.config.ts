import { mkdtempSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { defineConfig } from "@playwright/test";

const PORT = 4199;
// The config is read by several processes; they must agree on one folder.
process.env.OCTACHORD_E2E_DATA ??= mkdtempSync(join(tmpdir(), "octachord-e2e-"));

export default defineConfig({
  testDir: "e2e",
  // Times end what hangs and judge nothing: a correct answer may take long on a busy machine, and speed is measured by `npm run bench`.
  timeout: 180_000,
  expect: { timeout: 40_000 },
  // Both cores of the smallest machine that this is run on; what one test does makes another wait.
  workers: 2,
  retries: process.env.CI ? 2 : 0,
  forbidOnly: Boolean(process.env.CI),
  reporter: [["list"], ["json", { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? ".scratch/results/browser.json" }]],
  outputDir: ".scratch/browser",
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // The application follows the system until a theme is chosen.
    colorScheme: "dark",
    // Tests judge where the pages come to stand. Those that go a whole way, `ninety-seconds` and `visit`, and `smooth` see them move.
    contextOptions: { reducedMotion: "reduce" },
    launchOptions: {
      executablePath: "/usr/bin/chromium",
      args: [
        "--no-sandbox",
        "--disable-gpu",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
        // A name that is not this machine's own: over plain HTTP the browser gives its pages less.
        "--host-resolver-rules=MAP octachord.test 127.0.0.1",
      ],
    },
  },
  webServer: {
    command: `node scripts/serve.mjs 127.0.0.1 ${PORT}`,
    url: `http://127.0.0.1:${PORT}/api/health`,
    env: { OCTACHORD_DATA: process.env.OCTACHORD_E2E_DATA },
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
