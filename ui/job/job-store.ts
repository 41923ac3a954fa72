import { createStore } from "zustand/vanilla";
import { solve, solveAgain, type Arrival, type Solved } from "@/core/chain";
import { applyCommand, editSoundly, type Command, type Job } from "@/core/job";
import { movedRows, type MovedRows } from "@/core/plan";
import { commandWords, refusalSentence, upperFirst } from "@/core/text";
import { jobWords } from "@/ui/words";

/** An edit that can be taken back, by its name. */
export interface Step {
  readonly words: string;
  readonly command: Command;
}

/** What the last edit did to the board. */
export interface Effect extends MovedRows {
  readonly words: string;
  /** The board before it, for "was …". */
  readonly before: readonly Arrival[];
}

export type SaveState =
  | { readonly kind: "saved" }
  | { readonly kind: "saving" }
  /** The server does not answer; it is tried again by itself. */
  | { readonly kind: "away"; readonly why: string }
  /** The server will not keep these edits, or the job is gone; a person must decide. */
  | { readonly kind: "refused"; readonly why: string };

/** An edit made here of something that another window changed as well; both are told, and theirs can be taken. */
export interface Conflict {
  readonly mine: string;
  readonly theirs: string;
  /** The edit that puts theirs in the place of mine. */
  readonly takeTheirs: Command;
}

export interface JobState {
  readonly id: string;
  readonly job: Job;
  /** The job as the server has it at `revision`, without the edits that wait. */
  readonly base: Job;
  readonly conflicts: readonly Conflict[];
  readonly board: readonly Arrival[];
  /** The board with what it rests on, so that an edit is worked out from it in an instant. */
  readonly solved: Solved;
  /** The revision that `job` without `unsaved` has on the server. */
  readonly revision: number;
  /** When the server kept that revision, as an ISO 8601 time. */
  readonly keptAt: string;
  readonly unsaved: readonly Command[];
  readonly undone: readonly Step[];
  readonly done: readonly Step[];
  readonly effect: Effect | null;
  readonly save: SaveState;
  /** A sentence for the person: a refusal, or what happened to their edits. */
  readonly notice: string | null;
}

export type JobStore = ReturnType<typeof createJobStore>;

/** The open job: its document, the board computed from it, what is still to be saved, and what can be undone. */
export function createJobStore(initial: { id: string; job: Job; revision: number; updatedAt: string }) {
  const solved = solve(initial.job, "planned");
  return createStore<JobState>(() => ({
    id: initial.id,
    job: initial.job,
    base: initial.job,
    conflicts: [],
    board: solved.rows,
    solved,
    revision: initial.revision,
    keptAt: initial.updatedAt,
    unsaved: [],
    undone: [],
    done: [],
    effect: null,
    save: { kind: "saved" },
    notice: null,
  }));
}

/** Makes an edit; a refused one leaves everything as it was and says why. Returns whether it was made. */
export function edit(store: JobStore, command: Command): boolean {
  const { job, done } = store.getState();
  const words = commandWords(job, command);
  return change(store, command, words, (inverse) => ({ done: [...done, { words, command: inverse }], undone: [] }));
}

export function undo(store: JobStore): void {
  const { done, undone } = store.getState();
  const last = done.at(-1);
  if (last)
    change(store, last.command, jobWords.undone(last.words), (inverse) => ({
      done: done.slice(0, -1),
      undone: [...undone, { words: last.words, command: inverse }],
    }));
}

export function redo(store: JobStore): void {
  const { done, undone } = store.getState();
  const last = undone.at(-1);
  if (last)
    change(store, last.command, jobWords.doneAgain(last.words), (inverse) => ({
      done: [...done, { words: last.words, command: inverse }],
      undone: undone.slice(0, -1),
    }));
}

function change(
  store: JobStore,
  command: Command,
  words: string,
  history: (inverse: Command) => Pick<JobState, "done" | "undone">,
): boolean {
  const { job, board, solved, unsaved, save } = store.getState();
  const applied = editSoundly(job, command);
  if (!applied.ok) {
    store.setState({ notice: refusalSentence(job, applied.refusal) });
    return false;
  }
  const after = solveAgain(solved, applied.value.job);
  store.setState({
    ...history(applied.value.inverse),
    job: applied.value.job,
    board: after.rows,
    solved: after,
    unsaved: [...unsaved, command],
    // From this instant on it is not saved; a wait for the server goes on being told.
    save: save.kind === "away" || save.kind === "refused" ? save : { kind: "saving" },
    effect: { words: upperFirst(words), ...movedRows(board, after.rows), before: board },
    notice: null,
  });
  return true;
}

/**
 * Takes in the job as it is on the server and makes the unsaved edits again on top of it.
 * An edit that is no longer possible there is left out and told; undo of what others changed would be a guess, so the history starts afresh.
 */
export function rebase(
  store: JobStore,
  current: { job: Job; revision: number; updatedAt: string },
  words: string = jobWords.changedInAnotherWindow,
): void {
  const { unsaved, board, base, conflicts: unsettled, notice } = store.getState();
  let { job } = current;
  const kept: Command[] = [];
  const lost: string[] = [];
  const done: Step[] = [];
  const conflicts: Conflict[] = [];
  let before = base;
  for (const command of unsaved) {
    const applied = editSoundly(job, command);
    if (!applied.ok) {
      lost.push(`${commandWords(job, command)} (${refusalSentence(job, applied.refusal)})`);
      continue;
    }
    const here = applyCommand(before, command);
    if (here.ok)
      conflicts.push(...conflictOf({ before, there: job, command, undoHere: here.value.inverse, undoThere: applied.value.inverse }));
    before = here.ok ? here.value.job : before;
    done.push({ words: commandWords(job, command), command: applied.value.inverse });
    kept.push(command);
    job = applied.value.job;
  }
  const after = solve(job, "planned");
  store.setState({
    job,
    base: current.job,
    conflicts: [...unsettled, ...conflicts],
    board: after.rows,
    solved: after,
    revision: current.revision,
    keptAt: current.updatedAt,
    unsaved: kept,
    done,
    undone: [],
    effect: { words, ...movedRows(board, after.rows), before: board },
    // What was told before stays until it is read.
    notice: lost.length ? [notice, jobWords.couldNotBeDoneAgain(lost.join("; "))].filter(Boolean).join(" ") : notice,
    ...(kept.length ? {} : { save: { kind: "saved" as const } }),
  });
}

/** Gives up the edits that the server does not have: the job stands as it is kept. */
export function takeBackUnsaved(store: JobStore): void {
  const { base, revision, keptAt } = store.getState();
  store.setState({ unsaved: [] });
  rebase(store, { job: base, revision, updatedAt: keptAt });
  store.setState({ notice: jobWords.takenBack, effect: null });
}

/**
 * Makes edits again that an earlier page could not save any more, and says so.
 * @param late so many more of them reached the server only now, and are in the job already
 */
export function replayDraft(store: JobStore, commands: readonly Command[], late: number): void {
  const { base, revision, keptAt, unsaved } = store.getState();
  if (commands.length) {
    store.setState({ unsaved: [...commands, ...unsaved] });
    rebase(store, { job: base, revision, updatedAt: keptAt });
  }
  const { notice, unsaved: kept } = store.getState();
  const again = late + commands.filter((command) => kept.includes(command)).length;
  store.setState({ notice: [jobWords.madeAgain(again), notice].filter(Boolean).join(" "), effect: null });
}

interface Meeting {
  /** My job before the edit, and theirs before it. */
  readonly before: Job;
  readonly there: Job;
  readonly command: Command;
  readonly undoHere: Command;
  readonly undoThere: Command;
}

/**
 * Whether an edit meets one of another window. What takes it back says what was there before: where that differs between my job and
 * theirs, both of us changed the same thing, and what takes it back on theirs is their edit. The same edit on both sides is none.
 */
function conflictOf({ before, there, command, undoHere, undoThere }: Meeting): readonly Conflict[] {
  if (JSON.stringify(undoHere) === JSON.stringify(undoThere) || undoHere.kind !== undoThere.kind) return [];
  if (JSON.stringify(undoThere) === JSON.stringify(command)) return [];
  return [{ mine: commandWords(before, command), theirs: commandWords(there, undoThere), takeTheirs: undoThere }];
}

/** Settles a conflict: mine stays, or theirs is put in its place by an edit like any other. */
export function settle(store: JobStore, conflict: Conflict, whose: "mine" | "theirs"): void {
  if (whose === "theirs" && !edit(store, conflict.takeTheirs)) return;
  store.setState({ conflicts: store.getState().conflicts.filter((one) => one !== conflict) });
}
