import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

/** What is pure shares its modules from file to file: loading them again for each would take longer than the tests. */
const PURE = ["core/**/*.test.ts", "print/**/*.test.ts", "demo/**/*.test.ts", "docs/**/*.test.ts", "ui/**/*.test.ts"];
/** What stubs the world, or keeps files and databases, has its modules for itself. */
const APART = ["server/**/*.test.ts", "cli/**/*.test.ts", "*.test.ts", "ui/job/*.test.ts", "ui/kit/*.test.ts", "ui/visit/*.test.ts"];
/** What opens pages, in a browser that draws nothing: the real one is for `e2e/`. */
const PAGES = {
  name: "pages",
  include: ["ui/**/*.test.tsx"],
  setupFiles: ["ui/under-test/page-setup.ts"],
  environment: "jsdom",
  isolate: false,
};

export default defineConfig({
  resolve: { alias: { "@": fileURLToPath(new URL(".", import.meta.url)).replace(/\/$/, "") } },
  test: {
    // Ends what hangs and judges nothing: a busy disk makes a test that keeps files many times slower. Speed is measured by `npm run bench`.
    testTimeout: 180_000,
    hookTimeout: 60_000,
    // Both cores of the smallest machine that this is run on.
    maxWorkers: 2,
    projects: [
      { extends: true, test: { name: "pure", include: PURE, exclude: APART.filter((path) => path.startsWith("ui/")), isolate: false } },
      { extends: true, test: { name: "apart", include: APART } },
      { extends: true, test: PAGES },
    ],
  },
});
