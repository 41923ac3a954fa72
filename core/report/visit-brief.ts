import { householdOf } from "@/core/cec";
import { solve } from "@/core/chain";
import type { Job, VisitEntry } from "@/core/job";
import { proofChecks, provenSoFar, toCount, type ProvenSoFar } from "@/core/proof";
import { vanNeeds, type StockWhat } from "@/core/stock";
import { openQuestions } from "@/core/survey";
import { cableName, deviceName, questionWords, stepTools, upperFirst } from "@/core/text";
import { lastEntries, progressOf, runSheet, type MinutesTable } from "@/core/visit";

/** What somebody has to know of a visit before the van leaves. */
export interface VisitBrief {
  readonly name: string;
  readonly customer: string;
  readonly address: string;
  readonly at: string | null;
  readonly people: 1 | 2;
  readonly agreedMinutes: number | null;
  /** Minutes that the steps that are left take, and how many they are. */
  readonly minutes: number;
  readonly stepsLeft: number;
  readonly checks: number;
  readonly proof: ProvenSoFar;
  /** Parts from the van, each with the cable or device of the job that it is for. */
  readonly van: readonly { readonly what: StockWhat; readonly part: string }[];
  /** What is to be bought before. */
  readonly buy: readonly string[];
  readonly tools: readonly string[];
  /** What is to be found out on site. */
  readonly questions: readonly string[];
}

/** The brief of a visit, from the job and the record of what was done already. */
export function visitBrief(job: Job, record: readonly VisitEntry[], table: MinutesTable): VisitBrief {
  const { rows } = solve(job, "planned");
  const { at, people, address, agreedMinutes } = job.visit;
  const sheet = runSheet(job, people, table, record);
  const { left, minutesLeft } = progressOf(job, sheet.steps, record, people, { table });
  const checks = proofChecks(job, householdOf(job, "planned"), rows).map(toCount);
  return {
    name: job.name,
    customer: job.customer,
    address,
    at,
    people,
    agreedMinutes,
    minutes: Math.ceil(minutesLeft),
    stepsLeft: left.length,
    checks: checks.length,
    proof: provenSoFar(checks, lastEntries(record)),
    van: vanNeeds(job).map(({ what, part }) => ({ what, part: part.id })),
    buy: [
      ...job.devices.filter(({ supply }) => supply === "buy").map(({ id }) => deviceName(job, id)),
      ...job.cables.filter(({ supply }) => supply === "buy").map(({ id }) => upperFirst(cableName(job, id))),
    ],
    tools: [...new Set(left.flatMap((step) => stepTools(step)))].toSorted(),
    questions: openQuestions(job, rows).map(({ fact }) => upperFirst(questionWords(job, fact))),
  };
}
