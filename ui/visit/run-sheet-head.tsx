"use client";

import { Input } from "antd";
import type { Job } from "@/core/job";
import { useIntents } from "@/ui/job";
import { PdfLink, Switcher } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import { LabelsButton } from "./labels-button";
import { useOwnName } from "./own-name";
import { PhoneButton } from "./phone-button";
import styles from "./visit.module.css";

const PEOPLE = [
  { key: "1", name: visitWords.onePerson },
  { key: "2", name: visitWords.twoPeople },
] as const;

/** Who works, under which name, and the labels. */
export function RunSheetHead({ job, jobId }: { job: Job; jobId: string }) {
  const { edit } = useIntents();
  const [name, setName] = useOwnName();
  return (
    <header>
      <h2 className="for-ears-only">{visitWords.runSheet}</h2>
      <Switcher
        label={visitWords.whoWorks}
        choices={PEOPLE}
        chosen={job.visit.people === 2 ? "2" : "1"}
        onChoose={(people) => edit({ kind: "edit-visit", fields: { people: people === "2" ? 2 : 1 } })}
      />
      <span className={styles.ways}>
        <Input
          className={styles.own ?? ""}
          aria-label={visitWords.ownName}
          placeholder={visitWords.ownNamePlaceholder}
          defaultValue={name}
          key={name}
          maxLength={80}
          onBlur={(event) => setName(event.target.value)}
          onPressEnter={(event) => event.currentTarget.blur()}
        />
        <LabelsButton jobId={jobId} />
        <PdfLink jobId={jobId} print="runsheet" size="middle" />
        <PhoneButton path={`/jobs/${jobId}/runsheet`} />
      </span>
    </header>
  );
}
