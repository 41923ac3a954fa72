import { z } from "zod";
import { applyAll, Job } from "@/core/job";
import { rebase, type JobStore } from "./job-store";
import { jobWords } from "@/ui/words";

const Envelope = z.object({ revision: z.number(), updatedAt: z.string(), document: Job });
const Saved = z.object({ revision: z.number(), updatedAt: z.string() });
const Stale = z.object({ current: Envelope });
const Told = z.object({ detail: z.string() });

const PAUSE_MS = 250;
const RETRY_MS = 3000;

/**
 * Keeps the server in step with the open job: saves by itself a moment after an edit, tries again when the network is away,
 * replays edits when another window was faster, and tells other windows. Returns what stops it.
 */
export function startSaving(store: JobStore): () => void {
  const { id } = store.getState();
  const url = `/api/jobs/${id}`;
  const channel = new BroadcastChannel(`octachord-job-${id}`);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let busy = false;
  let stopped = false;
  /** One try of one save keeps its name, so that a lost answer does not double it. */
  let attempt: { saveId: string; count: number; revision: number } | null = null;

  const soon = (delay: number) => {
    clearTimeout(timer);
    if (!stopped) timer = setTimeout(() => void flush(), delay);
  };

  async function flush(): Promise<void> {
    const { unsaved, revision } = store.getState();
    if (busy || unsaved.length === 0) return;
    busy = true;
    if (attempt?.revision !== revision) attempt = { saveId: crypto.randomUUID(), count: unsaved.length, revision };
    const { saveId, count } = attempt;
    store.setState({ save: { kind: "saving" } });
    try {
      const body = JSON.stringify({ revision, saveId, commands: unsaved.slice(0, count) });
      const response = await fetch(url, {
        method: "PUT",
        body,
        headers: { "Content-Type": "application/json" },
        keepalive: body.length < 60_000,
      });
      await take(response, count);
    } catch {
      store.setState({ save: { kind: "waiting", why: jobWords.serverAway } });
      soon(RETRY_MS);
    } finally {
      busy = false;
    }
  }

  async function take(response: Response, count: number): Promise<void> {
    const answer: unknown = await response.json();
    if (response.ok) {
      const { revision, updatedAt } = Saved.parse(answer);
      const { base, unsaved } = store.getState();
      const rest = unsaved.slice(count);
      // The server made them on the same job, so they can be made here.
      const saved = applyAll(base, unsaved.slice(0, count));
      store.setState({
        base: saved.ok ? saved.value : base,
        revision,
        unsaved: rest,
        save: rest.length ? { kind: "saving" } : { kind: "saved", at: updatedAt },
      });
      channel.postMessage({ revision });
      if (rest.length) soon(0);
    } else if (response.status === 409) {
      const { current } = Stale.parse(answer);
      rebase(store, { job: current.document, revision: current.revision, updatedAt: current.updatedAt });
      soon(0);
    } else if (response.status >= 500) {
      throw new Error(jobWords.notNow);
    } else {
      const told = Told.safeParse(answer);
      store.setState({ save: { kind: "waiting", why: told.success ? told.data.detail : jobWords.saveRefused } });
    }
  }

  async function catchUp(revision: number): Promise<void> {
    const state = store.getState();
    // With edits of our own waiting, the next save meets the newer revision and replays them.
    if (revision <= state.revision || state.unsaved.length > 0 || busy) return;
    const response = await fetch(url);
    if (!response.ok) return;
    const current = Envelope.parse(await response.json());
    if (store.getState().unsaved.length === 0 && current.revision > store.getState().revision) {
      rebase(store, { job: current.document, revision: current.revision, updatedAt: current.updatedAt });
    }
  }

  channel.onmessage = (event: MessageEvent<unknown>) => {
    const told = z.object({ revision: z.number() }).safeParse(event.data);
    if (told.success) void catchUp(told.data.revision).catch(() => undefined);
  };
  const flushNow = () => void flush();
  const unsubscribe = store.subscribe((state, before) => {
    if (state.unsaved !== before.unsaved && state.unsaved.length > before.unsaved.length) soon(PAUSE_MS);
  });
  // The page may have come out of the browser's memory while the job went on elsewhere.
  void catchUp(Number.POSITIVE_INFINITY).catch(() => undefined);
  window.addEventListener("online", flushNow);
  window.addEventListener("pagehide", flushNow);
  return () => {
    flushNow();
    stopped = true;
    clearTimeout(timer);
    unsubscribe();
    channel.close();
    window.removeEventListener("online", flushNow);
    window.removeEventListener("pagehide", flushNow);
  };
}
