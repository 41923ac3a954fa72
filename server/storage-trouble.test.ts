import { expect, test } from "vitest";
import { storageTrouble } from "@/server";

test("what the disk and the database say is told in words with what to do; anything else is none of theirs", () => {
  const status = (error: unknown) => storageTrouble(error)?.status ?? null;
  expect(status({ name: "SequelizeDatabaseError", original: { code: "SQLITE_FULL" } })).toBe(507);
  expect(status(Object.assign(new Error("no space left on device"), { code: "ENOSPC" }))).toBe(507);
  expect(status({ original: { code: "SQLITE_READONLY" } })).toBe(503);
  expect(status({ original: { code: "SQLITE_CORRUPT" } })).toBe(500);
  expect(status({ original: { code: "SQLITE_BUSY" } })).toBe(503);
  expect(status({ original: { code: "SQLITE_IOERR" } })).toBe(503);
  expect(storageTrouble({ original: { code: "SQLITE_FULL" } })?.detail).toMatch(/disk .* full.*Free some space/);
  for (const other of [new Error("x"), null, undefined, "SQLITE_FULL", { code: 7 }, { original: { code: "SQLITE_CONSTRAINT" } }])
    expect(status(other)).toBeNull();
});
