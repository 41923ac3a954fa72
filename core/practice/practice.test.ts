import { describe, expect, test } from "vitest";
import { arrivalsOf } from "@/core/chain";
import { generator, standOf } from "@/core/diagnose";
import { LEVEL_FACTS, LEVELS, practiceRig, scoreOf, takeStep, type PracticeRig, type TakenStep } from "@/core/practice";
import { plantedSentence, worstMomentSentences } from "@/core/text";

const rigOf = (seed: number, level: (typeof LEVELS)[number]): PracticeRig => {
  const rig = practiceRig(seed, level);
  if (!rig) throw new Error(`no rig ${seed} of ${level}`);
  return rig;
};
const take = (rig: PracticeRig, check: string, before: readonly TakenStep[]): TakenStep => {
  const step = takeStep(rig, check, before);
  if (!step) throw new Error(`no step ${check}`);
  return step;
};

/** Works a rig through as the search would. */
function searched(rig: PracticeRig): readonly TakenStep[] {
  const line: TakenStep[] = [];
  while (line.length < 60) {
    const stand = standOf(
      rig.finder,
      rig.symptoms,
      line.map(({ check, answer }) => ({ check, answer })),
    );
    const next = stand.ok ? stand.value.next?.row.id : undefined;
    if (next === undefined) break;
    line.push(take(rig, next, line));
    if (line.at(-1)?.answer === "mended") break;
  }
  return line;
}

/** The fixed checklist of the trade: every key, power, menu, plug and lead in turn, whatever was told. */
function byChecklist(rig: PracticeRig): readonly TakenStep[] {
  const order = [
    "set",
    "power",
    "own-key",
    "restart",
    "unpair",
    "seat",
    "other-socket",
    "update",
    "turn",
    "lead",
    "unit",
    "other-title",
    "take-pcm",
    "go-round",
    "replace",
  ];
  const rank = (does: string) => order.indexOf(does);
  const cures = rig.finder.singles.cures.toSorted((a, b) => rank(a.cure.does) - rank(b.cure.does));
  const line: TakenStep[] = [];
  for (const { id } of cures) {
    line.push(take(rig, id, line));
    if (line.at(-1)?.answer === "mended") break;
  }
  return line;
}
const minutesOf = (line: readonly TakenStep[]) => line.reduce((sum, { minutes }) => sum + minutes, 0);

describe("a rig", () => {
  test("is the same for the same seed: the room, what is wrong and what the household says", () => {
    for (const level of LEVELS) {
      const [a, b] = [rigOf(11, level), rigOf(11, level)];
      expect(a.planted.id).toBe(b.planted.id);
      expect(a.symptoms).toEqual(b.symptoms);
      expect(a.job).toEqual(b.job);
    }
  });

  test("has a fault of its ladder, in a room that plays when nothing is wrong", () => {
    for (const level of LEVELS)
      for (const seed of [1, 2, 3]) {
        const { planted, job } = rigOf(seed, level);
        const { kinds } = LEVEL_FACTS[level];
        for (const { kind } of planted.faults) if (kinds) expect(kinds).toContain(kind);
        expect(arrivalsOf(job, "planned").some(({ arrives }) => arrives !== null)).toBe(true);
      }
  });

  test("answers a step that it does not have with nothing", () => expect(takeStep(rigOf(1, "formats"), "sniff:bar", [])).toBeNull());
});

describe("the score", () => {
  test("is a hundred for the line of the search, and names no moment", () => {
    const rig = rigOf(3, "socket");
    const score = scoreOf(rig, searched(rig));
    expect(score.points).toBe(100);
    expect(score.worst).toBeNull();
  });

  test("of someone who begins with the dearest cure names that step and what would have been better", () => {
    const rig = rigOf(3, "formats");
    const dear = rig.finder.singles.cures.toSorted((a, b) => b.minutes - a.minutes)[0];
    if (!dear) throw new Error("no cure");
    const first = take(rig, dear.id, []);
    const score = scoreOf(rig, [first, ...searched(rig)]);
    expect(score.worst).toMatchObject({ at: 0, took: dear.id });
    expect(score.points).toBeLessThan(50);
    expect(worstMomentSentences(rig, score).join(" ")).toContain("Better:");
  });

  test("the search takes fewer minutes than the fixed checklist on five of five seeds in different rooms", () => {
    const rigs = [1, 2, 3, 4, 5].map((seed) => rigOf(seed, "mixed"));
    expect(new Set(rigs.map(({ job }) => job.devices.map(({ archetype }) => archetype).join())).size).toBeGreaterThan(2);
    for (const rig of rigs) {
      const [ours, theirs] = [searched({ ...rig, draw: generator(1) }), byChecklist({ ...rig, draw: generator(1) })];
      expect(ours.at(-1)?.answer, plantedSentence(rig)).toBe("mended");
      expect(minutesOf(ours), plantedSentence(rig)).toBeLessThan(minutesOf(theirs));
    }
  });
});
