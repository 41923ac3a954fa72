import { v4 as newId } from "uuid";
import { z } from "zod";
import { applyAll, Job, type Command } from "@/core/job";
import { draftsOf, type Drafts } from "./drafts";
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

/**
 * A save by its name, by which the server knows one that it has already. A name stands for these edits and never for others: under the
 * name of an earlier save an edit would be taken for kept.
 */
interface Attempt {
  readonly saveId: string;
  readonly commands: readonly Command[];
  /** The server may have it: it stays as it is until it is answered. */
  readonly isSent: boolean;
}

/** The save of edits that wait: the same as before where that still is theirs, else a new one of all of them; null where none wait. */
function attemptOf(waiting: readonly Command[], before: Attempt | null): Attempt | null {
  const isTheirs = before?.commands.every((command, index) => command === waiting[index]) ?? false;
  if (before && isTheirs && (before.isSent || before.commands.length === waiting.length)) return before;
  return waiting.length ? { saveId: newId(), commands: waiting, isSent: false } : null;
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
  /** The save that is next, or under way. */
  let attempt: Attempt | null = null;
  /** Edits of an earlier page that are not made here yet; null until they have been looked for. */
  let earlier: readonly Command[] | null = null;

  const soon = (delay: number) => {
    clearTimeout(timer);
    if (!stopped) timer = setTimeout(() => void flush(), delay);
  };

  /** @param isLeaving the page goes: what is to be sent is sent now */
  async function flush(isLeaving = false): Promise<void> {
    const { unsaved, revision, save } = store.getState();
    if (busy || unsaved.length === 0 || save.kind === "refused" || (earlier === null && !isLeaving)) return;
    const next = attemptOf(unsaved, attempt);
    if (next === null) return;
    busy = true;
    attempt = { ...next, isSent: true };
    hold();
    store.setState({ save: { kind: "saving" } });
    try {
      await take(await put({ revision, saveId: next.saveId, commands: next.commands }), next.commands.length);
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
    if (earlier === null) return;
    const commands = [...earlier, ...store.getState().unsaved];
    attempt = attemptOf(commands, attempt);
    void (attempt ? drafts.keep({ commands, attempt: { saveId: attempt.saveId, count: attempt.commands.length } }) : drafts.forget());
  }

  const takeIn = ({ document, revision, updatedAt }: z.infer<typeof Envelope>, words?: string) =>
    rebase(store, { job: document, revision, updatedAt }, words);

  /** The job as it is on the server; null where it gives none. */
  async function fetched(): Promise<z.infer<typeof Envelope> | null> {
    const response = await fetch(url);
    return response.ok ? Envelope.parse(await response.json()) : null;
  }

  /** What an earlier page could not save is made again on top of the job as it is. */
  async function replay(): Promise<void> {
    const draft = await drafts.read();
    earlier = draft?.commands ?? [];
    if (draft?.attempt) {
      busy = true;
      const { saveId, count } = draft.attempt;
      attempt = { saveId, commands: earlier.slice(0, count), isSent: true };
      await sendAgain(attempt).finally(() => (busy = false));
    }
    const rest = earlier;
    earlier = [];
    if (rest.length) replayDraft(store, rest);
    hold();
    if (store.getState().unsaved.length) soon(PAUSE_MS);
  }

  /**
   * The save that was next is sent under its old name before anything of it is made here: the server may have it, and what is not
   * the same when done twice, a saved state for instance, could not be made on top of it.
   */
  async function sendAgain({ saveId, commands }: Attempt): Promise<void> {
    const { revision } = store.getState();
    const response = await put({ revision, saveId, commands }).catch(() => null);
    const current = response?.ok ? await fetched().catch(() => null) : null;
    if (!current) return;
    attempt = null;
    earlier = earlier?.slice(commands.length) ?? null;
    takeIn(current);
    // It reached the server only now: the person learns that what seemed lost is there.
    if (current.revision === revision + 1) store.setState({ notice: jobWords.madeAgain(commands.length), effect: null });
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
  const flushLeaving = () => void flush(true);
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
  window.addEventListener("pagehide", flushLeaving);
  window.addEventListener("beforeunload", beforeLeaving);
  return () => {
    flushLeaving();
    stopped = true;
    clearTimeout(timer);
    unsubscribe();
    channel.close();
    window.removeEventListener("online", flushNow);
    window.removeEventListener("pagehide", flushLeaving);
    window.removeEventListener("beforeunload", beforeLeaving);
  };
}
