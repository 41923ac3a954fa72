import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made } from "@/demo/room-under-test";
import { fromShelfOrThrow } from "@/core/device";
import { applyCommand, emptyJob, joinSockets, moveCableEnd, replaceDevice, socketAnswers, whyNotPlug, type Job } from "@/core/job";
import { arrivalsOf } from "@/core/chain";

const loft = demoJob("sail-loft");

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

describe("leads that join two kinds of plug, and plugs that are no lead", () => {
  const room = (...archetypes: readonly string[]): Job =>
    archetypes.reduce<Job>(
      (job, archetype, index) => made(job, { kind: "add-device", at: null, device: fromShelfOrThrow(archetype, { id: `d${index}` }) }),
      emptyJob("leads"),
    );
  const lead = (job: Job, a: readonly [string, string], b: readonly [string, string]) => {
    const command = joinSockets(job, { device: a[0], port: a[1] }, { device: b[0], port: b[1] });
    return command.kind === "plug" ? command.cable : null;
  };

  test("3.5 mm goes into RCA with the lead made for it, whichever end is which", () => {
    const job = room("phone-or-cassette", "amplifier-knob", "dac-optical", "powered-speakers");
    expect(lead(job, ["d0", "out"], ["d1", "rca-in"])).toMatchObject({ class: "minijack-rca" });
    expect(lead(job, ["d3", "aux-in"], ["d2", "rca-out"])).toMatchObject({ class: "minijack-rca", from: { device: "d2" } });
    expect(lead(job, ["d0", "out"], ["d1", "aux-in"])).toMatchObject({ class: "minijack" });
  });

  test("coaxial is not analogue RCA, though the plug is the same: another signal, refused", () => {
    const job = room("tv-coaxial", "amplifier-knob");
    expect(whyNotPlug(job, { device: "d0", port: "coaxial-out" }, { device: "d1", port: "rca-in" })).toMatchObject({
      code: "plug-does-not-fit",
    });
  });

  test("a stick plugs in directly; a pairing is the lead of Bluetooth", () => {
    const job = room("stick-hd", "tv-earc", "voice-puck", "bluetooth-speaker");
    expect(lead(job, ["d0", "hdmi-out"], ["d1", "hdmi1"])).toMatchObject({ class: "direct-plug", lengthM: 0.1 });
    expect(lead(job, ["d2", "bluetooth"], ["d3", "bluetooth"])).toMatchObject({ class: "bluetooth" });
  });

  test("a wide stick covers both neighbours and no socket further off, and may not be put where it would cover a plug", () => {
    const stick = made(
      room("stick-hd", "tv-earc", "streamer-4k"),
      joinSockets(room("stick-hd", "tv-earc"), { device: "d0", port: "hdmi-out" }, { device: "d1", port: "hdmi2" }),
    );
    const refused = (port: string) => whyNotPlug(stick, { device: "d2", port: "hdmi-out" }, { device: "d1", port })?.code ?? null;
    expect(["hdmi1", "hdmi2", "hdmi3", "hdmi4"].map(refused)).toEqual(["socket-covered", "socket-taken", "socket-covered", null]);
    const streamerFirst = made(
      room("stick-hd", "tv-earc", "streamer-4k"),
      joinSockets(room("stick-hd", "tv-earc", "streamer-4k"), { device: "d2", port: "hdmi-out" }, { device: "d1", port: "hdmi1" }),
    );
    expect(
      applyCommand(streamerFirst, joinSockets(streamerFirst, { device: "d0", port: "hdmi-out" }, { device: "d1", port: "hdmi2" })),
    ).toMatchObject({
      ok: false,
      refusal: { code: "neighbour-covered", end: { port: "hdmi1" }, by: "d0" },
    });
  });
});
