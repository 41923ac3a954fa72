import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { allNew } from "@/demo/room-under-test";
import { castOf, householdOf, judgeAct } from "@/core/cec";
import { solve } from "@/core/chain";
import type { PrintDocument } from "@/core/paper";
import { proofChecks } from "@/core/proof";
import { checkTitle, deviceName, recordWords, settingValue, socketName, socketPrint } from "@/core/text";
import { boardDocument, listsDocument, recordDocument, runSheetDocument } from "@/core/report";

const SETTING = {
  firm: { name: "Firm", address: "Road 1", phone: "12", picture: "" },
  units: "metric",
  paper: "a4",
  day: "2026-11-29",
} as const;
const JOBS = [
  ...demoJobNames().map((name) => [name, demoJob(name)] as const),
  ...demoJobNames("systems").map((name) => [name, demoJob(name, "systems")] as const),
];

/** The rows of the first table under a heading; none where that is missing. */
function rowsUnder({ blocks }: PrintDocument, heading: string): readonly (readonly string[])[] {
  const at = blocks.findIndex((block) => block.block === "heading" && block.words === heading);
  const table = at < 0 ? undefined : blocks.slice(at).find((block) => block.block === "table");
  return table?.block === "table" ? table.rows : [];
}

describe.each(JOBS)("the record of %s", (_name, job) => {
  const record = recordDocument(job, { ...SETTING, record: job.record, photos: [] });

  test("names every cable once, with the print of the sockets at both its ends", () => {
    const rows = rowsUnder(record, recordWords.plugged);
    expect(rows.map(([, from, to]) => [from, to])).toEqual(job.cables.map(({ from, to }) => [socketName(job, from), socketName(job, to)]));
    for (const [index, { from, to }] of job.cables.entries()) {
      expect(rows[index]?.[1]).toContain(socketPrint(job, from));
      expect(rows[index]?.[2]).toContain(socketPrint(job, to));
    }
  });

  test("has every menu of every device, as found, planned and left", () => {
    for (const device of job.devices.filter(({ settings }) => settings.length > 0)) {
      const rows = rowsUnder(record, deviceName(job, device.id));
      expect(rows.length).toBe(device.settings.length);
      for (const [index, { key, planned }] of device.settings.entries())
        expect(rows[index]?.[2]).toBe(planned === null ? recordWords.asFound : settingValue(device, key, planned));
    }
  });

  test("names a speaker once where its unit is called like its channel", () => {
    const checks = proofChecks(job, householdOf(job), solve(job, "planned").rows);
    for (const check of checks) expect(checkTitle(job, check, undefined)).not.toMatch(/^(.+), \1$/i);
  });

  test("has a frame of the control bus once, however often it was sent because nobody answered", () => {
    const household = householdOf(job);
    const frames = castOf(household).screen ? (judgeAct(household, { act: "screen-on" })?.played.trace.frames ?? []) : [];
    const rows = rowsUnder(record, recordWords.trace);
    expect(rows.length).toBe(Math.min(60, frames.filter(({ again }) => again === 0).length));
    const silent = rows.filter(([, , words]) => words?.includes("Nobody answers"));
    const unheard = frames.filter(({ again, acknowledged }) => again === 0 && !acknowledged);
    expect(silent.length).toBeLessThanOrEqual(unheard.length);
  });
});

test("a receiver that the control wire does not reach is asked six times, which the record says in one line", () => {
  const record = recordDocument(demoJob("village-hall"), { ...SETTING, record: [], photos: [] });
  const asked = rowsUnder(record, recordWords.trace).filter(([, , words]) => words?.includes("take the sound over"));
  // CEC 1.4 §7.1: a frame that is not acknowledged is sent again up to five times.
  expect(asked.map(([, , words]) => words)).toEqual([expect.stringContaining("Nobody answers; sent 6 times.")]);
});

test.each(JOBS)("the board of %s on paper has a line for each row, and the lists every device", (_name, job) => {
  const board = boardDocument(job, SETTING);
  const tables = board.blocks.flatMap((block) => (block.block === "table" ? [block] : []));
  expect(tables.flatMap(({ rows }) => rows).length).toBe(solve(job, "planned").rows.length);
  const names = listsDocument(job, SETTING).blocks.flatMap((block) => (block.block === "table" ? block.rows.map(([name]) => name) : []));
  expect(names).toEqual(expect.arrayContaining(job.devices.map(({ name }) => name)));
});

test("the board on paper says what a picture arrives as, and why it is not guaranteed", () => {
  const rows = rowsUnder(boardDocument(demoJob("village-hall"), SETTING), recordWords.arrivals);
  const [projector] = rows.filter(([title]) => title?.includes("on Projector"));
  expect(projector?.[2]).toContain("2160p24 HDR10");
  expect(projector?.[3]).toContain("so the picture is not guaranteed");
});

test("the run sheet on paper has a box to tick for each step, and says how to work safely where a step can hurt", () => {
  const sheet = runSheetDocument(allNew(demoJob("attic-screen")), SETTING);
  const rows = sheet.blocks.flatMap((block) => (block.block === "table" ? block.rows : []));
  expect(rows.length).toBeGreaterThan(5);
  for (const [box, number] of rows) expect([box, Number(number) > 0]).toEqual([expect.stringMatching(/^(\[ {2}\]|done)$/), true]);
  expect(rows.some(([, , words]) => /drill/i.test(words ?? "") && /cables and pipes/i.test(words ?? ""))).toBe(true);
});
