"use client";

import { Button, Input, Modal } from "antd";
import Papa from "papaparse";
import { useMemo, useRef, useState } from "react";
import { addTable, readDeviceTable } from "@/core/survey";
import { tableTroubleSentence } from "@/core/text";
import { Notice, useIntents, useJob } from "@/ui/job";
import styles from "./table-dialog.module.css";
import { gearWords } from "@/ui/words";

const MOST_CHARACTERS = 200_000;
const MOST_LINES = 150;

/** A table of devices pasted from a spreadsheet or read from a CSV file: looked at first, then added completely or not at all. */
export function TableDialog({ onClose }: { onClose: () => void }) {
  const job = useJob((state) => state.job);
  const { edit } = useIntents();
  const [text, setText] = useState("");
  const [trouble, setTrouble] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const lines = useMemo(() => (text.trim() ? readDeviceTable(job, cellsOf(text)) : []), [job, text]);
  const command = lines.length <= MOST_LINES ? addTable(lines) : null;
  const take = (typed: string) => {
    setTrouble(typed.length > MOST_CHARACTERS ? gearWords.tableTooLong : null);
    setText(typed.slice(0, MOST_CHARACTERS));
  };
  const good = lines.filter(({ device }) => device !== null).length;
  return (
    <Modal
      title={gearWords.devicesFromATable}
      open
      width={820}
      onCancel={onClose}
      okText={gearWords.addDevices(good)}
      okButtonProps={{ disabled: command === null }}
      onOk={() => {
        if (command && edit(command)) onClose();
      }}
    >
      <Notice in="dialog" />
      <div className={styles.table}>
        <p>{gearWords.pasteTable}</p>
        <Input.TextArea
          aria-label={gearWords.tableOfDevices}
          value={text}
          rows={6}
          placeholder={gearWords.tableExample}
          onChange={(event) => take(event.target.value)}
        />
        <input
          ref={file}
          type="file"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          hidden
          data-testid="table-file"
          onChange={(event) => {
            const given = event.target.files?.[0];
            if (given) void given.text().then(take);
            event.target.value = "";
          }}
        />
        <Button size="small" onClick={() => file.current?.click()}>
          {gearWords.chooseAFile}
        </Button>
        <p aria-live="assertive" className={styles.trouble}>
          {trouble ?? (lines.length > MOST_LINES ? gearWords.tooManyDevices(MOST_LINES, lines.length) : null)}
        </p>
        {lines.length ? (
          <table>
            <thead>
              <tr>
                <th scope="col">{gearWords.line}</th>
                <th scope="col">{gearWords.becomes}</th>
              </tr>
            </thead>
            <tbody>
              {lines.slice(0, MOST_LINES).map(({ line, device, trouble: why }) => (
                <tr key={line} className={why ? styles.bad : undefined}>
                  <td>{line}</td>
                  <td dir="auto">{device ? `${device.name} (${device.archetype ?? ""})` : why ? tableTroubleSentence(why) : ""}</td>
                </tr>
              ))}
            </tbody>
          </table>
        ) : null}
      </div>
    </Modal>
  );
}

/** Cells of pasted text; commas, semicolons and tabs are told apart by the text itself. */
const cellsOf = (text: string): string[][] => Papa.parse<string[]>(text.trim(), { skipEmptyLines: false }).data;
