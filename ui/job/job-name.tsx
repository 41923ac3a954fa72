"use client";

import dynamic from "next/dynamic";
import Link from "next/link";
import { useState } from "react";
import { useJob } from "./job-context";
import styles from "./job-frame.module.css";
import { Mark } from "@/ui/kit";
import { jobWords } from "@/ui/words";

const ParticularsDialog = dynamic(() => import("./particulars-dialog").then((module) => module.ParticularsDialog), { ssr: false });

/** The job's name with the way back to the docket; it opens the particulars. */
export function JobName() {
  const job = useJob((state) => state.job);
  const [open, setOpen] = useState(false);
  return (
    <div className={styles.name}>
      <Link href="/" className={styles.docketLink} aria-label={jobWords.docket}>
        <Mark size={20} />
        <span className={styles.docketWord}>{jobWords.docket}</span>
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
