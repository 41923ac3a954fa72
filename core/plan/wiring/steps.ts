import type { Ground, Measure } from "./grounds";
import { draftOf, type WiringPlan } from "./make-plan";
import { remoteLimits } from "./musts";
import { ALIKE, assign, bestSettled, divided, Worth, type Known } from "./nodes";
import type { Plug } from "./plugs";
import type { School } from "./schools";
import type { PlayerOption } from "./settle";
import { allowedIn, areMet, choicesMeeting, needsOf, type Need, type Tables } from "./starts";
import { standsAlike, switchesOf, type Switch } from "./switches";
import { groundsByPoints, lookedInto, type Waiting } from "./waiting";

/** What is still to be looked at, from the roughest on: a backbone, players to be assigned on one of its grounds, players that are. */
export type Step = Bounded &
  (
    | { readonly step: "backbone"; readonly waiting: Waiting }
    | ({ readonly step: "ground" } & OnGround)
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

/** Players to be assigned on a ground, for a school. */
interface OnGround {
  readonly ground: Ground;
  readonly worth: Worth;
  readonly school: School;
  /** What the school and the boxes need of the players. */
  readonly needs: readonly Need[];
  /** The points of a plan before its players. */
  readonly base: number;
  readonly tables: Tables;
  /** Where players could not win so far; null for what is left beside an assignment. */
  readonly lost: LostOn | null;
}

/** A search under way, as far as its steps need it. */
export interface Run {
  readonly measure: Measure;
  readonly best: ReadonlyMap<School, WiringPlan>;
  /** The time is over, or what was wanted is found. */
  readonly isOver: () => boolean;
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

const onGround = (on: OnGround, bound: number): Step => ({ step: "ground", ...on, bound, schools: [on.school], depth: 2 });

/**
 * Takes a step no further than it takes to see that it brings less than the next one, which is then taken first; gives what is left of
 * it, or null where the time was over meanwhile.
 * @param next the bound of the step after it
 */
export function take(run: Run, step: Step, next: number): readonly Step[] | null {
  const floor = Math.max(next - ALIKE, Math.min(...step.schools.map(run.standing)));
  switch (step.step) {
    case "backbone":
      return step.waiting.isLookedInto ? groundsOn(run, step.waiting) : [stepOf(lookedInto(run.measure, step.waiting, floor))];
    case "ground":
      return assignedOn(run, step, floor);
    case "assignment":
      return played(run, step);
  }
}

/** The grounds of a backbone, for each school that could win there. */
function groundsOn({ measure, isOver, looked, standing }: Run, waiting: Waiting): readonly Step[] | null {
  const { space } = measure;
  const { backbone, tables, caps } = waiting;
  const open = waiting.schools.flatMap((school) => {
    const needs = needsOf(space, backbone, school, tables);
    const allowed = allowedIn(space, backbone, school, tables);
    const found = needs && assign(allowed, (plug) => caps.of(plug));
    return needs && found ? [{ school, needs, allowed, players: found.worth }] : [];
  });
  looked.backbones += 1;
  const limits = remoteLimits(space).map((limit) => ({ limit, lost: new Map(open.map(({ school }) => [school, new LostOn()])) }));
  const known = new Map<string, Known>();
  const steps: Step[] = [];
  for (const { ground, base } of groundsByPoints(measure, waiting)) {
    if (isOver()) return null;
    const control = switchesOf(ground);
    const ofControl = known.get(control) ?? new Map();
    known.set(control, ofControl);
    for (const { limit, lost } of limits) {
      const worth = new Worth(measure, ground, ofControl, caps, limit.most);
      for (const { school, needs, allowed, players } of open) {
        const on = { ground, worth, school, needs, base: base - limit.lost, tables: allowed, lost: lost.get(school) ?? null };
        const bound = on.base + players;
        if (bound > standing(school) + ALIKE) steps.push(onGround(on, bound));
      }
    }
  }
  return steps;
}

/** Grounds of a backbone on which players could not win, and the switches by which that was seen. */
class LostOn {
  private readonly grounds: { readonly base: number; readonly control: string; readonly switches: readonly Switch[] }[] = [];

  add({ base, ground, worth }: OnGround): void {
    this.grounds.push({ base, control: switchesOf(ground), switches: worth.switches });
  }

  /** Whether players cannot win on a ground for the same reasons as on another one, which had no fewer points before them. */
  has({ base, ground }: OnGround): boolean {
    return this.grounds.some((lost) => base <= lost.base && lost.control === switchesOf(ground) && standsAlike(ground.hubs, lost.switches));
  }
}

/** So many settled assignments wait until nothing else could bring more; then one is played at once, so that there is something to beat. */
const PLAYED_AT_ONCE = 8;

/** Players assigned on a ground as far as the floor asks. */
function assignedOn(run: Run, on: OnGround, floor: number): readonly Step[] {
  if (on.lost?.has(on)) return [];
  const found = bestSettled(on.tables, on.worth, floor - on.base);
  const bound = on.base + (found?.worth ?? -Infinity);
  if (!found || bound <= run.standing(on.school) + ALIKE) {
    on.lost?.add(on);
    return [];
  }
  const { plugs, chosen } = found;
  if (!chosen) return [onGround(on, bound)];
  // Else the best of every choice of players that are made to meet what is needed.
  if (!areMet(on.needs, plugs)) return choicesMeeting(on.needs, on.tables).map((tables) => onGround({ ...on, tables, lost: null }, bound));
  const step = { step: "assignment", on, plugs, chosen, bound, schools: [on.school], depth: 3 } as const;
  const isAtOnce = run.looked.settled % PLAYED_AT_ONCE === 0;
  run.looked.settled += 1;
  return isAtOnce ? played(run, step) : [step];
}

/** Plays an assignment through the full engine, where it can be foreseen that it is the best of its school so far, and gives what is left beside it. */
function played(run: Run, { on, plugs, chosen, bound }: Extract<Step, { step: "assignment" }>): readonly Step[] {
  const { school, ground, tables } = on;
  const left = () => divided(tables, plugs).map((rest) => onGround({ ...on, tables: rest, lost: null }, bound));
  const draft = draftOf(run.measure, ground, school, chosen);
  const foreseen = draft?.foreseen();
  if (!draft || !foreseen || foreseen.points <= (run.best.get(school)?.points ?? -Infinity) + ALIKE) return left();
  const plan = run.keep(draft.plan());
  return plan && plan.points >= bound - ALIKE ? [] : left();
}
