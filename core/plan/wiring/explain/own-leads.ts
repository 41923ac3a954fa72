import { applyCommand, type Cable, freeId, freeJoins, type Job, sameEnd } from "@/core/job";
import { effortPoints, type Weights, wireEffort } from "../evaluation";
import { equalsOf, mayLay, wiringSpace, type WiringSpace } from "../space";
import { type PlanOptions, searchPlans, type WiringPlan } from "../search";
import { type School, schoolsWanted } from "../topology";
import { ALIKE, worthOfRoom } from "./check";
import { planAs } from "./plan-as";

/** What came of looking for a plan with a lead for sound from a player itself, beside its HDMI. */
export interface OwnLeadSearch {
  /** A plan that is better than the given one, or any where there is none; null: none was found. */
  readonly better: WiringPlan | null;
  /** Every such lead was looked at. */
  readonly isWhole: boolean;
  /** So was every set of several at once. */
  readonly isOfSeveral: boolean;
}

/** A plan with such a lead is one with a separate sound cable. */
const SCHOOL: School = "side-cable";

/**
 * Looks for a plan in which a player sends its sound into the sound system by a lead of its own. The search of a space gives a player one
 * plug; so each lead in turn is laid, and the space in which it stays is searched for what beats the given plan.
 * Where such a lead helps, or no plan keeps to all wishes, leads of several players at once are looked at too.
 * @param best null: no plan is known
 */
export function searchOwnLeads(
  space: WiringSpace,
  weights: Weights,
  best: WiringPlan | null,
  options: Pick<PlanOptions, "clock" | "mostMs" | "anyPlan">,
): OwnLeadSearch {
  const { clock, mostMs = Infinity } = options;
  const begun = clock?.() ?? 0;
  let [better, isWhole]: [OwnLeadSearch["better"], boolean] = [null, true];
  for (const { job, leads } of roomsWithLeads(space)) {
    if (leads.length > 1 && best && !better) return { better, isWhole, isOfSeveral: false };
    const left = clock ? mostMs - (clock() - begun) : Infinity;
    if (left <= 0) return { better, isWhole: false, isOfSeveral: false };
    const isLed = leads.length > 0;
    const bonds = isLed ? bondsBeside(space) : space.bonds;
    const within = wiringSpace(job, { boxes: space.boxes, cables: space.vanCables }, { ...space, bonds });
    if (!within) continue;
    const incumbent = better ?? best;
    const top = incumbent?.points ?? -Infinity;
    const cost = leads.reduce((sum, cable) => sum + effortPoints(wireEffort(space, { cable, existing: null }), weights), 0);
    const found = searchPlans(within, weights, { ...options, mostMs: left, onlyBest: true, floor: top + cost });
    isWhole &&= found.proven;
    const [plan] = found.plans;
    const points = plan ? worthOfRoom(space, weights, plan.job, incumbent?.figures.heard) : null;
    if (plan && points !== null && points > top + ALIKE)
      better = planAs(space, isLed ? { ...plan, school: SCHOOL } : plan, plan.job, points);
    if (better && options.anyPlan) return { better, isWhole: false, isOfSeveral: false };
  }
  return { better, isWhole, isOfSeveral: true };
}

/** The best plan of a space, with leads of players too. */
interface BestWithLeads {
  readonly best: WiringPlan | null;
  readonly proven: boolean;
}

/**
 * Searches a space for its best plan, or for any, and then with leads of players.
 * @param leadsMs the time for these; left out: what is left of all
 */
export function bestWithLeads(space: WiringSpace, weights: Weights, options: PlanOptions, leadsMs?: number): BestWithLeads {
  const { clock, mostMs = Infinity, anyPlan = false } = options;
  const begun = clock?.() ?? 0;
  const found = searchPlans(space, weights, { ...options, onlyBest: true });
  const first = found.plans[0] ?? null;
  if (first && anyPlan) return { best: first, proven: found.proven };
  const left = clock ? mostMs - (clock() - begun) : Infinity;
  const leads = searchOwnLeads(space, weights, first, { ...(clock ? { clock } : {}), mostMs: leadsMs ?? left, anyPlan });
  return { best: leads.better ?? first, proven: found.proven && leads.isWhole };
}

/** Whether some plan of a room could have such a lead, or leave out one that is there. */
export const mayHaveOwnLead = (space: WiringSpace): boolean => !roomsWithLeads(space).next().done;

/** Wishes about schools are met by the lead itself. */
const bondsBeside = ({ bonds }: WiringSpace): WiringSpace["bonds"] =>
  bonds.filter((one) => one.bond !== "use-school" && !(one.bond === "forbid-school" && one.school === SCHOOL));

/** A room to be planned in which leads of players stay. */
interface RoomWithLeads {
  readonly job: Job;
  /** Those that are new; none: it is the room without those that are there. */
  readonly leads: readonly Cable[];
}

/** The job with leads for sound that players could have into the sound system, and the same without those that are there: fewer new ones first. */
function* roomsWithLeads(space: WiringSpace): Generator<RoomWithLeads> {
  const isOwn = ({ from }: Cable) => space.players.some(({ id }) => id === from.device);
  const bare = { ...space.job, cables: space.job.cables.filter((cable) => !(isOwn(cable) && space.fixedCables.includes(cable))) };
  const hasSome = bare.cables.length < space.job.cables.length;
  if (hasSome) yield { job: bare, leads: [] };
  let rooms: readonly RoomWithLeads[] = (hasSome ? [space.job, bare] : [space.job]).map((job) => ({ job, leads: [] }));
  while (rooms.length > 0) {
    rooms = rooms.flatMap((room) => withOneMore(space, room));
    yield* rooms;
  }
}

/** One lead of each kind, of players after those that have a new one, in sockets that are free once everything is pulled that a plan may pull. */
function withOneMore(space: WiringSpace, { job, leads }: RoomWithLeads): readonly RoomWithLeads[] {
  const { system, players } = space;
  if (!schoolsWanted(space).includes(SCHOOL) || !mayLay(space)) return [];
  const bare: Job = { ...job, cables: job.cables.filter((cable) => !space.existing.includes(cable)) };
  const seen = new Set<string>();
  const last = players.findIndex(({ id }) => id === leads.at(-1)?.from.device);
  return freeJoins(bare).flatMap(({ from, to, command }): RoomWithLeads[] => {
    const index = players.findIndex(({ id }) => id === from.device);
    if (index <= last) return [];
    const [out, into] = [players[index]?.ports.find(({ id }) => id === from.port), system.ports.find(({ id }) => id === to.port)];
    if (to.device !== system.id || !out || !into || out.connector === "hdmi" || into.connector === "hdmi") return [];
    // Of equal players, and of equal sockets, one stands for all.
    const key = [equalsOf(space, from.device)[0] ?? index, out.connector, into.connector].join(" ");
    const applied = seen.has(key) ? null : applyCommand(bare, command);
    const lead = applied?.ok ? applied.value.job.cables.find(({ from: end }) => sameEnd(end, from)) : undefined;
    if (!lead) return [];
    seen.add(key);
    const others = job.cables.filter((cable) => !sameEnd(cable.to, to) && !sameEnd(cable.from, from));
    const taken = new Set([...space.job.cables, ...job.cables].map(({ id }) => id));
    const laid = { ...lead, id: freeId(lead.id, taken) };
    return [{ job: { ...job, cables: [...others, laid] }, leads: [...leads, laid] }];
  });
}
