import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { findPort, readJobText } from "@/core/job";
import { csvOf, jobFileText, jobTables } from "@/core/report";

/** Reads comma-separated values as RFC 4180 has them, letter by letter. */
function readCsv(text: string): readonly (readonly string[])[] {
  const rows: string[][] = [];
  let row: string[] = [];
  let cell = "";
  let isQuoted = false;
  for (let at = 0; at < text.length; at += 1) {
    const letter = text[at] ?? "";
    if (isQuoted) {
      if (letter !== '"') cell += letter;
      else if (text[at + 1] === '"') {
        cell += '"';
        at += 1;
      } else isQuoted = false;
    } else if (letter === '"') isQuoted = true;
    else if (letter === "," || letter === "\r") {
      row.push(cell);
      cell = "";
      if (letter === "\r") {
        rows.push(row);
        row = [];
        at += 1;
      }
    } else cell += letter;
  }
  return rows;
}

/** Text of every kind, with all that has a meaning in such a file or in a spreadsheet. */
const texts = fc.string({ unit: fc.constantFrom(..."ab \",;\r\n\t=+-@'“é"), maxLength: 12 });

describe("comma-separated values", () => {
  test("come back as they were; what a spreadsheet could take for a formula has an apostrophe before it", () => {
    fc.assert(
      fc.property(fc.array(fc.array(texts, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 5 }), (rows) => {
        const read = readCsv(csvOf(rows));
        expect(read.map((row) => row.length)).toEqual(rows.map((row) => row.length));
        for (const [at, row] of rows.entries())
          for (const [place, written] of row.entries()) {
            const found = read[at]?.[place] ?? "";
            expect([written, `'${written}`]).toContain(found);
            expect(found.trimStart()).not.toMatch(/^[=+\-@]/);
          }
      }),
      { numRuns: 500, seed: 61 },
    );
  });
});

describe("the tables of a job", () => {
  test.each(demoJobNames())("%s: name sockets as they are printed, and what was done in words beside its id", (name) => {
    const job = demoJob(name);
    const tables = new Map(jobTables(job).map(({ file, rows }) => [file, rows]));
    const cables = tables.get("cables.csv")?.slice(1) ?? [];
    expect(cables.map(([, , from, , to]) => [from, to])).toEqual(
      job.cables.map(({ from, to }) => [findPort(job, from)?.label, findPort(job, to)?.label]),
    );
    const record = tables.get("record.csv")?.slice(1) ?? [];
    expect(record.map(([, , , id]) => id)).toEqual(job.record.map(({ step }) => step));
    for (const [, , , , state] of record) expect(state).toMatch(/^[a-z][a-z ]*$/i);
    const settings = tables.get("settings.csv") ?? [];
    expect(settings.length - 1).toBe(job.devices.reduce((sum, device) => sum + device.settings.length, 0));
  });

  test("have as many cells in each row as headings, in rooms that nobody has seen", () => {
    fc.assert(
      fc.property(spelledRooms, (job) => {
        for (const { file, rows } of jobTables(job)) {
          const [head = []] = rows;
          for (const row of rows) expect(row.length, file).toBe(head.length);
        }
      }),
      { numRuns: 60, seed: 63 },
    );
  });

  test("the job file beside them reads back as the same job", () => {
    fc.assert(
      fc.property(spelledRooms, (job) => {
        const read = readJobText(jobFileText(job));
        expect(read.ok && read.value).toEqual(job);
      }),
      { numRuns: 100, seed: 67 },
    );
  });
});
