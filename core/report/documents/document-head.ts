import type { Paper } from "@/core/drawing";
import type { PrintBlock, PrintDocument, TitleBlock } from "@/core/paper";
import type { Preferences } from "@/core/preferences";
import { documentWords, SHEET_WORDS } from "@/core/text";
import type { UnitSystem } from "@/core/units";
import { heading } from "./pieces";

/** What every printed document takes from the firm and from the day. */
export interface PrintSetting {
  readonly firm: Preferences["firm"];
  readonly units: UnitSystem;
  readonly paper: Paper;
  /** The day on which it is printed, as YYYY-MM-DD. */
  readonly day: string;
}

/** "27 November 2026". */
export const longDate = (day: string, language = "en-GB"): string =>
  new Date(`${day}T12:00:00Z`).toLocaleDateString(language, { day: "numeric", month: "long", year: "numeric", timeZone: "UTC" });

export const titleBlock = ({ firm, day }: PrintSetting, language = "en-GB"): TitleBlock => ({
  firm: [firm.name, firm.address, firm.phone],
  picture: firm.picture,
  date: longDate(day, language),
  day,
});

/** A document for the trade under its title; they are in English, like the program. */
export const tradeDocument = (title: string, setting: PrintSetting, blocks: readonly PrintBlock[]): PrintDocument => ({
  title,
  language: "en",
  paper: setting.paper,
  pointSize: 10,
  head: titleBlock(setting),
  blocks: [heading(1, title), ...(blocks.length ? blocks : [{ block: "text", words: documentWords.nothing } as const])],
  pageWords: SHEET_WORDS.en.page,
  missing: { mark: SHEET_WORDS.en.missingLetters, note: SHEET_WORDS.en.missingNote },
});
