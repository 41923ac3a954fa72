import { solve } from "@/core/chain";
import { effectiveSetting } from "@/core/device";
import type { Job } from "@/core/job";
import { checkPlan, effortOf, type PlanCheck } from "./check";
import { figuresOf, solvedRoom, type Weights } from "../evaluation";
import { menusOf, type SettingChoice, sitsIn, suppliedBy, type Wire, type WiringSpace } from "../space";
import { searchOwnLeads } from "./own-leads";
import { type PlanOptions, type PlanSearch, searchPlans, toBuy, type WiringPlan } from "../search";

/** A search whose best plan was judged from outside: every single change to it was played, and none is better. */
export interface CheckedSearch extends PlanSearch {
  /** Null where there is no plan, or no time was left. */
  readonly check: PlanCheck | null;
  /** Settings, leads and plugs that the search does not think of and that were taken over because they are better: so many. */
  readonly beyond: number;
  /** No lead for sound from a player itself, beside its HDMI, would make it better; false: there was no time for all of them. */
  readonly leadsTried: boolean;
}

/** However long the search took, this share of its time is left for leads of players. */
const LEADS_SHARE = 1 / 3;

/** More single changes than this, one after the other, are not taken over. */
const MOST_TURNS = 12;

/**
 * The plans of a room. The best of them is compared with what a lead for sound from a player itself would bring, judged by its neighbours,
 * and improved by what the search does not think of; with such a change, or where a box would still be better, it is not called proven.
 */
export function checkedPlans(space: WiringSpace, weights: Weights, options: PlanOptions = {}): CheckedSearch {
  const { clock, mostMs = Infinity } = options;
  const begun = clock?.() ?? 0;
  const found = searchPlans(space, weights, options);
  const [first, ...others] = found.plans;
  if (!first) return { ...found, check: null, beyond: 0, leadsTried: true };
  const left = clock ? mostMs - (clock() - begun) : Infinity;
  const leads = searchOwnLeads(space, weights, first, { ...(clock ? { clock } : {}), mostMs: Math.max(left, mostMs * LEADS_SHARE) });
  const winner = leads.better && planAs(space, leads.better.plan, leads.better.plan.job, leads.better.points);
  let best = winner ?? first;
  let check = checkPlan(space, weights, best);
  let beyond = 0;
  for (let turn = 0; turn < MOST_TURNS; turn += 1) {
    const next = check.better.find(({ change }) => change.kind !== "box");
    if (!next) break;
    best = planAs(space, best, next.job, best.points + next.more);
    beyond += 1;
    check = checkPlan(space, weights, best);
  }
  const isProven = found.proven && check.better.length === 0 && beyond === 0 && leads.isWhole;
  const [more] = check.better;
  return {
    ...found,
    plans: [best, ...(winner ? found.plans.filter(({ school }) => school !== winner.school) : others)],
    proven: isProven,
    gap: isProven || !found.proven || !more ? found.gap : (100 * more.more) / Math.max(1, best.points),
    check,
    beyond,
    leadsTried: leads.isWhole,
  };
}

/** The same plan with its room changed: its settings, wires and figures are read off the room. */
export function planAs(space: WiringSpace, plan: WiringPlan, job: Job, points: number): WiringPlan {
  const settings = settingsOf(space.job, job, plan.settings);
  const wires = wiresOf(space, job, plan.wires);
  const menus = menusOf(job.devices, settings);
  const room = solvedRoom(space, solve(job, "planned"));
  const figures = figuresOf(space, room, effortOf(space, job), { menus, toBuy: toBuy(plan.boxes, wires) });
  const places = new Map(space.players.map((player) => [player.id, sitsIn(job, player)?.device ?? null]));
  return { ...plan, job, points, figures, settings, wires, places };
}

/** The wires of a plan as they are in a room now, and those that came to it; a cable of another class is a new one. */
function wiresOf(space: WiringSpace, job: Job, planned: readonly Wire[]): readonly Wire[] {
  const fixed = new Set(space.fixedCables.map(({ id }) => id));
  const wires = job.cables.flatMap((cable): Wire[] => {
    if (fixed.has(cable.id)) return [];
    const existing = planned.find((wire) => wire.cable.id === cable.id)?.existing ?? null;
    return [existing?.class === cable.class ? { cable, existing } : { cable: { ...cable, supply: "buy" }, existing: null }];
  });
  return suppliedBy(space, wires);
}

/** The settings that a room plans: those of the plan as they stand now, and whatever else stands otherwise than before. */
function settingsOf(before: Job, job: Job, planned: readonly SettingChoice[]): readonly SettingChoice[] {
  return job.devices.flatMap((device) =>
    device.settings.flatMap((setting): SettingChoice[] => {
      const value = effectiveSetting(device, setting.key, "planned");
      const was = before.devices.find(({ id }) => id === device.id);
      const isPlanned = planned.some((choice) => choice.device === device.id && choice.key === setting.key);
      const isOther = was !== undefined && effectiveSetting(was, setting.key, "planned") !== value;
      return typeof value === "string" && (isPlanned || isOther) ? [{ device: device.id, key: setting.key, value }] : [];
    }),
  );
}
