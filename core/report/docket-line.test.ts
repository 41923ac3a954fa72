import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { device, made, planned, room } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { emptyJob } from "@/core/job";
import { docketSummary } from "@/core/report";

const loft = demoJob("sail-loft");

describe("what the docket tells of a job", () => {
  test("with nothing in it is that the gear must be noted", () => {
    expect(docketSummary(emptyJob("Room"))).toEqual({
      rows: 0,
      whole: 0,
      waiting: 0,
      unknown: 0,
      next: { act: "note-gear" },
      checks: [],
      losses: {},
      kinds: [],
      worst: null,
    });
  });

  test.each(demoJobNames())("counts the rows of its board: %s", (name) => {
    const job = demoJob(name);
    const { rows } = solve(job, "planned");
    const summary = docketSummary(job);
    expect(summary.rows).toBe(rows.length);
    expect(summary.whole).toBe(rows.filter(({ verdict }) => verdict === "full").length);
    expect(summary.whole).toBeLessThanOrEqual(summary.rows);
    // It is kept as text beside the job and must come back as it was.
    expect(JSON.parse(JSON.stringify(summary))).toEqual(summary);
  });

  test("shows the row that fares worst, with the reason in a few words", () => {
    const silent = docketSummary(made(loft, { kind: "unplug", cable: "bar-tv" }));
    expect(silent.worst?.arrival.verdict).toBe("silent");
    expect(silent.worst?.flag).toMatch(/^(Streamer|Disc player|Television), .+: .+/);
    expect(silent.worst?.spoken).toContain("Silent");
    expect(docketSummary(loft).worst?.flag).toBeNull();
  });

  test("says of a row without a picture that it has none, whatever its sound cannot be in this room", () => {
    const dark = room(
      [device("projector", "projector"), device("receiver-51", "receiver"), device("disc-player-4k", "disc")],
      "disc optical-out > receiver optical-in",
    );
    expect(docketSummary(dark).worst).toMatchObject({
      arrival: { verdict: "no-picture" },
      flag: expect.stringMatching(/: no picture$/) as unknown,
    });
  });

  test("a row that waits for a fact is counted, and so is the fact, once", () => {
    const asked = docketSummary(made(loft, { kind: "set-setting", device: "television", setting: "earc", state: "found", value: null }));
    expect(asked.unknown).toBeGreaterThan(0);
    expect(asked.waiting).toBe(1);
  });

  test("in the design phase says how many rows are not whole", () => {
    const lost = docketSummary({ ...made(loft, planned("television", "earc", "off")), phase: "design" });
    expect(lost.next).toEqual({ act: "lift", rows: lost.rows - lost.whole });
  });
});
