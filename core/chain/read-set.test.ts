import { describe, expect, test } from "vitest";
import { ReadSet } from "./read-set";

const reads = (...all: readonly (string | ReadSet)[]): ReadSet => {
  const set = new ReadSet();
  all.forEach((one) => set.note(one));
  return set;
};

describe("a read set", () => {
  test("names every question once, in the order in which they were first asked", () => {
    expect([...reads("device tv", "setting tv earc", "device tv").questions]).toEqual(["device tv", "setting tv earc"]);
  });

  test("has the questions of a remembered answer at the place where it was used", () => {
    const listed = reads("device bar", "cable bar hdmi1");
    const sent = reads("device disc", listed, "setting disc format");
    expect([...reads("device tv", sent, listed, "device bar", "takers tv").questions]).toEqual([
      "device tv",
      "device disc",
      "device bar",
      "cable bar hdmi1",
      "setting disc format",
      "takers tv",
    ]);
  });
});
