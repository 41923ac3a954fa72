import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { made, planned } from "@/demo/room-under-test";
import { solve } from "@/core/chain";
import { fromShelfOrThrow } from "@/core/device";
import { emptyJob, type Command, type Job } from "@/core/job";
import {
  boardText,
  BRIEF_USES,
  cableMark,
  commandWords,
  controlFlag,
  controlSentence,
  endTag,
  fileStem,
  meanwhileSentences,
  nextActWords,
  pictureRunWords,
  POWER_WORDS,
  predictionLines,
  questionWords,
  rowText,
  tableTroubleSentence,
  cableName,
  socketName,
  upperFirst,
} from "@/core/text";

const loft = demoJob("sail-loft");

describe("the board as a message to a customer", () => {
  test("of a room where all arrives is a line for each row, without markup", () => {
    const { rows } = solve(loft, "planned");
    const [head, ...lines] = boardText(loft, rows).split("\n");
    expect(head).toBe(`${loft.name}: ${rows.length} of ${rows.length} rows at their best`);
    expect(lines).toHaveLength(rows.length);
    for (const line of lines) expect(line).toMatch(/^- .+: all of it$/);
  });

  test("says below a lost row why, and one row can be told alone", () => {
    const off = made(loft, planned("television", "earc", "off"));
    const { rows } = solve(off, "planned");
    const lost = rows.find(({ verdict, player }) => verdict === "reduced" && player === "disc-player");
    if (!lost) throw new Error("nothing lost");
    const lines = boardText(off, rows).split("\n");
    const at = lines.findIndex((line) => line.startsWith("- Disc player") && line.endsWith("part of it"));
    expect(lines[at + 1]).toMatch(/^ {2}\S.*It is only ARC because eARC is off at Television\.$/);
    expect(rowText(off, lost)).toContain("Part of it: ");
    expect(rowText(off, lost)).toContain("eARC is off at Television");
  });
});

test("every answer of the brief says where it is used", () => {
  expect(Object.keys(BRIEF_USES).sort()).toEqual(Object.keys(loft.brief).sort());
  for (const use of Object.values(BRIEF_USES)) expect(use).toMatch(/^[A-Z].*\.$/);
});

describe("cables by name", () => {
  test("are numbered in the order of the list unless they carry a label", () => {
    const [first, second] = loft.cables;
    if (!first || !second) throw new Error("too few cables");
    const job = {
      ...loft,
      cables: [
        { ...first, label: "" },
        { ...second, label: "A-07" },
      ],
    };
    expect(job.cables.map((cable) => cableMark(job, cable))).toEqual(["C1", "A-07"]);
  });

  test("each end says its own socket and where the other end goes", () => {
    const bar = loft.cables.find(({ id }) => id === "bar-tv");
    if (!bar) throw new Error("no cable");
    const mark = cableMark(loft, bar);
    expect(endTag(loft, bar, "from")).toBe(`${mark} Bar “HDMI OUT (TV eARC)” · other end Television “HDMI 3 eARC”`);
    expect(endTag(loft, bar, "to")).toBe(`${mark} Television “HDMI 3 eARC” · other end Bar “HDMI OUT (TV eARC)”`);
  });

  test("a person's own words stand in place of them at that end alone", () => {
    const job = made(loft, { kind: "edit-cable", cable: "bar-tv", fields: { tags: { from: "to the wall plate", to: "" } } });
    const bar = job.cables.find(({ id }) => id === "bar-tv");
    if (!bar) throw new Error("no cable");
    expect(endTag(job, bar, "from")).toBe("to the wall plate");
    expect(endTag(job, bar, "to")).toContain("other end Bar");
  });
});

describe("the layers of the map in words", () => {
  test("control crosses a cable, or stops at a device that is named", () => {
    expect(controlSentence(loft, { carries: true })).toBe("HDMI control (CEC) crosses this cable.");
    const [arc] = loft.cables;
    if (!arc) throw new Error("no cable");
    const cases = [
      [{ cut: { at: "device", device: "television" } }, "Television does not support CEC, so control stops here.", "no CEC"],
      [
        { cut: { at: "socket", device: "television", port: "hdmi2" } },
        `The control wire of Television does not reach ${socketName(loft, { device: "television", port: "hdmi2" })}. Control stops here.`,
        "no CEC",
      ],
      [
        { cut: { at: "cable", cable: arc.id } },
        `${upperFirst(cableName(loft, arc.id))} has no control wire. Control stops here.`,
        "no CEC",
      ],
      [{ device: "television", why: "switched-off" }, "Television has CEC off, so it neither sends nor obeys HDMI control.", "CEC off"],
      [{ device: "television", why: "not-known" }, "Television may have CEC off or on, so nobody knows whether it takes part.", "CEC?"],
    ] as const;
    for (const [why, sentence, flag] of cases) {
      const link = { carries: false, ...why } as const;
      expect(controlSentence(loft, link)).toBe(sentence);
      expect(controlFlag(link)).toBe(flag);
    }
  });

  test("a picture is told as what it needs of what the cable carries", () => {
    const run = { cable: "c" };
    expect(pictureRunWords({ ...run, needGbps: 22.275, haveGbps: 18 })).toBe("22.28 of 18.0\u2009Gb/s");
    expect(pictureRunWords({ ...run, needGbps: 17.82, haveGbps: null })).toBe("17.82\u2009Gb/s");
    expect(POWER_WORDS["stand-by"]).toBe("standby is enough");
  });
});

describe("what the others do meanwhile", () => {
  test("one sentence for each place, with those who share it together", () => {
    expect(
      meanwhileSentences(loft, [
        { does: "waits", player: "console", at: "bar" },
        { does: "waits", player: "disc-player", at: "television" },
        { does: "waits", player: "streamer", at: "television" },
      ]),
    ).toEqual([
      "Console waits at Bar: one input is chosen there at a time.",
      "Disc player and Streamer wait at Television: one input is chosen there at a time.",
    ]);
  });

  test("a picture alone, and a way of its own", () => {
    expect(meanwhileSentences(loft, [{ does: "shows", player: "console", at: "television" }])).toEqual([
      "Console can be shown on Television at the same time, without the sound system.",
    ]);
    expect(meanwhileSentences(loft, [{ does: "goes-on", player: "television", at: "television" }])).toEqual([
      "What Television plays itself can go on at Television.",
    ]);
  });
});

describe("questions for the visit", () => {
  const job: Job = {
    ...loft,
    rooms: [
      { id: "a", name: "Lounge", seats: 3, space: null },
      { id: "b", name: "Cellar", seats: 0, space: null },
    ],
  };
  test.each([
    [{ fact: "socket-rate", device: "television", port: "hdmi1" }, "the highest rate of Television “HDMI 1”"],
    [{ fact: "sound-delay", device: "bar" }, "the sound delay of Bar"],
    [{ fact: "picture-delay", device: "television" }, "the picture delay of Television"],
    [{ fact: "volume", device: "bar" }, "what changes the volume of Bar"],
    [{ fact: "run-length", rooms: ["a", "b"] }, "how long a cable between Lounge and Cellar must be"],
  ] as const)("%o", (fact, words) => expect(questionWords(job, fact)).toBe(words));

  test("a spreadsheet's fault is named with what would do", () => {
    expect(tableTroubleSentence({ code: "no-kind" })).toBe("The kind of device is missing.");
    expect(tableTroubleSentence({ code: "too-long", column: "name", limit: 300 })).toBe("“name” takes at most 300 characters.");
    expect(tableTroubleSentence({ code: "several-kinds", kind: "tv", near: ["tv-arc"] })).toMatch(
      /^Several kinds on the shelf match “tv”; name one\. For instance: tv-arc \(.+\)\.$/,
    );
    expect(tableTroubleSentence({ code: "unknown-kind", kind: "kettle", near: [] })).toBe("Nothing on the shelf matches “kettle”.");
  });

  test("what is due next counts in the singular too", () => {
    expect(nextActWords({ act: "lift", rows: 1 })).toBe("1 row below its best: see what lifts it");
    expect(nextActWords({ act: "lift", rows: 3 })).toBe("3 rows below their best: see what lifts them");
    expect(nextActWords({ act: "find-out", questions: 1 })).toBe("find out 1 fact");
    expect(nextActWords({ act: "note-left", settings: 2 })).toBe("record 2 settings as left");
    expect((["hand-over", "nothing", "visit", "design", "agree-day", "note-gear"] as const).map((act) => nextActWords({ act }))).toEqual([
      "hand over",
      "handed over",
      "ready for the visit",
      "move on to the design",
      "agree a day for the visit",
      "record the gear",
    ]);
  });
});

describe("an edit by its name", () => {
  const cases: readonly (readonly [Command, string])[] = [
    [planned("television", "earc", "off"), "eARC at Television: off"],
    [{ kind: "set-setting", device: "television", setting: "earc", state: "found", value: null }, "eARC at Television: cleared (found)"],
    [{ kind: "edit-brief", fields: { remotes: 1 } }, "changed the brief"],
    [{ kind: "set-rooms", rooms: [] }, "changed the rooms"],
    [{ kind: "measure-room", room: "loft", fields: { temperatureC: 20 } }, "measured Loft"],
    [{ kind: "place-unit", room: "loft", device: "bar", unit: "subwoofer", to: null, at: null }, "took away subwoofer"],
    [
      {
        kind: "note-reading",
        room: "loft",
        about: { device: "bar", unit: "bar", channel: null, seat: "sofa", of: "distance" },
        reading: null,
        at: null,
      },
      "cleared the distance of bar",
    ],
    [{ kind: "edit-port", device: "bar", port: "hdmi-in", fields: { maxGbps: 18 } }, "corrected Bar “HDMI IN”"],
    [{ kind: "set-speakers", device: "bar", bed: "5.1", heights: 2 }, "speakers of Bar: 5.1.2"],
    [{ kind: "unplug", cable: "bar-tv" }, "unplugged the cable Bar to Television"],
    [{ kind: "edit-cable", cable: "bar-tv", fields: { class: "high-speed" } }, "changed the cable Bar to Television to High Speed HDMI"],
    [{ kind: "batch", commands: [] }, "nothing"],
    [
      {
        kind: "batch",
        commands: ["bar", "television", "console"].map((device) => ({ kind: "arrange", device, to: { x: 0, y: 0 } })),
      },
      "arranged 3 plates",
    ],
    [
      {
        kind: "batch",
        commands: ["one", "two"].map((id) => ({
          kind: "add-device",
          device: fromShelfOrThrow("streamer-4k", { id, name: id }),
          at: null,
        })),
      },
      "added 2 devices",
    ],
    [
      {
        kind: "batch",
        commands: [
          { kind: "unplug", cable: "bar-tv" },
          { kind: "unplug", cable: "disc-tv" },
        ],
      },
      "unplugged the cable Bar to Television, and 1 more",
    ],
  ];
  test.each(cases)("%o", (command, words) => expect(commandWords(loft, command)).toBe(words));
});

test.each([
  ["Sail Loft", "sail-loft"],
  ["Café Ölmühle, 2nd floor", "cafe-olmuhle-2nd-floor"],
  ["../../etc/passwd", "etc-passwd"],
  ["家", "job"],
  ["   ", "job"],
  ["x".repeat(200), "x".repeat(60)],
])("a job called %s is written to a file that every system takes", (name, stem) => expect(fileStem(name)).toBe(stem));

test("a job with nothing in it has a message too", () => {
  expect(boardText(emptyJob("New room"), [])).toBe("New room: 0 of 0 rows at their best");
});

test("a display that has its own words for a coding is predicted to say them, in Prove and on the run sheet", () => {
  const job = demoJob("sail-loft");
  const row = solve(job, "planned").rows.find(({ arrives }) => arrives?.coding === "eac3");
  if (!row) throw new Error("the loft no longer plays Dolby Digital Plus");
  const corrected = made(job, {
    kind: "edit-device",
    device: row.system ?? "",
    fields: { displayWords: [{ coding: "eac3", words: "DOLBY DIGITAL+" }] },
  });
  const coding = (one: Job) => predictionLines(one, row).find(({ name }) => name === "Coding")?.words;
  expect(coding(job)).toBe("Dolby Digital Plus 5.1 + objects");
  expect(coding(corrected)).toBe("Dolby Digital Plus 5.1 + objects (its display says “DOLBY DIGITAL+”)");
});
