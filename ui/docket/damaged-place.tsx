"use client";

import { Button } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { OutsideFrame } from "@/ui/frame";
import styles from "./docket.module.css";
import { salvageJob } from "./requests";

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
        <h2>The stored document of this job does not read</h2>
        <p>It is shown as it lies in the database and cannot be edited here. Nothing of it is thrown away.</p>
        <ul>
          {troubles.slice(0, MOST_TROUBLES).map((trouble) => (
            <li key={trouble}>{trouble}</li>
          ))}
        </ul>
        <p>{saved ?? "Neither the document nor the log of its edits gives a job; its text can still be saved as it is."}</p>
        {leftOut.length ? <p>Left out would be: {leftOut.join(", ")}.</p> : null}
        <div className={styles.damagedActs}>
          {saved ? (
            <Button type="primary" onClick={() => void salvage()}>
              Make a new job of what reads
            </Button>
          ) : null}
          <Button href={`/api/jobs/${id}/document`}>Save the text as it is</Button>
        </div>
        <p aria-live="assertive">{notice}</p>
        <pre tabIndex={0} aria-label="The stored text">
          {text.slice(0, MOST_TEXT)}
        </pre>
      </main>
    </OutsideFrame>
  );
}
