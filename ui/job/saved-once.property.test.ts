import fc from "fast-check";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { applyCommand, emptyJob, type Command, type Job } from "@/core/job";
import { someWays, type Way } from "@/demo/lossy-network-under-test";
import { tries } from "@/demo/tries-under-test";
import type { Draft } from "./drafts";
import { startSaving } from "./job-saver";
import { createJobStore, edit, type JobStore } from "./job-store";

interface Sent {
  readonly revision: number;
  readonly saveId: string;
  readonly commands: readonly Command[];
}

/** What happens, in one of two windows of the job. */
type Step =
  | { readonly do: "edit" | "load again" | "close"; readonly at: number }
  | { readonly do: "wait"; readonly ms: number }
  | { readonly do: "ways"; readonly ways: readonly Way[] };

const WINDOWS = 2;
const at = fc.nat({ max: WINDOWS - 1 });
const step: fc.Arbitrary<Step> = fc.oneof(
  { weight: 4, arbitrary: at.map((one): Step => ({ do: "edit", at: one })) },
  { weight: 3, arbitrary: fc.constantFrom(0, 1, 100, 260, 2000).map((ms): Step => ({ do: "wait", ms })) },
  { weight: 2, arbitrary: at.map((one): Step => ({ do: "load again", at: one })) },
  { weight: 1, arbitrary: at.map((one): Step => ({ do: "close", at: one })) },
  { weight: 2, arbitrary: someWays.map((ways): Step => ({ do: "ways", ways })) },
);

const AT = "2026-11-24T10:00:00Z";
const SLOW_MS = 40;
/** So long a page that was closed seems to be there to others, and so long they wait for that at first. */
const ENDING_MS = 60;
const GRACE_MS = 1000;

/** A page of the job in a window. */
interface Page {
  readonly name: string;
  readonly store: JobStore;
  readonly window: EventTarget;
  readonly stop: () => void;
}

/** A server that knows saves by their names, as ours does, and a browser that holds drafts by the page, with pages that come and go. */
class World {
  job: Job = emptyJob("Once");
  revision = 1;
  readonly kept: Command[] = [];
  private readonly saves = new Set<string>();
  private readonly drafts = new Map<string, Draft>();
  /** Who took the place of a page that is gone. */
  private readonly claims = new Map<string, string>();
  /** Pages that were closed a moment ago. */
  private readonly ending = new Set<string>();
  private ways: Way[] = [];
  private readonly windows: (Page | null)[] = [null, null];
  private pages = 0;
  /** Which of the lines of edits a window is at; null: none yet. */
  private readonly lines: (number | null)[] = [null, null];
  /** What was edited in a window from its opening to its closing, in its order, however often it was loaded again. */
  readonly made: string[][] = [];

  constructor() {
    vi.stubGlobal("fetch", (_url: string, init?: RequestInit) => this.answer(init));
    vi.stubGlobal("BroadcastChannel", Deaf);
  }

  private isAlive = (name: string) => this.windows.some((page) => page?.name === name);
  private seemsAlive = (name: string) => this.isAlive(name) || this.ending.has(name);
  /** Whoever waits for the end of a page. */
  private readonly waiting = new Map<string, Set<() => void>>();

  open(place: number): void {
    const name = `page ${(this.pages += 1)}`;
    const window = new EventTarget();
    vi.stubGlobal("window", window);
    const store = createJobStore({ id: "one", job: this.job, revision: this.revision, updatedAt: AT });
    this.windows[place] = { name, store, window, stop: () => undefined };
    const stop = startSaving(store, {
      hold: (draft, takenOver) => {
        if (!this.isAlive(name)) return Promise.resolve();
        for (const other of takenOver) this.drafts.delete(other);
        if (draft) this.drafts.set(name, structuredClone(draft));
        else this.drafts.delete(name);
        return Promise.resolve();
      },
      left: async (whenMore) => {
        const others = () => [...this.drafts].filter(([page]) => page !== name);
        const holder = (page: string) => (this.seemsAlive(page) ? page : (this.claims.get(page) ?? page));
        const isFree = (page: string) => holder(page) === name || !this.seemsAlive(holder(page));
        const isAnyoneThere = () => others().some(([page]) => !isFree(page));
        if (isAnyoneThere()) await new Promise((resolve) => setTimeout(resolve, GRACE_MS));
        const found = others().filter(([page]) => isFree(page));
        for (const [page] of found) this.claims.set(page, name);
        for (const [page] of others()) if (!isFree(page)) this.await(holder(page), whenMore);
        return found.map(([page, draft]) => ({ ...structuredClone(draft), page }));
      },
      sending: ({ page, commands, attempt }) => {
        if (this.drafts.has(page)) this.drafts.set(page, structuredClone({ commands, attempt: attempt && { ...attempt, isSent: true } }));
        return Promise.resolve();
      },
      close: () => undefined,
    });
    this.windows[place] = { name, store, window, stop };
  }

  /** The page goes: what it sends while it does is on its way, and it holds nothing more. */
  close(place: number): void {
    const page = this.windows[place];
    if (!page) return;
    vi.stubGlobal("window", page.window);
    page.window.dispatchEvent(new Event("pagehide"));
    this.windows[place] = null;
    page.stop();
    this.ending.add(page.name);
    setTimeout(() => {
      this.ending.delete(page.name);
      for (const call of this.waiting.get(page.name) ?? []) call();
    }, ENDING_MS);
  }

  private await(page: string, call: () => void): void {
    this.waiting.set(page, (this.waiting.get(page) ?? new Set()).add(call));
  }

  async take(one: Step): Promise<void> {
    if (one.do === "wait") return void (await vi.advanceTimersByTimeAsync(one.ms));
    if (one.do === "ways") return void (this.ways = [...one.ways]);
    if (one.do === "close" || one.do === "load again") this.close(one.at);
    // What a closed window left may be taken over by the other, and then it comes when that is heard.
    if (one.do === "close") this.lines[one.at] = null;
    if (one.do === "load again") this.open(one.at);
    const page = this.windows[one.at];
    if (one.do !== "edit" || !page) return;
    const line = (this.lines[one.at] ??= this.made.push([]) - 1);
    const customer = `line ${line}, edit ${(this.made[line]?.length ?? 0) + 1}`;
    this.made[line]?.push(customer);
    edit(page.store, { kind: "edit-job", fields: { customer } });
  }

  /** The network is there again, everything has its time, and the job is opened once more. */
  async settle(): Promise<readonly string[]> {
    this.ways = [];
    await vi.advanceTimersByTimeAsync(120_000);
    this.windows.forEach((_, place) => this.close(place));
    this.open(0);
    await vi.advanceTimersByTimeAsync(120_000);
    expect(this.windows[0]?.store.getState().unsaved).toEqual([]);
    expect([...this.drafts.values()]).toEqual([]);
    return this.kept.map((command) => (command.kind === "edit-job" ? (command.fields.customer ?? "") : command.kind));
  }

  end(): void {
    this.windows.forEach((_, place) => this.close(place));
  }

  private async answer(init: RequestInit | undefined): Promise<Response> {
    const heard = async (response: Response | null) => {
      await new Promise((resolve) => setTimeout(resolve, SLOW_MS));
      if (response) return response;
      throw new TypeError("network");
    };
    const current = () => ({ revision: this.revision, updatedAt: AT, document: this.job });
    if (init?.method !== "PUT") return heard(Response.json(current()));
    const goes = this.ways.shift() ?? "answered";
    if (goes === "never comes") return heard(null);
    const { revision, saveId, commands } = JSON.parse(String(init.body)) as Sent;
    if (!this.saves.has(saveId)) {
      if (revision !== this.revision) return heard(goes === "answered" ? Response.json({ current: current() }, { status: 409 }) : null);
      for (const command of commands) {
        const applied = applyCommand(this.job, command);
        if (applied.ok) this.job = applied.value.job;
      }
      this.kept.push(...commands);
      this.saves.add(saveId);
      this.revision += 1;
    }
    return heard(goes === "answered" ? Response.json({ revision: this.revision, updatedAt: AT }) : null);
  }
}

/** Windows that hear nothing of each other: each learns of the other's saves from the server alone. */
class Deaf {
  onmessage: unknown = null;
  postMessage(): void {}
  close(): void {}
}

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** Plays what happens in so many windows, then opens the job once more; gives what was edited and what the server keeps. */
async function played(steps: readonly Step[]) {
  const world = new World();
  world.open(0);
  try {
    await vi.advanceTimersByTimeAsync(1);
    for (const one of steps) await world.take(one);
    return { kept: await world.settle(), made: world.made };
  } finally {
    world.end();
  }
}

test("whatever saves and answers are lost and whenever its window loads again, every edit is kept, once and in its order", async () => {
  const inOne = fc.array(
    step.filter((one) => !("at" in one) || one.at === 0),
    { maxLength: 16 },
  );
  await fc.assert(
    fc.asyncProperty(inOne, async (steps) => {
      const { kept, made } = await played(steps);
      expect(kept).toEqual(made.flat());
    }),
    tries(300, 5000, 41),
  );
});

test("of two windows, however they are closed or load again, every edit is kept, and none twice", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 16 }), async (steps) => {
      const { kept, made } = await played(steps);
      expect(kept.toSorted()).toEqual(made.flat().toSorted());
    }),
    tries(300, 5000, 43),
  );
});
