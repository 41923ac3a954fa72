import type { Command } from "@/core/job";
import type { Attempt } from "./attempt";
import type { Drafts, LeftDraft } from "./drafts";
import type { Envelope, JobServer } from "./job-server";

/** What comes of the drafts that pages left which are gone. */
export interface TakenOver {
  /** What is to be made again on top of the job as it is, in its order. */
  readonly commands: readonly Command[];
  /** The save of the first of them, where the server may have it and was not heard: it is the one that is next. */
  readonly unheard: Attempt | null;
  readonly pages: readonly string[];
  /** So many edits reached the server only now. */
  readonly late: number;
  /** Some wait until the server answers: only one save can be the next. */
  readonly isMoreLeft: boolean;
}

/** What the taking over needs of the page that does it. */
export interface TakingOver {
  readonly server: JobServer;
  readonly drafts: Drafts;
  readonly revision: () => number;
  readonly takeIn: (current: Envelope) => void;
  /** The page is gone; another takes them over. */
  readonly isStopped: () => boolean;
}

/**
 * Goes through drafts, the oldest first: of each, the server gets the save that it may have, and what is left is given back.
 * Null where the page went meanwhile.
 */
export async function takeOver(left: readonly LeftDraft[], page: TakingOver): Promise<TakenOver | null> {
  const [commands, pages]: [Command[], string[]] = [[], []];
  let unheard: Attempt | null = null;
  let [late, isMoreLeft] = [0, false];
  for (const draft of left) {
    const isSent = draft.attempt?.isSent ?? false;
    isMoreLeft ||= isSent && unheard !== null;
    if (isSent && unheard) continue;
    // What the server cannot have comes after what was edited before it.
    const isLater = !isSent && (unheard !== null || commands.length > 0);
    const sent: SentAgain = isLater ? { rest: draft.commands, unheard: null, late: 0 } : await sentAgain(draft, page);
    unheard ??= sent.unheard;
    late += sent.late;
    // What is not heard of goes first: it is the save that is next.
    if (sent.unheard) commands.unshift(...sent.rest);
    else commands.push(...sent.rest);
    pages.push(draft.page);
    if (page.isStopped()) return null;
  }
  return { commands, unheard, pages, late, isMoreLeft };
}

/** What is left to be made of a draft, and its save where nothing was heard of that. */
interface SentAgain {
  readonly rest: readonly Command[];
  readonly unheard: Attempt | null;
  readonly late: number;
}

/**
 * The save that was next is sent under its old name before anything of it is made here: the server may have it, and what is not
 * the same when done twice, a saved state for instance, could not be made on top of it.
 */
async function sentAgain(draft: LeftDraft, { server, drafts, revision, takeIn }: TakingOver): Promise<SentAgain> {
  if (!draft.attempt) return { rest: draft.commands, unheard: null, late: 0 };
  if (!draft.attempt.isSent) void drafts.sending(draft);
  const { saveId, count } = draft.attempt;
  const commands = draft.commands.slice(0, count);
  const before = revision();
  const response = await server.put({ revision: before, saveId, commands }).catch(() => null);
  const current = response?.ok ? await server.fetched().catch(() => null) : null;
  if (!current) return { rest: draft.commands, unheard: { saveId, commands, isSent: true }, late: 0 };
  takeIn(current);
  return { rest: draft.commands.slice(count), unheard: null, late: current.revision === before + 1 ? count : 0 };
}
