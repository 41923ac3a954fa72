import type { Job } from "@/core/job";
import { done, type Outcome } from "@/core/outcome";
import { beliefAfter, NOT_KNOWN, type Belief, type Observed, type ObservedTrouble } from "./belief";
import { caseFrom, type Case, type CureRow } from "./case";
import { chooseByLookAhead, isCure, type Choice } from "./choose";
import { chooseExactly } from "./exact";
import { NO_HISTORY, playFaults, playPair, type FirmFaults, type PlayedFault } from "./job-faults";
import { healthyRoom, type Healthy, type Seen } from "./seen";

/** A job with all its faults played, which every question about it starts from. */
export interface Finder {
  readonly healthy: Healthy;
  readonly played: readonly PlayedFault[];
  readonly firm: FirmFaults;
  readonly singles: Case;
  /** Pairs of faults that were played so far. */
  readonly pairs: Map<string, Seen | null>;
  /** Cases with pairs that were laid out so far, by the pairs. */
  readonly cases: Map<string, Case>;
  /** Stands worked out so far: many searches of one job begin alike. */
  readonly stands: Map<string, Stand>;
}

/** Plays every fault of a job. Up to a second for a large room: it belongs in a worker. */
export function finderOf(job: Job, firm: FirmFaults = NO_HISTORY): Finder {
  const healthy = healthyRoom(job);
  const played = playFaults(healthy);
  return { healthy, played, firm, singles: caseFrom(healthy, played, firm), pairs: new Map(), cases: new Map(), stands: new Map() };
}

/** Where a search stands after what was told and seen. */
export interface Stand {
  readonly given: Case;
  readonly belief: Belief;
  /** The next step; null: it is found, or nothing more helps. */
  readonly next: Choice | null;
  /** The cure that mended it. */
  readonly mendedBy: CureRow | null;
  /** Whether nothing that this model knows explains what was seen. */
  readonly isUnexplained: boolean;
}

/** Half of the belief or more in something unknown: the model explains nothing. */
const UNEXPLAINED = 0.5;
/** From here on two faults at once are thought of. */
const THINKS_OF_TWO = 0.25;
/** Of so many single faults, those that fit best, pairs are made. */
const PAIRED = 12;

/** What to believe and what to do next. A contradiction is no error: the likeliest reading of it counts. */
export function standOf(finder: Finder, symptoms: readonly string[], observed: readonly Observed[]): Outcome<Stand, ObservedTrouble> {
  const key = JSON.stringify([symptoms.toSorted(), observed.map(({ check, answer }) => `${check}=${answer}`).toSorted()]);
  const known = finder.stands.get(key);
  if (known) return done(known);
  const worked = workOut(finder, symptoms, observed);
  if (worked.ok) finder.stands.set(key, worked.value);
  return worked;
}

function workOut(finder: Finder, symptoms: readonly string[], observed: readonly Observed[]): Outcome<Stand, ObservedTrouble> {
  const ofOneFault = new Set(observed.filter((one) => beliefAfter(finder.singles, [], [one]).ok));
  const byOneFault = (seen: readonly Observed[]) =>
    beliefAfter(
      finder.singles,
      symptoms,
      seen.filter((one) => ofOneFault.has(one)),
    );
  const alone = byOneFault(observed);
  if (!alone.ok) return alone;
  let given = finder.singles;
  let belief = alone.value;
  // An answer that two faults at once alone can give was offered by the pairs that were thought of then: they stay.
  const offeredBy = observed.flatMap((one, index) => (ofOneFault.has(one) ? [] : [byOneFault(observed.slice(0, index))]));
  if (offeredBy.length || (observed.length && shareOfUnknown(given, belief) > THINKS_OF_TWO)) {
    given = withPairs(finder, distinctPairs([alone, ...offeredBy].flatMap((then) => (then.ok ? pairsOf(finder, then.value) : []))));
    const both = beliefAfter(given, symptoms, observed);
    if (!both.ok) return both;
    belief = both.value;
  }
  const mended = observed.find(({ answer }) => answer === "mended");
  const mendedBy = given.cures.find(({ id }) => id === mended?.check) ?? null;
  const isUnexplained = shareOfUnknown(given, belief) > UNEXPLAINED;
  return done({
    given,
    belief,
    next: mendedBy || isUnexplained ? null : nextStep(given, belief, [...observed, ...answeredBy(given, symptoms)]),
    mendedBy,
    isUnexplained,
  });
}

function withPairs({ healthy, played, firm, cases }: Finder, pairs: readonly Pair[]): Case {
  const key = pairs.map(([a, b]) => `${a.fault.id}+${b.fault.id}`).join();
  const known = cases.get(key) ?? caseFrom(healthy, played, firm, pairs);
  cases.set(key, known);
  return known;
}

const shareOfUnknown = ({ suspects }: Case, belief: Belief): number =>
  suspects.reduce((sum, { faults }, index) => (faults[0]?.kind === "unknown" ? sum + (belief[index] ?? 0) : sum), 0);

type Pair = readonly [PlayedFault, PlayedFault, Seen];

/** Each pair once, in whatever order its faults are named. */
const distinctPairs = (pairs: readonly Pair[]): readonly Pair[] => [
  ...new Map(pairs.map((pair) => [[pair[0].fault.id, pair[1].fault.id].toSorted().join("+"), pair])).values(),
];

function pairsOf({ healthy, played, singles, pairs }: Finder, belief: Belief): readonly Pair[] {
  const order = played.map((one, index) => ({
    one,
    share: ((belief[index] ?? 0) / (singles.priors[index] || 1)) * Math.sqrt(singles.priors[index] ?? 0),
  }));
  const best = order
    .toSorted((a, b) => b.share - a.share)
    .slice(0, PAIRED)
    .map(({ one }) => one);
  return best.flatMap((a, index) =>
    best.slice(index + 1).flatMap((b): Pair[] => {
      const id = `${a.fault.id}+${b.fault.id}`;
      const known = pairs.get(id);
      const seen = known === undefined ? playPair(healthy, a.fault, b.fault) : known;
      pairs.set(id, seen);
      return seen ? [[a, b, seen]] : [];
    }),
  );
}

/** A complaint about everything, or about one player alone, has said which players fail. */
const answeredBy = ({ symptoms }: Case, told: readonly string[]): readonly Observed[] =>
  symptoms.some(({ id, of }) => told.includes(id) && (of === "all" || of === "player"))
    ? [{ check: "ask-players", answer: NOT_KNOWN }]
    : [];

/** A look tells the same when it is taken again; a cure may have been done badly, and is worth as many tries. */
const MOST_TRIES = 3;

/** While a person waits for the next check so many kinds of suspects are solved exactly. */
const EXACT_WHILE_WAITING = 10;

function nextStep(given: Case, belief: Belief, observed: readonly Observed[]): Choice | null {
  const taken = new Map<string, number>();
  for (const { check, answer } of observed) taken.set(check, (taken.get(check) ?? 0) + (answer === NOT_KNOWN ? MOST_TRIES : 1));
  const isLook = new Set(given.looks.map(({ id }) => id));
  const isFresh = (id: string) => !taken.has(id);
  const mayBe = (id: string) => (taken.get(id) ?? 0) < (isLook.has(id) ? 1 : MOST_TRIES);
  const exact = chooseExactly(given, belief, isFresh, EXACT_WHILE_WAITING);
  if (exact && !(isCure(exact.row) && isPoor(exact, belief))) return exact;
  return chooseByLookAhead(given, belief, mayBe);
}

/** A cure that mends hardly any of what is believed comes from suspects that were left out. */
const isPoor = ({ row }: Choice, belief: Belief): boolean =>
  isCure(row) && belief.reduce((sum, one, index) => (row.mends[index] ? sum + one : sum), 0) < 0.02;
