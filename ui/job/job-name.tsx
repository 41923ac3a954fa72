"use client";

import { Input, Modal } from "antd";
import Link from "next/link";
import { useState } from "react";
import { PHASES, type Job } from "@/core/job";
import { useIntents, useJob } from "./job-context";
import styles from "./job-frame.module.css";
import { jobWords } from "@/ui/words";

type Particulars = Pick<Job, "name" | "customer" | "visitOn" | "phase" | "brief">;

/** The job's name with the way back to the docket; it opens the particulars. */
export function JobName() {
  const job = useJob((state) => state.job);
  const [open, setOpen] = useState(false);
  return (
    <div className={styles.name}>
      <Link href="/" className={styles.docketLink}>
        {jobWords.docket}
      </Link>
      <span aria-hidden className={styles.slash}>
        /
      </span>
      <button type="button" className={styles.jobName} title={jobWords.nameCustomerVisit(job.name)} onClick={() => setOpen(true)}>
        <h1>{job.name}</h1>
      </button>
      {open ? <ParticularsDialog job={job} onClose={() => setOpen(false)} /> : null}
    </div>
  );
}

function ParticularsDialog({ job, onClose }: { job: Particulars; onClose: () => void }) {
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
    if (keys.length === 0 || edit({ kind: "edit-job", fields })) onClose();
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
