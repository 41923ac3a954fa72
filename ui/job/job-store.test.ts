import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { applyCommand, type Command, type Job } from "@/core/job";
import { createJobStore, edit, rebase, redo, settle, undo } from "./job-store";

const loft = demoJob("sail-loft");
const open = () => createJobStore({ id: "one", job: loft, revision: 3, updatedAt: "2026-11-24T10:00:00Z" });
const eArc = (value: string): Command => ({ kind: "set-setting", device: "television", setting: "earc", state: "planned", value });
const after = (job: Job, command: Command): Job => {
  const applied = applyCommand(job, command);
  if (!applied.ok) throw new Error("refused");
  return applied.value.job;
};

describe("an edit", () => {
  test("moves the board in the same instant and says what moved", () => {
    const store = open();
    expect(edit(store, eArc("off"))).toBe(true);
    const { board, effect, unsaved } = store.getState();
    expect(board.find(({ content }) => content.id === "film-truehd-atmos")?.verdict).toBe("reduced");
    expect(effect).toMatchObject({
      words: "eARC at Television: off",
      lifts: [],
      lowers: ["disc-player/disc/film-truehd-atmos", "disc-player/disc/concert-dts-hd-ma"],
    });
    expect(unsaved).toEqual([eArc("off")]);
  });

  test("that is refused changes nothing and tells why", () => {
    const store = open();
    expect(edit(store, { kind: "unplug", cable: "none" })).toBe(false);
    expect(store.getState()).toMatchObject({ job: loft, unsaved: [], done: [], notice: "There is no cable “none” in this job." });
  });
});

describe("undo and redo", () => {
  test("go back and forth by name, and both are saved like edits", () => {
    const store = open();
    edit(store, eArc("off"));
    expect(store.getState().done.at(-1)?.words).toBe("eARC at Television: off");
    undo(store);
    expect(store.getState().job).toEqual(loft);
    redo(store);
    expect(store.getState().job).toEqual(after(loft, eArc("off")));
    expect(store.getState().unsaved).toHaveLength(3);
  });

  test("a new edit ends what could be redone", () => {
    const store = open();
    edit(store, eArc("off"));
    undo(store);
    edit(store, { kind: "rename-device", device: "bar", name: "Long bar" });
    expect(store.getState().undone).toEqual([]);
  });
});

describe("when another window was faster", () => {
  test("edits are made again on top of what it did; both stand", () => {
    const store = open();
    edit(store, eArc("off"));
    const theirs = after(loft, { kind: "rename-device", device: "bar", name: "Long bar" });
    rebase(store, { job: theirs, revision: 4, updatedAt: "2026-11-24T10:01:00Z" });
    const { job, revision, unsaved, notice } = store.getState();
    expect(job).toEqual(after(theirs, eArc("off")));
    expect(revision).toBe(4);
    expect(unsaved).toHaveLength(1);
    expect(notice).toBeNull();
    undo(store);
    expect(store.getState().job).toEqual(theirs);
  });

  test("an edit that is no longer possible is told, not silently dropped", () => {
    const store = open();
    edit(store, { kind: "rename-device", device: "console", name: "Game box" });
    const theirs = after(loft, {
      kind: "batch",
      commands: [
        { kind: "unplug", cable: "console-bar" },
        { kind: "remove-device", device: "console" },
      ],
    });
    rebase(store, { job: theirs, revision: 4, updatedAt: "2026-11-24T10:01:00Z" });
    expect(store.getState()).toMatchObject({ job: theirs, unsaved: [], save: { kind: "saved" } });
    expect(store.getState().notice).toContain("could not be applied on top of it");
  });

  test("the same setting changed on both sides differently is told with both values, and theirs can be taken; nothing is lost", () => {
    const store = open();
    edit(store, eArc("off"));
    const theirs = after(loft, eArc("on"));
    const changed = after(theirs, { kind: "rename-device", device: "bar", name: "Long bar" });
    // "on" is what it already was: planning it is a change of the document all the same.
    rebase(store, { job: changed, revision: 4, updatedAt: "2026-11-24T10:01:00Z" });
    const [conflict, ...more] = store.getState().conflicts;
    expect(more).toEqual([]);
    expect(conflict).toMatchObject({ mine: "eARC at Television: off", theirs: "eARC at Television: on" });
    expect(
      store
        .getState()
        .job.devices.find(({ id }) => id === "television")
        ?.settings.find(({ key }) => key === "earc")?.planned,
    ).toBe("off");
    if (conflict) settle(store, conflict, "theirs");
    expect(
      store
        .getState()
        .job.devices.find(({ id }) => id === "television")
        ?.settings.find(({ key }) => key === "earc")?.planned,
    ).toBe("on");
    expect(store.getState().conflicts).toEqual([]);
  });

  test("the same edit on both sides, and edits of different things, are no conflict", () => {
    const store = open();
    edit(store, eArc("off"));
    edit(store, { kind: "rename-device", device: "bar", name: "Long bar" });
    rebase(store, { job: after(loft, eArc("off")), revision: 4, updatedAt: "2026-11-24T10:01:00Z" });
    expect(store.getState().conflicts).toEqual([]);
  });
});
