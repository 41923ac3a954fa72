import { spawnSync } from "node:child_process";
import { expect, test } from "vitest";

test("the thread answers as is answered here, this one goes on meanwhile, and more than can wait are told so", () => {
  const { stdout } = spawnSync(process.execPath, ["--import", "tsx", "server/threads/ask-under-test.ts"], { encoding: "utf8" });
  const { same, refused, ticks } = JSON.parse(stdout) as { same: number; refused: unknown[]; ticks: number };
  expect(same).toBe(8);
  expect(refused).toEqual([
    { code: "too-many", waiting: 8 },
    { code: "too-many", waiting: 8 },
  ]);
  // The answers take a second and more together; a server that waited for them would have ticked a few times.
  expect(ticks).toBeGreaterThan(20);
});
