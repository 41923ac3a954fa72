import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made, planned } from "@/demo/room-under-test";
import { fromShelfOrThrow } from "@/core/device";
import {
  applyAll,
  applyCommand,
  emptyJob,
  joinSockets,
  MOST_SNAPSHOTS,
  removeWithCables,
  replaceDevice,
  whyNotLay,
  type Command,
  type Job,
} from "@/core/job";
import { commandWords, refusalSentence } from "@/core/text";

const loft = demoJob("sail-loft");
const refusalOf = (job: Job, command: Command) => {
  const applied = applyCommand(job, command);
  if (applied.ok) throw new Error("was done");
  return applied.refusal;
};
const backAgain = (job: Job, command: Command): Job => {
  const applied = applyCommand(job, command);
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  return made(applied.value.job, applied.value.inverse);
};

/** Two rooms with a device in each: a TV on the wall, a receiver in the rack. */
const twoRooms: Job = made(
  emptyJob("Two rooms"),
  {
    kind: "set-rooms",
    rooms: [
      { id: "wall", name: "Screen wall", seats: 4, space: null },
      { id: "rack", name: "Rack", seats: 0, space: null },
      { id: "attic", name: "Attic", seats: 2, space: null },
    ],
  },
  { kind: "add-device", device: { ...fromShelfOrThrow("tv-earc", { id: "tv", name: "Television" }), room: "wall" }, at: null },
  { kind: "add-device", device: { ...fromShelfOrThrow("receiver-72", { id: "receiver", name: "Receiver" }), room: "rack" }, at: null },
);
const run = (lengthM: number | null, allowed = true): Command => ({
  kind: "edit-brief",
  fields: { runs: [{ id: "run", between: ["rack", "wall"], allowed, lengthM }] },
});
const out = { device: "receiver", port: "hdmi-out" } as const;
const into = { device: "tv", port: "hdmi3" } as const;

describe("cable runs of the brief", () => {
  const lengthOf = (job: Job) => {
    const command = joinSockets(job, out, into);
    return command.kind === "plug" ? command.cable.lengthM : 0;
  };

  test("a new cable is as long as the brief says between the rooms, and 2 m where it says nothing", () => {
    expect(lengthOf(twoRooms)).toBe(2);
    expect(lengthOf(made(twoRooms, run(null)))).toBe(2);
    expect(lengthOf(made(twoRooms, run(12)))).toBe(12);
  });

  test("no new cable is laid where none may run, but one that already lies there is a fact", () => {
    const walled = made(twoRooms, run(null, false));
    expect(whyNotLay(walled, out, into)).toEqual({ code: "run-forbidden", rooms: ["rack", "wall"] });
    expect(refusalSentence(walled, { code: "run-forbidden", rooms: ["rack", "wall"] })).toBe(
      "According to the brief, no cable can run between Rack and Screen wall.",
    );
    const lies = made(twoRooms, joinSockets(twoRooms, out, into));
    expect(made(lies, run(null, false)).cables).toHaveLength(1);
  });

  test("a run between rooms that the job does not have is refused", () => {
    expect(
      refusalOf(twoRooms, {
        kind: "edit-brief",
        fields: { runs: [{ id: "run", between: ["rack", "cellar"], allowed: true, lengthM: null }] },
      }),
    ).toEqual({ code: "no-such-room", room: "cellar" });
  });
});

describe("rooms", () => {
  const without = (id: string): Command => ({ kind: "set-rooms", rooms: twoRooms.rooms.filter((room) => room.id !== id) });

  test("one that nothing stands in can go; one in use says so", () => {
    expect(made(twoRooms, without("attic")).rooms).toHaveLength(2);
    const refusal = refusalOf(twoRooms, without("rack"));
    expect(refusal).toEqual({ code: "room-in-use", room: "rack" });
    expect(refusalSentence(twoRooms, refusal)).toBe("Rack is still used: a device stands there or a cable run of the brief ends there.");
  });

  test("a run of the brief keeps its rooms", () => {
    const attic = made(twoRooms, {
      kind: "edit-brief",
      fields: { runs: [{ id: "run", between: ["attic", "wall"], allowed: true, lengthM: 9 }] },
    });
    expect(refusalOf(attic, without("attic")).code).toBe("room-in-use");
  });

  test("two of one id are refused, and so is a device put into none of them", () => {
    const [first] = twoRooms.rooms;
    expect(refusalOf(twoRooms, { kind: "set-rooms", rooms: [...twoRooms.rooms, ...(first ? [first] : [])] })).toEqual({
      code: "id-taken",
      id: "wall",
    });
    expect(refusalOf(twoRooms, { kind: "edit-device", device: "tv", fields: { room: "cellar" } })).toEqual({
      code: "no-such-room",
      room: "cellar",
    });
  });
});

describe("what must stay", () => {
  const kept = made(loft, { kind: "edit-brief", fields: { mustStay: ["television"] } });

  test("is neither removed nor replaced, and the sentence says who decided that", () => {
    const removal = refusalOf(kept, removeWithCables(kept, "television"));
    expect(removal).toEqual({ code: "must-stay", device: "television" });
    expect(refusalSentence(kept, removal)).toBe("Television must stay according to the brief; change that there first.");
    const other = fromShelfOrThrow("tv-arc", { id: "other", name: "Other" });
    expect(refusalOf(kept, replaceDevice(kept, "television", other)).code).toBe("must-stay");
  });

  test("can still be corrected, renamed and plugged elsewhere", () => {
    const moved = made(kept, { kind: "unplug", cable: "bar-tv" }, { kind: "rename-device", device: "television", name: "Big TV" });
    expect(moved.devices.find(({ id }) => id === "television")?.name).toBe("Big TV");
  });
});

describe("corrections", () => {
  test("a socket takes only what its kind can have", () => {
    const hdcp: Command = { kind: "edit-port", device: "bar", port: "optical-in", fields: { hdcp: "2.2" } };
    expect(refusalOf(loft, hdcp)).toMatchObject({ code: "value-out-of-range", field: "hdcp" });
    const rate: Command = { kind: "edit-port", device: "television", port: "hdmi1", fields: { maxGbps: 18 } };
    expect(backAgain(loft, rate)).toEqual(loft);
  });

  test("a way inside a device joins sockets that it has", () => {
    const television = loft.devices.find(({ id }) => id === "television");
    const [way] = television?.routes ?? [];
    if (!way) throw new Error("no way");
    const strange: Command = {
      kind: "edit-device",
      device: "television",
      fields: { routes: [{ ...way, to: ["hdmi9"] } as typeof way] },
    };
    expect(refusalOf(loft, strange)).toMatchObject({ code: "value-out-of-range" });
  });

  test("a place on the map comes and goes with one undo", () => {
    const there: Command = { kind: "arrange", device: "bar", to: { x: 40, y: -20 } };
    expect(backAgain(loft, there)).toEqual(loft);
    const moved = made(loft, there);
    expect(backAgain(moved, { kind: "arrange", device: "bar", to: null }).arrangement).toEqual([{ device: "bar", x: 40, y: -20 }]);
    expect(commandWords(loft, { kind: "arrange", device: "bar", to: null })).toBe("put Bar back to its automatic position");
  });
});

describe("kept states and photos", () => {
  const snapshot = (id: string) => ({
    id,
    name: `State ${id}`,
    takenAt: "2026-10-01T08:00:00Z",
    devices: loft.devices,
    cables: loft.cables,
  });
  const keep = (id: string): Command => ({ kind: "keep-snapshot", snapshot: snapshot(id), at: null });

  test("one that is let go comes back to its place in the list", () => {
    const three = made(loft, keep("a"), keep("b"), keep("c"));
    expect(backAgain(three, { kind: "drop-snapshot", snapshot: "b" })).toEqual(three);
    expect(commandWords(three, { kind: "drop-snapshot", snapshot: "b" })).toBe("deleted the state “State b”");
  });

  test("one more than the document holds is refused with what to do", () => {
    const ids = Array.from({ length: MOST_SNAPSHOTS }, (_, index) => `s${index}`);
    const full = made(loft, ...ids.map(keep));
    const refusal = refusalOf(full, keep("more"));
    expect(refusalSentence(full, refusal)).toBe(`The list of saved states takes at most ${MOST_SNAPSHOTS}; delete an older one first.`);
  });

  test("a kept state that is no longer there, a photo that is gone", () => {
    expect(refusalSentence(loft, refusalOf(loft, { kind: "drop-snapshot", snapshot: "z" }))).toBe(
      "There is no saved state “z” in this job.",
    );
    expect(refusalOf(loft, { kind: "detach", attachment: "b32e65fd-ff53-4ad9-8b81-a6ac35dd39f0" }).code).toBe("no-such-attachment");
  });
});

describe("edits one after the other", () => {
  test("are made all of them, or none, and what refused says on which job it did", () => {
    const done = applyAll(loft, [planned("television", "earc", "off"), planned("television", "cec", "off")]);
    expect(done.ok && done.value).toEqual(made(loft, planned("television", "earc", "off"), planned("television", "cec", "off")));
    const stopped = applyAll(loft, [
      { kind: "rename-device", device: "bar", name: "Long bar" },
      { kind: "unplug", cable: "no-such" },
    ]);
    expect(stopped.ok ? null : stopped.refusal.refusal).toEqual({ code: "no-such-cable", cable: "no-such" });
    expect(stopped.ok ? null : stopped.refusal.job.devices.find(({ id }) => id === "bar")?.name).toBe("Long bar");
  });

  test("a batch that fails in its middle leaves the job as it was", () => {
    const before = structuredClone(loft);
    const refusal = refusalOf(loft, {
      kind: "batch",
      commands: [
        { kind: "unplug", cable: "bar-tv" },
        { kind: "remove-device", device: "console" },
      ],
    });
    expect(refusal.code).toBe("device-has-cables");
    expect(loft).toEqual(before);
  });
});
