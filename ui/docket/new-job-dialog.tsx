"use client";

import { Input, Modal } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { TEMPLATES } from "@/core/template";
import styles from "./new-job-dialog.module.css";
import { createJob } from "./requests";
import { docketWords } from "@/ui/words";

const BEGINNINGS = [{ id: null, name: docketWords.nothingYet, summary: docketWords.emptyRoom }, ...TEMPLATES] as const;

/** Asks for the name of a new job and what it begins with, and opens its first place. */
export function NewJobDialog({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const [name, setName] = useState("");
  const [template, setTemplate] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const start = async () => {
    if (name.trim() === "") {
      setTrouble(docketWords.nameNeeded);
      return;
    }
    setBusy(true);
    const outcome = await createJob(name.trim(), template);
    setBusy(false);
    if (outcome.ok) router.push(`/jobs/${outcome.value.id}/gear`);
    else setTrouble(outcome.refusal);
  };
  return (
    <Modal
      title={docketWords.newJob}
      open
      okText={docketWords.start}
      onOk={() => void start()}
      confirmLoading={busy}
      onCancel={onClose}
      width={640}
    >
      <label className={styles.field}>
        {docketWords.nameOfTheJob}
        <Input
          value={name}
          maxLength={300}
          autoFocus
          status={trouble ? "error" : ""}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={() => void start()}
        />
      </label>
      <p aria-live="assertive" className={styles.trouble}>
        {trouble}
      </p>
      <fieldset className={styles.beginnings}>
        <legend>{docketWords.itBeginsWith}</legend>
        {BEGINNINGS.map((beginning) => (
          <label key={beginning.id ?? "nothing"} className={beginning.id === template ? styles.beginningChosen : styles.beginning}>
            <input type="radio" name="beginning" checked={beginning.id === template} onChange={() => setTemplate(beginning.id)} />
            <b>{beginning.name}</b>
            <span>{beginning.summary}</span>
          </label>
        ))}
      </fieldset>
    </Modal>
  );
}
