"use client";

import { Button, Input, InputNumber } from "antd";
import { ListPlus } from "lucide-react";
import { useState } from "react";
import { freeId, type Job } from "@/core/job";
import { useIntents } from "@/ui/job";
import { visitWords } from "@/ui/words";
import styles from "./visit.module.css";

/** Adds a step by hand between the one that is looked at and the next. */
export function AddStep({ job, after, before }: { job: Job; after: string | null; before: string | null }) {
  const { edit } = useIntents();
  const [isOpen, setOpen] = useState(false);
  const [says, setSays] = useState("");
  const [minutes, setMinutes] = useState(5);
  if (!isOpen)
    return (
      <Button icon={<ListPlus size={18} aria-hidden />} onClick={() => setOpen(true)}>
        {visitWords.addStep}
      </Button>
    );
  const add = () => {
    const id = freeId("step-1", new Set(job.visit.added.map((step) => step.id)));
    if (!edit({ kind: "add-step", step: { id, says: says.trim(), minutes, after, before }, at: null })) return;
    setSays("");
    setOpen(false);
  };
  return (
    <form
      className={styles.add}
      aria-label={visitWords.addStep}
      onSubmit={(event) => {
        event.preventDefault();
        if (says.trim()) add();
      }}
    >
      <Input
        autoFocus
        aria-label={visitWords.stepWords}
        placeholder={visitWords.stepWords}
        value={says}
        maxLength={300}
        size="large"
        onChange={(event) => setSays(event.target.value)}
      />
      <InputNumber
        aria-label={visitWords.stepMinutes}
        size="large"
        min={0.5}
        max={480}
        step={0.5}
        value={minutes}
        suffix="min"
        onChange={(value) => setMinutes(value ?? 5)}
      />
      <Button type="primary" htmlType="submit" disabled={says.trim() === ""}>
        {visitWords.putHere}
      </Button>
      <Button onClick={() => setOpen(false)}>{visitWords.close}</Button>
    </form>
  );
}
