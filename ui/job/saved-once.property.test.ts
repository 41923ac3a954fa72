import fc from "fast-check";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { applyCommand, emptyJob, type Command, type Job } from "@/core/job";
import { tries } from "@/demo/tries-under-test";
import type { Draft } from "./drafts";
import { startSaving } from "./job-saver";
import { createJobStore, edit, type JobStore } from "./job-store";

interface Sent {
  readonly revision: number;
  readonly saveId: string;
  readonly commands: readonly Command[];
}

/** What becomes of a save on its way: it is answered, never comes, or comes and its answer is lost. */
type Way = "answered" | "never comes" | "answer lost";
type Step =
  | { readonly do: "edit" }
  | { readonly do: "wait"; readonly ms: number }
  | { readonly do: "load again" }
  | { readonly do: "ways"; readonly ways: readonly Way[] };

const way = fc.constantFrom<Way>("answered", "never comes", "answer lost");
const step: fc.Arbitrary<Step> = fc.oneof(
  { weight: 4, arbitrary: fc.constant<Step>({ do: "edit" }) },
  { weight: 3, arbitrary: fc.constantFrom(0, 1, 100, 260, 2000).map((ms): Step => ({ do: "wait", ms })) },
  { weight: 2, arbitrary: fc.constant<Step>({ do: "load again" }) },
  { weight: 2, arbitrary: fc.array(way, { minLength: 1, maxLength: 3 }).map((ways): Step => ({ do: "ways", ways })) },
);

const AT = "2026-11-24T10:00:00Z";
const SLOW_MS = 40;

/** A server that knows saves by their names, as ours does, and a browser that keeps drafts, with pages that come and go. */
class World {
  job: Job = emptyJob("Once");
  revision = 1;
  readonly kept: Command[] = [];
  private readonly saves = new Set<string>();
  private draft: Draft | null = null;
  private ways: Way[] = [];
  private page = 0;
  private store: JobStore | null = null;
  private stop: () => void = () => undefined;
  private edits = 0;

  open(): void {
    const own = (this.page += 1);
    const isAlive = () => own === this.page;
    vi.stubGlobal("window", new EventTarget());
    vi.stubGlobal("fetch", (_url: string, init?: RequestInit) => this.answer(init, isAlive));
    this.store = createJobStore({ id: "one", job: this.job, revision: this.revision, updatedAt: AT });
    this.stop = startSaving(this.store, {
      keep: (draft) => Promise.resolve(void (isAlive() && (this.draft = structuredClone(draft)))),
      read: () => Promise.resolve(structuredClone(this.draft)),
      forget: () => Promise.resolve(void (isAlive() && (this.draft = null))),
    });
  }

  /** The page goes: what it sends while it does is on its way, and it hears and keeps nothing more. */
  leave(): void {
    window.dispatchEvent(new Event("pagehide"));
    this.page += 1;
    this.stop();
  }

  async take(one: Step): Promise<void> {
    if (one.do === "wait") await vi.advanceTimersByTimeAsync(one.ms);
    if (one.do === "ways") this.ways = [...one.ways];
    if (one.do === "edit" && this.store) edit(this.store, { kind: "edit-job", fields: { customer: `edit ${(this.edits += 1)}` } });
    if (one.do === "load again") {
      this.leave();
      await vi.advanceTimersByTimeAsync(1);
      this.open();
    }
  }

  /** The network is there again, and everything has its time. */
  async settle(): Promise<{ readonly made: readonly string[]; readonly kept: readonly string[]; readonly isSaved: boolean }> {
    this.ways = [];
    await vi.advanceTimersByTimeAsync(120_000);
    this.leave();
    this.open();
    await vi.advanceTimersByTimeAsync(120_000);
    const { unsaved, job } = this.store?.getState() ?? { unsaved: [], job: this.job };
    return {
      made: Array.from({ length: this.edits }, (_, index) => `edit ${index + 1}`),
      kept: this.kept.map((command) => (command.kind === "edit-job" ? (command.fields.customer ?? "") : command.kind)),
      isSaved: unsaved.length === 0 && job.customer === this.job.customer,
    };
  }

  end(): void {
    this.page += 1;
    this.stop();
  }

  private async answer(init: RequestInit | undefined, isAlive: () => boolean): Promise<Response> {
    const heard = async (response: Response | null) => {
      await new Promise((resolve) => setTimeout(resolve, SLOW_MS));
      if (!isAlive()) return new Promise<never>(() => undefined);
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

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test("whatever saves and answers are lost and whenever the page is loaded again, every edit is kept, once and in its order", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 14 }), async (steps) => {
      const world = new World();
      world.open();
      try {
        await vi.advanceTimersByTimeAsync(1);
        for (const one of steps) await world.take(one);
        const { made, kept, isSaved } = await world.settle();
        expect(kept).toEqual(made);
        expect(isSaved).toBe(true);
      } finally {
        world.end();
      }
    }),
    tries(300, 5000, 41),
  );
});
