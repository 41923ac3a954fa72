"use client";

import { Button, Checkbox, InputNumber, Modal } from "antd";
import { useState } from "react";
import { Choice } from "@/ui/kit";
import { visitWords } from "@/ui/words";
import styles from "./visit.module.css";

/** Sheets of labels that are common, and a strip for a label printer. */
const START = { paper: "a4", columns: 3, rows: 8, margin: 8, start: 1 } as const;
type Sheet = { readonly [Key in keyof typeof START]: Key extends "paper" ? "a4" | "letter" | "strip" : number };

/** Labels for both ends of every cable: the sheet is chosen, and printed or had as a table. */
export function LabelsDialog({ jobId, onClose }: { jobId: string; onClose: () => void }) {
  const [sheet, setSheet] = useState<Sheet>(START);
  const [isMarked, setMarked] = useState(false);
  const set = (change: Partial<Sheet>) => setSheet({ ...sheet, ...change });
  const query = new URLSearchParams(Object.entries(sheet).map(([key, value]): [string, string] => [key, String(value)]));
  const figure = (key: "columns" | "rows" | "margin" | "start", label: string, most: number, least = 1) => (
    <label>
      {label}
      <InputNumber
        aria-label={label}
        min={least}
        max={most}
        precision={0}
        value={sheet[key]}
        onChange={(value) => set({ [key]: value ?? START[key] })}
      />
    </label>
  );
  return (
    <Modal title={visitWords.labels} open onCancel={onClose} footer={null}>
      <div className={styles.sheet}>
        <p>{visitWords.labelsWords}</p>
        <label>
          {visitWords.paper}
          <Choice
            label={visitWords.paper}
            value={sheet.paper}
            options={(["a4", "letter", "strip"] as const).map((paper) => ({ value: paper, label: visitWords.papers[paper] }))}
            onChange={(paper) => set({ paper })}
          />
        </label>
        {sheet.paper === "strip" ? null : (
          <>
            {figure("columns", visitWords.columns, 8)}
            {figure("rows", visitWords.rows, 30)}
            {figure("margin", visitWords.marginMm, 40, 0)}
            {figure("start", visitWords.startAt, sheet.columns * sheet.rows)}
          </>
        )}
        <p className={styles.ways}>
          <Button type="primary" href={`/api/jobs/${jobId}/labels?as=pdf&${query.toString()}`} download>
            {visitWords.labelsPdf}
          </Button>
          <Button href={`/api/jobs/${jobId}/labels?as=csv&mark=${isMarked ? 1 : 0}`} download>
            {visitWords.labelsCsv}
          </Button>
          <Checkbox checked={isMarked} onChange={(event) => setMarked(event.target.checked)}>
            {visitWords.csvMark}
          </Checkbox>
        </p>
      </div>
    </Modal>
  );
}
