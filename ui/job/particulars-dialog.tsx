"use client";

import { Input, Modal } from "antd";
import { useState } from "react";
import { editWithStates, PHASES, type Job } from "@/core/job";
import { jobWords } from "@/ui/words";
import { useIntents } from "./job-context";
import styles from "./job-frame.module.css";

type Particulars = Pick<Job, "name" | "customer" | "visitOn" | "phase" | "brief">;

/** Name, customer, day, phase and wishes of a job; kept by one edit. */
export function ParticularsDialog({ job, onClose }: { job: Job; onClose: () => void }) {
  const { edit } = useIntents();
  const [draft, setDraft] = useState<Particulars>({
    name: job.name,
    customer: job.customer,
    visitOn: job.visitOn,
    phase: job.phase,
    brief: job.brief,
  });
  const set = (change: Partial<Particulars>) => setDraft({ ...draft, ...change });
  const keep = () => {
    const keys = (Object.keys(draft) as (keyof Particulars)[]).filter((key) => draft[key] !== job[key]);
    const fields = Object.fromEntries(keys.map((key) => [key, draft[key]]));
    const command = () => editWithStates(job, fields, { found: jobWords.asFound, left: jobWords.asLeft }, new Date().toISOString());
    if (keys.length === 0 || edit(command())) onClose();
  };
  return (
    <Modal title={jobWords.theJobsParticulars} open onOk={keep} okText={jobWords.keep} onCancel={onClose}>
      <div className={styles.particulars}>
        <label>
          {jobWords.name}
          <Input value={draft.name} maxLength={300} autoFocus onChange={(event) => set({ name: event.target.value })} onPressEnter={keep} />
        </label>
        <label>
          {jobWords.customer}
          <Input value={draft.customer} maxLength={300} onChange={(event) => set({ customer: event.target.value })} onPressEnter={keep} />
        </label>
        <label>
          {jobWords.dayOfTheVisit}
          <input type="date" value={draft.visitOn ?? ""} onChange={(event) => set({ visitOn: event.target.value || null })} />
        </label>
        <label>
          {jobWords.phase}
          <select
            value={draft.phase}
            onChange={(event) => set({ phase: PHASES.find((phase) => phase === event.target.value) ?? draft.phase })}
          >
            {PHASES.map((phase) => (
              <option key={phase}>{phase}</option>
            ))}
          </select>
        </label>
        <label>
          {jobWords.whatTheHouseholdWishes}
          <Input.TextArea
            rows={4}
            value={draft.brief.wishes}
            maxLength={8000}
            onChange={(event) => set({ brief: { ...draft.brief, wishes: event.target.value } })}
          />
        </label>
      </div>
    </Modal>
  );
}
