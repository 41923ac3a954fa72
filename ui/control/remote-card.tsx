"use client";

import { remoteCardOf, type JudgedAct } from "@/core/cec";
import { cardWords, deviceName, stepWords, upperFirst } from "@/core/text";
import { useJob } from "@/ui/job";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";

/** Which button on which remote does what, for the household: from the same verdicts. */
export function RemoteCard({ all, screen }: { all: readonly JudgedAct[]; screen: string | undefined }) {
  const job = useJob((state) => state.job);
  return (
    <div className={styles.card}>
      <p className={styles.quiet}>{controlWords.cardWords}</p>
      {remoteCardOf(all).map(({ remote, buttons }) => (
        <section key={remote}>
          <h3>{controlWords.remoteOf(deviceName(job, remote))}</h3>
          <dl>
            {buttons.map(({ step, act, then: after }) => (
              <div key={`${stepWords(job, step)} ${cardWords(job, act, screen)}`}>
                <dt>{upperFirst(stepWords(job, step).slice(deviceName(job, remote).length + 2))}</dt>
                <dd>
                  {upperFirst(cardWords(job, act, screen))}
                  {after.length ? controlWords.then(after.map((one) => stepWords(job, one)).join(", ")) : ""}
                </dd>
              </div>
            ))}
          </dl>
        </section>
      ))}
    </div>
  );
}
