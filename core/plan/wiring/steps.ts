import { everyGround, type Ground, type Measure } from "./grounds";
import { draftOf, type WiringPlan } from "./make-plan";
import { remoteLimits, type RemoteLimit } from "./musts";
import { ALIKE, assign, bestSettled, divided, Worth, type Known } from "./nodes";
import type { Plug } from "./plugs";
import type { School } from "./schools";
import type { PlayerOption } from "./settle";
import { allowedIn, areMet, choicesMeeting, needsOf, type Need, type Tables } from "./starts";
import { standsAlike, switchesOf, type Switch } from "./switches";
import { lookedInto, type Waiting } from "./waiting";

/** What is still to be looked at, from the roughest on: a backbone, its hubs as they are set, players to be assigned there, players that are. */
export type Step = Bounded &
  (
    | { readonly step: "backbone"; readonly waiting: Waiting }
    | { readonly step: "ground"; readonly ground: Ground; readonly on: OnBackbone }
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

/** What all grounds of a backbone share. */
interface OnBackbone {
  readonly waiting: Waiting;
  readonly open: readonly Open[];
  /** What is known of plugs, by how the control switches stand. */
  readonly known: Map<string, Known>;
}

/** A way in which plans of a backbone can be: of a school, with so many remotes. */
interface Open {
  readonly school: School;
  /** What the school and the boxes need of the players. */
  readonly needs: readonly Need[];
  readonly tables: Tables;
  /** At most so much its players bring. */
  readonly players: number;
  readonly remotes: RemoteLimit;
  readonly lost: LostOn;
}

/** Players to be assigned on a ground, for a school. */
interface OnGround extends Pick<Open, "school" | "needs" | "tables"> {
  readonly ground: Ground;
  readonly worth: Worth;
  /** The points of a plan before its players. */
  readonly base: number;
  /** Where players could not win so far; null for what is left beside an assignment. */
  readonly lost: LostOn | null;
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

const playersOn = (on: OnGround, bound: number): Step => ({ step: "players", ...on, bound, schools: [on.school], depth: 3 });

/**
 * Takes a step no further than it takes to see that it brings less than the next one, which is then taken first; gives what is left of it.
 * @param next the bound of the step after it
 */
export function take(run: Run, step: Step, next: number): readonly Step[] {
  const floor = Math.max(next - ALIKE, Math.min(...step.schools.map(run.standing)));
  switch (step.step) {
    case "backbone":
      return step.waiting.isLookedInto ? groundsOn(run, step.waiting) : [stepOf(lookedInto(run.measure, step.waiting, floor))];
    case "ground":
      return openedOn(run, step.ground, step.on);
    case "players":
      return assignedOn(run, step, floor);
    case "assignment":
      return played(run, step);
  }
}

/** The grounds of a backbone, with what its schools need of the players. */
function groundsOn({ measure, looked }: Run, waiting: Waiting): readonly Step[] {
  const { space } = measure;
  const { backbone, plugs, caps, schools, before, own } = waiting;
  const { tables } = plugs;
  looked.backbones += 1;
  const limits = remoteLimits(space);
  const open = schools.flatMap((school): Open[] => {
    const needs = needsOf(space, backbone, school, tables);
    const allowed = allowedIn(space, backbone, school, tables);
    const found = needs && assign(allowed, (plug) => caps.of(plug));
    if (!needs || !found) return [];
    return limits.map((remotes) => ({ school, needs, tables: allowed, players: found.worth, remotes, lost: new LostOn() }));
  });
  if (open.length === 0) return [];
  const on = { waiting, open, known: new Map<string, Known>() };
  const most = before + (own ?? 0) + Math.max(...open.map(({ players, remotes }) => players - remotes.lost));
  return everyGround(measure, backbone).map((ground) => ({ step: "ground", ground, on, bound: most - ground.menus, schools, depth: 2 }));
}

/** Players to be assigned on a ground, for every school that could win there. */
function openedOn({ measure, standing }: Run, ground: Ground, { waiting, open, known }: OnBackbone): readonly Step[] {
  if (!ground.isPossible) return [];
  const control = switchesOf(ground);
  const ofControl = known.get(control) ?? new Map();
  known.set(control, ofControl);
  const worths = new Map<RemoteLimit, Worth>();
  return open.flatMap(({ school, needs, tables, players, remotes, lost }) => {
    const base = ground.points + waiting.before - remotes.lost;
    if (base + players <= standing(school) + ALIKE) return [];
    const worth = worths.get(remotes) ?? new Worth(measure, ground, ofControl, waiting.caps, remotes.most);
    worths.set(remotes, worth);
    return [playersOn({ ground, worth, school, needs, base, tables, lost }, base + players)];
  });
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
  if (!chosen) return [playersOn(on, bound)];
  // Else the best of every choice of players that are made to meet what is needed.
  if (!areMet(on.needs, plugs)) return choicesMeeting(on.needs, on.tables).map((tables) => playersOn({ ...on, tables, lost: null }, bound));
  const step = { step: "assignment", on, plugs, chosen, bound, schools: [on.school], depth: 4 } as const;
  const isAtOnce = run.looked.settled % PLAYED_AT_ONCE === 0;
  run.looked.settled += 1;
  return isAtOnce ? played(run, step) : [step];
}

/** Plays an assignment through the full engine, where it can be foreseen that it is the best of its school so far, and gives what is left beside it. */
function played(run: Run, { on, plugs, chosen, bound }: Extract<Step, { step: "assignment" }>): readonly Step[] {
  const { school, ground, tables } = on;
  const left = () => divided(tables, plugs).map((rest) => playersOn({ ...on, tables: rest, lost: null }, bound));
  const draft = draftOf(run.measure, ground, school, chosen);
  const foreseen = draft?.foreseen();
  if (!draft || !foreseen || foreseen.points <= (run.best.get(school)?.points ?? -Infinity) + ALIKE) return left();
  const plan = run.keep(draft.plan());
  return plan && plan.points >= bound - ALIKE ? [] : left();
}
