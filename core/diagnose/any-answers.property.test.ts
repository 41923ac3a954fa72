import fc from "fast-check";
import { expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { demoJob } from "@/demo/demo-jobs";
import { tries } from "@/demo/tries-under-test";
import { CURE_ANSWERS, finderOf, isCure, NOT_KNOWN, OTHER, standOf, type Finder, type Observed } from "./index";

/** As many answers as a person may give before the search has to end by itself. */
const PATIENCE = 150;
/** A cure may have been done badly; everything else tells the same when it is done again. */
const MOST_TRIES = 3;

/** A search in which a person gives any of the answers that they are offered. */
function searched(finder: Finder, symptom: string, picks: readonly number[]): readonly Observed[] {
  const observed: Observed[] = [];
  for (let at = 0; at < PATIENCE; at += 1) {
    const stand = standOf(finder, [symptom], observed);
    expect(stand.ok ? null : stand.refusal, `after ${JSON.stringify(observed)}`).toBeNull();
    if (!stand.ok || !stand.value.next) return observed;
    const { row } = stand.value.next;
    const offered = isCure(row) ? CURE_ANSWERS.filter((answer) => answer !== "mended") : [...row.answers, OTHER];
    const all = [...offered, NOT_KNOWN];
    const answer = all[(picks[at % picks.length] ?? 0) % all.length];
    if (answer) observed.push({ check: row.id, answer });
  }
  throw new Error("the search does not end");
}

test("whatever a person answers of what is offered is understood, a check is not asked twice, and the search ends", () => {
  const finders = ["sail-loft", "flat-4b"].map((name) => finderOf(demoJob(name)));
  const rooms = fc.oneof(
    fc.constantFrom(...finders),
    anyRoom.map((room) => finderOf(anyJob(room))),
  );
  fc.assert(
    fc.property(rooms, fc.nat(999), fc.array(fc.nat(99), { minLength: 1, maxLength: 12 }), (finder, which, picks) => {
      const { symptoms } = finder.singles;
      const symptom = symptoms[which % Math.max(1, symptoms.length)];
      if (!symptom) return;
      const taken = new Map<string, number>();
      for (const { check } of searched(finder, symptom.id, picks)) taken.set(check, (taken.get(check) ?? 0) + 1);
      const cures = new Set(finder.singles.cures.map(({ id }) => id));
      for (const [check, count] of taken) expect(count, check).toBeLessThanOrEqual(cures.has(check) ? MOST_TRIES : 1);
    }),
    tries(40, 1000, 20_261_129),
  );
});
