import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { STORED_VERSION } from "@/core/versions";

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
const named = (name: string) => ({ kind: "edit-job" as const, fields: { name } });
const RENAMED = named("Loft");
const ATTEMPT = { saveId: "5b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f5e10", count: 1, isSent: true };
const draft = { commands: [RENAMED], attempt: ATTEMPT };

/** The locks of a browser: each is held until what was asked for it ends. */
function locksOf() {
  const held = new Set<string>();
  return {
    request: async (name: string, ...rest: readonly unknown[]) => {
      const work = rest.at(-1) as (lock: { readonly name: string } | null) => Promise<void> | undefined;
      const options = rest.length > 1 ? (rest[0] as { readonly ifAvailable: boolean }) : { ifAvailable: false };
      if (options.ifAvailable && held.has(name)) return work(null);
      while (held.has(name)) await Promise.resolve();
      held.add(name);
      await work({ name });
      held.delete(name);
    },
  };
}
/** What the next page of a job finds. */
const found = async (job: string) => (await draftsOf(job).left()).map(({ commands, attempt }) => ({ commands, attempt }));

beforeEach(() => {
  kept.clear();
  isBroken = false;
  vi.stubGlobal("navigator", { locks: locksOf() });
});
afterEach(() => vi.unstubAllGlobals());

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
    expect(await page.left()).toEqual([]);
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
    const [left] = await after.left();
    await after.hold(draft, left ? [left.page] : []);
    expect(Object.keys(kept.get("one") as object)).toHaveLength(1);
    expect(await found("one")).toEqual([]);
  });

  test("whose save another page has sent say so to the next, should that page go too", async () => {
    const before = draftsOf("one");
    await before.hold({ ...draft, attempt: { ...ATTEMPT, isSent: false } }, []);
    before.close();
    const after = draftsOf("one");
    const [left] = await after.left();
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
    vi.resetModules();
    const other = await import("./drafts");
    const [one, two] = await Promise.all([draftsOf("one").left(), other.draftsOf("one").left()]);
    expect([...one, ...two]).toHaveLength(1);
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
    expect(await page.left()).toEqual([]);
  });
});
