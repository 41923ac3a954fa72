import { z } from "zod";
import { boxesToPlan, PRESET_NAMES, PRESETS, readForbidden, readPin, searchPlans, wiringSpace, type Bond } from "@/core/plan";
import { plansReport } from "@/core/report";
import { freeCounts } from "@/core/stock";
import { database, findJob, jobParts, stockItems } from "@/server";
import { answer, bodyAs } from "../../../answer";
import { noSuchJob, problem } from "../../../problem";

const Wish = z.strictObject({
  preset: z.enum(PRESET_NAMES).default("best-sound"),
  top: z.number().int().min(1).max(6).default(4),
  pin: z.array(z.string().max(200)).max(50).default([]),
  forbid: z.array(z.string().max(200)).max(50).default([]),
});

/** A server plans no longer than this for one question. */
const MOST_MS = 5000;

export const POST = answer<{ id: string }>(async (request, { id }) => {
  const wish = await bodyAs(request, Wish);
  const db = await database();
  const found = await findJob(db, id);
  if (!found) return noSuchJob();
  const bonds: Bond[] = [];
  for (const [what, texts, read] of [
    ["pin", wish.pin, readPin],
    ["forbid", wish.forbid, readForbidden],
  ] as const)
    for (const text of texts) {
      const bond = read(found.job, text);
      if (!bond) return problem({ status: 400, title: "Not understood", detail: `${what}: “${text}” names nothing in this job.` });
      bonds.push(bond);
    }
  const items = await stockItems(db);
  const space = wiringSpace(found.job, boxesToPlan(found.job, items, freeCounts(items, await jobParts(db))), bonds);
  if (!space) return problem({ status: 409, title: "Nothing to plan", detail: "The job has no screen, or nothing that sounds." });
  const plans = searchPlans(space, PRESETS[wish.preset], { clock: () => performance.now(), mostMs: MOST_MS });
  return Response.json({ preset: wish.preset, ...plansReport(space, plans, wish.top) });
});
