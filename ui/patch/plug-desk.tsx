"use client";

import { Button } from "antd";
import { endKey, socketAnswers, type CableEnd } from "@/core/job";
import { refusalSentence, socketName } from "@/core/text";
import { PickList } from "@/ui/kit";
import { useJob } from "@/ui/job";
import styles from "./patch.module.css";
import { patchWords } from "@/ui/words";

interface PlugDeskProps {
  readonly end: CableEnd;
  readonly onJoin: (other: CableEnd) => void;
  readonly onCancel: () => void;
}

/** Plugging by name: the other end from a list, those that fit first, the others with their reason. */
export function PlugDesk({ end, onJoin, onCancel }: PlugDeskProps) {
  const job = useJob((state) => state.job);
  const answers = socketAnswers(job, end);
  const rows = answers.map(({ end: other, refusal }, index) => ({
    key: String(index),
    name: socketName(job, other),
    detail: refusal ? refusalSentence(job, refusal) : "",
    refused: refusal !== null,
  }));
  const fits = rows.some(({ refused }) => !refused);
  return (
    <section className={styles.desk}>
      <h3>{patchWords.cableFrom(socketName(job, end))}</h3>
      {fits ? null : <p>{patchWords.nothingTakesIt}</p>}
      <PickList
        key={endKey(end)}
        label={patchWords.otherEndOf(socketName(job, end))}
        listLabel={patchWords.socketsOfThisRoom}
        placeholder={patchWords.typeToFind}
        rows={[...rows].sort((a, b) => Number(a.refused) - Number(b.refused))}
        nothing={patchWords.noSocketAnswersToThat}
        onPick={(key) => {
          const chosen = answers[Number(key)];
          if (chosen) onJoin(chosen.end);
        }}
      />
      <Button onClick={onCancel}>{patchWords.putThePlugDown}</Button>
    </section>
  );
}
