import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { anyJob, anyRoom, type AnyRoom } from "@/demo/any-room-under-test";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { namedForReading, proofRead } from "@/demo/proof-reading-under-test";
import { spelledRooms } from "@/demo/spelled-room-under-test";
import { tries } from "@/demo/tries-under-test";
import { castOf, conflictsOf, controlLinks, householdOf, judgeAll, relianceOf } from "@/core/cec";
import { solve } from "@/core/chain";
import { finderOf } from "@/core/diagnose";
import { householdSheet } from "@/core/handover";
import type { Job } from "@/core/job";
import { boxOfShelf, checkedPlans, smallestChanges, weightsOf, wiringSpace, wishesOf } from "@/core/plan";
import { wrongFacts } from "@/core/proof";
import { openQuestions } from "@/core/survey";
import {
  actPrediction,
  actVerdictSentence,
  actWords,
  arrivalLines,
  boardText,
  changeWords,
  conflictSentence,
  controlSentence,
  figureLines,
  findTitleWords,
  planIdea,
  planProof,
  predictionLines,
  proofSentence,
  questionWords,
  relianceSentence,
  rowText,
  SHEET_WORDS,
  stepWords,
  storyWords,
  volumeSentence,
  watchWords,
  wrongFactSentence,
} from "@/core/text";
import {
  boardDocument,
  cableLabels,
  checksReport,
  diagnoseReport,
  docketSummary,
  faultsReport,
  listsDocument,
  planLists,
  recordDocument,
  runSheetReport,
  symptomsReport,
} from "./index";

/* Every text about a room, in rooms of every kind, read as a proof-reader would. */
const ROOMS = fc.oneof(anyRoom.map(anyJob), spelledRooms, disturbedRooms).map(namedForReading);

/** All strings of a printed document but those that no person reads. */
function printed(value: unknown): readonly string[] {
  if (typeof value === "string") return value === "[  ]" ? [] : [value];
  if (Array.isArray(value)) return value.flatMap(printed);
  return value && typeof value === "object"
    ? Object.entries(value).flatMap(([key, inner]) => (["block", "svg", "source"].includes(key) ? [] : printed(inner)))
    : [];
}

function onTheBoard(job: Job): readonly string[] {
  const { rows } = solve(job, "planned");
  const { worst } = docketSummary(job);
  return [
    boardText(job, rows),
    ...rows.flatMap((row) => [
      ...arrivalLines(job, row),
      ...predictionLines(job, row).map(({ words }) => words),
      ...watchWords(job, row),
      ...(row.volume ? [volumeSentence(job, row.volume)] : []),
      rowText(job, row),
      findTitleWords(job, row),
      storyWords(row),
    ]),
    ...openQuestions(job, rows).map(({ fact }) => questionWords(job, fact)),
    worst?.flag ?? "",
    worst?.spoken ?? "",
  ];
}

function onTheBus(job: Job): readonly string[] {
  const household = householdOf(job);
  const screen = castOf(household).screen?.nature.device;
  return [
    ...judgeAll(household).flatMap((judged) => [
      actWords(job, judged.act, screen),
      actPrediction(job, judged),
      actVerdictSentence(job, judged.verdict),
      ...(judged.verdict.verdict === "with-a-step" ? judged.verdict.steps.map((step) => stepWords(job, step)) : []),
    ]),
    ...conflictsOf(household).map((conflict) => conflictSentence(job, conflict)),
    ...relianceOf(household).map((reliance) => relianceSentence(job, reliance)),
    ...[...controlLinks(job).values()].map((link) => controlSentence(job, link)),
  ];
}

function onPaper(job: Job): readonly string[] {
  const setting = {
    firm: { name: "Firm", address: "Road 1", phone: "12", picture: "" },
    units: "metric",
    paper: "a4",
    day: "2026-11-29",
  } as const;
  const sheet = householdSheet(job, { firm: { name: "Firm", phone: "12" }, faults: null });
  return [
    ...sheet.sections.flatMap(({ lines }) => Object.values(SHEET_WORDS).flatMap(({ line }) => lines.map(({ fact }) => line(fact)))),
    ...printed([recordDocument(job, { ...setting, record: [], photos: [] }), boardDocument(job, setting), listsDocument(job, setting)]),
    ...cableLabels(job).flatMap(({ words }) => printed(words)),
    ...runSheetReport(job, 1).steps.flatMap(({ says, sign, caution, tools }) => [says, sign ?? "", caution ?? "", ...(tools ?? [])]),
  ];
}

function inASearch(job: Job): readonly string[] {
  const finder = finderOf(job);
  return [
    ...faultsReport(finder).faults.flatMap(({ says, cure }) => [says, cure?.says ?? ""]),
    ...symptomsReport(finder).symptoms.map(({ says }) => says),
    ...symptomsReport(finder).symptoms.flatMap(({ id }) => {
      const stand = diagnoseReport(finder, [id], []);
      return stand.ok ? [stand.value.next?.says ?? "", stand.value.next?.why ?? "", stand.value.next?.caution ?? ""] : [];
    }),
    ...checksReport(finder).checks.flatMap(({ says, answers }) => [says, ...answers.map((answer) => answer.says)]),
  ];
}

function ofChanges(job: Job): readonly string[] {
  const smallest = smallestChanges(job, { clock: () => performance.now(), mostMs: 500 });
  return [proofSentence(smallest), ...smallest.best.changes.map((change) => changeWords(job, change))];
}

const ofWrongFacts = (job: Job): readonly string[] => wrongFacts(job).map(({ fact }) => wrongFactSentence(job, fact));

function ofPlans(one: AnyRoom): readonly string[] {
  const job = namedForReading(anyJob(one));
  const boxes = one.boxes.flatMap((box) => boxOfShelf(job, box, 40, "van") ?? []);
  const space = wiringSpace(job, { boxes }, wishesOf(job));
  if (!space) return [];
  const found = checkedPlans(space, weightsOf(job.brief), { clock: () => performance.now(), mostMs: 500 });
  return [
    planProof(found),
    ...found.plans.flatMap((plan) => [
      planIdea(plan, space.system.id),
      ...figureLines(plan),
      ...planLists(job, plan).flatMap(({ rows, columns }) => [...columns, ...rows.flat().map(String)]),
    ]),
  ];
}

describe("texts about rooms of every kind are made of words", () => {
  test.each([
    ["the board", onTheBoard, 120],
    ["the control bus", onTheBus, 120],
    ["paper", onPaper, 60],
    ["a search for a fault", inASearch, 20],
    ["the smallest changes", ofChanges, 20],
    ["what could be otherwise than noted", ofWrongFacts, 60],
  ] as const)("on %s", (_place, textsOf, count) => {
    let read = 0;
    fc.assert(
      fc.property(ROOMS, (job) => {
        read += proofRead(textsOf(job));
      }),
      { ...tries(count, count * 20, 21), endOnFailure: true },
    );
    expect(read).toBeGreaterThan(count);
  });

  test("on plans", () => {
    fc.assert(
      fc.property(anyRoom, (one) => {
        proofRead(ofPlans(one));
      }),
      { ...tries(12, 200, 23), endOnFailure: true },
    );
  });
});
