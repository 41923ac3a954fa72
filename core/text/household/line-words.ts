import type { SheetLine } from "@/core/handover";
import type { Job, OwnSentence, SheetLanguage } from "@/core/job";
import { SHEET_WORDS } from "./languages";

/** A line of the sheet as it is read: made from the job, or a person's own in its place. */
export interface LineWords {
  readonly line: SheetLine;
  /** What is read; empty: the line is left out. */
  readonly words: string;
  /** What the job makes of it. */
  readonly made: string;
  readonly own: OwnSentence | null;
  /** The job says something else by now than when the own sentence was written. */
  readonly isStale: boolean;
}

/** The words of a line in a language, with the own sentence that stands for it. */
export function lineWords({ handover }: Pick<Job, "handover">, language: SheetLanguage, line: SheetLine): LineWords {
  const made = SHEET_WORDS[language].line(line.fact);
  const own = handover.sentences.find((one) => one.line === line.id && one.language === language) ?? null;
  return { line, made, own, words: own ? own.text : made, isStale: own !== null && own.agreed !== made };
}

/** Own sentences for lines that the sheet does not have any more. */
export const sentencesWithoutLine = (
  { handover }: Pick<Job, "handover">,
  language: SheetLanguage,
  lines: readonly SheetLine[],
): readonly OwnSentence[] => handover.sentences.filter((one) => one.language === language && !lines.some(({ id }) => id === one.line));
