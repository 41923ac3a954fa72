import { z } from "zod";
import { applyAll } from "@/core/job";
import { attemptOf, type Attempt } from "./attempt";
import { draftsOf, type Drafts } from "./drafts";
import { Envelope, serverOf } from "./job-server";
import { rebase, replayDraft, type JobStore } from "./job-store";
import { takeOver } from "./take-over";
import { jobWords } from "@/ui/words";

const Saved = z.object({ revision: z.number(), updatedAt: z.string() });
const Stale = z.object({ current: Envelope });
const Told = z.object({ detail: z.string() });
/** What windows of one job tell each other: its revision on the server, and what the change was if it was no edit of another window. */
const News = z.object({ revision: z.number(), words: z.string().optional() });
type News = z.infer<typeof News>;
/** A page that was just opened may have come out of the browser's memory while the job went on elsewhere. */
const MAYBE_NEWS: News = { revision: Number.POSITIVE_INFINITY };

const PAUSE_MS = 250;
/** The first wait for a server that is away; each try after that waits twice as long, up to the longest. */
const FIRST_RETRY_MS = 1000;
const LONGEST_RETRY_MS = 30_000;

/** The server answers, and cannot keep anything now: its disk is full, for instance. */
class ServerTrouble extends Error {}

/**
 * Keeps the server in step with the open job: saves by itself a moment after an edit, tries again when the network is away,
 * replays edits when another window was faster, and tells other windows. What is not saved is held by the browser too, so that a closed
 * window or a crashed page loses nothing. Returns what stops it.
 */
export function startSaving(store: JobStore, drafts: Drafts = draftsOf(store.getState().id)): () => void {
  const { id } = store.getState();
  const server = serverOf(id);
  let tries = 0;
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
  /** There may be more of it: it is looked for once nothing waits here. */
  let isMoreLeft = false;
  /** The pages whose edits were taken over. */
  const takenOver: string[] = [];
  /** The last news that was not looked into yet. */
  let news: News | null = MAYBE_NEWS;

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
      await take(await server.put({ revision, saveId, commands }), commands.length);
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
      goOn();
    }
  }

  /** What waited until nothing was on its way and nothing is to be saved. */
  function goOn(): void {
    if (busy || stopped || store.getState().unsaved.length > 0) return;
    if (isMoreLeft) void replay();
    else if (news) void catchUp(news).catch(() => undefined);
  }

  async function take(response: Response, count: number): Promise<void> {
    const answer: unknown = await response.json();
    if (response.ok) {
      // Other pages may have been closed while it was away.
      isMoreLeft ||= tries > 0;
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
        keptAt: updatedAt,
        unsaved: rest,
        save: { kind: rest.length ? "saving" : "saved" },
      });
      channel.postMessage({ revision });
      // An earlier try was accepted, its answer lost, and the job went on since: the newest is fetched, with the others' edits.
      const current = revision === before + 1 ? null : await server.fetched();
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

  /**
   * The browser holds what the server does not have, with the name of its save: a later page that sends it again does not double it.
   * A page that is ready may send it while it goes, and then there is no time to note that: it is noted as sent before.
   */
  function hold(): void {
    const commands = [...store.getState().unsaved];
    attempt = attemptOf(commands, attempt);
    const draft = attempt && {
      commands,
      attempt: { saveId: attempt.saveId, count: attempt.commands.length, isSent: attempt.isSent || isReady },
    };
    void drafts.hold(draft, takenOver);
  }

  const takeIn = ({ document, revision, updatedAt }: Envelope, words?: string) =>
    rebase(store, { job: document, revision, updatedAt }, words);

  /**
   * What pages that are gone could not save is made again on top of the job as it is. Where the server is away, what it may have waits under
   * its name: only one save can be the next.
   */
  async function replay(): Promise<void> {
    isMoreLeft = true;
    if (busy || stopped) return;
    busy = true;
    isMoreLeft = false;
    const left = (await drafts.left(() => void replay())).filter(({ page }) => !takenOver.includes(page));
    // Until all of it is here nothing is said to be saved.
    const saving = () => store.setState({ save: { kind: "saving" } });
    if (left.length) saving();
    const taken = await takeOver(left, {
      server,
      drafts,
      revision: () => store.getState().revision,
      takeIn: (current) => {
        takeIn(current);
        saving();
      },
      isStopped: () => stopped,
    }).finally(() => (busy = false));
    if (!taken) return;
    // Only now is all of it here: until then a page that goes leaves it where it was.
    takenOver.push(...taken.pages);
    attempt = taken.unheard ?? attempt;
    isMoreLeft ||= taken.isMoreLeft;
    if (taken.commands.length || taken.late) replayDraft(store, taken.commands, taken.late);
    isReady = true;
    hold();
    if (store.getState().unsaved.length) soon(PAUSE_MS);
    else if (left.length) store.setState({ save: { kind: "saved" } });
    goOn();
  }

  /** Another window saved, or something else did: the job is fetched, unless edits wait here, whose save meets the newer revision. */
  async function catchUp(told: News): Promise<void> {
    news = told;
    if (busy || store.getState().unsaved.length > 0) return;
    news = null;
    if (told.revision <= store.getState().revision) return;
    const current = await server.fetched();
    const { unsaved, revision } = store.getState();
    if (current && unsaved.length === 0 && current.revision > revision) takeIn(current, told.words);
  }

  channel.onmessage = (event: MessageEvent<unknown>) => {
    const told = News.safeParse(event.data);
    if (told.success) void catchUp(told.data).catch(() => undefined);
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
