import { actOfEvent, householdOf, judgeAct, type JudgedAct } from "@/core/cec";
import { solve, solveAgain, type Arrival } from "@/core/chain";
import { applyCommand, type Command, type Job } from "@/core/job";
import { isActSeen, isSeen, type ActObservation, type Observation, type RowObservation } from "./observation";
import { howCommon, isNoted, wrongFacts, type WrongFact } from "./wrong-facts";

/** A fact that would explain what was seen, with the edit that makes the job say so. */
export interface Explanation {
  readonly fact: WrongFact;
  readonly command: Command;
  /** Whether the job says so already, and it only has to be put right. */
  readonly isNoted: boolean;
  /** How many of the observations the room would show with it. */
  readonly explains: number;
  /** How many rows nobody looked at it would change as well. */
  readonly others: number;
}

export interface Explained {
  /** Observations that are not as the job predicts. */
  readonly unexpected: number;
  readonly observed: number;
  /** Rows and acts that the job does not have. */
  readonly unknownRows: readonly string[];
  readonly unknownActs: readonly string[];
  /** Facts that explain more than the job as it stands does, the best first; of equals the most common. */
  readonly explanations: readonly Explanation[];
}

/** What a room shows of the rows and acts that somebody looked at. */
interface Shown {
  readonly rows: ReadonlyMap<string, Arrival>;
  readonly acts: ReadonlyMap<string, JudgedAct>;
}

/**
 * Which single facts of a room would explain what was seen: each is tried through the same chain, and for acts the same control bus, against
 * all observations. Where none explains everything, several may be wrong, or something that this model does not know.
 */
export function explain(job: Job, observations: readonly Observation[]): Explained {
  const ofRows = observations.filter((one): one is RowObservation => "row" in one);
  const ofActs = observations.filter((one): one is ActObservation => "act" in one);
  const events = ofActs.map(({ act }) => act);
  const predicted = solve(job, "planned");
  const before: Shown = { rows: new Map(predicted.rows.map((row) => [row.id, row])), acts: actsShown(job, events) };
  const [knownRows, knownActs] = [ofRows.filter(({ row }) => before.rows.has(row)), ofActs.filter(({ act }) => before.acts.has(act))];
  const observed = knownRows.length + knownActs.length;
  const seenIn = ({ rows, acts }: Shown): number =>
    knownRows.filter((one) => isSeen(one, rows.get(one.row), before.rows.get(one.row))).length +
    knownActs.filter((one) => isActSeen(one, acts.get(one.act) ?? null, before.acts.get(one.act) ?? null)).length;
  const asPredicted = seenIn(before);
  const looked = new Set(knownRows.map(({ row }) => row));
  const facts = observed > asPredicted ? wrongFacts(job, { control: knownActs.length > 0 }) : [];
  const explanations = facts.flatMap(({ fact, command, correction }): Explanation[] => {
    const applied = applyCommand(job, command);
    if (!applied.ok) return [];
    const after: Shown = {
      rows: new Map(solveAgain(predicted, applied.value.job).rows.map((row) => [row.id, row])),
      acts: actsShown(applied.value.job, events),
    };
    const explains = seenIn(after);
    if (explains <= asPredicted) return [];
    const others = predicted.rows.filter(
      (row) => !looked.has(row.id) && !isSeen({ sees: "as-predicted" }, after.rows.get(row.id), row),
    ).length;
    return [{ fact, command: correction, isNoted: isNoted(job, fact), explains, others }];
  });
  return {
    unexpected: observed - asPredicted,
    observed,
    unknownRows: ofRows.filter(({ row }) => !before.rows.has(row)).map(({ row }) => row),
    unknownActs: ofActs.filter(({ act }) => !before.acts.has(act)).map(({ act }) => act),
    explanations: explanations.toSorted((a, b) => b.explains - a.explains || a.others - b.others || howCommon(a.fact) - howCommon(b.fact)),
  };
}

/** The acts of some events, played in a room as planned. */
function actsShown(job: Job, events: readonly string[]): ReadonlyMap<string, JudgedAct> {
  if (events.length === 0) return new Map();
  const household = householdOf(job, "planned");
  return new Map(
    events.flatMap((event) => {
      const act = actOfEvent(household, event);
      const judged = act && judgeAct(household, act);
      return judged ? [[event, judged] as const] : [];
    }),
  );
}
