import { actOfEvent, actsAlike, householdOf, judgeAct, type Household, type JudgedAct } from "@/core/cec";
import { solve, solveAgain, type Arrival, type Solved } from "@/core/chain";
import { applyCommand, type Command, type Job } from "@/core/job";
import { isActSeen, isSeen, type ActObservation, type Observation, type RowObservation } from "./observation";
import { bearsOnSound, howCommon, isNoted, wrongFacts, type FactEdit, type WrongFact } from "./wrong-facts";

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

/**
 * Which single facts of a room would explain what was seen: each is tried through the same chain, and for acts the same control bus, against
 * all observations. Where none explains everything, several may be wrong, or something that this model does not know.
 */
export function explain(job: Job, observations: readonly Observation[]): Explained {
  const ofRows = observations.filter((one): one is RowObservation => "row" in one);
  const ofActs = observations.filter((one): one is ActObservation => "act" in one);
  const room = roomOf(job, ofActs);
  const rows = ofRows.filter(({ row }) => room.rows.has(row));
  const acts = ofActs.filter(({ act }) => room.acts.has(act));
  const isRowSeen = (shown: Pick<Room, "rows">) => (one: RowObservation) => isSeen(one, shown.rows.get(one.row), room.rows.get(one.row));
  const isSeenAct = (shown: ReadonlyMap<string, JudgedAct>) => (one: ActObservation) =>
    isActSeen(one, shown.get(one.act) ?? null, room.acts.get(one.act) ?? null);
  const oddRows = rows.filter((one) => !isRowSeen(room)(one));
  const oddActs = acts.filter((one) => !isSeenAct(room.acts)(one));
  const oddContents = new Set(oddRows.map(({ row }) => contentOf(row)));
  const unexpected = oddRows.length + oddActs.length;
  const observed = rows.length + acts.length;
  const looked = new Set(rows.map(({ row }) => row));

  const tried = (edit: FactEdit): Explanation[] => {
    const after = roomWith(room, edit);
    if (!after) return [];
    // A fact that brings nothing nearer to what was seen explains nothing, whatever it leaves as it is.
    const gains = oddRows.some(isRowSeen({ rows: after.rowsOf(oddContents) })) || oddActs.some(isSeenAct(after.actsOf(oddActs)));
    if (!gains) return [];
    const shown = after.rowsOf(null);
    const explains = rows.filter(isRowSeen({ rows: shown })).length + acts.filter(isSeenAct(after.actsOf(acts))).length;
    if (explains <= observed - unexpected) return [];
    const others = [...room.rows.values()].filter(
      (row) => !looked.has(row.id) && !isSeen({ sees: "as-predicted" }, shown.get(row.id), row),
    ).length;
    return [{ fact: edit.fact, command: edit.correction, isNoted: isNoted(job, edit.fact), explains, others }];
  };
  const explanations = unexpected ? wrongFacts(job, { control: acts.length > 0 }).flatMap(tried) : [];
  return {
    unexpected,
    observed,
    unknownRows: ofRows.filter(({ row }) => !room.rows.has(row)).map(({ row }) => row),
    unknownActs: ofActs.filter(({ act }) => !room.acts.has(act)).map(({ act }) => act),
    explanations: explanations.toSorted((a, b) => b.explains - a.explains || a.others - b.others || howCommon(a.fact) - howCommon(b.fact)),
  };
}

/** The room as the job has it: its rows, and the acts that somebody looked at. */
interface Room {
  readonly solved: Solved;
  readonly rows: ReadonlyMap<string, Arrival>;
  /** Null where nobody looked at an act. */
  readonly household: Household | null;
  readonly acts: ReadonlyMap<string, JudgedAct>;
}

/** The room with one fact otherwise; its acts are played when they are asked for. */
interface RoomAfter {
  /** The rows of some contents, and any other that the fact leaves as it is; null: all of them. */
  readonly rowsOf: (contents: ReadonlySet<string> | null) => ReadonlyMap<string, Arrival>;
  readonly actsOf: (asked: readonly ActObservation[]) => ReadonlyMap<string, JudgedAct>;
}

/** The content of a row, without the screen that it is shown on. */
const contentOf = (row: string): string => row.replace(/@.*$/, "");

const byId = (rows: readonly Arrival[]): ReadonlyMap<string, Arrival> => new Map(rows.map((row) => [row.id, row]));

function roomOf(job: Job, acts: readonly ActObservation[]): Room {
  const solved = solve(job, "planned");
  const household = acts.length ? householdOf(job, "planned", { solved }) : null;
  return { solved, rows: byId(solved.rows), household, acts: household ? played(household, acts) : new Map() };
}

function roomWith({ solved, rows, household, acts }: Room, { fact, command }: FactEdit): RoomAfter | null {
  const applied = applyCommand(solved.job, command);
  if (!applied.ok) return null;
  const { job } = applied.value;
  let whole: Solved | undefined;
  // What arrives is enough to compare with what was seen; why not more is not asked.
  const solvedAfter = (contents: ReadonlySet<string> | null): Solved => {
    if (!bearsOnSound(fact)) return { ...solved, job };
    if (whole) return whole;
    const after = solveAgain(solved, job, { told: "arrivals-only", ...(contents ? { of: (content) => contents.has(content) } : {}) });
    if (contents === null) whole = after;
    return after;
  };
  let changed: Household | null | undefined;
  const householdAfter = (): Household | null => {
    const next = household && householdOf(job, "planned", { solved: solvedAfter(null) });
    return next && household && actsAlike(household, next) ? null : next;
  };
  return {
    rowsOf: (contents) => (bearsOnSound(fact) ? byId(solvedAfter(contents).rows) : rows),
    actsOf: (asked) => {
      if (asked.length === 0) return acts;
      changed = changed === undefined ? householdAfter() : changed;
      return changed ? played(changed, asked) : acts;
    },
  };
}

/** Some acts, played in a room; one that the room does not have is left out. */
function played(household: Household, asked: readonly ActObservation[]): ReadonlyMap<string, JudgedAct> {
  return new Map(
    asked.flatMap(({ act: event }) => {
      const act = actOfEvent(household, event);
      const judged = act && judgeAct(household, act);
      return judged ? [[event, judged] as const] : [];
    }),
  );
}
