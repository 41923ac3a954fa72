import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { STORED_VERSION } from "@/core/versions";
import type { Drafts } from "./drafts";

const kept = new Map<string, unknown>();
let isBroken = false;
const asStored = <Value>(work: () => Value): Promise<Value> =>
  isBroken ? Promise.reject(new Error("no database")) : Promise.resolve(work());

vi.mock("idb-keyval", () => ({
  createStore: () => "store",
  get: (key: string) => asStored(() => structuredClone(kept.get(key))),
  update: (key: string, change: (before: unknown) => unknown) =>
    asStored(() => void kept.set(key, structuredClone(change(structuredClone(kept.get(key)))))),
}));

const { draftsOf } = await import("./drafts");
const elsewhere = async () => {
  vi.resetModules();
  return (await import("./drafts")).draftsOf("one");
};
const named = (name: string) => ({ kind: "edit-job" as const, fields: { name } });
const RENAMED = named("Loft");
const ATTEMPT = { saveId: "5b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f5e10", count: 1, isSent: true };
const draft = { commands: [RENAMED], attempt: ATTEMPT };

/** The locks of a browser: each is held until what was asked for it ends, and then goes to whoever waits longest. */
function locksOf() {
  const queues = new Map<string, (() => void)[]>();
  return {
    request: (name: string, ...rest: readonly unknown[]) =>
      new Promise<void>((resolve, reject) => {
        const work = rest.at(-1) as (lock: { readonly name: string } | null) => Promise<void> | undefined;
        const { ifAvailable, signal } = rest.length > 1 ? (rest[0] as LockOptions) : {};
        const queue = queues.get(name) ?? [];
        queues.set(name, queue);
        if (ifAvailable && queue.length > 0) return resolve(work(null));
        const hold = () =>
          void Promise.resolve(work({ name })).then(() => {
            queue.shift();
            queue[0]?.();
            resolve();
          });
        queue.push(hold);
        if (queue[0] === hold) hold();
        signal?.addEventListener("abort", () => {
          // One that is held already stays so.
          if (queue.indexOf(hold) > 0) queue.splice(queue.indexOf(hold), 1);
          reject(new DOMException("ended", "AbortError"));
        });
      }),
  };
}
/** What the next page of a job finds. */
const found = async (job: string) => (await leftTo(draftsOf(job))).map(({ commands, attempt }) => ({ commands, attempt }));
/** What a page finds, when those that seem to be there had their time to end. */
async function leftTo(page: Drafts, whenMore: () => void = () => undefined) {
  const finds = page.left(whenMore);
  await vi.advanceTimersByTimeAsync(1000);
  return finds;
}

beforeEach(() => {
  kept.clear();
  isBroken = false;
  vi.useFakeTimers();
  vi.stubGlobal("navigator", { locks: locksOf() });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("edits that the server does not have yet", () => {
  test("are read by the next page as they were held, each job its own, and with the save that was under way", async () => {
    const page = draftsOf("one");
    await page.hold(draft, []);
    page.close();
    expect(await found("one")).toEqual([draft]);
    expect(await found("other")).toEqual([]);
  });

  test("are nobody else's while their page is there", async () => {
    const page = draftsOf("one");
    await page.hold(draft, []);
    expect(await found("one")).toEqual([]);
    expect(await leftTo(page)).toEqual([]);
  });

  test("of two windows are held side by side: what one has saved lets nothing of the other go", async () => {
    const [one, two] = [draftsOf("one"), draftsOf("one")];
    await one.hold(draft, []);
    await two.hold({ commands: [named("Two")], attempt: null }, []);
    await one.hold(null, []);
    one.close();
    two.close();
    expect(await found("one")).toEqual([{ commands: [named("Two")], attempt: null }]);
  });

  test("are held with the version of the program that wrote them", async () => {
    await draftsOf("one").hold(draft, []);
    expect(Object.values(kept.get("one") as object)).toMatchObject([{ version: STORED_VERSION }]);
  });

  test("that another page took over are let go in the step in which it holds them", async () => {
    const before = draftsOf("one");
    await before.hold(draft, []);
    before.close();
    const after = draftsOf("one");
    const [left] = await leftTo(after);
    await after.hold(draft, left ? [left.page] : []);
    expect(Object.keys(kept.get("one") as object)).toHaveLength(1);
    expect(await found("one")).toEqual([]);
  });

  test("whose save another page has sent say so to the next, should that page go too", async () => {
    const before = draftsOf("one");
    await before.hold({ ...draft, attempt: { ...ATTEMPT, isSent: false } }, []);
    before.close();
    const after = draftsOf("one");
    const [left] = await leftTo(after);
    if (!left) throw new Error("nothing was left");
    await after.sending(left);
    expect(await found("one")).toEqual([draft]);
    // What was taken over in the meantime is not brought back.
    await after.hold(null, [left.page]);
    await after.sending(left);
    expect(await found("one")).toEqual([]);
  });

  test("are given to one window alone of two that open at the same time", async () => {
    const before = draftsOf("one");
    await before.hold(draft, []);
    before.close();
    const [one, two] = await Promise.all([leftTo(draftsOf("one")), leftTo(await elsewhere())]);
    expect([...one, ...two]).toHaveLength(1);
  });

  test("of a page that is closing are there a moment later, and whoever looked in vain is called, once", async () => {
    const before = draftsOf("one");
    await before.hold(draft, []);
    const after = await elsewhere();
    const called = vi.fn();
    expect(await leftTo(after, called)).toEqual([]);
    expect(await leftTo(after, called)).toEqual([]);
    expect(called).not.toHaveBeenCalled();
    before.close();
    await vi.waitFor(() => expect(called).toHaveBeenCalledOnce());
    expect((await leftTo(after, called)).map(({ commands }) => commands)).toEqual([[RENAMED]]);
  });

  test("that were saved while their page was ending are nobody's any more", async () => {
    const before = draftsOf("one");
    await before.hold(draft, []);
    const finds = leftTo(await elsewhere());
    await before.hold(null, []);
    before.close();
    expect(await finds).toEqual([]);
  });

  test("go to no page that went while it waited for them", async () => {
    const before = draftsOf("one");
    await before.hold(draft, []);
    const waiting = await elsewhere();
    await leftTo(waiting);
    const last = await elsewhere();
    const called = vi.fn();
    await leftTo(last, called);
    waiting.close();
    before.close();
    await vi.waitFor(() => expect(called).toHaveBeenCalledOnce());
    expect(await leftTo(last)).toHaveLength(1);
  });

  test("are anybody's where the browser has no locks: on plain HTTP from another machine", async () => {
    vi.stubGlobal("navigator", {});
    await draftsOf("one").hold(draft, []);
    expect(await found("one")).toEqual([draft]);
  });

  test.each([
    ["of an older program, which kept one for all pages", { version: STORED_VERSION - 1, commands: [RENAMED], attempt: ATTEMPT }],
    ["of an older program, by page", { gone: { version: STORED_VERSION - 1, commands: [RENAMED], attempt: ATTEMPT } }],
  ])("%s, are lifted to this one's", async (_what, value) => {
    kept.set("one", value);
    expect(await found("one")).toEqual([draft]);
  });

  test.each([
    ["no draft at all", 7],
    ["an edit that no program knows", { version: STORED_VERSION, commands: [{ kind: "sing" }], attempt: null }],
    ["a save without a name", { version: STORED_VERSION, commands: [RENAMED], attempt: { count: 1 } }],
    ["a save of no edits", { version: STORED_VERSION, commands: [RENAMED], attempt: { ...ATTEMPT, count: 0 } }],
  ])("that no longer read are given up: %s", async (_what, value) => {
    kept.set("one", { page: value });
    expect(await found("one")).toEqual([]);
    kept.set("one", value);
    expect(await found("one")).toEqual([]);
  });

  test("are not held where the browser has no database, and the page goes on", async () => {
    isBroken = true;
    const page = draftsOf("one");
    await expect(page.hold(draft, [])).resolves.toBeUndefined();
    expect(await leftTo(page)).toEqual([]);
  });
});
