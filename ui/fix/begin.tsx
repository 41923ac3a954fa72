"use client";

import { Button } from "antd";
import { useMemo, useState } from "react";
import type { Observed } from "@/core/diagnose";
import { Choice, PickList, type PickRow } from "@/ui/kit";
import { fixWords } from "@/ui/words";
import type { RoomInTrouble } from "@/workers/diagnose-worker";
import styles from "./fix.module.css";

/** So many complaints stand as buttons; the others are found by a word. */
const QUICK = 6;
const NO_ROWS: readonly PickRow[] = [];

/** What is asked of the household before anything else, where there is time. */
const ASKED = [
  { check: "ask:changed", label: fixWords.whatChanged },
  { check: "ask:course", label: fixWords.sinceWhen },
] as const;

interface BeginProps {
  readonly room: RoomInTrouble;
  /** With it what the household says of when and what changed, where somebody asked. */
  readonly onTold: (symptom: string, said: readonly Observed[]) => void;
  readonly onProven: (observed: readonly Observed[]) => void;
}

/** What is wrong, as the household tells it: the broad complaints as buttons, every other by a word, or what Prove saw otherwise. */
export function Begin({ room, onTold, onProven }: BeginProps) {
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({});
  const [words, setWords] = useState("");
  const quick = room.symptoms.slice(0, QUICK);
  const rows = useMemo(() => room.symptoms.map(({ id, says }): PickRow => ({ key: id, name: says, detail: "" })), [room]);
  const isAsked = words.trim() !== "";
  const tell = (symptom: string) =>
    onTold(
      symptom,
      Object.entries(said).map(([check, answer]) => ({ check, answer })),
    );
  return (
    <section className={styles.card} aria-label={fixWords.whatIsWrong}>
      <h2>{fixWords.whatIsWrong}</h2>
      <p className={styles.quiet}>{fixWords.whatIsWrongWords}</p>
      {room.odd ? (
        <Button type="primary" className={styles.answer ?? ""} onClick={() => onProven(room.proven)}>
          {fixWords.fromProof(room.odd)}
        </Button>
      ) : null}
      <div className={styles.quick}>
        {ASKED.map(({ check, label }) => (
          <Choice
            key={check}
            label={label}
            allowClear
            placeholder={label}
            value={said[check] ?? null}
            options={(room.checks.find(({ id }) => id === check)?.answers ?? [])
              .filter(({ answer }) => answer !== "not-known")
              .map(({ answer, says }) => ({ value: answer, label: says }))}
            onChange={(answer) => {
              const { [check]: before, ...others } = said;
              void before;
              setSaid(typeof answer === "string" ? { ...others, [check]: answer } : others);
            }}
          />
        ))}
      </div>
      <div className={styles.quick}>
        {quick.map(({ id, says }) => (
          <Button key={id} className={styles.answer ?? ""} onClick={() => tell(id)}>
            {says}
          </Button>
        ))}
      </div>
      {room.symptoms.length > quick.length ? (
        <PickList
          label={fixWords.findSymptom}
          listLabel={fixWords.complaints}
          placeholder={fixWords.findPlaceholder}
          nothing={isAsked ? fixWords.noComplaint : fixWords.more(room.symptoms.length - quick.length)}
          // The buttons above say the first of them; the list begins with a word.
          rows={isAsked ? rows : NO_ROWS}
          onPick={tell}
          onWords={setWords}
        />
      ) : null}
    </section>
  );
}
