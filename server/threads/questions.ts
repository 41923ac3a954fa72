import { arrivalsOf } from "@/core/chain";
import type { SettingState } from "@/core/device";
import type { Job, VisitEntry } from "@/core/job";
import {
  checkedPlans,
  MOST_TRADES,
  PRESETS,
  presetOf,
  smallestConflict,
  tradesOf,
  weighedChanges,
  weightsOf,
  whatIfs,
  whyNot,
  wiringSpace,
  type AtHand,
  type Bond,
  type PlanWishes,
  type Preset,
} from "@/core/plan";
import type { Observation } from "@/core/proof";
import { arrivalsReport, plansReport, proveReport, visitBrief } from "@/core/report";
import type { MinutesTable } from "@/core/visit";
import { printOut, type PrintOrder } from "@/print";

/** What takes long enough to keep others waiting, asked of a thread of its own. Everything in it is plain data. */
export type Question =
  | { readonly ask: "arrivals"; readonly job: Job; readonly state: SettingState }
  | { readonly ask: "prove"; readonly job: Job; readonly observations: readonly Observation[] }
  | {
      readonly ask: "visit-briefs";
      readonly visits: readonly { readonly job: Job; readonly record: readonly VisitEntry[] }[];
      readonly table: MinutesTable;
    }
  /** A printed document or a package, as bytes. */
  | { readonly ask: "print"; readonly order: PrintOrder }
  | {
      readonly ask: "plans";
      readonly job: Job;
      readonly atHand: AtHand;
      readonly wishes: Required<PlanWishes>;
      readonly preset: Preset | null;
      /** What is asked about: why not so? */
      readonly asked: Bond | null;
      readonly trades: boolean;
      readonly whatIf: boolean;
      readonly top: number;
    };

/** A server plans no longer than this for one question. */
const MOST_PLANNING_MS = 5000;

/** The answer as it goes out, or a promise of it; null where there is nothing to plan. */
export function answerTo(question: Question): unknown {
  switch (question.ask) {
    case "arrivals":
      return arrivalsReport(question.job, arrivalsOf(question.job, question.state), weighedChanges(question.job, question.state));
    case "prove":
      return proveReport(question.job, question.observations);
    case "visit-briefs":
      return question.visits.map(({ job, record }) => visitBrief(job, record, question.table));
    case "print":
      return printOut(question.order, process.cwd());
    case "plans":
      return plansOf(question);
  }
}

function plansOf({ job, atHand, wishes, preset, asked, trades, whatIf, top }: Extract<Question, { ask: "plans" }>): unknown {
  const space = wiringSpace(job, atHand, wishes);
  if (!space) return null;
  const limits = { clock: () => performance.now(), mostMs: MOST_PLANNING_MS };
  const weights = preset ? PRESETS[preset] : weightsOf(job.brief);
  const plans = checkedPlans(space, weights, limits);
  const [best] = plans.plans;
  const { bonds, musts } = wishes;
  const conflict =
    plans.plans.length === 0 && plans.proven && musts.length ? smallestConflict({ job, atHand, bonds, musts }, limits) : null;
  return {
    preset: presetOf(weights),
    ...plansReport(space, plans, {
      top,
      conflict,
      asked: asked && whyNot(space, weights, plans, asked, limits),
      trades: trades ? tradesOf(space, MOST_TRADES, limits) : null,
      whatIfs: whatIf && best ? whatIfs(space, weights, best, limits) : null,
    }),
  };
}
