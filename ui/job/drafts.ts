import { createStore, get, update, type UseStore } from "idb-keyval";
import { v4 as newId } from "uuid";
import { z } from "zod";
import { Command } from "@/core/job";
import { STORED_VERSION } from "@/core/versions";
import { claim, showThatAlive } from "./live-pages";

/** Edits that the server does not have yet. */
const Draft = z.object({
  commands: z.array(Command).max(2000),
  /** The save of the first so many of them: once it is sent the server may have it, and knows it by its name. */
  attempt: z.object({ saveId: z.uuid(), count: z.number().int().min(1), isSent: z.boolean().default(true) }).nullable(),
});
export type Draft = z.infer<typeof Draft>;

/** A draft of a page that is gone. */
export interface LeftDraft extends Draft {
  readonly page: string;
}

/** The same as the browser keeps them, with the version of the program that did. */
const KeptDraft = z.object({ version: z.number().default(1), commands: z.array(z.unknown()), attempt: z.unknown() });
/** The drafts of a job, by the page that holds them. */
type KeptDrafts = Readonly<Record<string, unknown>>;

/** A draft as this program understands it; null where it does not. */
async function readDraft(kept: unknown): Promise<Draft | null> {
  const outline = KeptDraft.safeParse(kept);
  if (!outline.success) return null;
  const { version, commands, attempt } = outline.data;
  const isOlder = version !== STORED_VERSION;
  const lifted = isOlder ? (await import("./older-commands")).readCommands(version, commands) : commands;
  const read = Draft.safeParse({ commands: lifted, attempt });
  return read.success ? read.data : null;
}

/** All that is kept of a job; older programs kept one draft for all of its pages. */
const byPage = (kept: unknown): KeptDrafts => {
  if (KeptDraft.safeParse(kept).success) return { earlier: kept };
  return kept !== null && typeof kept === "object" ? { ...kept } : {};
};

/** Where a page holds its drafts; a browser without a store for them keeps none, and the page still works. */
export interface Drafts {
  /** Holds what this page has not saved, in place of what it held; null: all is saved. What it took over of other pages is let go in the same step. */
  readonly hold: (draft: Draft | null, takenOver: readonly string[]) => Promise<void>;
  /**
   * What pages left that are gone, the oldest first. It is this page's from now on: no other that is there is given it.
   * @param whenMore is called when a page is gone that was still there
   */
  readonly left: (whenMore: () => void) => Promise<readonly LeftDraft[]>;
  /** The save of a draft that another page left is on its way: from now on the server may have it. */
  readonly sending: (left: LeftDraft) => Promise<void>;
  /** This page holds no more: what it still has is left to others. */
  readonly close: () => void;
}

let shared: UseStore | undefined;
const store = () => (shared ??= createStore("octachord-drafts", "edits"));

async function quietly<Value>(work: () => Promise<Value>, otherwise: Value): Promise<Value> {
  try {
    return await work();
  } catch {
    return otherwise;
  }
}

/** A page that is gone may seem to be there so long, and is waited for: after it come the edits of the page that took its place. */
const ENDING_MS = 1000;

/** The drafts of one job in the browser's own database, for a page of it. What no longer reads, of an older program, is given up. */
export function draftsOf(job: string): Drafts {
  const page = newId();
  const end = showThatAlive(page);
  const ended = new AbortController();
  const awaited = new Set<string>();
  const taken = new Set<string>();
  /** Takes the place of another page; where that is still there, what is given is called, once, as soon as it could. */
  const takePlace = async (other: string, whenMore: () => void): Promise<void> => {
    if (awaited.has(other)) return;
    awaited.add(other);
    const place = claim(other, ended.signal).then(() => void taken.add(other));
    await Promise.race([place, new Promise((resolve) => setTimeout(resolve, ENDING_MS))]);
    if (!taken.has(other)) place.then(whenMore, () => undefined);
  };
  /** What other pages hold. */
  const ofOthers = async (): Promise<readonly LeftDraft[]> => {
    const found: LeftDraft[] = [];
    for (const [id, kept] of Object.entries(byPage(await get<KeptDrafts>(job, store())))) {
      const draft = id === page ? null : await readDraft(kept);
      if (draft?.commands.length) found.push({ ...draft, page: id });
    }
    return found;
  };
  const change = (by: (drafts: KeptDrafts) => KeptDrafts) =>
    quietly(() => update<KeptDrafts>(job, (kept) => by(byPage(kept)), store()), undefined);
  const written = (draft: Draft) => ({ ...draft, version: STORED_VERSION });
  return {
    hold: (draft, takenOver) =>
      change((drafts) => {
        const others = Object.entries(drafts).filter(([id]) => id !== page && !takenOver.includes(id));
        return Object.fromEntries(draft ? [...others, [page, written(draft)]] : others);
      }),
    left: (whenMore) =>
      quietly(async () => {
        const before = await ofOthers();
        if (before.length === 0) return [];
        await Promise.all(before.map((draft) => takePlace(draft.page, whenMore)));
        // Only what it holds at its end counts: it may have saved until then.
        return (await ofOthers()).filter((draft) => taken.has(draft.page));
      }, []),
    sending: ({ page: id, commands, attempt }) =>
      change((drafts) =>
        id in drafts ? { ...drafts, [id]: written({ commands, attempt: attempt && { ...attempt, isSent: true } }) } : drafts,
      ),
    close: () => {
      ended.abort();
      end();
    },
  };
}
