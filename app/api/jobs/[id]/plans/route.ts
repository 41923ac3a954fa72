import { z } from "zod";
import {
  atHand,
  MOST_TRADES,
  PRESET_NAMES,
  presetOf,
  PRESETS,
  readAsked,
  readWishes,
  checkedPlans,
  smallestConflict,
  tradesOf,
  whatIfs,
  whyNot,
  weightsOf,
  wiringSpace,
} from "@/core/plan";
import { plansReport } from "@/core/report";
import { nothingToPlan } from "@/core/text";
import { freeCounts } from "@/core/stock";
import { database, findJob, jobParts, stockItems } from "@/server";
import { answer, bodyAs } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

const Wish = z.strictObject({
  /** Without one the job's own weighing holds. */
  preset: z.enum(PRESET_NAMES).optional(),
  top: z.number().int().min(1).max(6).default(4),
  pin: z.array(z.string().max(200)).max(50).default([]),
  forbid: z.array(z.string().max(200)).max(50).default([]),
  must: z.array(z.string().max(200)).max(50).default([]),
  hope: z.array(z.string().max(200)).max(50).default([]),
  whyNot: z.string().max(200).optional(),
  trades: z.boolean().default(false),
  whatIf: z.boolean().default(false),
});

/** A server plans no longer than this for one question. */
const MOST_MS = 5000;

export const POST = answer<{ id: string }>(async (request, { id }) => {
  const wish = await bodyAs(request, Wish);
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return noSuchJob();
  const wishes = readWishes(found.job, wish);
  if (!wishes.ok) {
    const { option, text } = wishes.refusal;
    return problem({ status: 400, title: "Not understood", detail: `${option}: “${text}” names nothing in this job.` });
  }
  const { bonds, musts } = wishes.value;
  const items = await stockItems(db);
  const own = atHand(found.job, items, freeCounts(items, await jobParts(db)));
  const space = wiringSpace(found.job, own, wishes.value);
  if (!space) return problem({ status: 409, title: "Nothing to plan", detail: nothingToPlan(found.job) });
  const asked = wish.whyNot === undefined ? null : readAsked(found.job, wish.whyNot);
  if (wish.whyNot !== undefined && !asked)
    return problem({ status: 400, title: "Not understood", detail: `whyNot: “${wish.whyNot}” names nothing in this job.` });
  const limits = { clock: () => performance.now(), mostMs: MOST_MS };
  const weights = wish.preset ? PRESETS[wish.preset] : weightsOf(found.job.brief);
  const plans = checkedPlans(space, weights, limits);
  const [best] = plans.plans;
  const answers = {
    asked: asked && whyNot(space, weights, plans, asked, limits),
    trades: wish.trades ? tradesOf(space, MOST_TRADES, limits) : null,
    whatIfs: wish.whatIf && best ? whatIfs(space, weights, best, limits) : null,
  };
  const conflict =
    plans.plans.length === 0 && plans.proven && musts.length
      ? smallestConflict({ job: found.job, atHand: own, bonds, musts }, limits)
      : null;
  return Response.json({ preset: presetOf(weights), ...plansReport(space, plans, { top: wish.top, conflict, ...answers }) });
});
