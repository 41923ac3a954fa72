"use client";

import Link from "next/link";
import { useMemo } from "react";
import { openQuestions, type SurveyFact } from "@/core/survey";
import { questionWords, upperFirst } from "@/core/text";
import { useJob } from "@/ui/job";
import styles from "./brief.module.css";
import { briefWords } from "@/ui/words";

/** Everything to find out on site, those first for which a verdict waits. */
export function OpenList() {
  const id = useJob((state) => state.id);
  const job = useJob((state) => state.job);
  const board = useJob((state) => state.board);
  const questions = useMemo(() => openQuestions(job, board), [job, board]);
  return (
    <div className={styles.open}>
      <h2>{briefWords.toFindOutOnSite}</h2>
      {questions.length === 0 ? <p>{briefWords.nothingLeftToFindOut}</p> : null}
      <ul>
        {questions.map(({ fact, rows }) => (
          <li key={JSON.stringify(fact)} className={rows.length ? styles.waits : undefined}>
            <Link href={`/jobs/${id}/${placeOf(fact)}`}>{upperFirst(questionWords(job, fact))}</Link>
            {rows.length ? <span>{briefWords.rowsWait(rows.length)}</span> : null}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** Where the answer is written down. */
function placeOf(fact: SurveyFact): string {
  if (fact.fact === "run-length") return "brief";
  if (fact.fact === "return-wires") return `patch?cable=${fact.cable}`;
  return `gear?device=${fact.device}&show=${fact.fact === "setting" ? "settings" : "facts"}`;
}
