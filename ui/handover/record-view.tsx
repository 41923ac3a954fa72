"use client";

import { Button } from "antd";
import { FileDown, Package } from "lucide-react";
import { useState } from "react";
import { handoverWords } from "@/ui/words";
import styles from "./handover.module.css";
import { PaperChoice, type Paper } from "./paper-choice";

const PRINTS = ["record", "map", "board", "plans", "lists", "runsheet"] as const;

/** Everything of the job on paper, and the package of its files. */
export function RecordView({ jobId }: { readonly jobId: string }) {
  const [paper, setPaper] = useState<Paper>("a4");
  return (
    <>
      <div className={styles.tools}>
        <PaperChoice paper={paper} onChoose={setPaper} />
        <p>{handoverWords.recordWords}</p>
      </div>
      <ul className={styles.prints}>
        <li>
          <b>{handoverWords.package}</b>
          <span>{handoverWords.packageWords}</span>
          <Button icon={<Package size={18} aria-hidden />} href={`/api/jobs/${jobId}/print?as=package&paper=${paper}`} download>
            {handoverWords.downloadPackage}
          </Button>
        </li>
        {PRINTS.map((print) => (
          <li key={print}>
            <b>{handoverWords.printNames[print]}</b>
            <span>{handoverWords.printWords[print]}</span>
            <Button icon={<FileDown size={18} aria-hidden />} href={`/api/jobs/${jobId}/print?as=${print}&paper=${paper}`} download>
              {handoverWords.asPdf(handoverWords.printNames[print])}
            </Button>
          </li>
        ))}
      </ul>
      <p className={styles.quiet}>{handoverWords.labels}</p>
    </>
  );
}
