"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { OutsideFrame } from "@/ui/frame";
import styles from "./damaged.module.css";
import { salvageJob } from "./requests";
import { docketWords } from "@/ui/words";

interface DamagedPlaceProps {
  readonly id: string;
  readonly troubles: readonly string[];
  /** What can be saved, in a sentence; null where nothing can. */
  readonly saved: string | null;
  readonly leftOut: readonly string[];
  readonly text: string;
}

const MOST_TROUBLES = 8;
const MOST_TEXT = 20_000;

/** A job whose stored document no longer reads: nothing can be edited, everything can be saved. */
export function DamagedPlace({ id, troubles, saved, leftOut, text }: DamagedPlaceProps) {
  const router = useRouter();
  const [notice, setNotice] = useState<string | null>(null);
  const salvage = async () => {
    const outcome = await salvageJob(id);
    if (outcome.ok) router.push(`/jobs/${outcome.value.id}/arrivals`);
    else setNotice(outcome.refusal);
  };
  return (
    <OutsideFrame>
      <main className={styles.damaged}>
        <h2>{docketWords.damagedHeading}</h2>
        <p>{docketWords.damagedWords}</p>
        <ul>
          {troubles.slice(0, MOST_TROUBLES).map((trouble) => (
            <li key={trouble}>{trouble}</li>
          ))}
        </ul>
        <p>{saved ?? docketWords.nothingToSave}</p>
        {leftOut.length ? <p>{docketWords.leftOutWouldBe(leftOut)}</p> : null}
        <div className={styles.damagedActs}>
          {saved ? (
            <Button type="primary" onClick={() => void salvage()}>
              {docketWords.makeNewJob}
            </Button>
          ) : null}
          <Button href={`/api/jobs/${id}/document`}>{docketWords.saveTheText}</Button>
        </div>
        <p aria-live="assertive">{notice}</p>
        <pre tabIndex={0} aria-label={docketWords.theStoredText}>
          {text.slice(0, MOST_TEXT)}
        </pre>
      </main>
    </OutsideFrame>
  );
}
