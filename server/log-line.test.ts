import { expect, test } from "vitest";
import { DamagedDocument } from "./job-repository";
import { logLine } from "./log-line";

test("says what kind of error it was, and where, without what a customer typed", () => {
  const line = logLine(new DamagedDocument("The stored document of job 1 does not read: Ottoline Quarrington’s loft"));
  expect(line).toMatch(/^DamagedDocument\n\s+at /);
  expect(line).not.toContain("Quarrington");
});

test("says what SQLite and the disk said", () => {
  const full = Object.assign(new Error("insert failed for ‘Quarrington’"), {
    name: "SequelizeDatabaseError",
    original: Object.assign(new Error("SQLITE_FULL: database or disk is full"), { code: "SQLITE_FULL" }),
  });
  expect(logLine(full)).toContain("SequelizeDatabaseError: SQLITE_FULL: database or disk is full\n");
  expect(logLine(full)).not.toContain("Quarrington");
  expect(logLine(new Error("ENOSPC: no space left on device, write"))).toContain("ENOSPC: no space left on device, write");
  expect(logLine("Quarrington")).not.toContain("Quarrington");
});
