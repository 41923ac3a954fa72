import { Op } from "sequelize";
import { z } from "zod";
import { loadOf, planDays, type LoadLine, type PlannedVisit } from "@/core/days";
import { done, type Outcome } from "@/core/outcome";
import type { VisitBrief } from "@/core/report";
import { stockName } from "@/core/text";
import type { Database } from "./database";
import { DAY_MS } from "./day";
import { findJob, type StoredJob } from "./job-repository";
import { preferences } from "./preferences-service";
import { jobParts } from "./stock-service";
import { ask, type AskRefusal } from "./threads/ask";
import { firmMinutes, visitRecord } from "./visit-service";

/** A visit with its place in the day and what has to be known of it. */
export interface DayVisit extends PlannedVisit {
  readonly revision: number;
  readonly brief: VisitBrief;
  /** Parts that the van has set aside for it, and those that it wants and the van does not have. */
  readonly load: readonly string[];
  readonly missing: readonly string[];
}

/** Some days of visits in their order, and what the van takes along for all of them. */
export interface VisitDays {
  /** The first day and the one after the last, as YYYY-MM-DD. */
  readonly from: string;
  readonly until: string;
  readonly days: readonly { readonly day: string; readonly visits: readonly DayVisit[] }[];
  readonly load: readonly LoadLine[];
  /** Visits of these days that are not shown, because there are too many. */
  readonly more: number;
  /** The first day after these that has a visit, as YYYY-MM-DD. */
  readonly next: string | null;
}

/** What is still to be visited. */
const TO_VISIT = { binnedAt: null, phase: { [Op.not]: "handover" } } as const;

/** The visits of so many days are planned at once, and no more. */
export const MOST_DAYS = 14;
const MOST_VISITS = 60;

/** What the thread answers is the program's own; its outline tells a mistake at once. */
const Briefs = z.array(z.looseObject({ name: z.string(), minutes: z.number(), van: z.array(z.unknown()) }));

/** The visits from a day on, those that are not handed over, each with its brief, and the list to load the van by. */
export async function visitDays(db: Database, from: string, days: number): Promise<Outcome<VisitDays, AskRefusal>> {
  const until = new Date(Date.parse(`${from}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
  const rows = await db.models.jobs.findAll({
    where: { ...TO_VISIT, visitOn: { [Op.gte]: from, [Op.lt]: until } },
    attributes: ["id"],
    order: [
      ["visitOn", "ASC"],
      ["name", "ASC"],
      ["id", "ASC"],
    ],
  });
  const jobs = await jobsThatRead(
    db,
    rows.slice(0, MOST_VISITS).map(({ id }) => id),
  );
  const [briefs, wanted] = [await briefsOf(db, jobs), new Map((await jobParts(db)).map((one) => [one.id, one]))];
  if (!briefs.ok) return briefs;
  const { units } = await preferences(db);
  const known = jobs.flatMap(({ id, revision, job }, index) => {
    const brief = briefs.value[index];
    return brief ? [{ id, revision, day: job.visitOn ?? from, brief }] : [];
  });
  const byId = new Map(known.map((one) => [one.id, one]));
  const planned = planDays(known.map(({ id, day, brief: { at, minutes } }) => ({ id, day, at, minutes })));
  const named = (needs: readonly { readonly what: VisitBrief["van"][number]["what"] }[]) => needs.map(({ what }) => stockName(what, units));
  return done({
    from,
    until,
    days: planned.map(({ day, visits }) => ({
      day,
      visits: visits.flatMap((visit): DayVisit[] => {
        const one = byId.get(visit.id);
        const { reserved = [], missing = [] } = wanted.get(visit.id) ?? {};
        const load = named(reserved.map(({ need }) => need));
        return one ? [{ ...visit, revision: one.revision, brief: one.brief, load, missing: named(missing) }] : [];
      }),
    })),
    load: loadOf(
      known.flatMap(({ id, brief: { name } }) => {
        const { reserved = [], missing = [] } = wanted.get(id) ?? {};
        return [
          ...named(reserved.map(({ need }) => need)).map((part) => ({ job: name, part, isReserved: true })),
          ...named(missing).map((part) => ({ job: name, part, isReserved: false })),
        ];
      }),
    ),
    more: rows.length - jobs.length,
    next: await nextVisit(db, until),
  });
}

/** The first day from one on that has a visit. */
async function nextVisit(db: Database, from: string): Promise<string | null> {
  const row = await db.models.jobs.findOne({
    where: { ...TO_VISIT, visitOn: { [Op.gte]: from } },
    attributes: ["visitOn"],
    order: [["visitOn", "ASC"]],
  });
  return row?.visitOn ?? null;
}

/** A job that no longer reads has its own page to be saved on; it does not hold up the day. */
async function jobsThatRead(db: Database, ids: readonly string[]): Promise<readonly StoredJob[]> {
  const found = await Promise.all(ids.map((id) => findJob(db, id).catch(() => null)));
  return found.filter((job) => job !== null);
}

async function briefsOf(db: Database, jobs: readonly StoredJob[]): Promise<Outcome<readonly VisitBrief[], AskRefusal>> {
  if (jobs.length === 0) return done([]);
  const { table } = await firmMinutes(db);
  const visits = await Promise.all(jobs.map(async ({ id, job }) => ({ job, record: await visitRecord(db, id) })));
  const answer = await ask({ ask: "visit-briefs", visits, table });
  return answer.ok ? done(Briefs.parse(answer.value) as unknown as readonly VisitBrief[]) : answer;
}
