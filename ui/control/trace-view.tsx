"use client";

import { Input } from "antd";
import { useMemo, useState } from "react";
import { readTrace, traceDifference, type Household, type JudgedAct } from "@/core/cec";
import { actWords, addressNamesOf, frameBytes, frameFindingSentence, frameWords, plural } from "@/core/text";
import { useJob } from "@/ui/job";
import { controlWords } from "@/ui/words";
import styles from "./control.module.css";
import framesStyles from "./frames.module.css";

const MOST_SHOWN = 400;
const MOST_LETTERS = 2_000_000;

interface TraceViewProps {
  readonly household: Household;
  /** The act that the trace is compared with. */
  readonly judged: JudgedAct;
  readonly screen: string | undefined;
}

/** A trace that an adapter printed, pasted or dropped: explained with the names of this room, and what the chosen act predicted differently. */
export function TraceView({ household, judged, screen }: TraceViewProps) {
  const job = useJob((state) => state.job);
  const [text, setText] = useState("");
  const [shown, setShown] = useState(MOST_SHOWN);
  const lines = useMemo(() => readTrace(text), [text]);
  const names = addressNamesOf(household, mainWire(household));
  const unlike = useMemo(() => traceDifference(judged.played.trace.frames, lines), [judged, lines]);
  const extra = new Set(unlike.unforeseen.map(({ line }) => line));
  const take = async (file: File | undefined) => {
    if (file) setText((await file.slice(0, MOST_LETTERS).text()).slice(0, MOST_LETTERS));
  };
  const read = lines.filter(({ frame }) => frame).length;
  const strange = lines.filter(({ frame }) => frame?.findings.length).length;
  return (
    <div
      className={framesStyles.trace}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        event.stopPropagation();
        void take(event.dataTransfer.files[0]);
      }}
    >
      <p className={styles.quiet}>{controlWords.traceWords}</p>
      <Input.TextArea
        aria-label={controlWords.traceLabel}
        placeholder={controlWords.traceExample}
        value={text}
        rows={5}
        maxLength={MOST_LETTERS}
        spellCheck={false}
        onChange={(event) => setText(event.target.value)}
      />
      {lines.length ? <p role="status">{controlWords.traceRead(read, lines.length - read, strange)}</p> : null}
      {read ? (
        <section aria-label={controlWords.beside}>
          <p>{controlWords.besideAct(actWords(job, judged.act, screen), unlike.alike, unlike.missing.length, unlike.unforeseen.length)}</p>
          <ul className={framesStyles.missing}>
            {unlike.missing.map(({ tMs, frame }) => (
              <li key={tMs}>{controlWords.didNotCome(frameWords(frame, names))}</li>
            ))}
          </ul>
        </section>
      ) : null}
      <ol className={framesStyles.frames} aria-label={controlWords.traceExplained}>
        {lines.slice(0, shown).map(({ line, tMs, frame, text: raw }) => (
          <li key={line}>
            <code className={framesStyles.time}>{tMs === null ? controlWords.lineNumber(line) : controlWords.at(tMs)}</code>
            {frame ? (
              <span className={framesStyles.explained}>
                <span>
                  {frameWords(frame, names)}
                  {extra.has(line) ? <em> {controlWords.notForeseen}</em> : null}
                  {frame.findings.map((finding) => (
                    <em key={finding.code}> {frameFindingSentence(finding)}</em>
                  ))}
                </span>
                <code>{frameBytes(frame.bytes)}</code>
              </span>
            ) : (
              <span className={framesStyles.changed}>{controlWords.noFrame(raw.slice(0, 80))}</span>
            )}
          </li>
        ))}
      </ol>
      {lines.length > shown ? (
        <button type="button" className={framesStyles.more} onClick={() => setShown(shown + MOST_SHOWN * 5)}>
          {controlWords.showMore(plural(lines.length - shown, "line"))}
        </button>
      ) : null}
    </div>
  );
}

/** An adapter is on the wire of the screen. */
const mainWire = ({ stations }: Household): number =>
  [...stations.values()].find(({ nature }) => nature.kind === "tv")?.nature.wire ?? [...stations.values()][0]?.nature.wire ?? 0;
