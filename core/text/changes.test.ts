import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { NOTHING_MOVED, smallestChanges, weighedChanges, weighedPurchases, type Change } from "@/core/plan";
import { changeWords, movedWords, proofSentence, setWords, tieWords } from "@/core/text";

const hub = demoJob("01-receiver-hub-optical", "systems");

describe("the smallest set in words", () => {
  const smallest = smallestChanges(hub);
  test("tells each change, what it lifts and that it lowers none", () =>
    expect(setWords(hub, smallest)).toMatch(
      /^Move Receiver to Television “HDMI 3 eARC”; Set “e?ARC” to on at .+: lifts 1 row, lowers none\.$/,
    ));
  test("tells of another way only what differs", () => {
    expect(tieWords(hub, smallest)).toMatch(/^Equally small: /);
    expect(tieWords(hub, smallest)).not.toContain("Move Receiver");
    expect(tieWords(hub, { ...smallest, ties: [] })).toBeNull();
  });
  test("says how sure it is, in three degrees", () => {
    expect(proofSentence(smallest)).toBe(
      "Every row then has the best sound and picture that this gear can give, and no smaller set does that.",
    );
    expect(proofSentence({ ...smallest, proof: "best-together" })).toContain("no other set does more in total");
    expect(proofSentence({ ...smallest, proof: "not-proven", looked: 1500 })).toContain("1500 sets were tried");
  });
  test("where nothing lifts, says that and why that is sure", () => {
    const flat = demoJob("flat-4b");
    const none = smallestChanges(flat);
    expect(setWords(flat, none)).toBe("No setting, plug or cable of this gear lifts a row without lowering another.");
    expect(setWords(flat, { ...none, proof: "not-proven" })).toBe("No set of changes that lifts a row was found.");
    expect(proofSentence(none)).toBe("Every row already has the best sound and picture that this gear can give.");
  });
});

describe("one change in words", () => {
  test("says what it costs beside what it is for", () => {
    expect(movedWords({ ...NOTHING_MOVED, lifts: ["a"] })).toBe("lifts 1 row");
    expect(movedWords({ ...NOTHING_MOVED, lifts: ["a", "b"], lowers: ["c"], pictureLifts: ["a"], pictureLowers: ["b", "c"] })).toBe(
      "lifts 2 rows, lowers 1 row, improves 1 picture, makes 2 pictures worse",
    );
  });
  test("light in place of copper", () => {
    const hall = demoJob("village-hall");
    const light = weighedChanges(hall).find(({ pictureLifts }) => pictureLifts.length === 3);
    expect(light && changeWords(hall, light)).toBe("Change the cable Matrix to Projector for hybrid optical HDMI");
  });
  test("a purchase names what it replaces, or what it goes between", () => {
    const flat = demoJob("flat-4b");
    const words = (archetype: string) => weighedPurchases(flat, archetype).map((change: Change) => changeWords(flat, change));
    expect(words("tv-earc")[0]).toBe("Replace Television with “4K TV, eARC on HDMI 3, apps and tuner; passes Dolby, no DTS”");
    expect(words("earc-extractor-mixed")).toContain("Put an eARC extractor between Streamer and Television");
  });
});
