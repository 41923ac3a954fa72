"use client";

import { Input, Modal } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { TEMPLATES } from "@/core/template";
import styles from "./docket.module.css";
import { createJob } from "./requests";

const BEGINNINGS = [{ id: null, name: "Nothing yet", summary: "An empty room; devices come from the shelf" }, ...TEMPLATES] as const;

/** Asks for the name of a new job and what it begins with, and opens its first place. */
export function NewJobDialog({ onClose }: { onClose: () => void }) {
  const router = useRouter();
  const [name, setName] = useState("");
  const [template, setTemplate] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const start = async () => {
    if (name.trim() === "") {
      setTrouble("Give the job a name, so that it can be found again.");
      return;
    }
    setBusy(true);
    const outcome = await createJob(name.trim(), template);
    setBusy(false);
    if (outcome.ok) router.push(`/jobs/${outcome.value.id}/gear`);
    else setTrouble(outcome.refusal);
  };
  return (
    <Modal title="New job" open okText="Start" onOk={() => void start()} confirmLoading={busy} onCancel={onClose} width={640}>
      <label className={styles.field}>
        Name of the job
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
        <legend>It begins with</legend>
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
