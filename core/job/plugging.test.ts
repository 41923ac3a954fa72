import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { fromShelfOrThrow } from "@/core/device";
import {
  applyCommand,
  emptyJob,
  joinSockets,
  moveCableEnd,
  replaceDevice,
  socketAnswers,
  whyNotPlug,
  type Command,
  type Job,
} from "@/core/job";
import { arrivalsOf } from "@/core/chain";

const loft = demoJob("sail-loft");
const made = (job: Job, command: Command): Job => {
  const applied = applyCommand(job, command);
  if (!applied.ok) throw new Error(JSON.stringify(applied.refusal));
  return applied.value.job;
};

describe("a plug", () => {
  test("goes from an output into a free input of its kind, whichever end is named first", () => {
    const [out, input] = [
      { device: "disc-player", port: "optical-out" },
      { device: "bar", port: "optical-in" },
    ];
    expect(whyNotPlug(loft, out, input)).toBeNull();
    expect(whyNotPlug(loft, input, out)).toBeNull();
  });

  test("is refused by a socket that holds a cable, and the cable is named", () => {
    expect(whyNotPlug(loft, { device: "television", port: "hdmi1" }, { device: "console", port: "hdmi-out" })).toMatchObject({
      code: "socket-taken",
    });
  });

  test("for optical does not fit HDMI", () => {
    expect(whyNotPlug(loft, { device: "disc-player", port: "optical-out" }, { device: "television", port: "hdmi4" })).toMatchObject({
      code: "plug-does-not-fit",
      plug: "optical",
      socket: "hdmi",
    });
  });

  test("does not join two outputs or two inputs", () => {
    const job = { ...loft, cables: [] };
    expect(whyNotPlug(job, { device: "streamer", port: "hdmi-out" }, { device: "console", port: "hdmi-out" })?.code).toBe("both-outputs");
    expect(whyNotPlug(job, { device: "television", port: "hdmi1" }, { device: "bar", port: "hdmi-in" })?.code).toBe("both-inputs");
  });

  test("does not close a circle of signals", () => {
    let job = emptyJob("circle");
    for (const id of ["one", "two"])
      job = made(job, { kind: "add-device", device: fromShelfOrThrow("receiver-72", { id, name: id }), at: null });
    job = made(job, joinSockets(job, { device: "one", port: "hdmi-out" }, { device: "two", port: "hdmi-in1" }));
    expect(whyNotPlug(job, { device: "two", port: "hdmi-out" }, { device: "one", port: "hdmi-in1" })).toEqual({
      code: "cable-loop",
      devices: expect.arrayContaining(["one", "two"]),
    });
  });

  test("may lie beside a return channel: TV optical to bar is no circle", () => {
    expect(whyNotPlug(loft, { device: "television", port: "optical-out" }, { device: "bar", port: "optical-in" })).toBeNull();
  });

  test("every other socket of the room answers, yes or no", () => {
    const held = { device: "disc-player", port: "optical-out" };
    const answers = socketAnswers(loft, held);
    expect(answers).toHaveLength(loft.devices.reduce((sum, { ports }) => sum + ports.length, 0) - 1);
    expect(answers.filter(({ refusal }) => refusal === null).map(({ end }) => end)).toEqual([{ device: "bar", port: "optical-in" }]);
  });
});

describe("composed edits", () => {
  test("a new cable has the class that assures everything the plug can carry", () => {
    const command = joinSockets({ ...loft, cables: [] }, { device: "television", port: "hdmi3" }, { device: "bar", port: "hdmi-out" });
    expect(command).toMatchObject({
      kind: "plug",
      cable: { class: "ultra-high-speed", returnWires: "earc", from: { device: "bar" }, to: { device: "television" } },
    });
  });

  test("moving a plug keeps the cable and its place", () => {
    const cable = loft.cables[0];
    if (!cable) throw new Error("the loft has cables");
    const job = made(loft, moveCableEnd(loft, cable, "to", { device: "television", port: "hdmi4" }));
    expect(job.cables[0]).toEqual({ ...cable, to: { device: "television", port: "hdmi4" } });
  });

  test("a replaced bar keeps its cables where the new one has like sockets", () => {
    const flat = demoJob("flat-4b");
    const job = made(flat, replaceDevice(flat, "bar", fromShelfOrThrow("bar-two-inputs", { id: "bar", name: "Bar" })));
    expect(job.devices.map(({ id }) => id)).toEqual(flat.devices.map(({ id }) => id));
    expect(job.cables.find(({ id }) => id === "bar-tv")).toMatchObject({ from: { device: "bar", port: "hdmi-out" } });
  });

  test("Flat 4B turns whole with a bar of two HDMI inputs and the players moved into it", () => {
    let job = demoJob("flat-4b");
    job = made(job, replaceDevice(job, "bar", fromShelfOrThrow("bar-two-inputs", { id: "bar", name: "Bar" })));
    for (const [cable, port] of [
      ["box-tv", "hdmi-in1"],
      ["streamer-tv", "hdmi-in2"],
    ] as const) {
      const found = job.cables.find(({ id }) => id === cable);
      if (found) job = made(job, moveCableEnd(job, found, "to", { device: "bar", port }));
    }
    const board = arrivalsOf(job).filter(({ player }) => player !== "television");
    expect(board.map(({ verdict }) => verdict)).toEqual(["full", "full", "full"]);
  });

  test("a replacement that is taken back restores every byte", () => {
    const flat = demoJob("flat-4b");
    const applied = applyCommand(flat, replaceDevice(flat, "bar", fromShelfOrThrow("bar-one-input", { id: "bar", name: "Bar" })));
    if (!applied.ok) throw new Error("refused");
    expect(JSON.stringify(made(applied.value.job, applied.value.inverse))).toBe(JSON.stringify(flat));
  });
});
