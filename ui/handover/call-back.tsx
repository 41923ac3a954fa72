"use client";

import { Button, Checkbox } from "antd";
import type { Remote } from "comlink";
import dayjs from "dayjs";
import { useRouter } from "next/navigation";
import { useMemo, useState } from "react";
import { v4 as newId } from "uuid";
import { householdOf } from "@/core/cec";
import type { FirmFaults } from "@/core/diagnose";
import type { PastVisit } from "@/core/handover";
import type { HouseholdChange, Job } from "@/core/job";
import { proofChecks, provenSoFar, toCount } from "@/core/proof";
import { HOUSEHOLD_CHANGE_WORDS, upperFirst, visitSentence } from "@/core/text";
import { lastEntries } from "@/core/visit";
import { answerOf, useWorker } from "@/ui/kit";
import type { Visit } from "@/ui/visit";
import { handoverWords } from "@/ui/words";
import type { HandoverWorker, LikelyShown } from "@/workers/handover-worker";
import styles from "./handover.module.css";
import { startHandover } from "./use-sheet";

interface Question {
  readonly job: Job;
  readonly firm: FirmFaults;
  readonly changed: readonly HouseholdChange[];
}
/** The three questions to a household that calls, each with the changes that answer it. */
const QUESTIONS = [
  { about: "device", changes: ["a-new-device"] },
  { about: "moved", changes: ["moved", "a-plug"] },
  { about: "menu", changes: ["an-update", "a-power-cut", "a-menu"] },
] as const satisfies readonly { readonly about: keyof typeof handoverWords.questions; readonly changes: readonly HouseholdChange[] }[];

const MOST_SHOWN = 6;
const ask = (api: Remote<HandoverWorker>, { job, firm, changed }: Question) => api.likely(job, firm, changed, MOST_SHOWN);

interface CallBackProps {
  readonly job: Job;
  readonly visit: Visit;
  readonly firm: FirmFaults;
  readonly lastVisit: PastVisit | null;
}

/** The household calls: what is known, what has changed since, and what is likeliest then. */
export function CallBack({ job, visit, firm, lastVisit }: CallBackProps) {
  const router = useRouter();
  const [changed, setChanged] = useState<readonly HouseholdChange[]>([]);
  const { entries } = visit.record;
  const question = useMemo(() => ({ job, firm, changed }), [job, firm, changed]);
  const { work } = useWorker<HandoverWorker, Question, readonly LikelyShown[]>(question, { start: startHandover, ask });
  const likely = answerOf(work);
  const proof = useMemo(() => {
    const household = householdOf(job, "planned");
    const checks = proofChecks(job, household, household.solved.rows).map(toCount);
    return { ...provenSoFar(checks, lastEntries(entries)), checks: checks.length };
  }, [job, entries]);
  const toggle = (change: HouseholdChange, isOn: boolean) =>
    setChanged(isOn ? [...changed, change] : changed.filter((one) => one !== change));
  const write = () => {
    visit.enter({ step: `event ${newId()}`, state: "done", event: { event: "called-back", changed: [...changed] } });
    router.push("fix");
  };
  return (
    <section className={styles.call} aria-label={handoverWords.callBack}>
      <h3>{handoverWords.callBack}</h3>
      <p>{handoverWords.callBackWords}</p>
      {lastVisit ? <p>{handoverWords.lastVisit(`${dayjs(lastVisit.day).format("D MMM YYYY")}, ${visitSentence(lastVisit)}`)}</p> : null}
      <p>{handoverWords.lastProof(proof.proven, proof.otherwise, proof.checks)}</p>
      <ol>
        {QUESTIONS.map(({ about, changes }) => (
          <li key={about}>
            {handoverWords.questions[about]}
            {changes.map((change) => (
              <Checkbox key={change} checked={changed.includes(change)} onChange={(event) => toggle(change, event.target.checked)}>
                {upperFirst(HOUSEHOLD_CHANGE_WORDS[change])}
              </Checkbox>
            ))}
          </li>
        ))}
      </ol>
      <h4>{handoverWords.likeliest}</h4>
      {likely ? (
        <ul className={styles.likely}>
          {likely.map(({ says, chance }) => (
            <li key={says}>
              <span>{says}</span>
              <b>{chance}</b>
            </li>
          ))}
        </ul>
      ) : (
        <p role="status">{work.state === "failed" ? handoverWords.failed : handoverWords.working}</p>
      )}
      <Button onClick={write}>{handoverWords.writeCall}</Button>
    </section>
  );
}
