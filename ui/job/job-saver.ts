import { z } from "zod";
import { applyAll, Job, type Command } from "@/core/job";
import { attemptOf, type Attempt } from "./attempt";
import { draftsOf, type Drafts, type LeftDraft } from "./drafts";
import { rebase, replayDraft, type JobStore } from "./job-store";
import { jobWords } from "@/ui/words";

const Envelope = z.object({ revision: z.number(), updatedAt: z.string(), document: Job });
const Saved = z.object({ revision: z.number(), updatedAt: z.string() });
const Stale = z.object({ current: Envelope });
const Told = z.object({ detail: z.string() });
/** What windows of one job tell each other: its revision on the server, and what the change was if it was no edit of another window. */
const News = z.object({ revision: z.number(), words: z.string().optional() });

const PAUSE_MS = 250;
/** The first wait for a server that is away; each try after that waits twice as long, up to the longest. */
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;

/** The server answers, and cannot keep anything now: its disk is full, for instance. */
class ServerTrouble extends Error {}

/** What is left to be made of a draft, and its save where nothing was heard of that. */
interface SentAgain {
  readonly rest: readonly Command[];
  readonly attempt: Attempt | null;
}

/**
 * Keeps the server in step with the open job: saves by itself a moment after an edit, tries again when the network is away,
 * replays edits when another window was faster, and tells other windows. What is not saved is held by the browser too, so that a closed
 * window or a crashed page loses nothing. Returns what stops it.
 */
export function startSaving(store: JobStore, drafts: Drafts = draftsOf(store.getState().id)): () => void {
  const { id } = store.getState();
  let tries = 0;
  const url = `/api/jobs/${id}`;
  const channel = new BroadcastChannel(`octachord-job-${id}`);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;
  let stopped = false;
  /** The last trouble of the server that was shown; null while all is well. */
  let told: string | null = null;
  /** The save that is next, or under way; null: nothing waits. */
  let attempt: Attempt | null = null;
  /** What other pages left has been looked for. */
  let isReady = false;
  /** Some of it waits until the server answers. */
  let isMoreLeft = false;
  /** The pages whose edits were taken over. */
  const takenOver: string[] = [];

  const soon = (delay: number) => {
    clearTimeout(timer);
    if (!stopped) timer = setTimeout(() => void flush(), delay);
  };

  async function flush(): Promise<void> {
    const { revision, save } = store.getState();
    if (busy || attempt === null || save.kind === "refused" || !isReady) return;
    busy = true;
    const { saveId, commands } = (attempt = { ...attempt, isSent: true });
    hold();
    store.setState({ save: { kind: "saving" } });
    try {
      await take(await put({ revision, saveId, commands }), commands.length);
    } catch (error) {
      const why = error instanceof ServerTrouble ? error.message : jobWords.serverAway;
      // What the server says of itself, a full disk for instance, is shown once, in its own words.
      const isNews = error instanceof ServerTrouble && told !== why;
      told = why;
      store.setState({ save: { kind: "away", why }, ...(isNews ? { notice: why } : {}) });
      soon(Math.min(LONGEST_RETRY_MS, FIRST_RETRY_MS * 2 ** tries));
      tries += 1;
    } finally {
      busy = false;
      if (isMoreLeft && store.getState().unsaved.length === 0) void replay();
    }
  }

  function put(save: { readonly revision: number; readonly saveId: string; readonly commands: readonly Command[] }): Promise<Response> {
    const body = JSON.stringify(save);
    return fetch(url, { method: "PUT", body, headers: { "Content-Type": "application/json" }, keepalive: body.length < 60_000 });
  }

  async function take(response: Response, count: number): Promise<void> {
    const answer: unknown = await response.json();
    if (response.ok) {
      tries = 0;
      told = null;
      const { revision, updatedAt } = Saved.parse(answer);
      const { base, unsaved, revision: before } = store.getState();
      const rest = unsaved.slice(count);
      attempt = null;
      // The server made them on the same job, so they can be made here.
      const saved = applyAll(base, unsaved.slice(0, count));
      store.setState({
        base: saved.ok ? saved.value : base,
        revision,
        unsaved: rest,
        save: rest.length ? { kind: "saving" } : { kind: "saved", at: updatedAt },
      });
      channel.postMessage({ revision });
      // An earlier try was accepted, its answer lost, and the job went on since: the newest is fetched, with the others' edits.
      const current = revision === before + 1 ? null : await fetched();
      if (current) takeIn(current);
      if (rest.length) soon(0);
    } else if (response.status === 409) {
      const { current } = Stale.parse(answer);
      attempt = null;
      takeIn(current);
      soon(0);
    } else if (response.status >= 500) {
      const told = Told.safeParse(answer);
      throw new ServerTrouble(told.success ? told.data.detail : jobWords.serverAway);
    } else {
      const told = Told.safeParse(answer);
      const detail = told.success ? told.data.detail : jobWords.saveRefused;
      const why = response.status === 404 ? jobWords.inTheBin : response.status === 401 ? jobWords.signedOut : detail;
      store.setState({ save: { kind: "refused", why }, notice: why });
    }
  }

  /** The browser holds what the server does not have, with the name of its save: a later page that sends it again does not double it. */
  function hold(): void {
    const commands = [...store.getState().unsaved];
    attempt = attemptOf(commands, attempt);
    const draft = attempt && { commands, attempt: { saveId: attempt.saveId, count: attempt.commands.length, isSent: attempt.isSent } };
    void drafts.hold(draft, takenOver);
  }

  const takeIn = ({ document, revision, updatedAt }: z.infer<typeof Envelope>, words?: string) =>
    rebase(store, { job: document, revision, updatedAt }, words);

  /** The job as it is on the server; null where it gives none. */
  async function fetched(): Promise<z.infer<typeof Envelope> | null> {
    const response = await fetch(url);
    return response.ok ? Envelope.parse(await response.json()) : null;
  }

  /**
   * What pages that are gone could not save is made again on top of the job as it is. Where the server is away, what it may have waits under
   * its name: only one save can be the next.
   */
  async function replay(): Promise<void> {
    const left = (await drafts.left()).filter(({ page }) => !takenOver.includes(page));
    isMoreLeft = left.length > 0 && busy;
    if (!busy) {
      busy = true;
      await takeOver(left).finally(() => (busy = false));
    }
    isReady = true;
    if (store.getState().unsaved.length) soon(PAUSE_MS);
  }

  async function takeOver(left: readonly LeftDraft[]): Promise<void> {
    const [made, pages]: [Command[], string[]] = [[], []];
    let unheard: Attempt | null = null;
    for (const draft of left) {
      const isSent = draft.attempt?.isSent ?? false;
      isMoreLeft ||= isSent && unheard !== null;
      if (isSent && unheard) continue;
      // What the server cannot have comes after what was edited before it.
      const sent: SentAgain = !isSent && (unheard || made.length) ? { rest: draft.commands, attempt: null } : await sentAgain(draft);
      unheard ??= sent.attempt;
      // What is not heard of goes first: it is the save that is next.
      if (sent.attempt) made.unshift(...sent.rest);
      else made.push(...sent.rest);
      pages.push(draft.page);
      // Another page takes it over.
      if (stopped) return;
    }
    // Only now is all of it here: until then a page that goes leaves it where it was.
    takenOver.push(...pages);
    attempt = unheard ?? attempt;
    if (made.length) replayDraft(store, made);
    hold();
  }

  /**
   * The save that was next is sent under its old name before anything of it is made here: the server may have it, and what is not
   * the same when done twice, a saved state for instance, could not be made on top of it.
   */
  async function sentAgain(draft: LeftDraft): Promise<SentAgain> {
    if (!draft.attempt) return { rest: draft.commands, attempt: null };
    if (!draft.attempt.isSent) void drafts.sending(draft);
    const { saveId, count } = draft.attempt;
    const commands = draft.commands.slice(0, count);
    const { revision } = store.getState();
    const response = await put({ revision, saveId, commands }).catch(() => null);
    const current = response?.ok ? await fetched().catch(() => null) : null;
    if (!current) return { rest: draft.commands, attempt: { saveId, commands, isSent: true } };
    takeIn(current);
    // It reached the server only now: the person learns that what seemed lost is there.
    if (current.revision === revision + 1) store.setState({ notice: jobWords.madeAgain(commands.length), effect: null });
    return { rest: draft.commands.slice(count), attempt: null };
  }

  async function catchUp(revision: number, words?: string): Promise<void> {
    const state = store.getState();
    // With edits of our own waiting, the next save meets the newer revision and replays them.
    if (revision <= state.revision || state.unsaved.length > 0 || busy) return;
    const current = await fetched();
    if (current && store.getState().unsaved.length === 0 && current.revision > store.getState().revision) takeIn(current, words);
  }

  channel.onmessage = (event: MessageEvent<unknown>) => {
    const told = News.safeParse(event.data);
    if (told.success) void catchUp(told.data.revision, told.data.words).catch(() => undefined);
  };
  const flushNow = () => void flush();
  const unsubscribe = store.subscribe((state, before) => {
    if (state.unsaved === before.unsaved) return;
    if (state.unsaved.length > before.unsaved.length) soon(PAUSE_MS);
    hold();
  });
  // The browser asks before a window is closed only while something is truly not saved.
  const beforeLeaving = (event: Event) => {
    if (store.getState().unsaved.length > 0) event.preventDefault();
  };
  void replay();
  // The page may have come out of the browser's memory while the job went on elsewhere.
  void catchUp(Number.POSITIVE_INFINITY).catch(() => undefined);
  window.addEventListener("online", flushNow);
  window.addEventListener("pagehide", flushNow);
  window.addEventListener("beforeunload", beforeLeaving);
  return () => {
    flushNow();
    drafts.close();
    stopped = true;
    clearTimeout(timer);
    unsubscribe();
    channel.close();
    window.removeEventListener("online", flushNow);
    window.removeEventListener("pagehide", flushNow);
    window.removeEventListener("beforeunload", beforeLeaving);
  };
}
