import { alikeBy } from "./every-one";
import { groundsAlike, type Ground, type GroundsAlike, type Measure } from "./grounds";
import { draftOf, type WiringPlan } from "./make-plan";
import { remoteLimits, type RemoteLimit } from "./musts";
import { ALIKE, assign, bestSettled, divided, Worth, type Known } from "./nodes";
import type { Plug } from "./plugs";
import type { School } from "./schools";
import type { PlayerOption } from "./settle";
import { allowedIn, areMet, choicesMeeting, needsOf, type Need, type Tables } from "./starts";
import { lookedInto, type Waiting } from "./waiting";

/** What is still to be looked at, from the roughest on: a backbone, its hubs as they are set, players to be assigned there, players that are. */
export type Step = Bounded &
  (
    | { readonly step: "backbone"; readonly waiting: Waiting }
    | { readonly step: "control"; readonly alike: GroundsAlike; readonly on: OnBackbone }
    | { readonly step: "grounds"; readonly grounds: readonly Ground[]; readonly on: OnBackbone }
    | ({ readonly step: "players" } & OnGround)
    | { readonly step: "assignment"; readonly on: OnGround; readonly plugs: readonly Plug[]; readonly chosen: readonly PlayerOption[] }
  );

interface Bounded {
  /** No plan that comes of it has more points. */
  readonly bound: number;
  /** The schools that plans which come of it can be of. */
  readonly schools: readonly School[];
  /** The greater, the further it is worked out. */
  readonly depth: number;
}

/** What grounds of a backbone share on which control goes alike. */
interface OnBackbone {
  readonly waiting: Waiting;
  readonly open: readonly Open[];
  /** What is known of plugs where control goes alike. */
  readonly known: Known;
}

/** A way in which plans of a backbone can be: of a school, with so many remotes. */
interface Open {
  readonly school: School;
  /** What the school and the boxes need of the players. */
  readonly needs: readonly Need[];
  readonly tables: Tables;
  readonly remotes: RemoteLimit;
}

/** Players to be assigned on a ground, for a school. */
interface OnGround extends Pick<Open, "school" | "needs" | "tables"> {
  readonly ground: Ground;
  readonly worth: Worth;
  /** The points of a plan before its players. */
  readonly base: number;
}

/** A search under way, as far as its steps need it. */
export interface Run {
  readonly measure: Measure;
  readonly best: ReadonlyMap<School, WiringPlan>;
  /** How many backbones were looked at ground by ground, and how many assignments were settled on them. */
  readonly looked: { backbones: number; settled: number };
  /** Keeps a room that was played, where it is the best plan of its school so far, and gives it back where it is a plan at all. */
  readonly keep: (room: WiringPlan | null) => WiringPlan | null;
  /** What a plan of a school has to beat. */
  readonly standing: (school: School) => number;
}

export const stepOf = (waiting: Waiting): Step => ({
  step: "backbone",
  waiting,
  bound: waiting.bound,
  schools: waiting.schools,
  depth: Number(waiting.isLookedInto),
});

const playersOn = (on: OnGround, bound: number): Step => ({ step: "players", ...on, bound, schools: [on.school], depth: 4 });

/**
 * Takes a step no further than it takes to see that it brings less than the next one, which is then taken first; gives what is left of it.
 * @param next the bound of the step after it
 */
export function take(run: Run, step: Step, next: number): readonly Step[] {
  const floor = Math.max(next - ALIKE, Math.min(...step.schools.map(run.standing)));
  switch (step.step) {
    case "backbone":
      return step.waiting.isLookedInto ? groundsOn(run, step.waiting) : [stepOf(lookedInto(run.measure, step.waiting, floor))];
    case "control":
      return groundsOf(step);
    case "grounds":
      return nextGround(run, step, floor);
    case "players":
      return assignedOn(run, step, floor);
    case "assignment":
      return played(run, step);
  }
}

/** The grounds of a backbone, with what its schools need of the players. */
function groundsOn({ measure, looked }: Run, waiting: Waiting): readonly Step[] {
  const { space } = measure;
  const { backbone, plugs, caps, schools } = waiting;
  const { tables } = plugs;
  looked.backbones += 1;
  const limits = remoteLimits(space);
  const open = schools.flatMap((school): Open[] => {
    const needs = needsOf(space, backbone, school, tables);
    const allowed = allowedIn(space, backbone, school, tables);
    if (!needs || !assign(allowed, (plug) => caps.of(plug))) return [];
    return limits.map((remotes) => ({ school, needs, tables: allowed, remotes }));
  });
  if (open.length === 0) return [];
  // What the hubs play themselves brings the same at most, however control is set.
  const most = waiting.before + (waiting.own ?? 0);
  return groundsAlike(measure, backbone).map((alike) => {
    const on: OnBackbone = { waiting, open, known: new Map() };
    return { step: "control", alike, on, bound: most + bestOf(alike, on), schools, depth: 2 };
  });
}

/** At most so much players bring on hubs that are set so, in whatever school. */
const bestOf = (set: Pick<Ground, "hubs">, on: OnBackbone): number =>
  Math.max(...on.open.map((one) => playersAtMost(set, on, one) - one.remotes.lost));

/** The grounds of hubs whose control switches stand alike, told apart by their return channels. */
function groundsOf({ alike, on }: Extract<Step, { step: "control" }>): readonly Step[] {
  const possible = alike.grounds().filter(({ isPossible }) => isPossible);
  return alikeBy(possible, ({ control }) => control).flatMap((grounds) =>
    groundsLeft(
      grounds.toSorted((a, b) => b.points - a.points),
      { ...on, known: new Map() },
    ),
  );
}

/** Grounds on which control goes alike, the best before its players first; none where there are none left. */
function groundsLeft(grounds: readonly Ground[], on: OnBackbone): readonly Step[] {
  const [first] = grounds;
  if (!first) return [];
  const bound = first.points + on.waiting.before + bestOf(first, on);
  return [{ step: "grounds", grounds, on, bound, schools: on.waiting.schools, depth: 3 }];
}

/** At most so much players bring on a ground, by what was worked out on others on which control goes alike. */
function playersAtMost(ground: Pick<Ground, "hubs">, { waiting, known }: OnBackbone, { tables }: Open): number {
  const { caps } = waiting;
  return assign(tables, (plug) => Math.min(caps.on(ground, plug), known.get(plug) ?? Infinity))?.worth ?? -Infinity;
}

/** Opens the first of some grounds, unless what was worked out since shows that something else could bring more. */
function nextGround(run: Run, { grounds, on }: Extract<Step, { step: "grounds" }>, floor: number): readonly Step[] {
  const [first, ...rest] = grounds;
  const [now] = groundsLeft(grounds, on);
  if (!first || !now) return [];
  return now.bound <= floor ? [now] : [...openedOn(run, first, on), ...groundsLeft(rest, on)];
}

/** Players to be assigned on a ground, for every school that could win there. */
function openedOn({ measure, standing }: Run, ground: Ground, on: OnBackbone): readonly Step[] {
  const { waiting, open, known } = on;
  const worths = new Map<RemoteLimit, Worth>();
  return open.flatMap((one) => {
    const { school, needs, tables, remotes } = one;
    const base = ground.points + waiting.before - remotes.lost;
    const bound = base + playersAtMost(ground, on, one);
    if (bound <= standing(school) + ALIKE) return [];
    const worth = worths.get(remotes) ?? new Worth(measure, ground, known, waiting.caps, remotes.most);
    worths.set(remotes, worth);
    return [playersOn({ ground, worth, school, needs, base, tables }, bound)];
  });
}

/** So many settled assignments wait until nothing else could bring more; then one is played at once, so that there is something to beat. */
const PLAYED_AT_ONCE = 8;

/** Players assigned on a ground as far as the floor asks. */
function assignedOn(run: Run, on: OnGround, floor: number): readonly Step[] {
  const found = bestSettled(on.tables, on.worth, floor - on.base);
  const bound = on.base + (found?.worth ?? -Infinity);
  if (!found || bound <= run.standing(on.school) + ALIKE) return [];
  const { plugs, chosen } = found;
  if (!chosen) return [playersOn(on, bound)];
  // Else the best of every choice of players that are made to meet what is needed.
  if (!areMet(on.needs, plugs)) return choicesMeeting(on.needs, on.tables).map((tables) => playersOn({ ...on, tables }, bound));
  const step = { step: "assignment", on, plugs, chosen, bound, schools: [on.school], depth: 5 } as const;
  const isAtOnce = run.looked.settled % PLAYED_AT_ONCE === 0;
  run.looked.settled += 1;
  return isAtOnce ? played(run, step) : [step];
}

/** Plays an assignment through the full engine, where it can be predicted that it is the best of its school so far, and gives what is left beside it. */
function played(run: Run, { on, plugs, chosen, bound }: Extract<Step, { step: "assignment" }>): readonly Step[] {
  const { school, ground, tables } = on;
  const left = () => divided(tables, plugs).map((rest) => playersOn({ ...on, tables: rest }, bound));
  const draft = draftOf(run.measure, ground, school, chosen);
  const foreseen = draft?.foreseen();
  if (!draft || !foreseen || foreseen.points <= (run.best.get(school)?.points ?? -Infinity) + ALIKE) return left();
  const plan = run.keep(draft.plan());
  return plan && plan.points >= bound - ALIKE ? [] : left();
}
