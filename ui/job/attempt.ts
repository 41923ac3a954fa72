import { v4 as newId } from "uuid";
import type { Command } from "@/core/job";

/**
 * A save by its name, by which the server knows one that it has already. A name stands for these edits and never for others: under the
 * name of an earlier save an edit would be taken for kept.
 */
export interface Attempt {
  readonly saveId: string;
  readonly commands: readonly Command[];
  /** The server may have it: it stays as it is until it is answered. */
  readonly isSent: boolean;
}

/** The save of edits that wait: the same as before where that still is theirs, else a new one of all of them; null where none wait. */
export function attemptOf(waiting: readonly Command[], before: Attempt | null): Attempt | null {
  const isTheirs = before?.commands.every((command, index) => command === waiting[index]) ?? false;
  if (before && isTheirs && (before.isSent || before.commands.length === waiting.length)) return before;
  return waiting.length ? { saveId: newId(), commands: waiting, isSent: false } : null;
}
