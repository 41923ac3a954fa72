import { describe, expect, test } from "vitest";
import { demoJob, demoJobNames } from "@/demo/demo-jobs";
import { device, made, room, set } from "@/demo/room-under-test";
import { householdSheet, SHEET_SECTIONS } from "@/core/handover";
import { lineWords, plainWordsTroubles, sentencesWithoutLine, SHEET_WORDS } from "@/core/text";
import { factsOf, overArc, sectionOf, SOURCE } from "@/demo/sheet-under-test";

test("without the searches for faults the checks are the plainest ones, and the call stands last", () => {
  const lines = householdSheet(overArc(), { ...SOURCE, faults: null }).sections.find(({ id }) => id === "silent")?.lines ?? [];
  expect(lines.map(({ fact }) => (fact.says === "check" ? fact.check.check : fact.says))).toEqual([
    "power-on",
    "mute",
    "louder",
    "plug",
    "restart",
    "call",
  ]);
});

test("the sound that comes back over ARC needs HDMI control, which must stay on at both ends", () => {
  expect(factsOf(overArc(), "stays-on")).toContainEqual({
    says: "control-stays",
    devices: ["tv", "bar"],
    sound: expect.arrayContaining(["streamer"]) as unknown,
  });
});

test("a room without a player has a sheet without a line that nobody could follow", () => {
  expect(householdSheet(room([device("bar-arc-optical", "bar")]), SOURCE).sections.find(({ id }) => id === "silent")).toBeUndefined();
});

test.each(demoJobNames())(
  "%s: every line has words in every language, short and without terms of the trade, and an id of its own",
  (name) => {
    const sheet = householdSheet(demoJob(name), SOURCE);
    const lines = sheet.sections.flatMap((section) => section.lines);
    expect(new Set(lines.map(({ id }) => id)).size).toBe(lines.length);
    expect(sheet.sections.map(({ id }) => id)).toEqual(SHEET_SECTIONS.filter((id) => sheet.sections.some((one) => one.id === id)));
    for (const { line, headings } of Object.values(SHEET_WORDS)) {
      for (const { id } of sheet.sections) expect(headings[id]).not.toBe("");
      for (const { fact } of lines) {
        expect(line(fact)).toMatch(/^[\p{Lu}¿“«]/u);
        expect(plainWordsTroubles(line(fact)), line(fact)).toEqual([]);
      }
    }
  },
);

describe("a sentence of one's own", () => {
  const job = overArc();
  const off = sectionOf(job, "use").find(({ id }) => id === "use off");
  if (!off) throw new Error("no line about off");
  const agreed = SHEET_WORDS.en.line(off.fact);
  const written = made(job, {
    kind: "write-sentence",
    sentence: { line: "use off", language: "en", agreed, text: "Off: the red key." },
    at: null,
  });

  test("stands in place of the one that is made, in its language alone", () => {
    expect(lineWords(written, "en", off)).toMatchObject({ words: "Off: the red key.", made: agreed, isStale: false });
    expect(lineWords(written, "es", off).words).toBe(SHEET_WORDS.es.line(off.fact));
  });

  test("stays when the job changes, and is marked", () => {
    const changed = set(written, "bar cec off");
    const line = sectionOf(changed, "use").find(({ id }) => id === "use off");
    expect(line && lineWords(changed, "en", line)).toMatchObject({ words: "Off: the red key.", isStale: true });
  });

  test("for a line that is gone is listed, not lost", () => {
    expect(sentencesWithoutLine(written, "en", []).map(({ text }) => text)).toEqual(["Off: the red key."]);
    expect(sentencesWithoutLine(written, "en", [off])).toEqual([]);
  });

  test("that is empty leaves the line out", () => {
    const out = made(job, { kind: "write-sentence", sentence: { line: "use off", language: "en", agreed, text: "" }, at: null });
    expect(lineWords(out, "en", off).words).toBe("");
  });
});

describe("the plain-words check", () => {
  test("finds a term of the trade, but not as a print in quotes", () => {
    expect(plainWordsTroubles("Use the eARC socket.")).toEqual([{ trouble: "term", term: "eARC" }]);
    expect(plainWordsTroubles("Use the socket “HDMI 3 eARC”.")).toEqual([]);
    expect(plainWordsTroubles("The matter is March.")).toEqual([]);
  });

  test("finds a sentence of more than 22 words", () => {
    const long = `One ${Array.from({ length: 22 }, () => "word").join(" ")}.`;
    expect(plainWordsTroubles(long)).toMatchObject([{ trouble: "long", words: 23 }]);
    expect(plainWordsTroubles("One short sentence. And another one.")).toEqual([]);
  });
});
