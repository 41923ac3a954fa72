import { describe, expect, test } from "vitest";
import { solve, type Arrival } from "@/core/chain";
import { applyCommand, VisitEntry, type Job } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { wrongFactSentence } from "@/core/text";
import { householdOf } from "@/core/cec";
import { explain, isSeen, proofChecks, provenSoFar, toCount, wrongFacts, type FactEdit, type Observation } from "@/core/proof";

const seenOf = (row: Arrival): Observation => ({
  row: row.id,
  sees: row.arrives ? { coding: row.arrives.coding, channels: row.arrives.channels, objects: row.arrives.objects !== "none" } : "silent",
});

/** What somebody would see of every row of a job in which one fact is otherwise. */
function planted(job: Job, { command }: FactEdit): readonly Observation[] | null {
  const applied = applyCommand(job, command);
  return applied.ok ? solve(applied.value.job, "planned").rows.map(seenOf) : null;
}

const same = (a: readonly Observation[], b: readonly Observation[]): boolean => JSON.stringify(a) === JSON.stringify(b);

describe("what was seen", () => {
  const job = demoJob("sail-loft");
  const [row] = solve(job, "planned").rows;
  if (!row) throw new Error("no row");

  test("as predicted, by its coding, its channels and its objects", () => {
    expect(isSeen({ sees: "as-predicted" }, row, row)).toBe(true);
    expect(isSeen({ sees: { coding: "eac3" } }, row, row)).toBe(true);
    expect(isSeen({ sees: { coding: "eac3", objects: false } }, row, row)).toBe(false);
    expect(isSeen({ sees: "silent" }, row, row)).toBe(false);
  });

  test("of a room that plays as predicted asks for no explanation", () => {
    const answer = explain(job, solve(job, "planned").rows.map(seenOf));
    expect(answer).toMatchObject({ unexpected: 0, explanations: [] });
  });

  test("of rows that are not there is told apart", () => {
    expect(explain(job, [{ row: "nobody/nothing/none", sees: "silent" }])).toMatchObject({
      observed: 0,
      unknownRows: ["nobody/nothing/none"],
    });
  });

  test("that no single fact explains says so", () => {
    const answer = explain(job, [{ row: row.id, sees: { coding: "dts-hd-ma", channels: "7.1" } }]);
    expect(answer.unexpected).toBe(1);
    expect(answer.explanations).toEqual([]);
  });

  test("stereo in place of TrueHD from a disc player is a TV set to PCM, among few", () => {
    const disc = solve(job, "planned").rows.find(({ player, arrives }) => player === "disc-player" && arrives?.coding === "truehd");
    const found = explain(job, [{ row: disc?.id ?? "", sees: { coding: "lpcm", channels: "2.0" } }]).explanations;
    expect(found.map(({ fact }) => wrongFactSentence(job, fact))).toContainEqual(
      expect.stringMatching(/Digital sound output.*Television.*PCM/),
    );
  });
});

test.each(["sail-loft", "flat-4b"])(
  "in %s every fact that is planted alone is among those offered, and first in nine of ten that can be told apart",
  (name) => {
    const job = demoJob(name);
    const predicted = solve(job, "planned").rows.map(seenOf);
    const facts = wrongFacts(job);
    const outcomes = facts.map((one) => planted(job, one));
    let [apart, first] = [0, 0];
    facts.forEach((one, index) => {
      const seen = outcomes[index];
      // A fact that changes nothing that can be seen asks for no explanation.
      if (!seen || same(seen, predicted) || seen.length !== predicted.length) return;
      const { explanations, observed } = explain(job, seen);
      const own = explanations.findIndex(({ fact }) => JSON.stringify(fact) === JSON.stringify(one.fact));
      expect(own, JSON.stringify(one.fact)).toBeGreaterThanOrEqual(0);
      expect(explanations[own]?.explains).toBe(observed);
      const isAlone = outcomes.every((other, at) => at === index || !other || !same(other, seen));
      if (!isAlone) return;
      apart += 1;
      if (own === 0) first += 1;
    });
    expect(first).toBeGreaterThanOrEqual(apart * 0.9);
  },
);

test("asking never changes the job, and every fact is a sentence", () => {
  const job = demoJob("village-hall");
  const before = JSON.stringify(job);
  explain(
    job,
    solve(job, "planned").rows.map(({ id }) => ({ row: id, sees: "silent" })),
  );
  expect(JSON.stringify(job)).toBe(before);
  for (const { fact } of wrongFacts(job)) expect(wrongFactSentence(job, fact)).toMatch(/^\S.*\.$/);
});

describe("a speaker that a recording of the room heard in its channel", () => {
  const job = demoJob("receiver-den");
  const readings = job.rooms.flatMap(({ space }) => space?.readings ?? []);
  const heardIn = (by: "sound" | "tape"): Job => ({
    ...job,
    rooms: job.rooms.map((room) =>
      room.space ? { ...room, space: { ...room.space, readings: readings.map((one) => ({ ...one, by })) } } : room,
    ),
  });
  const counted = (one: Job) => proofChecks(one, householdOf(one, "planned")).map(toCount);

  test("counts as proven, a tape proves no speaker, and what somebody saw instead wins", () => {
    const [bySound, byTape] = [counted(heardIn("sound")), counted(heardIn("tape"))];
    const measured = bySound.filter(({ isMeasured }) => isMeasured);
    expect(measured.length).toBeGreaterThan(3);
    expect(byTape.some(({ isMeasured }) => isMeasured)).toBe(false);
    expect(provenSoFar(bySound, new Map())).toEqual({ proven: measured.length, otherwise: 0 });
    const seen = VisitEntry.parse({
      id: "1f6c0a3e-8d5e-4c43-9a7b-0d7f5a0d1c11",
      step: measured[0]?.id,
      state: "not-done",
      sees: "other-side",
      at: "2026-11-27T10:00:00.000Z",
    });
    expect(provenSoFar(bySound, new Map([[seen.step, seen]]))).toEqual({ proven: measured.length - 1, otherwise: 1 });
  });
});
