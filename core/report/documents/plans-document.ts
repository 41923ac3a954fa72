import { chosenSoundSystem, type Job } from "@/core/job";
import type { PrintBlock, PrintDocument } from "@/core/paper";
import { atHand, checkedPlans, weightsOf, wiringSpace, type AtHand } from "@/core/plan";
import { documentWords, figureLines, nothingToPlan, planIdea, planProof, upperFirst } from "@/core/text";
import { planLists } from "../plan-tables";
import { tradeDocument, type PrintSetting } from "./document-head";
import { heading, table } from "./pieces";

/** So many plans stand side by side on paper. */
const MOST_PLANS = 4;
/** The largest room that the planner is measured with; a larger one may take more memory than there is before its time is over. */
const MOST_PLAYERS = 24;

/** How long is planned, and by whose clock in milliseconds. */
export interface PlanningTime {
  readonly clock: () => number;
  readonly mostMs: number;
}

/** The best plan of each school with what it takes and its lists: to buy, cables, pulls, menus, delays. */
export function plansDocument(job: Job, setting: PrintSetting, own: AtHand = atHand(job), time?: PlanningTime): PrintDocument {
  const space = wiringSpace(job, own);
  if (space && space.players.length > MOST_PLAYERS)
    return tradeDocument(documentWords.plansOf(job.name), setting, [
      { block: "text", words: documentWords.tooManyToPlan(space.players.length, MOST_PLAYERS) },
    ]);
  const found = space && checkedPlans(space, weightsOf(job.brief), time ?? {});
  const system = chosenSoundSystem(job)?.id ?? "";
  const blocks = (found?.plans ?? []).slice(0, MOST_PLANS).flatMap((plan, index): readonly PrintBlock[] => [
    ...(index ? [{ block: "new-page" } as const] : []),
    heading(2, `${index + 1}. ${upperFirst(planIdea(plan, system))}`),
    { block: "list", ordered: false, items: figureLines(plan) },
    ...planLists(job, plan).flatMap(({ heading: title, columns, rows }): readonly PrintBlock[] =>
      rows.length
        ? [
            heading(3, title),
            table(
              columns,
              columns.map(() => 1),
              rows.map((row) => row.map(String)),
            ),
          ]
        : [],
    ),
  ]);
  return tradeDocument(documentWords.plansOf(job.name), setting, [
    { block: "text", words: found?.plans.length ? planProof(found) : nothingToPlan(job) },
    ...blocks,
  ]);
}
