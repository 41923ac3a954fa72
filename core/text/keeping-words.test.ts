import { describe, expect, test } from "vitest";
import { calendarWords, timeOfDay, tooEarlyWords } from "@/core/text";
import { backupSentence, restoredSentence, restoreRefusal } from "./backup-words";
import { formatMegabytes, listed, lowerFirst, upperFirst } from "./names";
import { zipSentence } from "./zip-words";

const plain = (text: string) => text.replaceAll("\u2009", " ");

describe("a backup", () => {
  test("says where it is, that it was read back, and to take it off the machine", () => {
    expect(plain(backupSentence({ file: "firm.zip", bytes: 1_572_864, photos: 1 }))).toBe(
      "Written and read back: firm.zip, 1.5 MB with 1 photo. Take it off this machine.",
    );
  });

  test("restored says how much came back, how old it is, and where what was there before is kept", () => {
    expect(restoredSentence("data", { jobs: 2, photos: 0, newest: "2031-05-04T16:20:33Z", replaced: "data.before" })).toBe(
      "Restored into data: 2 jobs with 0 photos, the last edited on 2031-05-04 at 16:20. What was there before is kept next to it as data.before.",
    );
    expect(restoredSentence("data", { jobs: 0, photos: 0, newest: null, replaced: null })).toBe(
      "Restored into data: 0 jobs with 0 photos.",
    );
  });

  test("that is refused has changed nothing, and says so", () => {
    const refusals = [
      { code: "not-a-backup" },
      { code: "zip", zip: { code: "cut-off" } },
      { code: "checksum", name: "photos/a.jpg" },
      { code: "database-damaged", words: "page 3" },
    ] as const;
    for (const refusal of refusals) expect(restoreRefusal("firm.zip", refusal)).toContain("Nothing was changed");
    expect(restoreRefusal("firm.zip", refusals[2])).toContain("“photos/a.jpg” is not what was backed up");
  });
});

test("a package that is not opened names the file or the size that is wrong, and the cure or the limit", () => {
  expect(zipSentence({ code: "cut-off" })).toContain("download or export it again");
  expect(zipSentence({ code: "too-many-files", files: 5000, limit: 2000 })).toMatch(/5000 files; .* at most 2000/);
  expect(plain(zipSentence({ code: "too-large-unpacked", bytes: 2_097_152, limit: 1_048_576 }))).toMatch(
    /unpacks to 2\.0 MB; up to 1\.0 MB/,
  );
  for (const code of ["name-twice", "files-overlap", "unknown-packing", "checksum"] as const)
    expect(zipSentence({ code, name: "job.json" })).toContain("“job.json”");
});

describe("an entry of the calendar", () => {
  const facts = {
    customer: "Marlow",
    minutes: 95,
    people: 2,
    load: ["1 HDMI cable, 2 m"],
    missing: [],
    buy: [],
    tools: ["Level"],
    questions: [],
  };

  test("has only the lists that hold something, in the order in which a van is loaded", () => {
    const lines = calendarWords(facts).split("\n");
    expect(lines[0]).toBe("Marlow");
    expect(lines[1]).toContain("two people");
    expect(lines.slice(2)).toEqual(["Load from the van:", "- 1 HDMI cable, 2 m", "Tools:", "- Level"]);
  });

  test("holds twelve questions at most and counts the others: it is read on a phone at the door", () => {
    const questions = Array.from({ length: 14 }, (_, index) => `Question ${index}`);
    const words = calendarWords({ ...facts, customer: "", questions });
    expect(words).toContain("- Question 11");
    expect(words).not.toContain("- Question 12");
    expect(words).toMatch(/and 2 more questions in the job$/);
  });

  test("past midnight the clock begins again, and a visit that begins too early says by how much", () => {
    expect([timeOfDay(570), timeOfDay(1439.6), timeOfDay(1500), timeOfDay(-30)]).toEqual(["09:30", "00:00", "01:00", "23:30"]);
    expect(tooEarlyWords(20)).toContain("too early");
  });
});

test("within a sentence the names of formats keep their letters", () => {
  expect([upperFirst("eARC is off"), upperFirst("sound"), lowerFirst("HDMI 2"), lowerFirst("Sound")]).toEqual([
    "eARC is off",
    "Sound",
    "HDMI 2",
    "sound",
  ]);
  expect([listed([]), listed(["a"]), listed(["a", "b"]), listed(["a", "b", "c"])]).toEqual(["", "a", "a and b", "a, b and c"]);
  expect(plain(formatMegabytes(8 * 1_048_576))).toBe("8.0 MB");
});
