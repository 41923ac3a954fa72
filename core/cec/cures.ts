import { comparePictures, scoreArrival, solveAgain, type Arrival } from "@/core/chain";
import { UNREGISTERED } from "@/core/facts";
import type { SettingState } from "@/core/device";
import { applyCommand, type Job } from "@/core/job";
import { actsOf, castOf, eventOf, isOnPurpose, playerAt, type Act } from "./acts";
import { conflictsOf, type Conflict } from "./conflicts";
import { CURE_KINDS, cureCandidates, type Candidate } from "./cure-candidates";
import { judgeAct, type ActVerdict, type HandStep, type JudgedAct } from "./judge";
import { infraredLimits, type InfraredLimit } from "./programmed-remote";
import { shownDevice, soundingOf } from "./sound-of";
import { householdOf, type Household } from "./stations";

/** Something that makes an act go better, each played before it is offered. */
export type Cure =
  | (Candidate & {
      /** How many rows of the board it lowers, and how many of those are silent then, or no longer shown. */
      readonly lowers: number;
      readonly silences: number;
      /** How many rows have a worse picture then, or none. */
      readonly darkens: number;
      /** The other acts of the room that then go worse, by their events. */
      readonly worsens: readonly string[];
    })
  /** Another act that ends as wanted: "switch on with this one". */
  | { readonly cure: "other-act"; readonly act: Act }
  /** One key of a programmed remote that presses them all. */
  | { readonly cure: "programmed-remote"; readonly steps: readonly HandStep[]; readonly limits: readonly InfraredLimit[] };

/** A cure with the acts of the room that it improves, by their events. */
export interface WeighedCure {
  readonly cure: Extract<Cure, Candidate>;
  readonly betters: readonly string[];
}

/**
 * What makes an act better: first what makes it go best, of those what lowers no sound and no picture and worsens no other act, and of
 * those the least trouble. After what can be changed follow another act and a programmed remote, and last what silences a row. What costs every row that
 * sounds cures nothing. Empty where it goes as wanted.
 * @param isOver tells when the time is over: what was not tried until then is left out
 */
export function curesOf(
  household: Household,
  judged: JudgedAct,
  state: SettingState = "planned",
  isOver: () => boolean = () => false,
): readonly Cure[] {
  if (judged.verdict.verdict === "as-wished") return [];
  const all = playedActs(household);
  const before = rankOf(judged.verdict);
  const sounding = household.solved.rows.filter(({ arrives }) => arrives).length;
  const better = cureCandidates(household, state, concernedIn(household, judged)).flatMap((candidate) => {
    if (isOver()) return [];
    const changed = householdAfter(household, candidate, state);
    const other = changed && judgeAct(changed, judged.act);
    if (!changed || !other || rankOf(other.verdict) >= before || !isAboutTheSame(household, judged, changed, other)) return [];
    const cost = loweredRows(household, changed);
    if (cost.silences > 0 && cost.silences === sounding) return [];
    return [{ cure: { ...candidate, ...cost, worsens: movedActs(household, all, changed).worse }, rank: rankOf(other.verdict) }];
  });
  better.sort((a, b) => a.rank - b.rank || byTrouble(a.cure, b.cure));
  const rules = judged.act.act === "screen-on" ? otherActs(household) : [];
  const cures = better.map(({ cure }) => cure);
  const [sound, silencing] = [cures.filter(({ silences }) => silences === 0), cures.filter(({ silences }) => silences > 0)];
  return [...sound, ...rules, ...programmedRemote(household, judged), ...silencing];
}

/**
 * Whether an act in a changed room is still about the same: an input leads to the same player, and a volume key is pressed while the same is
 * watched, from the sound system where it came from there. Else the act would go well because it is about nothing.
 */
function isAboutTheSame(household: Household, judged: JudgedAct, changed: Household, other: JudgedAct): boolean {
  const { act } = judged;
  if (act.act === "choose-input") {
    const player = (room: Household) => playerAt(room, castOf(room).screen, act.port)?.nature.device;
    return player(household) === player(changed);
  }
  if (act.act !== "louder" && act.act !== "mute") return true;
  const begins = (room: Household, { played }: JudgedAct) => castOf({ ...room, stations: played.start });
  const [was, is] = [begins(household, judged), begins(changed, other)];
  const leavesSystem = soundingOf(household.soundWays, was) === "system" && soundingOf(changed.soundWays, is) !== "system";
  return shownDevice(was) === shownDevice(is) && !leavesSystem;
}

/**
 * Every change that makes an act of the room better and lowers no sound and no picture: those that better most and worsen least first.
 * @param isOver as above
 */
export function roomCures(
  household: Household,
  state: SettingState = "planned",
  isOver: () => boolean = () => false,
): readonly WeighedCure[] {
  const all = playedActs(household);
  if ([...all.values()].every((judged) => rankOfAct(judged) === 0)) return [];
  const weighed = cureCandidates(household, state).flatMap((candidate): WeighedCure[] => {
    if (isOver()) return [];
    const changed = householdAfter(household, candidate, state);
    const cost = changed && loweredRows(household, changed);
    if (!cost || cost.lowers > 0 || cost.darkens > 0) return [];
    const { better, worse } = movedActs(household, all, changed);
    return better.length ? [{ cure: { ...candidate, ...cost, worsens: worse }, betters: better }] : [];
  });
  const gain = ({ betters, cure }: WeighedCure) => betters.length - cure.worsens.length;
  return weighed.toSorted((a, b) => gain(b) - gain(a) || byTrouble(a.cure, b.cure));
}

/** The acts of a room as they are judged, by their events; null: one that cannot be played. */
const playedActs = (household: Household): ReadonlyMap<string, JudgedAct | null> =>
  new Map(actsOf(household).map((act) => [eventOf(act), judgeAct(household, act)]));

/**
 * The acts that go better and those that go worse in a changed room. One that only one of the two rooms knows is neither, nor one that is about
 * something else there: a player that was moved makes no input go better.
 */
function movedActs(household: Household, before: ReadonlyMap<string, JudgedAct | null>, changed: Household) {
  const moved = actsOf(changed).flatMap((act) => {
    const event = eventOf(act);
    const was = before.get(event);
    if (was === undefined) return [];
    const now = judgeAct(changed, act);
    return was && now && !isAboutTheSame(household, was, changed, now) ? [] : [{ event, by: rankOfAct(now) - rankOfAct(was) }];
  });
  return {
    better: moved.filter(({ by }) => by < 0).map(({ event }) => event),
    worse: moved.filter(({ by }) => by > 0).map(({ event }) => event),
  };
}

/** The room after a cure; null where it cannot be made. */
export function householdAfter(household: Household, cure: Candidate, state: SettingState = "planned"): Household | null {
  if (cure.cure === "power-in-order") return householdOf(household.job, state, { order: cure.order, solved: household.solved });
  const job = jobAfter(household.job, cure.command);
  return job && householdOf(job, state, { solved: solveAgain(household.solved, job) });
}

function jobAfter(job: Job, command: Extract<Candidate, { command: unknown }>["command"]): Job | null {
  const applied = applyCommand(job, command);
  return applied.ok ? applied.value.job : null;
}

/** Who can have to do with what goes wrong: who is missed, whose key was pressed, who has a habit, who was not heard. */
function concernedIn({ stations }: Household, { verdict, played }: JudgedAct): ReadonlySet<string> {
  const missed = "misses" in verdict ? verdict.misses.flatMap((miss) => ("device" in miss ? [miss.device] : [])) : [];
  const strange = [...stations.values()].flatMap(({ nature }) =>
    nature.quirks.size || nature.logical === UNREGISTERED ? [nature.device] : [],
  );
  const quarrel = verdict.verdict === "unstable" ? verdict.between : [];
  return new Set([...missed, ...strange, ...quarrel, ...played.pressed.map(({ device }) => device)]);
}

/** What a changed room costs on the board. */
type Lowered = Pick<Extract<Cure, Candidate>, "lowers" | "silences" | "darkens">;

function loweredRows({ solved: before }: Household, { solved: after }: Household): Lowered {
  const now = new Map(after.rows.map((row) => [row.id, row]));
  const worse = (compare: (later: Arrival, row: Arrival) => number, part: "arrives" | "picture") =>
    before.rows.filter((row) => {
      const later = now.get(row.id);
      return later ? compare(later, row) < 0 : row[part] !== null;
    });
  const lowered = worse((later, row) => scoreArrival(later) - scoreArrival(row), "arrives");
  const darkened = worse(comparePictures, "picture");
  return { lowers: lowered.length, silences: lowered.filter(({ id }) => !now.get(id)?.arrives).length, darkens: darkened.length };
}

/**
 * Every change after which a conflict is gone, those that lower no sound and bring no other conflict first. What silences a row and makes
 * acts worse as well is no cure.
 */
export function conflictCures(
  household: Household,
  conflict: Conflict,
  state: SettingState = "planned",
): readonly Extract<Cure, Candidate>[] {
  const all = playedActs(household);
  const before = new Set(conflictsOf(household, state).map((one) => JSON.stringify(one)));
  const gone = cureCandidates(household, state).flatMap((candidate) => {
    const changed = householdAfter(household, candidate, state);
    const left = changed && conflictsOf(changed, state).map((one) => JSON.stringify(one));
    if (!changed || !left || left.includes(JSON.stringify(conflict)) || left.some((one) => !before.has(one))) return [];
    const lowered = loweredRows(household, changed);
    const { worse } = movedActs(household, all, changed);
    return lowered.silences > 0 && worse.length > 0 ? [] : [{ ...candidate, ...lowered, worsens: worse }];
  });
  return gone.toSorted(byTrouble);
}

const byTrouble = (a: Extract<Cure, Candidate>, b: Extract<Cure, Candidate>): number =>
  a.lowers - b.lowers ||
  a.darkens - b.darkens ||
  a.worsens.length - b.worsens.length ||
  CURE_KINDS.indexOf(a.cure) - CURE_KINDS.indexOf(b.cure);

/** Acts that bring picture and sound as wanted, in place of the screen's remote. */
const otherActs = (household: Household): readonly Cure[] =>
  actsOf(household).flatMap((act): Cure[] =>
    act.act === "wake" && judgeAct(household, act)?.verdict.verdict === "as-wished" ? [{ cure: "other-act", act }] : [],
  );

function programmedRemote(household: Household, { act, verdict }: JudgedAct): readonly Cure[] {
  if (verdict.verdict !== "with-a-step" || !isOnPurpose(act)) return [];
  const limits = infraredLimits(household, verdict.steps);
  return limits ? [{ cure: "programmed-remote", steps: verdict.steps, limits }] : [];
}

const RANKS = { "as-wished": 0, "with-a-step": 1, fails: 2, unstable: 3 } as const;
const rankOf = (verdict: ActVerdict): number =>
  RANKS[verdict.verdict] * 10 + ("misses" in verdict ? Math.min(9, verdict.misses.length) : 0);
const rankOfAct = (judged: JudgedAct | null): number => (judged ? rankOf(judged.verdict) : Infinity);
