import { done, refused, unreachable } from "@/core/outcome";
import { insert, without, type Edit, type Result } from "./applied";
import type { HandoverCommand } from "./handover-commands";
import { MOST_OWN_SENTENCES, type OwnSentence } from "./handover-plan";
import type { Job } from "./job";

/** Makes an edit of how a job is handed over. */
export function applyToHandover(job: Job, command: HandoverCommand): Result {
  switch (command.kind) {
    case "choose-language":
      return done({
        job: { ...job, handover: { ...job.handover, language: command.language } },
        inverse: { kind: "choose-language", language: job.handover.language },
      });
    case "write-sentence":
      return writeSentence(job, command);
    case "drop-sentence":
      return dropSentence(job, command);
    default:
      return unreachable(command);
  }
}

const isSameLine = (a: Pick<OwnSentence, "line" | "language">, b: Pick<OwnSentence, "line" | "language">): boolean =>
  a.line === b.line && a.language === b.language;

const withSentences = (job: Job, sentences: OwnSentence[]): Job => ({ ...job, handover: { ...job.handover, sentences } });

function writeSentence(job: Job, { sentence, at: place }: Edit<"write-sentence">): Result {
  const { sentences } = job.handover;
  const at = sentences.findIndex((one) => isSameLine(one, sentence));
  const before = sentences[at];
  if (before)
    return done({
      job: withSentences(
        job,
        sentences.map((one) => (one === before ? sentence : one)),
      ),
      inverse: { kind: "write-sentence", sentence: before, at: null },
    });
  if (sentences.length >= MOST_OWN_SENTENCES)
    return refused({ code: "value-out-of-range", field: "The list of your own sentences", expected: `at most ${MOST_OWN_SENTENCES}` });
  return done({
    job: withSentences(job, insert(sentences, sentence, place)),
    inverse: { kind: "drop-sentence", line: sentence.line, language: sentence.language },
  });
}

function dropSentence(job: Job, command: Edit<"drop-sentence">): Result {
  const { sentences } = job.handover;
  const at = sentences.findIndex((one) => isSameLine(one, command));
  const before = sentences[at];
  if (!before) return refused({ code: "no-such-sentence", line: command.line });
  return done({
    job: withSentences(job, without(sentences, at)),
    inverse: { kind: "write-sentence", sentence: before, at },
  });
}
