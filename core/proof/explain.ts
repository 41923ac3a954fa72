import { solve, solveAgain } from "@/core/chain";
import { applyCommand, type Command, type Job } from "@/core/job";
import { isSeen, type Observation } from "./observation";
import { howCommon, wrongFacts, type WrongFact } from "./wrong-facts";

/** A fact that would explain what was seen, with the edit that makes the job say so. */
export interface Explanation {
  readonly fact: WrongFact;
  readonly command: Command;
  /** How many of the observations the room would show with it. */
  readonly explains: number;
  /** How many rows nobody looked at it would change as well. */
  readonly others: number;
}

export interface Explained {
  /** Observations that are not as the job predicts. */
  readonly unexpected: number;
  readonly observed: number;
  /** Rows that the job does not have. */
  readonly unknownRows: readonly string[];
  /** Facts that explain more than the job as it stands does, the best first; of equals the most common. */
  readonly explanations: readonly Explanation[];
}

/**
 * Which single facts of a room would explain what was seen: each is tried through the same chain against all observations. Where none
 * explains everything, several may be wrong, or something that this model does not know.
 */
export function explain(job: Job, observations: readonly Observation[]): Explained {
  const predicted = solve(job, "planned");
  const before = new Map(predicted.rows.map((row) => [row.id, row]));
  const known = observations.filter(({ row }) => before.has(row));
  const seenBy = (rows: ReadonlyMap<string, (typeof predicted.rows)[number]>) =>
    known.filter((one) => isSeen(one, rows.get(one.row), before.get(one.row))).length;
  const asPredicted = seenBy(before);
  const looked = new Set(known.map(({ row }) => row));
  const explanations = wrongFacts(job).flatMap(({ fact, command }): Explanation[] => {
    const applied = applyCommand(job, command);
    if (!applied.ok) return [];
    const after = new Map(solveAgain(predicted, applied.value.job).rows.map((row) => [row.id, row]));
    const explains = seenBy(after);
    if (explains <= asPredicted) return [];
    const others = predicted.rows.filter(
      (row) => !looked.has(row.id) && !isSeen({ row: row.id, sees: "as-predicted" }, after.get(row.id), row),
    ).length;
    return [{ fact, command, explains, others }];
  });
  return {
    unexpected: known.length - asPredicted,
    observed: known.length,
    unknownRows: observations.filter(({ row }) => !before.has(row)).map(({ row }) => row),
    explanations: explanations.toSorted((a, b) => b.explains - a.explains || a.others - b.others || howCommon(a.fact) - howCommon(b.fact)),
  };
}
