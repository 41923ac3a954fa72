import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { afterAll, beforeAll, describe, expect, test } from "vitest";
import { octachord } from "./octachord-under-test";

const root = fileURLToPath(new URL("..", import.meta.url));
const folder = mkdtempSync(join(tmpdir(), "octachord-cli-"));

/** The command as another process starts it; what every other test calls is the same `main`, without starting anything. */
function started(args: readonly string[], input?: string) {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(root, "cli/octachord.mjs"), ...args], {
    cwd: folder,
    encoding: "utf8",
    ...(input === undefined ? {} : { input }),
  });
  return { status, stdout, stderr };
}

const before = process.cwd();
beforeAll(() => process.chdir(folder));
afterAll(() => process.chdir(before));

const demo = (name: string) => join(root, "demo/jobs", `${name}.octachord.json`);
const written = (name: string, text: string) => {
  writeFileSync(join(folder, name), text);
  return name;
};

describe("exit codes", () => {
  test("0: a sound job file, and a board on which all is whole", async () => {
    expect(await octachord(["validate", demo("sail-loft")])).toMatchObject({
      status: 0,
      stdout: "Sail Loft: a sound job file, 5 devices, 4 cables.\n",
      stderr: "",
    });
    expect((await octachord(["arrivals", demo("sail-loft")])).status).toBe(0);
  });

  test("1: the answer holds problems, told in sentences", async () => {
    const { status, stdout } = await octachord(["arrivals", demo("flat-4b")]);
    expect(status).toBe(1);
    expect(stdout).toContain("Television “HDMI 3” has no return channel");
    expect(stdout).toContain("Television plays 2.0 from its own speakers.");
  });

  test.each([
    ["no such file", ["validate", "nowhere.json"], "octachord: nowhere.json: there is no such file.\n"],
    [
      "an unknown state",
      ["arrivals", demo("flat-4b"), "--as", "wished"],
      "octachord: --as: expected found, planned or left, got “wished”.\n",
    ],
  ])("2: %s", async (_what, args, line) => expect(await octachord(args)).toMatchObject({ status: 2, stdout: "", stderr: line }));

  test.each([
    ["wrong JSON", "{", /^octachord: bad\.json: The file is not JSON: .+\n$/],
    [
      "a newer version",
      '{"format":"octachord-job","version":9,"name":"x"}',
      /^octachord: bad\.json: version: this file is of version 9, .+\n$/,
    ],
    [
      "hand-written nonsense",
      '{"format":"octachord-job","version":1,"name":"x","devices":"many"}',
      /^octachord: bad\.json: devices: expected an array\.\n$/,
    ],
    [
      "an unknown socket",
      '{"format":"octachord-job","version":1,"name":"x","devices":[{"archetype":"projector","id":"p","ports":[{"id":"a","label":"A","direction":"in","connector":"square"}]}]}',
      /^octachord: bad\.json: devices\[0\]\.ports\[0\]\.connector: expected .+\n$/,
    ],
    ["11 MB", `"${"x".repeat(11 * 1024 * 1024)}"`, /^octachord: bad\.json: The file has 11\.0.MB; job files of up to 10.MB are read\.\n$/],
  ])("2: %s, one line with file, place and expectation", async (_what, text, line) => {
    const { status, stdout, stderr } = await octachord(["validate", written("bad.json", text)]);
    expect(status).toBe(2);
    expect(stdout).toBe("");
    expect(stderr).toMatch(line);
  });

  test("2: an unknown command", async () => expect((await octachord(["sing"])).status).toBe(2));
});

test("JSON comes on one line with the same board, also from standard input", async () => {
  const fromFile = await octachord(["arrivals", demo("flat-4b"), "--json"]);
  const fromInput = started(["arrivals", "-", "--json"], readFileSync(demo("flat-4b"), "utf8"));
  expect(fromInput.stdout).toBe(fromFile.stdout);
  const report = JSON.parse(fromFile.stdout) as { arrivals: { verdict: string }[] };
  expect(report.arrivals.map(({ verdict }) => verdict)).toEqual(["silent", "silent", "silent", "silent"]);
  expect(JSON.parse((await octachord(["validate", demo("flat-4b"), "--json"])).stdout)).toEqual({
    valid: true,
    name: "Flat 4B",
    version: 5,
    devices: 4,
    cables: 3,
  });
});

describe("handover", () => {
  const out = (name: string) => join(mkdtempSync(join(tmpdir(), "octachord-out-")), name);
  test("a package is a zip that is read like a job file, and gives itself again", async () => {
    const [one, other] = [out("loft.zip"), out("again.zip")];
    expect((await octachord(["handover", demo("sail-loft"), "-o", one, "--day", "2026-11-27"])).status).toBe(0);
    expect((await octachord(["handover", one, "-o", other, "--day", "2026-11-27"])).status).toBe(0);
    expect(readFileSync(other).equals(readFileSync(one))).toBe(true);
  });
  test("a sheet is a PDF in the language that was asked for", async () => {
    const file = out("loft.pdf");
    expect((await octachord(["handover", demo("sail-loft"), "-o", file, "--language", "es"])).status).toBe(0);
    const pdf = readFileSync(file).toString("latin1");
    expect(pdf).toMatch(/^%PDF-1/);
    expect(pdf).toContain("/Lang (es)");
  });
  test.each([
    [["-o", "x.doc"], /x\.doc: expected a name that ends in \.pdf or \.zip/],
    [["-o", "x.pdf", "--sheet", "poem"], /--sheet: expected one of household, record/],
    [["-o", "x.pdf", "--language", "xx"], /--language: expected one of en, es/],
    [["-o", "x.pdf", "--paper", "a0"], /--paper: expected a4 or letter/],
    [["-o", "/nowhere/x.pdf"], /could not be written/],
  ])("2: %j", async (options, line) => {
    const { status, stderr } = await octachord(["handover", demo("sail-loft"), ...options]);
    expect(status).toBe(2);
    expect(stderr).toMatch(line);
  });
});

describe("what a picture asks of a link", () => {
  const link = (...args: string[]) => octachord(["link", ...args, "--json"]);
  test("2160p60 10 bit 4:4:4: 22.275 Gb/s, more than TMDS has", async () => {
    const { status, stdout } = await link("--mode", "3840x2160@60", "--depth", "10", "--chroma", "444");
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ tmdsGbps: 22.275, cableClass: "ultra-high-speed", fits: true });
  });
  test("1: what no link carries, or not the one at hand", async () => {
    expect((await link("--mode", "7680x4320@60", "--depth", "10")).status).toBe(1);
    expect(JSON.parse((await link("--mode", "3840x2160@120", "--depth", "12", "--have", "40")).stdout)).toMatchObject({
      fits: false,
      frl: 48,
    });
  });
  test("2: a mode nobody knows", async () => expect((await link("--mode", "many")).stderr).toMatch(/^octachord: --mode: expected one of/));
});

describe("the smallest set of changes", () => {
  const system = join(root, "demo/systems/03-mat-console.octachord.json");
  test("as JSON, with its proof", async () => {
    const { status, stdout } = await octachord(["changes", system, "--json"]);
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({
      changes: [{ kind: "setting", words: "Set “eARC” to on at Television" }],
      cost: 1,
      proof: "every-row",
      proven: true,
      lowers: [],
    });
  });
  test("with nothing to buy, and with something bought", async () => {
    expect((await octachord(["changes", demo("flat-4b"), "--no-purchase"])).status).toBe(1);
    const { stdout } = await octachord(["changes", demo("flat-4b"), "--buy", "tv-earc", "--json"]);
    const report = JSON.parse(stdout) as { purchases: { lifts: string[] }[] };
    expect(report.purchases[0]?.lifts).toHaveLength(4);
    const boxed = JSON.parse((await octachord(["changes", demo("flat-4b"), "--van", "earc-extractor-mixed", "--json"])).stdout) as {
      changes: { kind: string }[];
      lifts: string[];
    };
    expect(boxed.changes.map(({ kind }) => kind)).toContain("box");
    expect(boxed.lifts.length).toBeGreaterThan(0);
    expect(await octachord(["changes", demo("flat-4b"), "--van", "no-such-box"])).toMatchObject({ status: 2, stdout: "" });
    expect(await octachord(["changes", demo("flat-4b"), "--buy", "no-such-thing"])).toMatchObject({ status: 2, stdout: "" });
  });
});

describe("the wiring map", () => {
  test("is an SVG drawing with every device, and the strings of a row that is named", async () => {
    const plain = await octachord(["map", demo("sail-loft")]);
    expect(plain.status).toBe(0);
    expect(plain.stdout).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg".*Sail Loft: wiring map.*<\/svg>\n$/s);
    expect(await octachord(["map", demo("sail-loft"), "--row", "no/such/row"])).toMatchObject({ status: 2, stdout: "" });
    expect((await octachord(["map", demo("sail-loft"), "--feet", "-o", "map.svg"])).status).toBe(0);
    expect(readFileSync(join(folder, "map.svg"), "utf8")).toContain("ft");
  });
});

describe("capability blocks", () => {
  test("made, merged and shown", async () => {
    writeFileSync(join(folder, "tv.json"), '{"archetype":"tv-earc"}');
    writeFileSync(join(folder, "bar.json"), '{"archetype":"bar-one-input"}');
    expect((await octachord(["edid", "make", "tv.json", "-o", "tv.bin"])).status).toBe(0);
    expect((await octachord(["edid", "make", "bar.json", "-o", "bar.bin"])).status).toBe(0);
    expect((await octachord(["edid", "merge", "--picture", "tv.bin", "--sound", "bar.bin", "-o", "both.bin"])).status).toBe(0);
    const lines = (await octachord(["edid", "show", "both.bin", "tv.bin", "--json"])).stdout.trim().split("\n");
    const [both, tv] = lines.map(
      (line) => JSON.parse(line) as { file: string; valid: boolean; vics: number[]; audio: { coding: string }[] },
    );
    expect([both?.file, both?.valid]).toEqual(["both.bin", true]);
    expect(both?.vics).toEqual(tv?.vics);
    expect(both?.audio.map(({ coding }) => coding)).toContain("dts-hd-ma");
    expect(tv?.audio.map(({ coding }) => coding)).not.toContain("dts-hd-ma");
  });
  test("1: one that breaks the standard is shown with its faults", async () => {
    writeFileSync(join(folder, "cut.bin"), readFileSync(join(folder, "tv.bin")).subarray(0, 200));
    const { status, stdout } = await octachord(["edid", "show", "cut.bin", "--json"]);
    expect(status).toBe(1);
    expect(JSON.parse(stdout)).toMatchObject({ valid: false, manufacturer: "OCT" });
  });
  test.each([
    ["no such file", ["edid", "show", "nowhere.bin"], /^octachord: nowhere\.bin: there is no such file\.\n$/],
    ["a device without an HDMI input", ["edid", "make", "amp.json", "-o", "x.bin"], /^octachord: amp\.json: ports: expected an HDMI input/],
    ["no device at all", ["edid", "make", "none.json", "-o", "x.bin"], /^octachord: none\.json: expected a device as JSON/],
  ])("2: %s", async (_what, args, line) => {
    writeFileSync(join(folder, "amp.json"), '{"archetype":"amplifier-knob"}');
    writeFileSync(join(folder, "none.json"), "not json");
    const { status, stdout, stderr } = await octachord(args);
    expect([status, stdout]).toEqual([2, ""]);
    expect(stderr).toMatch(line);
  });
});

describe("octachord cec", () => {
  test("plays an act with its frames in plain words, and says how it ends", async () => {
    const { status, stdout } = await octachord(["cec", demo("sail-loft"), "--event", "wake:console"]);
    expect(status).toBe(0);
    expect(stdout).toContain("BF:82:31:00  Console tells everyone: I am the source (3.1.0.0).");
    // The picture comes through the bar, which is not known to pass any on asleep.
    expect(stdout).toMatch(/Wake Console with its own remote: As wanted\. Picture after 19.s, sound after 19.s\.\n$/);
  });

  test("--json has frames, the end and the verdict", async () => {
    const { status, stdout } = await octachord(["cec", demo("village-hall"), "--event", "wake:disc", "--json"]);
    expect(status).toBe(1);
    const report = JSON.parse(stdout) as { frames: { t_ms: number; bytes: string; opcode: number; says: string }[] };
    expect(report.frames[0]).toMatchObject({ bytes: "40:04", opcode: 4, says: "Disc player asks Projector: wake and show a picture." });
    expect(report).toMatchObject({
      event: "wake:disc",
      verdict: "with-a-step",
      end: { power: { projector: "on", receiver: "standby" }, systemAudio: false, arc: false },
      steps: [{ device: "receiver", words: "Receiver: on" }],
    });
  });

  test("lists the events of a job, and an unknown one is refused with those that are known", async () => {
    const { stdout } = await octachord(["cec", demo("flat-4b"), "--list"]);
    expect(stdout).toContain("tv-remote-power-on  switch on with the remote of Television\n");
    const unknown = await octachord(["cec", demo("flat-4b"), "--event", "sing"]);
    expect(unknown.status).toBe(2);
    expect(unknown.stderr).toMatch(/^octachord: --event: this job knows no “sing”; its events are tv-remote-power-on, /);
  });

  test("without an event judges every act of the house; a projector without speakers never sounds in place of the bar", async () => {
    const { status, stdout } = await octachord(["cec", demo("attic-screen"), "--json"]);
    expect(status).toBe(1);
    const { acts, conflicts } = JSON.parse(stdout) as { acts: { event: string; verdict: { verdict: string } }[]; conflicts: unknown[] };
    expect(acts.filter(({ verdict }) => verdict.verdict !== "as-wished").map(({ event }) => event)).toEqual(["wrong-remote"]);
    expect(conflicts).toEqual([]);
  });

  test("prints the table of addresses, in the order in which power comes back", async () => {
    const { status, stdout } = await octachord(["cec", demo("sail-loft"), "--addresses", "--order", "console", "disc-player", "--json"]);
    expect(status).toBe(0);
    const { addresses } = JSON.parse(stdout) as { addresses: { device: string; physical: string; logical: number | null }[] };
    const of = (id: string) => addresses.find(({ device }) => device === id);
    // CEC 1.4 table 5: playback devices take 4, 8 and 11 in the order in which they call.
    expect([of("console")?.logical, of("disc-player")?.logical, of("streamer")?.logical]).toEqual([4, 8, 11]);
    expect(of("television")).toMatchObject({ physical: "0.0.0.0", logical: 0 });
    expect((await octachord(["cec", demo("sail-loft"), "--addresses", "--order", "nobody"])).status).toBe(2);
  });
});

describe("plans", () => {
  test("as sentences: the best of each school, what is missing for it, how sure that is, and what this room does not allow", async () => {
    const { status, stdout } = await octachord(["plan", demo("attic-screen"), "--van", "earc-extractor-mixed"]);
    expect(status).toBe(0);
    expect(stdout).toMatch(
      /^1\. Everything into the sound system, 99\.0 points\n {3}Streamer into Bar\. Bar connects to Projector “HDMI 1”\.\n/,
    );
    expect(stdout).toContain("Proven best for these weights");
    expect(stdout).toMatch(/Not here: Everything into the screen: .*\./);
  });

  test("as JSON: plans with school, score, figures, cables, settings, arrivals and why", async () => {
    const { status, stdout } = await octachord([
      "plan",
      demo("attic-screen"),
      "--van",
      "switch-3x1",
      "--top",
      "1",
      "--preset",
      "easiest-to-use",
      "--json",
    ]);
    expect(status).toBe(0);
    const report = JSON.parse(stdout) as { plans: Record<string, unknown>[]; preset: string };
    expect(report).toMatchObject({ preset: "easiest-to-use", proven: true, gap: 0 });
    expect(report.plans).toHaveLength(1);
    expect(Object.keys(report.plans[0] ?? {})).toEqual(
      expect.arrayContaining(["school", "score", "figures", "proven", "gap", "cables", "settings", "arrivals", "why", "command"]),
    );
  });

  test.each([
    ["a preset that is none", ["--preset", "cheapest"], /^octachord: --preset: expected one of /],
    ["a pin of nobody", ["--pin", "nobody:bar"], /^octachord: --pin: “nobody:bar” names nothing in this job/],
    ["a box that is none", ["--van", "console-mat"], /^octachord: --van: there is no box “console-mat” on the shelf\.\n$/],
    ["no count", ["--top", "many"], /^octachord: --top: expected a whole number from 1\.\n$/],
  ])("2: %s", async (_what, args, line) => {
    const { status, stdout, stderr } = await octachord(["plan", demo("attic-screen"), ...args]);
    expect({ status, stdout }).toEqual({ status: 2, stdout: "" });
    expect(stderr).toMatch(line);
  });
});

test("wishes that cannot all be had: exit 1, and the smallest set of them", async () => {
  const { status, stdout } = await octachord([
    "plan",
    demo("flat-4b"),
    "--van",
    "extractor",
    "--must",
    "sounds:television",
    "keep:bar",
    "keep:television",
    "--json",
  ]);
  expect(status).toBe(1);
  const { plans, conflict } = JSON.parse(stdout) as { plans: unknown[]; conflict: { must: string; device: string; words: string }[] };
  expect(plans).toEqual([]);
  expect(conflict.map(({ must, device }) => `${must}:${device}`).toSorted()).toEqual(["keep:bar", "keep:television", "sounds:television"]);
});

test("why not so: planned with it, and what is lost, in one line", async () => {
  const { status, stdout } = await octachord([
    "plan",
    demo("receiver-den"),
    "--van",
    "switch-3x1",
    "--top",
    "1",
    "--why-not",
    "console:television",
  ]);
  expect(status).toBe(0);
  expect(stdout).toMatch(/Why not console:television\? \d+\.\d points behind the best: .*Console.* into Television.* Console, game: /);
  expect((await octachord(["plan", demo("receiver-den"), "--why-not", "console:nowhere"])).status).toBe(2);
});

test("plans that none beats, and what would change the best, beside the plans and in the machine form", async () => {
  const args = ["plan", demo("sail-loft"), "--van", "switch-3x1", "--trades", "--what-if", "--top", "1"];
  const { status, stdout } = await octachord([...args, "--json"]);
  expect(status).toBe(0);
  const { trades, whatIf } = JSON.parse(stdout) as {
    trades: { words: string; trade: { arrivals: number; ease: number; cost: number; work: number }; cables: unknown[] }[];
    whatIf: { suppose: string; gain: number; words: string }[];
  };
  expect(trades.length).toBeGreaterThan(0);
  for (const { words, trade, cables } of trades) {
    expect(words).toMatch(/^[A-Z]/);
    expect(trade.arrivals).toBeLessThanOrEqual(1);
    expect(cables.length).toBeGreaterThan(0);
  }
  for (const { gain } of whatIf) expect(gain).toBeGreaterThanOrEqual(0.5);
  expect((await octachord(args)).stdout).toMatch(/(arrives|cheapest|easiest|least work).*: .* into /i);
});

describe("rooms and sound", () => {
  test("room prints what to dial, and --json gives it as figures", async () => {
    const { status, stdout } = await octachord(["room", demo("receiver-den")]);
    expect(status).toBe(0);
    expect(stdout).toContain("Distance, left surround: 2\u2009m");
    const report = JSON.parse((await octachord(["room", demo("receiver-den"), "--json"])).stdout) as {
      rooms: { speakers: { channel: string; placed: string }[] }[];
    };
    expect(report.rooms[0]?.speakers.map(({ channel }) => channel)).toEqual(["L", "R", "C", "LFE", "Ls", "Rs"]);
  });

  test("room and template write PDF and SVG, and say what is wrong with a unit, a paper or a name", async () => {
    expect(await octachord(["template", demo("attic-screen"), "--unit", "bar", "-o", "bar.pdf", "--paper", "letter"])).toMatchObject({
      status: 0,
    });
    expect(readFileSync(join(folder, "bar.pdf")).subarray(0, 5).toString()).toBe("%PDF-");
    expect(await octachord(["room", demo("attic-screen"), "-o", "attic.svg"])).toMatchObject({ status: 0 });
    expect(readFileSync(join(folder, "attic.svg"), "utf8")).toContain("</svg>");
    expect(await octachord(["template", demo("attic-screen"), "--unit", "rear", "-o", "x.svg"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("bar/subwoofer") as string,
    });
    expect((await octachord(["template", demo("attic-screen"), "--unit", "bar", "-o", "x.png"])).status).toBe(2);
    expect((await octachord(["template", demo("attic-screen"), "--unit", "bar", "-o", "x.svg", "--paper", "a9"])).stderr).toBe(
      "octachord: --paper: expected one of a4, letter.\n",
    );
  });

  test("measure makes a signal, reads its recording, and refuses what is none", async () => {
    expect(await octachord(["measure", "make", "--layout", "2.0", "-o", "signal.wav"])).toMatchObject({ status: 0 });
    const read = await octachord(["measure", "read", "signal.wav", "--signal", "signal.json", "--json"]);
    // Of the two channels of the signal itself the louder is read, so that one of them is silent.
    expect(read.status).toBe(1);
    expect((JSON.parse(read.stdout) as { channels: { heard: boolean }[] }).channels.filter(({ heard }) => heard)).toHaveLength(1);
    written("song.wav", "ID3 not a wav at all");
    expect(await octachord(["measure", "read", "song.wav", "--signal", "signal.json"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("MP3") as string,
    });
    expect((await octachord(["measure", "read", "signal.wav", "--signal", "song.wav"])).status).toBe(2);
    expect((await octachord(["measure", "make", "--layout", "9.9", "-o", "x.wav"])).status).toBe(2);
  });
});

describe("octachord faults, diagnose and practice", () => {
  const hall = demo("village-hall");
  const parsed = async (...args: string[]): Promise<unknown> => JSON.parse((await octachord([...args, "--json"])).stdout);

  test("faults lists every fault with its place, its chance and its cure, the likeliest first", async () => {
    const { faults } = (await parsed("faults", hall)) as {
      faults: {
        id: string;
        kind: string;
        at: { device?: string; setting?: string };
        prior: number;
        says: string;
        cure: { minutes: number };
      }[];
    };
    expect(faults.reduce((sum, { prior }) => sum + prior, 0)).toBeCloseTo(1, 6);
    expect(faults.map(({ prior }) => prior)).toEqual(faults.map(({ prior }) => prior).toSorted((a, b) => b - a));
    expect(faults.find(({ kind }) => kind === "muted")).toMatchObject({
      at: { device: "receiver", setting: "mute" },
      cure: { minutes: 0.25 },
    });
    const text = await octachord(["faults", hall]);
    expect(text).toMatchObject({ status: 0, stderr: "" });
    expect(text.stdout).toContain("“Mute” at Receiver is on.");
  });

  test("diagnose names what can be told and checked, the next check with its answers, and goes on from what was seen", async () => {
    const { symptoms } = (await parsed("diagnose", hall, "--symptoms")) as { symptoms: { id: string }[] };
    expect(symptoms.map(({ id }) => id)).toContain("silent:all");
    const { checks } = (await parsed("diagnose", hall, "--checks")) as { checks: { id: string; answers: { answer: string }[] }[] };
    type Stand = {
      suspects: { fault: string; probability: number }[];
      next: { check: string; why: string; answers: { answer: string; probability: number }[] } | null;
      cure: { fault: string } | null;
      expectedMinutes: number;
    };
    const first = (await parsed("diagnose", hall, "--symptom", "silent:all")) as Stand;
    expect(first.suspects.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 6);
    expect(checks.map(({ id }) => id)).toContain(first.next?.check);
    expect(first.next?.why).not.toBe("");
    writeFileSync("obs.json", JSON.stringify([{ check: "set:receiver:mute", answer: "mended" }]));
    const mended = (await parsed("diagnose", hall, "--symptom", "silent:all", "--observed", "obs.json")) as Stand;
    expect(mended).toMatchObject({ next: null, cure: { fault: "muted:receiver/mute=on" }, expectedMinutes: 0 });
  });

  test("--plant plays the search against the broken room until it is cured", async () => {
    const played = (await parsed("diagnose", hall, "--plant", "stale:receiver-matrix")) as {
      line: { minutes: number }[];
      found: string;
      minutes: number;
      cured: boolean;
    };
    expect(played).toMatchObject({ found: "stale:receiver-matrix", cured: true });
    expect(played.minutes).toBe(played.line.reduce((sum, { minutes }) => sum + minutes, 0));
  });

  test("what is not there is named, with where to look", async () => {
    expect(await octachord(["diagnose", hall, "--symptom", "silent:moon"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("“silent:moon”"),
    });
    expect(await octachord(["diagnose", hall, "--plant", "muted:moon"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("octachord faults"),
    });
    writeFileSync("odd.json", JSON.stringify([{ check: "lamp:receiver", answer: "purple" }]));
    expect(await octachord(["diagnose", hall, "--observed", "odd.json"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("expected “on”"),
    });
    writeFileSync("bad.json", "[{}]");
    expect(await octachord(["diagnose", hall, "--observed", "bad.json"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("bad.json"),
    });
  });

  test("practice gives the rig of a seed, the same each time", async () => {
    const [a, b] = [
      await octachord(["practice", "--seed", "5", "--level", "formats", "--json"]),
      await octachord(["practice", "--seed", "5", "--level", "formats", "--json"]),
    ];
    expect(a.stdout).toBe(b.stdout);
    expect(JSON.parse(a.stdout)).toMatchObject({ seed: 5, level: "formats", faults: [expect.any(String)] });
    expect(await octachord(["practice", "--seed", "5", "--level", "cellar"])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining("back-plate"),
    });
  });
});
