"use client";

import { Button, Input } from "antd";
import { Pencil } from "lucide-react";
import { useState } from "react";
import type { SheetLine } from "@/core/handover";
import type { Job, SheetLanguage } from "@/core/job";
import { lineWords, plainWordsTroubles, type LineWords } from "@/core/text";
import { useIntents } from "@/ui/job";
import { handoverWords } from "@/ui/words";
import styles from "./sheet.module.css";

interface SheetLineRowProps {
  readonly job: Job;
  readonly line: SheetLine;
  readonly language: SheetLanguage;
}

/** A line of the sheet: read, or changed where it stands. */
export function SheetLineRow({ job, line, language }: SheetLineRowProps) {
  const [isOpen, setOpen] = useState(false);
  const { edit } = useIntents();
  const shown = lineWords(job, language, line);
  const write = (text: string) =>
    edit({ kind: "write-sentence", sentence: { line: line.id, language, agreed: shown.made, text: text.trim() }, at: null });
  const drop = () => edit({ kind: "drop-sentence", line: line.id, language });
  if (isOpen)
    return (
      <li className={styles.open}>
        <LineEditor shown={shown} onWrite={write} onDrop={drop} onClose={() => setOpen(false)} />
      </li>
    );
  return (
    <li className={styles[line.as]}>
      <div className={styles.line}>
        {shown.words ? (
          <span>{shown.words}</span>
        ) : (
          <s>
            {handoverWords.leftOut}: {shown.made}
          </s>
        )}
        {shown.words ? (
          <Button
            type="text"
            size="small"
            icon={<Pencil size={16} aria-hidden />}
            aria-label={`${handoverWords.edit}: ${shown.words}`}
            title={handoverWords.edit}
            onClick={() => setOpen(true)}
          />
        ) : (
          <Button size="small" onClick={drop}>
            {handoverWords.putBack}
          </Button>
        )}
      </div>
      {shown.isStale ? (
        <p className={styles.stale} role="note">
          <b>{handoverWords.stale}</b> {shown.made}
          <Button size="small" onClick={drop}>
            {handoverWords.fromTheJob}
          </Button>
        </p>
      ) : null}
    </li>
  );
}

interface LineEditorProps {
  readonly shown: LineWords;
  readonly onWrite: (text: string) => void;
  readonly onDrop: () => void;
  readonly onClose: () => void;
}

function LineEditor({ shown, onWrite, onDrop, onClose }: LineEditorProps) {
  const [text, setText] = useState(shown.words);
  const troubles = plainWordsTroubles(text);
  const close = (act: () => void) => () => {
    act();
    onClose();
  };
  return (
    <>
      <Input.TextArea
        aria-label={handoverWords.edit}
        value={text}
        autoFocus
        autoSize
        maxLength={600}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => (event.key === "Escape" ? onClose() : undefined)}
      />
      {troubles.map((one) => (
        <p key={JSON.stringify(one)} className={styles.trouble} role="note">
          {one.trouble === "long" ? handoverWords.longSentence(one.words) : handoverWords.tradeTerm(one.term)}
        </p>
      ))}
      <p className={styles.ways}>
        <Button disabled={!text.trim() || text === shown.words} onClick={close(() => onWrite(text))}>
          {handoverWords.save}
        </Button>
        <Button onClick={onClose}>{handoverWords.cancel}</Button>
        {shown.own ? <Button onClick={close(onDrop)}>{handoverWords.fromTheJob}</Button> : null}
        <Button type="text" onClick={close(() => onWrite(""))}>
          {handoverWords.leaveOut}
        </Button>
      </p>
    </>
  );
}
