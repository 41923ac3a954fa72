"use client";

import { App, Button } from "antd";
import { useRouter } from "next/navigation";
import { arrivalsOf } from "@/core/chain";
import { applyCommand, chosenSoundSystem, type Job } from "@/core/job";
import { planCommand, shoppingOf, type WiringPlan } from "@/core/plan";
import {
  cableClassName,
  deviceName,
  givenUp,
  planIdea,
  refusalSentence,
  rowWords,
  planMenuLines,
  shoppingWords,
  socketName,
  verdictWords,
} from "@/core/text";
import { answerOf, asJson, askServer, TitledList, VerdictShape, WorkNote } from "@/ui/kit";
import type { PlanQuestion, Planning } from "@/ui/plans";
import { joinWords } from "@/ui/words";
import styles from "./join.module.css";

/** The planner's answer to five questions, told for a phone: the idea, what arrives, what it needs, what goes where. */
export function JoinAnswer({ question, planning }: { question: PlanQuestion | null; planning: Planning }) {
  if (!question) return <Said words={joinWords.answerAll} />;
  const found = answerOf(planning.work);
  if (!found)
    return (
      <section className={styles.answer} aria-label={joinWords.answer}>
        {planning.work.state === "done" ? (
          <p role="status">{joinWords.noWay}</p>
        ) : (
          <WorkNote working={planning} words={joinWords.planning} />
        )}
      </section>
    );
  const [plan] = found.plans;
  if (!plan) return <Said words={joinWords.noWay} />;
  return <Told job={question.job} plan={plan} isProven={found.proven} />;
}

function Said({ words }: { words: string }) {
  return (
    <section className={styles.answer} aria-label={joinWords.answer}>
      <p role="status">{words}</p>
    </section>
  );
}

function Told({ job, plan, isProven }: { job: Job; plan: WiringPlan; isProven: boolean }) {
  const router = useRouter();
  const { message } = App.useApp();
  const system = chosenSoundSystem(job)?.id ?? "";
  const lost = givenUp(plan);
  const needed = shoppingOf(plan);
  const keep = async () => {
    const applied = applyCommand(job, planCommand(job, plan));
    if (!applied.ok) {
      void message.error(refusalSentence(job, applied.refusal));
      return;
    }
    const made = await askServer("/api/jobs/import", asJson("POST", applied.value.job));
    if (made.ok) router.push(`/jobs/${String((made.value as { id: unknown }).id)}/arrivals`);
    else void message.error(made.refusal);
  };
  return (
    <section className={styles.answer} aria-label={joinWords.answer}>
      <h2 role="status">{planIdea(plan, system)}</h2>
      <p className={styles.quiet}>{isProven ? joinWords.proven : joinWords.notProven}</p>
      <h3>{joinWords.arrives}</h3>
      <ul>
        {arrivalsOf(plan.job).map((row) => (
          <li key={row.id} className={styles.row}>
            <VerdictShape verdict={row.verdict} />
            <span>
              <b dir="auto">{deviceName(plan.job, row.player)}</b> {rowWords(row)}: {verdictWords(row)}
            </span>
          </li>
        ))}
      </ul>
      {lost.length ? (
        <ul className={styles.quiet}>
          {lost.map(({ words }) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      ) : null}
      <TitledList title={joinWords.needed} lines={needed.map(shoppingWords)} none={joinWords.nothingNeeded} />
      <TitledList
        title={joinWords.plug}
        lines={plan.wires.map(({ cable }) =>
          joinWords.join(cableClassName(cable.class), socketName(plan.job, cable.from), socketName(plan.job, cable.to)),
        )}
        none={null}
      />
      <TitledList title={joinWords.menus} lines={planMenuLines(job, plan)} none={null} />
      <p className={styles.caution}>{joinWords.supposed}</p>
      <Button type="primary" size="large" onClick={() => void keep()}>
        {joinWords.keep}
      </Button>
    </section>
  );
}
