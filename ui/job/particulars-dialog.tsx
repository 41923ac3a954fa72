"use client";

import { Input, InputNumber, Modal } from "antd";
import { useState } from "react";
import { editWithStates, PHASES, type Command, type Job } from "@/core/job";
import { jobWords } from "@/ui/words";
import { useIntents } from "./job-context";
import { Notice } from "./notice";
import styles from "./particulars.module.css";

type Particulars = Pick<Job, "name" | "customer" | "visitOn" | "phase" | "brief">;
type Agreed = Pick<Job["visit"], "at" | "address" | "agreedMinutes">;

/** The fields of a draft that differ from what there is. */
const changed = <Fields extends object>(draft: Fields, now: Fields): Partial<Fields> =>
  Object.fromEntries(Object.entries(draft).filter(([key, value]) => value !== now[key as keyof Fields])) as Partial<Fields>;

/** Name, customer, phase and wishes of a job, and what is agreed about its visit; kept by one edit. */
export function ParticularsDialog({ job, onClose }: { job: Job; onClose: () => void }) {
  const { edit } = useIntents();
  const [draft, setDraft] = useState<Particulars>({
    name: job.name,
    customer: job.customer,
    visitOn: job.visitOn,
    phase: job.phase,
    brief: job.brief,
  });
  const [agreed, setAgreed] = useState<Agreed>({
    at: job.visit.at,
    address: job.visit.address,
    agreedMinutes: job.visit.agreedMinutes,
  });
  const set = (change: Partial<Particulars>) => setDraft({ ...draft, ...change });
  const agree = (change: Partial<Agreed>) => setAgreed({ ...agreed, ...change });
  const keep = () => {
    const [fields, visit] = [changed(draft, job), changed<Agreed>(agreed, job.visit)];
    const names = { found: jobWords.asFound, left: jobWords.asLeft };
    const edits: Command[] = [
      ...(Object.keys(fields).length ? [editWithStates(job, fields, names, new Date().toISOString())] : []),
      ...(Object.keys(visit).length ? [{ kind: "edit-visit", fields: visit } as const] : []),
    ];
    const commands = edits.flatMap((command) => (command.kind === "batch" ? command.commands : [command]));
    const [only, ...others] = commands;
    if (!only || edit(others.length ? { kind: "batch", commands } : only)) onClose();
  };
  return (
    <Modal title={jobWords.theJobsParticulars} open onOk={keep} okText={jobWords.keep} onCancel={onClose}>
      <Notice in="dialog" />
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
          <input
            className="native-field"
            type="date"
            value={draft.visitOn ?? ""}
            onChange={(event) => set({ visitOn: event.target.value || null })}
          />
        </label>
        <label>
          {jobWords.beginsAt}
          <input
            className="native-field"
            type="time"
            value={agreed.at ?? ""}
            onChange={(event) => agree({ at: event.target.value || null })}
          />
        </label>
        <label>
          {jobWords.addressOfTheVisit}
          <Input value={agreed.address} maxLength={300} onChange={(event) => agree({ address: event.target.value })} onPressEnter={keep} />
        </label>
        <label>
          {jobWords.toldMinutes}
          <InputNumber
            value={agreed.agreedMinutes}
            min={5}
            max={2880}
            precision={0}
            placeholder={jobWords.notTold}
            onChange={(agreedMinutes) => agree({ agreedMinutes })}
          />
        </label>
        <label>
          {jobWords.phase}
          <select
            className="native-field"
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
