"use client";

import { Button, Select } from "antd";
import { socketAnswers, type CableEnd } from "@/core/job";
import { refusalSentence, socketName } from "@/core/text";
import { useJob } from "@/ui/job";
import styles from "./patch.module.css";

interface PlugDeskProps {
  readonly end: CableEnd;
  readonly onJoin: (other: CableEnd) => void;
  readonly onCancel: () => void;
}

/** Plugging by name: the other end from a list, those that fit first, the others with their reason. */
export function PlugDesk({ end, onJoin, onCancel }: PlugDeskProps) {
  const job = useJob((state) => state.job);
  const answers = socketAnswers(job, end);
  const option = ({ end: other, refusal }: (typeof answers)[number]) => ({
    value: JSON.stringify(other),
    label: socketName(job, other),
    disabled: refusal !== null,
    title: refusal ? refusalSentence(job, refusal) : "",
    why: refusal ? refusalSentence(job, refusal) : "",
  });
  const fitting = answers.filter(({ refusal }) => refusal === null);
  return (
    <section className={styles.desk}>
      <h3>A cable from {socketName(job, end)}</h3>
      <p>{fitting.length ? "Into which socket?" : "No other socket of this room can take it."}</p>
      <Select
        showSearch={{ optionFilterProp: "label" }}
        autoFocus
        defaultOpen
        aria-label={`The other end of the cable from ${socketName(job, end)}`}
        placeholder="Type a device or a print"
        options={[...fitting, ...answers.filter(({ refusal }) => refusal !== null)].map(option)}
        optionRender={({ data }) => (
          <span className={styles.answer}>
            {data.label}
            {data.why ? <small>{data.why}</small> : null}
          </span>
        )}
        onSelect={(value: string) => {
          const chosen = answers.find(({ end: other }) => JSON.stringify(other) === value);
          if (chosen) onJoin(chosen.end);
        }}
      />
      <Button onClick={onCancel}>Put the plug down</Button>
    </section>
  );
}
