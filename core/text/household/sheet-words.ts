import type { Missing, PlainCause, SheetCheck, SheetFact, SheetPress, SheetSectionId, Use } from "@/core/handover";

/** What a language gives so that a household can read its sheet; each language is a folder beside this file. */
export interface SheetWords {
  /** The language by its own name. */
  readonly name: string;
  /** As in `lang` of a page (BCP 47). */
  readonly tag: string;
  readonly title: (room: string) => string;
  readonly headings: Readonly<Record<SheetSectionId, string>>;
  /** One to three short sentences for a line. */
  readonly line: (fact: SheetFact) => string;
  readonly madeBy: (firm: string, date: string) => string;
  readonly page: (page: number, of: number) => string;
  /** In place of letters that the printed font does not have, and what explains it. */
  readonly missingLetters: (count: number) => string;
  readonly missingNote: string;
}

/** The parts of a language that its sentences are made of. */
export interface SheetParts {
  readonly listed: (names: readonly string[]) => string;
  readonly press: (press: SheetPress) => string;
  readonly uses: Readonly<Record<Use, string>>;
  readonly missing: Readonly<Record<Missing, string>>;
  readonly cause: (cause: PlainCause) => string;
  readonly check: (check: SheetCheck) => string;
}
