"use client";

import { Button, Input } from "antd";
import { useState } from "react";
import type { DiagnoseReport } from "@/core/report";
import { chanceWords, durationWords } from "@/core/text";
import { fixWords } from "@/ui/words";
import styles from "./fix.module.css";

type Next = NonNullable<DiagnoseReport["next"]>;

interface CheckCardProps {
  readonly next: Next;
  readonly expectedMinutes: number;
  readonly onAnswer: (answer: string, note: string) => void;
  /** Reads what was pasted; gives a sentence where it answers nothing. */
  readonly onPaste: (text: string) => Promise<string | null>;
  readonly onBack: (() => void) | null;
  readonly onEnd: () => void;
}

/** Answers that are always open, and not of the check itself. */
const [OTHER, NOT_KNOWN] = ["something-else", "not-known"];

/** One check, in large type: what to do, why, what to take care of, and its answers as large buttons. */
export function CheckCard({ next, expectedMinutes, onAnswer, onPaste, onBack, onEnd }: CheckCardProps) {
  const [note, setNote] = useState<string | null>(null);
  const own = next.answers.filter(({ answer }) => answer !== OTHER && answer !== NOT_KNOWN);
  const isOtherOpen = next.answers.some(({ answer }) => answer === OTHER);
  return (
    <section className={styles.card} aria-label={fixWords.next} aria-live="polite">
      <p className={styles.quiet}>{fixWords.takes(durationWords(next.minutes), durationWords(expectedMinutes))}</p>
      <h2 dir="auto">{next.says}</h2>
      <p>
        <b>{fixWords.why}:</b> {next.why}
      </p>
      {next.caution ? (
        <p className={styles.caution}>
          <b>{fixWords.caution}</b> {next.caution}
        </p>
      ) : null}
      {next.disturbs ? <p className={styles.quiet}>{next.disturbs}</p> : null}
      <div className={styles.answers} role="group" aria-label={fixWords.answers}>
        {own.map(({ answer, says, probability }) => (
          <Button key={answer} className={styles.answer ?? ""} onClick={() => onAnswer(answer, "")}>
            <span>{says}</span>
            <span className={styles.quiet}>{chanceWords(probability)}</span>
          </Button>
        ))}
        {isOtherOpen ? (
          <Button className={styles.answer ?? ""} onClick={() => setNote("")} aria-expanded={note !== null}>
            {next.answers.find(({ answer }) => answer === OTHER)?.says}
          </Button>
        ) : null}
      </div>
      {note === null ? null : (
        <div className={styles.note}>
          <Input.TextArea
            autoFocus
            autoSize={{ minRows: 2 }}
            aria-label={fixWords.noteLabel}
            placeholder={fixWords.notePlaceholder}
            value={note}
            maxLength={2000}
            onChange={(event) => setNote(event.target.value)}
          />
          <Button type="primary" onClick={() => onAnswer(OTHER ?? "", note)}>
            {fixWords.keepNote}
          </Button>
        </div>
      )}
      {next.pastes ? <PasteField label={fixWords.paste[next.pastes]} onPaste={onPaste} /> : null}
      <div className={styles.ways}>
        {onBack ? <Button onClick={onBack}>{fixWords.back}</Button> : null}
        <Button onClick={() => onAnswer(NOT_KNOWN ?? "", "")}>{fixWords.skip}</Button>
        <Button onClick={onEnd}>{fixWords.giveUp}</Button>
      </div>
    </section>
  );
}

/** A field for an EDID or a trace, read in place of looking at a list. */
function PasteField({ label, onPaste }: { readonly label: string; readonly onPaste: (text: string) => Promise<string | null> }) {
  const [text, setText] = useState("");
  const [told, setTold] = useState<string | null>(null);
  return (
    <details>
      <summary>{label}</summary>
      <div className={styles.note}>
        <Input.TextArea
          aria-label={label}
          autoSize={{ minRows: 2, maxRows: 6 }}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <Button disabled={text.trim() === ""} onClick={() => void onPaste(text).then(setTold)}>
          {fixWords.readIt}
        </Button>
      </div>
      <p role="status">{told}</p>
    </details>
  );
}
