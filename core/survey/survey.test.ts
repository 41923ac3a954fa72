import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { edidOfDevice, edidReport } from "@/core/edid";
import { fromShelfOrThrow, type Device } from "@/core/device";
import { applyCommand, emptyJob, type Job } from "@/core/job";
import { addTable, edidAgainstDevice, nextAct, openQuestions, readDeviceTable, takeOverEdid, walkOf } from "@/core/survey";
import { listedDifferenceWords, nextActWords, questionWords, tableTroubleSentence } from "@/core/text";

const loft = demoJob("sail-loft");
const questions = (job: Job) => openQuestions(job, solve(job, "planned").rows);

describe("what to find out on site", () => {
  test("a verdict that waits for a fact comes first, with its rows", () => {
    const job = made(
      loft,
      { kind: "edit-cable", cable: "bar-tv", fields: { returnWires: null } },
      { kind: "edit-port", device: "streamer", port: "hdmi-out", fields: { hdcp: null } },
    );
    const [first, ...rest] = questions(job);
    expect(first?.fact).toEqual({ fact: "return-wires", cable: "bar-tv" });
    expect(first?.rows.length).toBeGreaterThan(0);
    // Its pictures cannot be judged either, and nobody else's.
    const hdcp = rest.find(({ fact }) => fact.fact === "socket-hdcp");
    expect(hdcp?.fact).toEqual({ fact: "socket-hdcp", device: "streamer", port: "hdmi-out" });
    expect(hdcp?.rows.every((row) => row.startsWith("streamer/"))).toBe(true);
    expect(hdcp?.rows.length).toBeGreaterThan(0);
    expect(questionWords(job, { fact: "socket-hdcp", device: "streamer", port: "hdmi-out" })).toBe("which HDCP Streamer “HDMI OUT” has");
  });

  test("what a picture waits for comes first too: a socket whose rate nobody has noted, with its rows", () => {
    const devices = loft.devices.map((one) => ({
      ...one,
      ports: one.ports.map((port) => (one.id === "bar" && port.connector === "hdmi" ? { ...port, maxGbps: null } : port)),
    }));
    const [first, ...others] = questions({ ...loft, devices });
    expect(first?.fact).toMatchObject({ fact: "socket-rate", device: "bar" });
    expect(first?.rows).toContain("console/games/game-mat-atmos");
    expect(others.every(({ fact, rows }) => fact.fact === "socket-rate" || rows.length === 0)).toBe(true);
  });

  test("the return wires of a cable that no return could use are nobody's question", () => {
    const job = made(loft, { kind: "edit-cable", cable: "streamer-tv", fields: { returnWires: null } });
    expect(questions(job)).toEqual(questions(loft));
  });

  test("an answer takes its question away", () => {
    const asked = made(loft, { kind: "set-setting", device: "television", setting: "earc", state: "found", value: null });
    expect(questions(asked).some(({ fact }) => fact.fact === "setting")).toBe(true);
    const answered = made(asked, { kind: "set-setting", device: "television", setting: "earc", state: "found", value: "on" });
    expect(questions(answered)).toEqual(questions(loft));
  });
});

describe("what is not known of a device is asked, each once", () => {
  const asked = (...commands: Parameters<typeof made>[1][]) =>
    questions(made(loft, ...commands)).filter(
      ({ fact }) => !questions(loft).some((known) => JSON.stringify(known.fact) === JSON.stringify(fact)),
    );

  test("decoders, delays and what moves the loudness", () => {
    const bar = loft.devices.find(({ id }) => id === "bar");
    const speakers = bar?.speakers;
    if (!speakers) throw new Error("no speakers");
    expect(asked({ kind: "edit-device", device: "bar", fields: { volume: null } }).map(({ fact }) => fact)).toEqual([
      { fact: "volume", device: "bar" },
    ]);
    const deaf = asked({ kind: "edit-device", device: "bar", fields: { decodes: null } });
    expect(deaf.map(({ fact }) => fact)).toContainEqual({ fact: "decoders", device: "bar" });
    expect(deaf[0]?.rows.length).toBeGreaterThan(0);
  });

  test("a run of cable that the brief allows and nobody measured; not one that it forbids", () => {
    const rooms: Job["rooms"] = ["a", "b", "c"].map((id) => ({ id, name: id.toUpperCase(), seats: 0, space: null }));
    const run = (id: string, between: [string, string], allowed: boolean, lengthM: number | null) => ({ id, between, allowed, lengthM });
    const facts = asked(
      { kind: "set-rooms", rooms },
      {
        kind: "edit-brief",
        fields: { runs: [run("r1", ["a", "b"], true, null), run("r2", ["b", "c"], true, 7), run("r3", ["a", "c"], false, null)] },
      },
    ).map(({ fact }) => fact);
    expect(facts).toEqual([{ fact: "run-length", rooms: ["a", "b"] }]);
  });

  test("whatever is forgotten at random, no question is asked twice and those that verdicts wait for come first", () => {
    const settings = loft.devices.flatMap(({ id, settings: rows }) => rows.map(({ key }) => ({ device: id, setting: key })));
    fc.assert(
      fc.property(fc.subarray(settings), (forgotten) => {
        const job = made(
          loft,
          ...forgotten.flatMap((one) =>
            (["found", "planned", "left"] as const).map((state) => ({ kind: "set-setting" as const, ...one, state, value: null })),
          ),
        );
        const all = questions(job);
        expect(new Set(all.map(({ fact }) => JSON.stringify(fact))).size).toBe(all.length);
        const waits = all.map(({ rows }) => rows.length > 0);
        expect(waits).toEqual([...waits].sort((a, b) => Number(b) - Number(a)));
        for (const one of forgotten)
          expect(all.some(({ fact }) => fact.fact === "setting" && fact.device === one.device && fact.setting === one.setting)).toBe(true);
      }),
      { numRuns: 40, seed: 21 },
    );
  });
});

describe("a read EDID beside the device", () => {
  const screen = (archetype: string): Device => fromShelfOrThrow(archetype, { id: "tv" });
  const edidOf = (device: Device) => {
    const edid = edidOfDevice(device);
    if (!edid) throw new Error("no EDID");
    return edid;
  };

  test("of the same class differs in nothing", () => {
    const tv = screen("tv-earc");
    expect(edidAgainstDevice(tv, edidOf(tv))).toEqual([]);
  });

  test("of a lesser screen names what it lists less, and taking it over makes the two alike", () => {
    const tv = screen("tv-earc");
    const edid = edidOf(screen("monitor-stereo"));
    const differences = edidAgainstDevice(tv, edid);
    expect(differences.every(({ read }) => read === null || read.coding === "lpcm")).toBe(true);
    expect(differences.map(({ coding }) => coding)).toContain("eac3");
    const job: Job = { ...emptyJob("room"), devices: [tv] };
    const applied = applyCommand(job, takeOverEdid(tv, edid, edidReport(edid, [])));
    const after = applied.ok ? applied.value.job.devices[0] : undefined;
    expect(after && edidAgainstDevice(after, edid)).toEqual([]);
    expect(differences[0] && listedDifferenceWords(differences[0])).toMatch(/the EDID lists .*, the job had /);
  });
});

describe("a pasted table of devices", () => {
  const table = (...lines: string[]) =>
    readDeviceTable(
      { ...loft, rooms: [{ id: "rack", name: "Rack", seats: 0, space: null }] },
      lines.map((line) => line.split(";")),
    );

  test("is taken in whole: kinds by id, by name or by words that only one answers to", () => {
    const lines = table("Kind;Name;Maker;Room;Note", "tv-earc;Big TV;Halden;Rack;", "voice puck;;;;by the sofa", "");
    expect(lines.map(({ line, trouble }) => [line, trouble])).toEqual([
      [2, null],
      [3, null],
    ]);
    expect(lines[0]?.device).toMatchObject({ name: "Big TV", maker: "Halden", room: "rack", archetype: "tv-earc" });
    const command = addTable(lines);
    expect(command?.kind === "batch" && command.commands).toHaveLength(2);
    expect(command && applyCommand({ ...loft, rooms: [{ id: "rack", name: "Rack", seats: 0, space: null }] }, command).ok).toBe(true);
  });

  test("with one line that is not understood nothing is added, and the line is named with what would do", () => {
    const lines = table("kind;name", "television;A", "flux capacitor;B", ";C");
    expect(lines.map(({ line, trouble }) => [line, trouble?.code ?? null])).toEqual([
      [2, "several-kinds"],
      [3, "unknown-kind"],
      [4, "no-kind"],
    ]);
    expect(addTable(lines)).toBeNull();
    expect(lines[0]?.trouble && tableTroubleSentence(lines[0].trouble)).toContain("tv-earc");
  });

  test("without a column for the kind says how to head the columns", () => {
    const [line] = table("name;maker", "A;B");
    expect(line?.trouble && tableTroubleSentence(line.trouble)).toContain("“kind”");
  });

  test("two devices of one name get names of their own", () => {
    const names = table("kind;name", "tv-arc;Screen", "tv-arc;Screen").map(({ device }) => device?.name);
    expect(names).toEqual(["Screen", "Screen 2"]);
  });
});

test("the walk meets each socket once, and each cable at the first of its ends", () => {
  const stops = walkOf(loft);
  const sockets = loft.devices.flatMap(({ ports }) => ports).length;
  expect(stops).toHaveLength(sockets - loft.cables.length);
  expect(stops[0]?.end.device).toBe("bar");
});

describe("what is due next", () => {
  const next = (job: Job) => nextAct(job, solve(job, "planned").rows, questions(job));

  test("follows the phase and the board", () => {
    expect(next(emptyJob("Room"))).toEqual({ act: "note-gear" });
    expect(nextActWords(next({ ...demoJob("flat-4b"), phase: "design" }))).toBe("4 rows below their best: see what lifts them");
    expect(next({ ...loft, phase: "design", visitOn: null })).toEqual({ act: "agree-day" });
    const turned = made(loft, { kind: "set-setting", device: "television", setting: "earc", state: "planned", value: "off" });
    expect(next({ ...turned, phase: "visit" })).toEqual({ act: "note-left", settings: 1 });
    expect(next({ ...loft, phase: "handover" })).toEqual({ act: "nothing" });
  });
});
