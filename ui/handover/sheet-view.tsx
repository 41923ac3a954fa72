"use client";

import { Button } from "antd";
import { FileDown } from "lucide-react";
import { useState } from "react";
import type { FirmFaults } from "@/core/diagnose";
import type { SheetSection } from "@/core/handover";
import { SHEET_LANGUAGES, type Job, type SheetLanguage } from "@/core/job";
import { sentencesWithoutLine, SHEET_WORDS } from "@/core/text";
import { useIntents } from "@/ui/job";
import { Choice } from "@/ui/kit";
import { usePreferences } from "@/ui/preferences";
import { handoverWords } from "@/ui/words";
import place from "./handover.module.css";
import { PaperChoice, type Paper } from "./paper-choice";
import styles from "./sheet.module.css";
import { SheetLineRow } from "./sheet-line-row";
import { useSheet } from "./use-sheet";

/** The household's sheet as it will be printed, each sentence to be changed where it stands. */
export function SheetView({ jobId, job, firm }: { readonly jobId: string; readonly job: Job; readonly firm: FirmFaults }) {
  const { edit } = useIntents();
  const { sheet, hasFailed } = useSheet(job, firm);
  const { firm: own } = usePreferences();
  const [paper, setPaper] = useState<Paper>("a4");
  const { language } = job.handover;
  const words = SHEET_WORDS[language];
  const lines = sheet?.sections.flatMap((section) => section.lines) ?? [];
  const homeless = sheet ? sentencesWithoutLine(job, language, lines) : [];
  return (
    <>
      <div className={place.tools}>
        <label>
          {handoverWords.language}
          <Choice<SheetLanguage>
            label={handoverWords.language}
            value={language}
            options={SHEET_LANGUAGES.map((one) => ({ value: one, label: SHEET_WORDS[one].name }))}
            onChange={(next) => edit({ kind: "choose-language", language: next })}
          />
        </label>
        <PaperChoice paper={paper} onChoose={setPaper} />
        <Button
          icon={<FileDown size={18} aria-hidden />}
          href={`/api/jobs/${jobId}/print?as=household&paper=${paper}&language=${language}`}
          download
        >
          {handoverWords.pdfOfSheet}
        </Button>
      </div>
      {hasFailed ? <p role="alert">{handoverWords.failed}</p> : null}
      {!sheet && !hasFailed ? <p role="status">{handoverWords.making}</p> : null}
      {sheet ? (
        <article className={styles.paper} lang={words.tag}>
          <header>
            {/* eslint-disable-next-line @next/next/no-img-element -- a picture that the firm gave, held in its settings */}
            {own.picture ? <img src={own.picture} alt="" /> : null}
            <span>
              {[own.name, own.phone].filter(Boolean).map((line) => (
                <span key={line}>{line}</span>
              ))}
            </span>
          </header>
          <h3>{words.title(sheet.room)}</h3>
          {sheet.sections.map((section) => (
            <SheetPart key={section.id} job={job} section={section} language={language} />
          ))}
        </article>
      ) : null}
      {homeless.length ? (
        <section className={styles.homeless} aria-label={handoverWords.withoutLine}>
          <h3>{handoverWords.withoutLine}</h3>
          <ul>
            {homeless.map(({ line, text }) => (
              <li key={line}>
                <span>{text || handoverWords.leftOut}</span>
                <Button size="small" onClick={() => edit({ kind: "drop-sentence", line, language })}>
                  {handoverWords.remove}
                </Button>
              </li>
            ))}
          </ul>
        </section>
      ) : null}
    </>
  );
}

function SheetPart({ job, section, language }: { readonly job: Job; readonly section: SheetSection; readonly language: SheetLanguage }) {
  const heading = SHEET_WORDS[language].headings[section.id];
  return (
    <section aria-label={heading}>
      <h4>{heading}</h4>
      <ul>
        {section.lines.map((line) => (
          <SheetLineRow key={line.id} job={job} line={line} language={language} />
        ))}
      </ul>
    </section>
  );
}
