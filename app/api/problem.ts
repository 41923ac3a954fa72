import type { z } from "zod";
import type { JobTrouble } from "@/core/job";
import type { AskRefusal } from "@/server";
import { troubleSentence } from "@/core/text";

/** A problem as RFC 9457 describes it. `detail` is a sentence for a person. */
export interface Problem {
  readonly status: number;
  readonly title: string;
  readonly detail: string;
  readonly [extension: string]: unknown;
}

export const problem = (body: Problem): Response =>
  Response.json({ type: "about:blank", ...body }, { status: body.status, headers: { "Content-Type": "application/problem+json" } });

/** What a request holds that its schema does not take: each place with what was expected there, as one sentence. */
export const notUnderstood = (error: z.ZodError): Problem => ({
  status: 400,
  title: "Not understood",
  detail: `The request was not understood: ${error.issues
    .map(({ path, message }) => `${path.length ? `at ${path.join(".")} ` : ""}${message.replace(/^[A-Z]/, (first) => first.toLowerCase())}`)
    .join("; ")}.`,
});

/** A question that was not answered in time, or that too many stand before. */
export const notAnswered = (refusal: AskRefusal): Response =>
  problem(
    refusal.code === "too-long"
      ? {
          status: 503,
          title: "Takes too long",
          detail: `This job takes more than ${refusal.mostMs / 1000}\u2009s to calculate; the octachord command has no such limit.`,
        }
      : { status: 503, title: "Too many at once", detail: `${refusal.waiting} requests are already waiting; try again in a moment.` },
  );

export const noSuchJob = (): Response =>
  problem({ status: 404, title: "No such job", detail: "This job is not in the docket; it may be in the bin." });

/** Why a document was not accepted: the first trouble as the sentence, all of them beside it. */
export function troubledDocument(title: string, troubles: readonly JobTrouble[]): Response {
  const sentences = troubles.map(troubleSentence);
  return problem({ status: 422, title, detail: sentences[0] ?? "This is not a job document.", troubles: sentences });
}
