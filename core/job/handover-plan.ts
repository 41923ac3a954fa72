import { z } from "zod";

/** The languages that a household's sheet can be had in; each is a folder of `core/text/household`. */
export const SHEET_LANGUAGES = ["en", "es"] as const;
export type SheetLanguage = (typeof SHEET_LANGUAGES)[number];

/** A sentence of the household's sheet that a person wrote in place of the one made from the job. */
export const OwnSentence = z.strictObject({
  /** The line of the sheet that it stands for. */
  line: z.string().min(1).max(200),
  language: z.enum(SHEET_LANGUAGES),
  /** What the job made of that line when it was written; once the job says something else, the sentence is marked. */
  agreed: z.string().max(1000),
  /** Empty: the line is left out. */
  text: z.string().max(600),
});
export type OwnSentence = z.infer<typeof OwnSentence>;

export const MOST_OWN_SENTENCES = 200;

/** How a job is handed over to its household. */
export const HandoverPlan = z.strictObject({
  language: z.enum(SHEET_LANGUAGES).default("en"),
  sentences: z.array(OwnSentence).max(MOST_OWN_SENTENCES).default([]),
});
export type HandoverPlan = z.infer<typeof HandoverPlan>;
