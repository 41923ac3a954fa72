import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyJob, anyRoom } from "@/demo/any-room-under-test";
import { demoJob } from "@/demo/demo-jobs";
import { beliefAfter, finderOf, generator, isCure, playOut, standOf, type Belief, type Case, type Observed } from "@/core/diagnose";

const sum = (belief: Belief) => belief.reduce((all, one) => all + one, 0);
const believed = (given: Case, symptoms: readonly string[], observed: readonly Observed[]): Belief => {
  const found = beliefAfter(given, symptoms, observed);
  if (!found.ok) throw new Error(JSON.stringify(found.refusal));
  return found.value;
};

/** Answers drawn from all that a case allows, by a seed. */
function someAnswers(given: Case, seed: number, count: number): readonly Observed[] {
  const draw = generator(seed);
  return Array.from({ length: count }, () => {
    const look = given.looks[Math.floor(draw() * given.looks.length)];
    return { check: look?.id ?? "", answer: look?.answers[Math.floor(draw() * look.answers.length)] ?? "" };
  }).filter(({ check }) => check !== "");
}

const loft = finderOf(demoJob("sail-loft")).singles;

describe("what is believed", () => {
  test("adds up to one, in whatever room and after whatever answers", () => {
    fc.assert(
      fc.property(anyRoom, fc.nat(), (one, seed) => {
        const given = finderOf(anyJob(one)).singles;
        const symptom = given.symptoms[seed % Math.max(1, given.symptoms.length)];
        const belief = believed(given, symptom ? [symptom.id] : [], someAnswers(given, seed, 5));
        expect(sum(belief)).toBeCloseTo(1, 9);
        expect([...belief].every((share) => share >= 0)).toBe(true);
      }),
      { numRuns: 25, seed: 19 },
    );
  });

  test("does not hang on the order of the answers", () => {
    fc.assert(
      fc.property(fc.nat(), (seed) => {
        const answers = someAnswers(loft, seed, 6);
        const [a, b] = [believed(loft, [], answers), believed(loft, [], answers.toReversed())];
        for (const [index, share] of a.entries()) expect(b[index]).toBeCloseTo(share, 9);
      }),
      { numRuns: 50, seed: 19 },
    );
  });

  test("of a fault never grows by an answer that contradicts it", () => {
    fc.assert(
      fc.property(fc.nat(), (seed) => {
        const [...before] = someAnswers(loft, seed, 4);
        const last = before.pop();
        const look = loft.looks.find(({ id }) => id === last?.check);
        if (!last || !look || look.look.does === "ask") return;
        const answer = look.answers.indexOf(last.answer);
        const [a, b] = [believed(loft, [], before), believed(loft, [], [...before, last])];
        for (const [index, share] of a.entries()) {
          const shows = look.shows[index] ?? -1;
          if (shows >= 0 && shows !== answer) expect(b[index]).toBeLessThanOrEqual(share + 1e-12);
        }
      }),
      { numRuns: 100, seed: 19 },
    );
  });

  test("an answer that is not known changes nothing", () => {
    const look = loft.looks[3];
    if (!look) throw new Error("no look");
    expect(believed(loft, [], [{ check: look.id, answer: "not-known" }])).toEqual(believed(loft, [], []));
  });
});

describe("a search", () => {
  test("leaves the job as it is", () => {
    const job = demoJob("flat-4b");
    const before = JSON.stringify(job);
    const finder = finderOf(job);
    for (const { fault } of finder.played.slice(0, 10)) playOut(finder, fault);
    expect(JSON.stringify(job)).toBe(before);
  });

  test("is the same for the same seed", () => {
    const finder = finderOf(demoJob("attic-screen"));
    const [fault] = finder.played.map((one) => one.fault);
    if (!fault) throw new Error("no fault");
    expect(playOut(finder, fault, { seed: 5, misread: 0.2 })).toEqual(playOut(finder, fault, { seed: 5, misread: 0.2 }));
  });

  test("never begins with a purchase", () => {
    const finder = finderOf(demoJob("flat-4b"));
    for (const { id } of finder.singles.symptoms) {
      const stand = standOf(finder, [id], []);
      const row = stand.ok ? stand.value.next?.row : undefined;
      if (row && isCure(row)) expect(row.cure.does).not.toBe("replace");
    }
  });

  test("an unknown check, answer or symptom is named, with what is there", () => {
    const symptom = beliefAfter(loft, ["silent:nobody"], []);
    expect(symptom).toMatchObject({ ok: false, refusal: { code: "no-such-symptom", id: "silent:nobody" } });
    expect(beliefAfter(loft, [], [{ check: "sniff:bar", answer: "sweet" }])).toMatchObject({
      ok: false,
      refusal: { code: "no-such-check" },
    });
    const look = loft.looks.find(({ id }) => id === "ask:course");
    expect(beliefAfter(loft, [], [{ check: "ask:course", answer: "sweet" }])).toMatchObject({
      ok: false,
      refusal: { code: "no-such-answer", answers: [...(look?.answers ?? []), "something-else", "not-known"] },
    });
  });

  test("an answer that two faults at once alone can give is taken once it was offered", () => {
    const finder = finderOf(demoJob("attic-screen"));
    const isOfPairs = ({ cases, singles }: typeof finder) =>
      [...cases.values()].flatMap(({ looks }) =>
        looks.flatMap(({ id, answers }) => {
          const before = singles.looks.find((one) => one.id === id)?.answers ?? [];
          return answers.filter((answer) => !before.includes(answer)).map((answer) => ({ check: id, answer }));
        }),
      );
    const odd = finder.singles.looks.filter(({ look }) => look.does === "play").map(({ id }) => ({ check: id, answer: "something-else" }));
    standOf(finder, [], odd);
    const offered = isOfPairs(finder);
    expect(offered).not.toEqual([]);
    for (const one of offered) expect(standOf(finder, [], [...odd, one]).ok).toBe(true);
  });

  test("where answers contradict everything, it says that nothing explains them, and goes on", () => {
    const finder = finderOf(demoJob("attic-screen"));
    const others = finder.singles.looks
      .filter(({ look }) => look.does === "play" || look.does === "lamp")
      .map(({ id }) => ({ check: id, answer: "something-else" }));
    const stand = standOf(finder, [], others);
    expect(stand.ok && stand.value.isUnexplained).toBe(true);
  });
});
