import { castOf, judgeAct, type Household } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import { countedEntries, eventsOf } from "@/core/handover";
import type { Job, VisitEntry } from "@/core/job";
import type { PrintBlock } from "@/core/paper";
import { checkState, proofChecks, type ProofCheck } from "@/core/proof";
import { openQuestions } from "@/core/survey";
import {
  actPrediction,
  checkTitle,
  deviceName,
  pictureLossSentence,
  pictureWords,
  PROOF_STATE_WORDS,
  questionWords,
  reasonSentence,
  recordWords,
  rowWords,
  seenWords,
  speakerPrediction,
  STEP_STATE_WORDS,
  verdictWords,
  lineageWords,
  upperFirst,
} from "@/core/text";
import { lastEntries } from "@/core/visit";
import { heading, titledTable } from "./pieces";
import type { StepName } from "./step-names";

/** Each row of the board: the verdict, what arrives of sound and picture, the first reason why no more sound does, and every one of the picture's. */
export const arrivalBlocks = (job: Job, rows: readonly Arrival[]): readonly PrintBlock[] =>
  titledTable(
    recordWords.arrivals,
    recordWords.arrivalColumns,
    [4, 2, 4, 5],
    rows.map((row) => {
      const loss = row.losses.find(({ scope }) => scope === "path") ?? row.losses[0];
      return [
        `${deviceName(job, row.player)}: ${rowWords(row)}`,
        verdictWords(row),
        [row.arrives ? lineageWords(row.arrives) : "", row.picture ? pictureWords(row.picture) : ""].filter(Boolean).join("; "),
        [loss ? reasonSentence(job, loss.reason) : "", ...row.pictureLosses.map((one) => pictureLossSentence(job, one))]
          .filter(Boolean)
          .join(" "),
      ];
    }),
  );

/** Every check that was made with what was predicted and what was seen, by whom and when; how many were not made. */
export function proofBlocks(job: Job, household: Household, record: readonly VisitEntry[]): readonly PrintBlock[] {
  const last = lastEntries(record);
  const screen = castOf(household).screen?.nature.device;
  const checks = proofChecks(job, household, household.solved.rows).map((check) => {
    const entry = last.get(check.id);
    return { check, entry, state: checkState({ isMeasured: check.check === "speaker" && check.isMeasured }, entry) };
  });
  const open = checks.filter(({ state }) => state === "open");
  const count = (kind: ProofCheck["check"]) => open.filter(({ check }) => check.check === kind).length;
  const made = checks.filter(({ state }) => state !== "open");
  const rows = made.map(({ check, entry, state }) => {
    const seen = entry?.sees && state === "otherwise" ? seenWords(job, entry.sees) : PROOF_STATE_WORDS[state];
    return [
      checkTitle(job, check, screen),
      predicted(household, check),
      [seen, entry?.note ?? ""].filter(Boolean).join(": "),
      entry?.at.slice(0, 10) ?? "",
      entry?.who ?? "",
    ];
  });
  const notLookedAt: PrintBlock[] = open.length
    ? [{ block: "text", words: recordWords.notLookedAt(count("row"), count("act"), count("speaker")) }]
    : [];
  return rows.length
    ? [...titledTable(recordWords.proof, recordWords.proofColumns, [4, 4, 3, 2, 2], rows), ...notLookedAt]
    : notLookedAt.length
      ? [heading(2, recordWords.proof), ...notLookedAt]
      : [];
}

function predicted(household: Household, check: ProofCheck): string {
  switch (check.check) {
    case "row":
      return check.row.arrives ? `${verdictWords(check.row)}: ${lineageWords(check.row.arrives)}` : verdictWords(check.row);
    case "act": {
      const judged = judgeAct(household, check.act);
      return judged ? actPrediction(household.job, judged) : "";
    }
    case "speaker":
      return speakerPrediction(check.channel);
  }
}

/** What is open: steps that were not done, what nobody knows yet, and what the household did not want. */
export function openBlocks(job: Job, record: readonly VisitEntry[], rows: readonly Arrival[], name: StepName): readonly PrintBlock[] {
  const undone = countedEntries(record).filter(({ state, event }) => event === null && (state === "not-done" || state === "put-off"));
  const questions = openQuestions(job, rows);
  return [
    ...titledTable(
      recordWords.open,
      recordWords.openColumns,
      [5, 4, 2],
      undone.map(({ step, state, note, at }) => [
        name(step),
        [upperFirst(STEP_STATE_WORDS[state]), note].filter(Boolean).join(": "),
        at.slice(0, 10),
      ]),
    ),
    ...(questions.length
      ? [
          heading(2, recordWords.unanswered),
          {
            block: "list",
            ordered: false,
            items: questions.map(({ fact }) => upperFirst(questionWords(job, fact))),
          } as const,
        ]
      : []),
    ...titledTable(
      recordWords.refused,
      recordWords.refusedColumns,
      [7, 2, 2],
      eventsOf(record, "refused").map(({ entry }) => [entry.note, entry.at.slice(0, 10), entry.who]),
    ),
  ];
}
