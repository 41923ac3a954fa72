"use client";

import { Input, Modal } from "antd";
import { useRouter } from "next/navigation";
import { useState } from "react";
import { createJob } from "./requests";
import styles from "./docket.module.css";

/** Asks for the name of a new job and opens its first place. */
export function NewJobDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  const router = useRouter();
  const [name, setName] = useState("");
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const start = async () => {
    if (name.trim() === "") {
      setTrouble("Give the job a name, so that it can be found again.");
      return;
    }
    setBusy(true);
    const outcome = await createJob(name.trim());
    setBusy(false);
    if (outcome.ok) router.push(`/jobs/${outcome.value.id}/gear`);
    else setTrouble(outcome.refusal);
  };
  return (
    <Modal
      title="New job"
      open={open}
      okText="Start"
      onOk={() => void start()}
      confirmLoading={busy}
      onCancel={onClose}
      destroyOnHidden
      afterClose={() => (setName(""), setTrouble(null))}
    >
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
    </Modal>
  );
}
