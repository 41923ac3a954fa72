import { beforeEach, describe, expect, test, vi } from "vitest";
import { STORED_VERSION } from "@/core/versions";

const kept = new Map<string, unknown>();
let isBroken = false;
const asStored = <Value>(work: () => Value): Promise<Value> =>
  isBroken ? Promise.reject(new Error("no database")) : Promise.resolve(work());

vi.mock("idb-keyval", () => ({
  createStore: () => "store",
  get: (key: string) => asStored(() => kept.get(key)),
  set: (key: string, value: unknown) => asStored(() => void kept.set(key, structuredClone(value))),
  del: (key: string) => asStored(() => void kept.delete(key)),
}));

const { draftsOf } = await import("./drafts");
const RENAMED = { kind: "edit-job" as const, fields: { name: "Loft" } };
const ATTEMPT = { saveId: "5b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f5e10", count: 1 };

beforeEach(() => {
  kept.clear();
  isBroken = false;
});

describe("edits that the server does not have yet", () => {
  test("are read as they were kept, each job its own, and with the save that was under way", async () => {
    await draftsOf("one").keep({ commands: [RENAMED], attempt: ATTEMPT });
    expect(await draftsOf("one").read()).toEqual({ commands: [RENAMED], attempt: ATTEMPT });
    expect(await draftsOf("other").read()).toBeNull();
  });

  test("are kept with the version of the program that wrote them", async () => {
    await draftsOf("one").keep({ commands: [RENAMED], attempt: null });
    expect(kept.get("one")).toMatchObject({ version: STORED_VERSION });
  });

  test("are gone once they are forgotten", async () => {
    await draftsOf("one").keep({ commands: [RENAMED], attempt: null });
    await draftsOf("one").forget();
    expect(await draftsOf("one").read()).toBeNull();
  });

  test("of an older program are lifted to this one's", async () => {
    kept.set("one", { version: STORED_VERSION - 1, commands: [RENAMED], attempt: null });
    expect(await draftsOf("one").read()).toEqual({ commands: [RENAMED], attempt: null });
  });

  test.each([
    ["no draft at all", 7],
    ["an edit that no program knows", { version: STORED_VERSION, commands: [{ kind: "sing" }], attempt: null }],
    ["a save without a name", { version: STORED_VERSION, commands: [RENAMED], attempt: { count: 1 } }],
    ["a save of no edits", { version: STORED_VERSION, commands: [RENAMED], attempt: { ...ATTEMPT, count: 0 } }],
  ])("that no longer read are given up: %s", async (_what, value) => {
    kept.set("one", value);
    expect(await draftsOf("one").read()).toBeNull();
  });

  test("are not kept where the browser has no database, and the page goes on", async () => {
    isBroken = true;
    await expect(draftsOf("one").keep({ commands: [RENAMED], attempt: null })).resolves.toBeUndefined();
    expect(await draftsOf("one").read()).toBeNull();
    await expect(draftsOf("one").forget()).resolves.toBeUndefined();
  });
});
