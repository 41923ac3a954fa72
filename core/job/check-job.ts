import type { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";
import { breachesOf, type Breach } from "./breaches";
import { Job } from "./job";

/** What is wrong in a document of this version, at which place of it. */
export type DocumentTrouble =
  | { readonly code: "wrong-value"; readonly place: string; readonly expected: string }
  | { readonly code: "breach"; readonly place: string; readonly breach: Breach };

/** `devices[3].ports[1].connector`. */
export const formatPlace = (path: readonly PropertyKey[]): string =>
  path.reduce<string>(
    (text, part) => (typeof part === "number" ? `${text}[${part}]` : text ? `${text}.${String(part)}` : String(part)),
    "",
  );

/** Whether a document in its full form keeps to the schema and to the rules between its parts. */
export function checkJob(document: unknown): Outcome<Job, readonly DocumentTrouble[]> {
  const parsed = Job.safeParse(document);
  if (!parsed.success) return refused(parsed.error.issues.flatMap(troublesOfIssue));
  const breaches = breachesOf(parsed.data);
  if (breaches.length) return refused(breaches.map((breach) => ({ code: "breach", place: formatPlace(breach.place), breach })));
  return done(parsed.data);
}

/** What the schema found at a place, in words of our own. */
export function troublesOfIssue(issue: z.core.$ZodIssue): DocumentTrouble[] {
  const place = formatPlace(issue.path);
  if (issue.code === "unrecognized_keys") {
    return issue.keys.map((key) => ({ code: "wrong-value", place: formatPlace([...issue.path, key]), expected: "no such field here" }));
  }
  return [{ code: "wrong-value", place, expected: expectation(issue) }];
}

/** What the schema wanted at a place, in words that need no knowledge of the schema library. */
function expectation(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    case "invalid_value":
      return `one of ${issue.values.map((value) => JSON.stringify(value)).join(", ")}`;
    case "invalid_type":
      return issue.expected === "nonoptional" ? "a value" : `${/^[aeiou]/.test(issue.expected) ? "an" : "a"} ${issue.expected}`;
    case "too_big":
      return `at most ${issue.maximum}${issue.origin === "string" ? " characters" : issue.origin === "array" ? " entries" : ""}`;
    case "too_small":
      return `${issue.inclusive === false ? "more than" : "at least"} ${issue.minimum}${issue.origin === "string" ? " characters" : issue.origin === "array" ? " entries" : ""}`;
    case "invalid_union":
      return issue.discriminator ? `a known ${issue.discriminator}` : "one of the forms in docs/job-file.md";
    case "invalid_format":
      return issue.format === "date" ? "a date as YYYY-MM-DD" : issue.message;
    default:
      return issue.message;
  }
}
