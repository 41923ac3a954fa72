import { fileURLToPath } from "node:url";
import { defineConfig } from "vitest/config";

export default defineConfig({
  resolve: { alias: { "@": fileURLToPath(new URL(".", import.meta.url)).replace(/\/$/, "") } },
  test: {
    include: [
      "core/**/*.test.ts",
      "print/**/*.test.ts",
      "server/**/*.test.ts",
      "cli/**/*.test.ts",
      "ui/**/*.test.ts",
      "demo/**/*.test.ts",
      "docs/**/*.test.ts",
      "*.test.ts",
    ],
    testTimeout: 30_000,
  },
});
