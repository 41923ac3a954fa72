import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { applyCommand, type Command, type Job } from "@/core/job";
import type { Draft, Drafts } from "./drafts";
import { startSaving } from "./job-saver";
import { createJobStore, edit, takeBackUnsaved, type JobStore } from "./job-store";

interface Sent {
  readonly revision: number;
  readonly saveId: string;
  readonly commands: readonly Command[];
}
type Reply = (sent: Sent) => Response | Promise<Response>;

const loft = demoJob("sail-loft");
const name = (text: string): Command => ({ kind: "edit-job", fields: { name: text } });
const made = (job: Job, command: Command): Job => {
  const applied = applyCommand(job, command);
  if (!applied.ok) throw new Error("refused");
  return applied.value.job;
};
const taken: Reply = ({ revision, commands }) => {
  server = { revision: revision + 1, document: commands.reduce(made, server.document) };
  return Response.json({ id: "one", revision: revision + 1, updatedAt: "2026-11-24T10:00:01Z" });
};
const away: Reply = () => Promise.reject(new TypeError("network"));

/** The job as the server has it. */
let server: { revision: number; document: Job };
let sent: Sent[];
let replies: Reply[];
let store: JobStore;
let held: Draft | null;
/** One page after the other: what one holds when it goes is left to the next. */
let left: Draft | null;
const drafts: Drafts = {
  hold: (draft, takenOver) => {
    if (takenOver.includes("before")) left = null;
    held = draft;
    return Promise.resolve();
  },
  left: () => Promise.resolve(left ? [{ ...left, page: "before" }] : []),
  sending: () => {
    if (left?.attempt) left = { ...left, attempt: { ...left.attempt, isSent: true } };
    return Promise.resolve();
  },
  close: () => {
    [left, held] = [held ?? left, null];
  },
};
let stop: () => void;

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal("window", new EventTarget());
  sent = [];
  server = { revision: 1, document: loft };
  replies = [];
  vi.stubGlobal("fetch", (_url: string, init?: RequestInit) => {
    // The look at the server on opening finds the job as it is.
    if (init?.method !== "PUT") return Promise.resolve(Response.json({ ...server, updatedAt: "2026-11-24T10:00:00Z" }));
    const body = JSON.parse(String(init.body)) as Sent;
    sent.push(body);
    return Promise.resolve((replies.shift() ?? taken)(body));
  });
  store = createJobStore({ id: "one", job: loft, revision: 1, updatedAt: "2026-11-24T10:00:00Z" });
  [held, left] = [null, null];
  stop = startSaving(store, drafts);
});
afterEach(() => {
  stop();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
const wait = (ms: number) => vi.advanceTimersByTimeAsync(ms);

describe("saving by itself", () => {
  test("shows once what the server says of itself, a full disk for instance, and keeps the edit", async () => {
    const full: Reply = () => Response.json({ detail: "The disk of the server is full." }, { status: 507 });
    replies.push(full, full);
    edit(store, name("A"));
    await wait(300);
    expect(store.getState()).toMatchObject({ notice: "The disk of the server is full.", save: { kind: "away" }, job: { name: "A" } });
    store.setState({ notice: null });
    await wait(1500);
    expect(sent).toHaveLength(2);
    // Said once, it is not said again with every try.
    expect(store.getState().notice).toBeNull();
    await wait(3000);
    expect(store.getState()).toMatchObject({ unsaved: [], save: { kind: "saved" } });
  });

  test("gathers quick edits into one save and then says it is saved", async () => {
    edit(store, name("A"));
    edit(store, name("B"));
    await wait(300);
    expect(sent.map(({ revision, commands }) => [revision, commands])).toEqual([[1, [name("A"), name("B")]]]);
    expect(store.getState()).toMatchObject({ revision: 2, unsaved: [], keptAt: "2026-11-24T10:00:01Z", save: { kind: "saved" } });
  });

  test("sends what was edited during a save in the next one, on the new revision", async () => {
    let answer: (response: Response) => void = () => undefined;
    replies.push(() => new Promise((resolve) => (answer = resolve)));
    edit(store, name("A"));
    await wait(300);
    edit(store, name("B"));
    await wait(300);
    expect(sent).toHaveLength(1);
    answer(Response.json({ revision: 2, updatedAt: "2026-11-24T10:00:01Z" }));
    await wait(300);
    expect(sent.map(({ revision, commands }) => [revision, commands.length])).toEqual([
      [1, 1],
      [2, 1],
    ]);
    expect(store.getState().unsaved).toEqual([]);
  });
});

describe("while the server does not answer", () => {
  test("edits wait, and are saved when it does", async () => {
    replies.push(away, away);
    edit(store, name("A"));
    await wait(300);
    expect(store.getState().save).toMatchObject({ kind: "away" });
    expect(store.getState().unsaved).toHaveLength(1);
    await wait(7000);
    expect(store.getState()).toMatchObject({ unsaved: [], save: { kind: "saved" } });
  });

  test("a save whose answer was lost is sent again under the same name, so that it is not done twice", async () => {
    replies.push(away);
    edit(store, name("A"));
    await wait(300);
    edit(store, name("B"));
    await wait(4000);
    const [first, second] = sent;
    expect(second?.saveId).toBe(first?.saveId);
    expect(second?.commands).toEqual(first?.commands);
    expect(sent.at(-1)?.commands).toEqual([name("B")]);
    expect(store.getState().unsaved).toEqual([]);
  });

  test("the way back of the network is taken at once", async () => {
    replies.push(away);
    edit(store, name("A"));
    await wait(300);
    window.dispatchEvent(new Event("online"));
    await wait(50);
    expect(store.getState().save.kind).toBe("saved");
  });
});

describe("when another window was faster", () => {
  test("edits are made again on its work and saved on its revision", async () => {
    const theirs = made(loft, { kind: "rename-device", device: "bar", name: "Long bar" });
    replies.push(() =>
      Response.json(
        { status: 409, current: { id: "one", revision: 5, updatedAt: "2026-11-24T10:00:01Z", document: theirs } },
        { status: 409 },
      ),
    );
    edit(store, name("Mine"));
    await wait(600);
    expect(sent.map(({ revision }) => revision)).toEqual([1, 5]);
    expect(store.getState()).toMatchObject({ revision: 6, unsaved: [], job: { name: "Mine" } });
    expect(store.getState().job.devices.find(({ id }) => id === "bar")?.name).toBe("Long bar");
  });
});

test("a refusal of the server is told and not tried for ever", async () => {
  replies.push(() => Response.json({ status: 422, detail: "There is no cable “x” in this job." }, { status: 422 }));
  edit(store, name("A"));
  await wait(10_000);
  expect(sent).toHaveLength(1);
  expect(store.getState().save).toEqual({ kind: "refused", why: "There is no cable “x” in this job." });
});

describe("what the server does not have yet", () => {
  test("is held by the browser, and made again by the next page, which says so", async () => {
    replies.push(away, away, away, away);
    edit(store, name("Written while the server was away"));
    await wait(300);
    expect(held?.commands).toEqual([name("Written while the server was away")]);
    stop();
    replies = [];
    store = createJobStore({ id: "one", job: loft, revision: 1, updatedAt: "2026-11-24T10:00:00Z" });
    stop = startSaving(store, drafts);
    await wait(600);
    expect(store.getState()).toMatchObject({ job: { name: "Written while the server was away" }, unsaved: [], save: { kind: "saved" } });
    expect(store.getState().notice).toContain("1 edit");
    // It was this browser, no other window.
    expect(store.getState().effect).toBeNull();
    expect(held).toBeNull();
  });

  test("is asked for less and less often, never beyond half a minute", async () => {
    replies.push(...Array.from({ length: 40 }, () => away));
    edit(store, name("A"));
    await wait(60_000);
    const inTheFirstMinute = sent.length;
    await wait(60_000);
    expect(inTheFirstMinute).toBeLessThan(9);
    expect(sent.length - inTheFirstMinute).toBeLessThan(4);
    expect(sent.length - inTheFirstMinute).toBeGreaterThan(0);
  });

  test("and is refused is kept and told, not tried again, until it is taken back", async () => {
    const gone: Reply = () => Response.json({ detail: "This job is not in the docket." }, { status: 404 });
    replies.push(gone);
    edit(store, name("A"));
    await wait(300);
    expect(store.getState().save).toMatchObject({ kind: "refused", why: expect.stringContaining("bin") as string });
    edit(store, name("B"));
    await wait(5000);
    expect([sent.length, store.getState().unsaved.length]).toEqual([1, 2]);
    takeBackUnsaved(store);
    expect(store.getState()).toMatchObject({
      job: { name: loft.name },
      keptAt: "2026-11-24T10:00:00Z",
      unsaved: [],
      save: { kind: "saved" },
    });
  });
});

test("a lost answer, and then another window's save: the newest job is fetched, with both their edits", async () => {
  const others = made(made(loft, name("Mine")), { kind: "edit-job", fields: { customer: "Theirs" } });
  vi.stubGlobal("fetch", (_url: string, init?: RequestInit) =>
    init?.method === "PUT"
      ? Promise.resolve(Response.json({ revision: 3, updatedAt: "2026-11-24T10:00:02Z" }))
      : Promise.resolve(Response.json({ revision: 3, updatedAt: "2026-11-24T10:00:02Z", document: others })),
  );
  edit(store, name("Mine"));
  await wait(600);
  expect(store.getState()).toMatchObject({ job: { name: "Mine", customer: "Theirs" }, revision: 3, save: { kind: "saved" } });
});

test("a save that was taken in when the page was closed is not made again by the next one", async () => {
  const add: Command = { kind: "edit-job", fields: { customer: "Added once" } };
  const after = made(loft, add);
  // The page goes before the answer comes.
  replies.push(() => new Promise(() => undefined));
  edit(store, add);
  await wait(300);
  const [first] = sent;
  stop();
  vi.stubGlobal("fetch", (_url: string, init?: RequestInit) => {
    if (init?.method !== "PUT") return Promise.resolve(Response.json({ revision: 2, updatedAt: "2026-11-24T10:00:01Z", document: after }));
    sent.push(JSON.parse(String(init.body)) as Sent);
    // The server knows the save by its name, and gives the job as it is.
    return Promise.resolve(Response.json({ revision: 2, updatedAt: "2026-11-24T10:00:01Z" }));
  });
  store = createJobStore({ id: "one", job: after, revision: 2, updatedAt: "2026-11-24T10:00:01Z" });
  stop = startSaving(store, drafts);
  await wait(600);
  expect(sent.at(-1)?.saveId).toBe(first?.saveId);
  expect(store.getState()).toMatchObject({ job: after, revision: 2, unsaved: [], save: { kind: "saved" } });
});

test("a saved state that the server has already is not saved a second time under the same name by the next page", async () => {
  const { devices, cables } = loft;
  const save: Command = {
    kind: "keep-snapshot",
    snapshot: { id: "before", name: "Before", takenAt: "2026-11-24T10:00:00Z", devices, cables },
    at: null,
  };
  replies.push((request) => {
    void taken(request);
    return new Promise(() => undefined);
  });
  edit(store, save);
  await wait(300);
  stop();
  // The server has it; the page that is loaded now has it too, and the browser still holds it as a draft.
  replies = [() => Response.json({ revision: 2, updatedAt: "2026-11-24T10:00:01Z" })];
  store = createJobStore({ id: "one", job: server.document, revision: 2, updatedAt: "2026-11-24T10:00:01Z" });
  stop = startSaving(store, drafts);
  await wait(600);
  expect(store.getState()).toMatchObject({ notice: null, revision: 2, unsaved: [], save: { kind: "saved" } });
  expect(held).toBeNull();
});

test("an edit made while the save of an earlier page is sent again is kept under a name of its own, never under that one", async () => {
  replies.push(() => new Promise(() => undefined));
  edit(store, name("First"));
  await wait(300);
  const [first] = sent;
  stop();
  replies = [() => new Promise(() => undefined)];
  store = createJobStore({ id: "one", job: loft, revision: 1, updatedAt: "2026-11-24T10:00:00Z" });
  stop = startSaving(store, drafts);
  await wait(50);
  const second: Command = { kind: "edit-job", fields: { customer: "Second" } };
  edit(store, second);
  // Each is held, and only the first of them goes by the name that the server may know.
  expect(left).toEqual({ commands: [name("First")], attempt: { saveId: first?.saveId, count: 1, isSent: true } });
  expect(held).toMatchObject({ commands: [second], attempt: { count: 1, isSent: false } });
  expect(held?.attempt?.saveId).not.toBe(first?.saveId);
});

test("an edit is held under the name under which it will be sent, so that a page that goes just then does not double it", async () => {
  edit(store, name("A"));
  const named = held?.attempt?.saveId;
  window.dispatchEvent(new Event("pagehide"));
  await wait(0);
  expect(named).toBeDefined();
  expect(sent.map(({ saveId }) => saveId)).toEqual([named]);
});

describe("what several pages left", () => {
  const leftBy = (page: string, text: string) => ({
    page,
    commands: [name(text)],
    attempt: { saveId: `5b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f5e1${page}`, count: 1, isSent: true },
  });
  /** The page opens, with these drafts of pages that are gone; it may be called when there are more. */
  function openWith(...found: readonly (readonly ReturnType<typeof leftBy>[])[]) {
    stop();
    const looks = [...found];
    let more: () => void = () => undefined;
    store = createJobStore({ id: "one", job: loft, revision: 1, updatedAt: "2026-11-24T10:00:00Z" });
    const left = (whenMore: () => void) => {
      more = whenMore;
      return Promise.resolve(looks.shift() ?? []);
    };
    stop = startSaving(store, { ...drafts, left });
    return () => more();
  }

  test("comes with one sentence, and nothing is said to be saved until all of it is", async () => {
    let answer: () => void = () => undefined;
    replies.push(taken, (save) => new Promise((resolve) => (answer = () => resolve(taken(save)))));
    openWith([leftBy("1", "First"), leftBy("2", "Second")]);
    await wait(100);
    expect(sent).toHaveLength(2);
    expect(store.getState()).toMatchObject({ job: { name: "First" }, save: { kind: "saving" } });
    answer();
    await wait(100);
    expect(store.getState()).toMatchObject({ job: { name: "Second" }, unsaved: [], save: { kind: "saved" } });
    expect(store.getState().notice).toContain("2 edits");
  });

  test("by a page that was closed only just now is taken over when that is gone", async () => {
    const more = openWith([], [leftBy("1", "Late")]);
    await wait(100);
    expect(sent).toEqual([]);
    more();
    await wait(100);
    expect(store.getState()).toMatchObject({ job: { name: "Late" }, revision: 2, unsaved: [], save: { kind: "saved" } });
  });

  test("is looked for again once the server was away: other pages may have been closed meanwhile", async () => {
    replies.push(away);
    openWith([], [leftBy("1", "Of another page")]);
    edit(store, { kind: "edit-job", fields: { customer: "Mine" } });
    await wait(3000);
    expect(store.getState()).toMatchObject({ job: { name: "Of another page", customer: "Mine" }, unsaved: [], save: { kind: "saved" } });
  });
});

test("news of another window that come during a save are looked into after it", async () => {
  const channel = new BroadcastChannel("octachord-job-one");
  let answer: () => void = () => undefined;
  replies.push((save) => {
    const kept = taken(save);
    server = { revision: 3, document: made(server.document, { kind: "edit-job", fields: { customer: "Theirs" } }) };
    return new Promise((resolve) => (answer = () => resolve(kept)));
  });
  edit(store, name("Mine"));
  await wait(300);
  vi.useRealTimers();
  channel.postMessage({ revision: 3 });
  // A message takes its own way; nothing shows that it came.
  await new Promise((resolve) => setTimeout(resolve, 50));
  answer();
  await vi.waitFor(() => expect(store.getState()).toMatchObject({ revision: 3, job: { name: "Mine", customer: "Theirs" } }));
  channel.close();
});
