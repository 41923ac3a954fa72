import { findArchetype } from "@/core/device";
import {
  atHand,
  MOST_TRADES,
  boxOfShelf,
  PRESET_NAMES,
  presetOf,
  PRESETS,
  readAsked,
  readWishes,
  checkedPlans,
  type CheckedSearch,
  shoppingOf,
  smallestConflict,
  tradesOf,
  whatIfs,
  whyNot,
  weightsOf,
  wiringSpace,
  type AtHand,
  type Trades,
  type WhatIf,
} from "@/core/plan";
import { plansReport } from "@/core/report";
import {
  checkWords,
  conflictOfWishes,
  figureLines,
  givenUp,
  impossibleSchool,
  nothingToPlan,
  planIdea,
  planProof,
  planWorkLines,
  SCHOOL_WORDS,
  shoppingWords,
  tradesProof,
  tradeWords,
  whatIfSentence,
  whyNotSentence,
} from "@/core/text";
import type { Job } from "@/core/job";
import type { ExitCode } from "./main";
import { readJobFile } from "./read-job-file";
import { UnusableInput } from "./unusable-input";
import { wholeNumber } from "./whole-number";

export interface PlanCommandOptions {
  readonly top?: string;
  readonly preset?: string;
  readonly pin?: readonly string[];
  readonly forbid?: readonly string[];
  readonly must?: readonly string[];
  readonly hope?: readonly string[];
  readonly whyNot?: string;
  readonly van?: readonly string[];
  readonly seconds: string;
  readonly trades?: boolean;
  readonly whatIf?: boolean;
  readonly check?: boolean;
  readonly json?: boolean;
}

/** Prints the best plan of each school. Exit code 1 where no plan keeps to what is pinned and forbidden. */
export async function planCommandLine(file: string, options: PlanCommandOptions): Promise<ExitCode> {
  const job = await readJobFile(file);
  const preset = PRESET_NAMES.find((name) => name === options.preset);
  if (options.preset !== undefined && !preset) throw new UnusableInput(`--preset: expected one of ${PRESET_NAMES.join(", ")}.`);
  const weights = preset ? PRESETS[preset] : weightsOf(job.brief);
  const top = wholeNumber("--top", options.top ?? "4");
  const wishes = readWishes(job, options);
  if (!wishes.ok) throw namesNothing(`--${wishes.refusal.option}`, wishes.refusal.text);
  const { bonds, musts } = wishes.value;
  const own = atHandOf(job, options.van);
  const space = wiringSpace(job, own, wishes.value);
  if (!space) {
    const words = nothingToPlan(job);
    process.stdout.write(options.json ? `${JSON.stringify({ plans: [], proven: false, words })}\n` : `${words}\n`);
    return 1;
  }
  const asked = options.whyNot === undefined ? null : readAsked(job, options.whyNot);
  if (options.whyNot !== undefined && !asked) throw namesNothing("--why-not", options.whyNot);
  const limits = { clock: () => performance.now(), mostMs: wholeNumber("--seconds", options.seconds) * 1000 };
  const found = checkedPlans(space, weights, limits);
  const answer = asked && whyNot(space, weights, found, asked, limits);
  const trades = options.trades ? tradesOf(space, MOST_TRADES, limits) : null;
  const [best] = found.plans;
  const ifs = options.whatIf && best ? whatIfs(space, weights, best, limits) : null;
  const conflict =
    found.plans.length === 0 && found.proven && musts.length ? smallestConflict({ job, atHand: own, bonds, musts }, limits) : null;
  if (options.json) {
    process.stdout.write(
      `${JSON.stringify({ preset: presetOf(weights), ...plansReport(space, found, { top, conflict, asked: answer, trades, whatIfs: ifs }) })}\n`,
    );
  } else if (conflict) process.stdout.write(`${conflictOfWishes(job, conflict)}\n`);
  else print(space.system.id, job, found, top);
  if (!options.json) printMore(space.system.id, found, trades, ifs);
  if (options.check && !options.json && best) process.stdout.write(`${checkWords(best.job, found.check)}\n`);
  if (answer && !options.json) process.stdout.write(`Why not ${options.whyNot}? ${whyNotSentence(answer, space.system.id)}\n`);
  const isBeaten = options.check === true && (found.check?.better.length ?? 0) > 0;
  return found.plans.length && !isBeaten ? 0 : 1;
}

function printMore(system: string, { plans: [best] }: CheckedSearch, trades: Trades | null, ifs: readonly WhatIf[] | null): void {
  const lines = [
    ...(trades ? [tradesProof(trades)] : []),
    ...(trades?.plans ?? []).flatMap((one) => [
      `${tradeWords(one, trades?.plans ?? [])}: ${planIdea(one.plan, system)}`,
      ...figureLines(one.plan).map((line) => `   - ${line}`),
    ]),
    ...(best ? (ifs ?? []).map((one) => whatIfSentence(one, best, system)) : []),
    ...(ifs?.length === 0 ? ["None of these assumptions would make the best plan better."] : []),
  ];
  if (lines.length) process.stdout.write(`${lines.join("\n")}\n`);
}

/** The boxes that were named; else whatever the brief lets one buy. */
function atHandOf(job: Job, van: readonly string[] | undefined): AtHand {
  if (!van) return atHand(job);
  const boxes = van.map((archetype) => {
    const box = findArchetype(archetype) ? boxOfShelf(job, archetype, null, "van") : null;
    if (!box) throw new UnusableInput(`--van: there is no box “${archetype}” on the shelf.`);
    return box;
  });
  return { boxes };
}

const namesNothing = (option: string, text: string): UnusableInput =>
  new UnusableInput(`${option}: “${text}” names nothing in this job; for instance console:bar, or box:splitter-1x2.`);

function print(system: string, job: Job, found: CheckedSearch, top: number): void {
  const lines = found.plans
    .slice(0, top)
    .flatMap((plan, index) => [
      `${index + 1}. ${SCHOOL_WORDS[plan.school]}, ${plan.points.toFixed(1)} points`,
      `   ${planIdea(plan, system)}`,
      ...figureLines(plan).map((line) => `   - ${line}`),
      ...planWorkLines(job, plan).map((line) => `   > ${line}`),
      ...shoppingOf(plan).map((line) => `   + ${shoppingWords(line)}`),
      ...givenUp(plan).map(({ words }) => `   ! ${words}`),
    ]);
  const impossible = found.impossible.map((school) => `Not here: ${impossibleSchool(job, school, system)}`);
  process.stdout.write(`${[...lines, planProof(found), ...impossible].join("\n")}\n`);
}
