import { z } from "zod";
import { atHand, PRESET_NAMES, readAsked, readWishes } from "@/core/plan";
import { nothingToPlan } from "@/core/text";
import { freeCounts } from "@/core/stock";
import { ask, database, findJob, jobParts, stockItems } from "@/server";
import { answer, bodyAs } from "../../../answer";
import { noSuchJob, notAnswered, problem } from "../../../problem";

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
  const items = await stockItems(db);
  const own = atHand(found.job, items, freeCounts(items, await jobParts(db)));
  const asked = wish.whyNot === undefined ? null : readAsked(found.job, wish.whyNot);
  if (wish.whyNot !== undefined && !asked)
    return problem({ status: 400, title: "Not understood", detail: `whyNot: “${wish.whyNot}” names nothing in this job.` });
  const plans = await ask({
    ask: "plans",
    job: found.job,
    atHand: own,
    wishes: wishes.value,
    preset: wish.preset ?? null,
    asked,
    trades: wish.trades,
    whatIf: wish.whatIf,
    top: wish.top,
  });
  if (!plans.ok) return notAnswered(plans.refusal);
  return plans.value === null
    ? problem({ status: 409, title: "Nothing to plan", detail: nothingToPlan(found.job) })
    : Response.json(plans.value);
});
