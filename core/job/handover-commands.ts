import { z } from "zod";
import { at } from "./command-place";
import { HandoverPlan, OwnSentence } from "./handover-plan";

/** Edits of how a job is handed over. */
export const HandoverCommand = z.discriminatedUnion("kind", [
  z.strictObject({ kind: z.literal("choose-language"), language: HandoverPlan.shape.language.unwrap() }),
  z.strictObject({ kind: z.literal("write-sentence"), sentence: OwnSentence, at }),
  /** Back to the sentence that is made from the job. */
  z.strictObject({ kind: z.literal("drop-sentence"), line: OwnSentence.shape.line, language: OwnSentence.shape.language }),
]);
export type HandoverCommand = z.infer<typeof HandoverCommand>;
