import type { Job } from "@/core/job";
import { explain, type Observation } from "@/core/proof";
import { explainedSentence, wrongFactSentence } from "@/core/text";

/** The machine form of what observations come to: the outside contract of `octachord prove --json` and `/api/jobs/:id/prove`. */
export function proveReport(job: Job, observations: readonly Observation[]) {
  const answer = explain(job, observations);
  return {
    observed: answer.observed,
    unexpected: answer.unexpected,
    unknownRows: answer.unknownRows,
    unknownActs: answer.unknownActs,
    says: explainedSentence(answer),
    explanations: answer.explanations.map(({ fact, command, isNoted, explains, others }) => ({
      fact,
      says: wrongFactSentence(job, fact),
      explains,
      others,
      isNoted,
      edit: command,
    })),
  };
}
export type ProveReport = ReturnType<typeof proveReport>;
