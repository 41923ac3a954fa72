import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { MAX_JOB_BYTES, readJob, readJobText } from "@/core/job";
import { STORED_VERSION } from "@/core/versions";
import { troubleSentence } from "@/core/text";

const head = { format: "octachord-job", version: 1, name: "Room" };
const firstTrouble = (raw: unknown): string => {
  const read = readJob(raw);
  if (read.ok) throw new Error("was taken in");
  return read.refusal[0] ? troubleSentence(read.refusal[0]) : "";
};

describe("a job file", () => {
  test.each(demoJobNames())("of the demo reads, and what is written reads back the same: %s", (name) => {
    const job = demoJob(name);
    expect(readJobText(JSON.stringify(job))).toEqual({ ok: true, value: job });
  });

  test("of another kind is told from a damaged one", () => {
    expect(firstTrouble({ hello: 1 })).toBe('format: expected "octachord-job"; this is not a job file.');
    expect(firstTrouble([])).toContain("not a job file");
  });

  test("of a newer version is refused with both versions named", () => {
    expect(firstTrouble({ ...head, version: STORED_VERSION + 1 })).toBe(
      `version: this file is of version ${STORED_VERSION + 1}, this program reads up to version ${STORED_VERSION}; open it with a newer Octachord.`,
    );
  });

  test("in which a condition names a value or a socket that is not there is refused at that place", () => {
    const box = (opens: unknown) => ({
      ...head,
      devices: [
        {
          id: "box",
          name: "Box",
          role: "box",
          ports: [
            { id: "in", label: "IN", direction: "in", connector: "optical" },
            { id: "out", label: "OUT", direction: "out", connector: "rca" },
          ],
          settings: [{ key: "power", options: ["on", "standby"], found: "on" }],
          routes: [{ kind: "sound", from: ["in"], to: ["out"], passes: [], lpcm: "2.0", opens }],
        },
      ],
    });
    expect(readJob(box({ setting: "power", value: "on" })).ok).toBe(true);
    expect(firstTrouble(box({ setting: "power", value: "onwards" }))).toBe(
      "devices[0].routes[0].opens[0]: expected one of the setting’s own options; “onwards” is not among them.",
    );
    expect(firstTrouble(box({ unplugged: "phones" }))).toMatch(/^devices\[0\]\.routes\[0\]\.opens\[0\]: .*“phones”/);
  });

  test("that is not JSON says so", () => {
    const read = readJobText("{ not json");
    expect(read.ok ? "" : read.refusal[0]?.code).toBe("not-json");
  });

  test("over 10 MB is refused before it is read", () => {
    const read = readJobText(`"${"x".repeat(MAX_JOB_BYTES)}"`);
    expect(read.ok ? "" : read.refusal[0]?.code).toBe("too-large");
  });

  test("names the place and what was expected there", () => {
    const tv = { archetype: "tv-earc", id: "tv" };
    expect(firstTrouble({ ...head, devices: [tv, { archetype: "projector", id: "p", ports: { hdmi1: { returns: "sometimes" } } }] })).toBe(
      'devices[1].ports[0].returns: expected one of "none", "arc", "earc".',
    );
    expect(firstTrouble({ ...head, visitOn: "tomorrow" })).toBe("visitOn: expected a date as YYYY-MM-DD.");
    expect(firstTrouble({ ...head, colour: "blue" })).toBe("colour: expected no such field here.");
  });

  test("with an unknown socket at a cable's end is refused at that end", () => {
    const devices = [
      { archetype: "streamer-4k", id: "s" },
      { archetype: "projector", id: "p" },
    ];
    const cable = {
      id: "c",
      from: { device: "s", port: "hdmi-out" },
      to: { device: "p", port: "hdmi9" },
      class: "high-speed",
      lengthM: 1,
      returnWires: null,
    };
    expect(firstTrouble({ ...head, devices, cables: [cable] })).toBe("cables[0].to.port: expected a socket of p; it has no “hdmi9”.");
  });

  test("with two cables in a socket names the second", () => {
    const devices = [
      { archetype: "streamer-4k", id: "s" },
      { archetype: "console-mat", id: "k" },
      { archetype: "projector", id: "p" },
    ];
    const to = { device: "p", port: "hdmi1" };
    const cable = (id: string, device: string) => ({
      id,
      from: { device, port: "hdmi-out" },
      to,
      class: "high-speed",
      lengthM: 1,
      returnWires: "arc",
    });
    expect(firstTrouble({ ...head, devices, cables: [cable("one", "s"), cable("two", "k")] })).toContain("cables[1].to.port");
  });

  test("whose device uses one name twice is refused", () => {
    expect(
      firstTrouble({
        ...head,
        devices: [
          { archetype: "projector", id: "p" },
          { archetype: "projector", id: "p" },
        ],
      }),
    ).toContain("devices[1].id");
  });
});

describe("what a document says of its own parts must be there", () => {
  const devices = [{ archetype: "tv-earc", id: "tv" }];
  const room = { id: "lounge", name: "Lounge" };
  const cases: readonly (readonly [string, object, string])[] = [
    [
      "a device that must stay",
      { devices, brief: { mustStay: ["tv", "bar"] } },
      "brief.mustStay[1]: expected a device of this job; there is no “bar”.",
    ],
    [
      "the sound system",
      { devices, brief: { soundSystem: "bar" } },
      "brief.soundSystem: expected a device of this job; there is no “bar”.",
    ],
    [
      "the rooms of a run",
      { devices, rooms: [room], brief: { runs: [{ id: "r", between: ["lounge", "cellar"] }] } },
      "brief.runs[0].between[1]: expected a room of this job; there is no “cellar”.",
    ],
    [
      "the room of a device",
      { devices: [{ ...devices[0], room: "attic" }] },
      "devices[0].room: expected a room of this job; there is no “attic”.",
    ],
    ["two rooms of one id", { rooms: [room, room] }, "rooms[1].id: expected a unique name; “lounge” is used twice."],
  ];
  test.each(cases)("%s", (_, fields, sentence) => expect(firstTrouble({ ...head, ...fields })).toBe(sentence));

  test("a kept state is read like the room itself, and the place names it", () => {
    const snapshot = { id: "s", name: "First visit", takenAt: "2026-10-01T08:00:00Z", devices: demoJob("sail-loft").devices, cables: [] };
    expect(readJob({ ...head, snapshots: [snapshot] }).ok).toBe(true);
    const [first] = snapshot.devices;
    const twice = { ...snapshot, devices: [first, first] };
    expect(firstTrouble({ ...head, snapshots: [twice] })).toContain("snapshots[0].devices[1].id");
    expect(firstTrouble({ ...head, snapshots: [{ ...snapshot, takenAt: "yesterday" }] })).toContain("snapshots[0].takenAt");
  });

  test("a document without any of the newer parts reads as before, and says the same when written", () => {
    const old = readJob({ ...head, devices });
    if (!old.ok) throw new Error("not read");
    expect(old.value).toMatchObject({ snapshots: [], attachments: [], arrangement: [], brief: { newsFrom: "system", surround: "wished" } });
    expect(readJob(JSON.parse(JSON.stringify(old.value)))).toEqual(old);
  });
});

describe("whatever is given to the importer", () => {
  test("any text is read or refused, never a crash", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => typeof readJobText(text).ok === "boolean"),
      { numRuns: 300, seed: 1 },
    );
  });

  test("any JSON is accepted or refused with a sentence", () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 5 }), (value) => {
        const read = readJob({ ...head, devices: value, cables: value });
        if (!read.ok) for (const trouble of read.refusal) expect(troubleSentence(trouble)).not.toBe("");
      }),
      { numRuns: 300, seed: 2 },
    );
  });

  test("a demo file with any one part replaced is accepted or refused with a place in it", () => {
    const whole: unknown = JSON.parse(JSON.stringify(demoJob("sail-loft")));
    const paths = pathsOf(whole);
    fc.assert(
      fc.property(fc.constantFrom(...paths), fc.jsonValue({ maxDepth: 2 }), (path, value) => {
        const read = readJob(replaced(whole, path, value));
        if (!read.ok) for (const trouble of read.refusal) expect(troubleSentence(trouble).length).toBeGreaterThan(10);
      }),
      { numRuns: 500, seed: 3 },
    );
  });

  test("a file cut off anywhere is refused, not half taken", () => {
    const text = JSON.stringify(demoJob("flat-4b"));
    fc.assert(
      fc.property(fc.integer({ min: 0, max: text.length - 1 }), (length) => !readJobText(text.slice(0, length)).ok),
      { numRuns: 100, seed: 4 },
    );
  });
});

type Path = readonly (string | number)[];

function pathsOf(value: unknown, path: Path = []): Path[] {
  if (typeof value !== "object" || value === null) return [path];
  const children = Array.isArray(value) ? value.map((child, index) => [index, child] as const) : Object.entries(value);
  return [...(path.length ? [path] : []), ...children.flatMap(([key, child]) => pathsOf(child, [...path, key]))];
}

function replaced(value: unknown, [head, ...rest]: Path, by: unknown): unknown {
  if (head === undefined) return by;
  if (Array.isArray(value)) return value.map((child: unknown, index) => (index === head ? replaced(child, rest, by) : child));
  return { ...(value as object), [head]: replaced((value as Record<string, unknown>)[head], rest, by) };
}

test("a name that the shelf or the catalogue does not know is reported by name, with the nearest ones", () => {
  const read = readJob({
    format: "octachord-job",
    version: 1,
    name: "Names",
    devices: [
      { archetype: "tv-earcs", id: "tv" },
      { archetype: "streamer-4k", id: "streamer", sources: [{ id: "apps", name: "apps", kind: "media", contents: ["film-atmos"] }] },
    ],
  });
  const troubles = read.ok ? [] : read.refusal;
  expect(troubles).toMatchObject([
    { code: "unknown-name", place: "devices[0].archetype", name: "tv-earcs", of: "archetype" },
    { code: "unknown-name", place: "devices[1].sources[0].contents[0]", name: "film-atmos", of: "content" },
  ]);
  expect(troubles[1] && "near" in troubles[1] ? troubles[1].near : []).toContain("film-truehd-atmos");
});

test("the short form changes decoders by coding, routes by their ends and lists by a socket", () => {
  const read = readJob({
    format: "octachord-job",
    version: 1,
    name: "Patched",
    devices: [
      { archetype: "bar-one-input", id: "bar", decodes: { truehd: null, eac3: { channels: "5.1", objects: false } } },
      {
        archetype: "tv-earc",
        id: "tv",
        routes: { "hdmi1>hdmi3": { passes: [{ coding: "ac3", channels: "5.1" }] } },
        presents: { hdmi1: { sound: [{ coding: "lpcm", channels: "2.0" }] } },
      },
    ],
  });
  if (!read.ok) throw new Error(JSON.stringify(read.refusal));
  const [bar, tv] = read.value.devices;
  expect(bar?.decodes?.some(({ coding }) => coding === "truehd")).toBe(false);
  expect(bar?.decodes?.find(({ coding }) => coding === "eac3")).toMatchObject({ channels: "5.1", objects: false });
  const route = tv?.routes.find(({ kind, from, to }) => kind === "sound" && from.includes("hdmi1") && to.includes("hdmi3"));
  expect(route?.kind === "sound" ? route.passes : null).toEqual([{ coding: "ac3", channels: "5.1", objects: false }]);
  expect(tv?.presents[0]).toMatchObject({ rule: "list", sound: [{ coding: "lpcm", channels: "2.0" }] });
});

test("a text that nests without end is refused before anything is built of it", () => {
  const deep = `${"[".repeat(20_000)}${"]".repeat(20_000)}`;
  expect(readJobText(deep)).toMatchObject({ ok: false, refusal: [{ expected: "lists and objects nested at most 64 deep" }] });
  // Brackets within words are no nesting.
  expect(readJobText(JSON.stringify({ ...demoJob("flat-4b"), name: "[".repeat(200) })).ok).toBe(true);
});
