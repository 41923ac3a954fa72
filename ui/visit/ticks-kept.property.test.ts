import fc from "fast-check";
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { VisitEntry } from "@/core/job";
import { mergedEntries } from "@/core/visit";
import { someWays, type Way } from "@/demo/lossy-network-under-test";
import { tries } from "@/demo/tries-under-test";
import { bothKept, EMPTY_RECORD, type VisitRecord } from "./visit-store";
import { startVisit, type VisitSync } from "./visit-sync";

/** What happens, at one of the places where the visit is open. */
type Step =
  | { readonly do: "tick" | "load again" | "close"; readonly at: number }
  | { readonly do: "wait"; readonly ms: number }
  | { readonly do: "ways"; readonly ways: readonly Way[] };

/** Two windows of a phone, and a laptop: the device of each place. */
const PLACES = ["phone", "phone", "laptop"] as const;
const at = fc.nat({ max: PLACES.length - 1 });
const step: fc.Arbitrary<Step> = fc.oneof(
  { weight: 4, arbitrary: at.map((one): Step => ({ do: "tick", at: one })) },
  { weight: 3, arbitrary: fc.constantFrom(0, 1, 30, 90, 8100).map((ms): Step => ({ do: "wait", ms })) },
  { weight: 2, arbitrary: at.map((one): Step => ({ do: "load again", at: one })) },
  { weight: 1, arbitrary: at.map((one): Step => ({ do: "close", at: one })) },
  { weight: 2, arbitrary: someWays.map((ways): Step => ({ do: "ways", ways })) },
);

/** A page of the visit: what it shows, and whether it says that all of it is known. */
interface Page {
  readonly sync: VisitSync;
  record: VisitRecord;
  isKnown: boolean;
}

/** A server that adds each entry once, devices that keep records beside those of their other windows, and pages that come and go. */
class World {
  readonly kept = new Map<string, VisitRecord>();
  readonly pages: (Page | null)[] = PLACES.map(() => null);
  readonly ticked: string[] = [];
  /** What the server has; an entry is never taken off again. */
  entries: readonly VisitEntry[] = [];
  ways: Way[] = [];
  private slow = 0;

  open(place: number): void {
    const device = PLACES[place] ?? "phone";
    let isHere = true;
    const page: Page = {
      record: EMPTY_RECORD,
      isKnown: false,
      sync: startVisit(
        "job",
        {
          onRecord: (record) => (page.record = record),
          onKnown: () => (page.isKnown = true),
          onAnswer: () => undefined,
        },
        {
          kept: () => Promise.resolve(structuredClone(this.kept.get(device) ?? EMPTY_RECORD)),
          keep: (_job, record) => {
            // What a page that is gone still hears of is kept by nobody.
            if (isHere) this.kept.set(device, structuredClone(bothKept(this.kept.get(device) ?? EMPTY_RECORD, record)));
            return Promise.resolve();
          },
          sync: (_job, record) => this.answer(record.entries.filter(({ id }) => record.unsent.includes(id))),
        },
      ),
    };
    const { sync } = page;
    this.pages[place] = {
      ...page,
      get record() {
        return page.record;
      },
      get isKnown() {
        return page.isKnown;
      },
      sync: {
        ...sync,
        stop: () => {
          isHere = false;
          sync.stop();
        },
      },
    };
  }

  close(place: number): void {
    this.pages[place]?.sync.stop();
    this.pages[place] = null;
  }

  async take(one: Step): Promise<void> {
    if (one.do === "wait") return void (await vi.advanceTimersByTimeAsync(one.ms));
    if (one.do === "ways") return void (this.ways = [...one.ways]);
    if (one.do === "close") return this.close(one.at);
    if (one.do === "load again") {
      this.close(one.at);
      return this.open(one.at);
    }
    const page = this.pages[one.at];
    if (!page) return;
    const id = `5b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f${String(1000 + this.ticked.length)}`;
    this.ticked.push(id);
    page.sync.enter(VisitEntry.parse({ id, step: `step ${this.ticked.length % 3}`, state: "done", at: new Date().toISOString() }));
    // At once, whatever the network does.
    expect(page.record.entries.map((entry) => entry.id)).toContain(id);
  }

  /** Answers come in any order: every second one takes three times as long. */
  private async answer(sent: readonly VisitEntry[]) {
    const goes = this.ways.shift() ?? "answered";
    if (goes !== "never comes") this.entries = mergedEntries(this.entries, structuredClone(sent));
    const answer = { entries: [...this.entries], revision: 1 };
    this.slow += 1;
    await new Promise((resolve) => setTimeout(resolve, this.slow % 2 ? 20 : 60));
    return goes === "answered" ? answer : null;
  }
}

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("window", new EventTarget());
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

test("whatever answers are lost and pages closed, every tick reaches the server once, and every page that is open", async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { maxLength: 24 }), async (steps) => {
      const world = new World();
      PLACES.forEach((_, place) => world.open(place));
      await vi.advanceTimersByTimeAsync(1);
      for (const one of steps) await world.take(one);
      world.ways = [];
      // Each device is opened once more, and the network is there.
      PLACES.forEach((_, place) => world.close(place));
      await vi.advanceTimersByTimeAsync(100);
      PLACES.forEach((_, place) => world.open(place));
      await vi.advanceTimersByTimeAsync(20_000);
      const ids = world.entries.map(({ id }) => id);
      expect(ids.toSorted()).toEqual(world.ticked.toSorted());
      for (const page of world.pages) {
        expect(page?.record).toEqual({ entries: world.entries, unsent: [] });
        expect(page?.isKnown).toBe(true);
      }
      for (const kept of world.kept.values()) expect(kept).toEqual({ entries: world.entries, unsent: [] });
      PLACES.forEach((_, place) => world.close(place));
    }),
    tries(200, 5000, 47),
  );
});
