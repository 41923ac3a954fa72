import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { curePrice, disturbsSentence, stepDanger, takenSentence } from "@/core/text";

const loft = demoJob("sail-loft");
const BEHIND_A_SCREEN = "A screen on the wall is heavy: two people where it has to come off, a steady ladder at a projector.";

describe("what can hurt in a search for a fault", () => {
  test("is a screen on the wall, wherever a hand has to reach behind it", () => {
    expect(stepDanger(loft, { does: "seat", cable: "streamer-tv", side: "to" })).toBe(BEHIND_A_SCREEN);
    expect(stepDanger(loft, { does: "lead", cable: "streamer-tv" })).toBe(BEHIND_A_SCREEN);
    expect(stepDanger(loft, { does: "turn", cable: "streamer-tv" })).toBe(BEHIND_A_SCREEN);
    expect(stepDanger(loft, { does: "other-socket", device: "television", port: "hdmi1" })).toBe(BEHIND_A_SCREEN);
  });

  test("is nothing at the other end of the same cable, nor at a cable that no screen is at", () => {
    expect(stepDanger(loft, { does: "seat", cable: "streamer-tv", side: "from" })).toBeNull();
    expect(stepDanger(loft, { does: "lead", cable: "console-bar" })).toBeNull();
  });

  test("is the amplifier where a speaker wire is touched, and mains that are warm or smell", () => {
    expect(stepDanger(loft, { does: "unit", to: "wire", device: "bar", unit: "subwoofer" })).toContain("amplifier off");
    expect(stepDanger(loft, { does: "unit", to: "charge", device: "bar", unit: "subwoofer" })).toBeNull();
    expect(stepDanger(loft, { does: "power", device: "bar" })).toContain("licensed electrician");
  });
});

test("whoever is watching is asked before something is restarted, and a cure says what it costs", () => {
  expect(disturbsSentence({ does: "cycle" })).toContain("ask first");
  expect(disturbsSentence({ does: "lamp", device: "bar" })).toBeNull();
  expect(curePrice(loft, { does: "take-pcm", device: "streamer" })).toContain("surround");
  expect(curePrice(loft, { does: "seat", cable: "streamer-tv", side: "to" })).toBeNull();
});

test("a step with its answer ends in one full stop, whether or not the answer has its own", () => {
  expect(takenSentence("Look at the lamp of Bar.", "It is on")).toBe("Look at the lamp of Bar. It is on.");
  expect(takenSentence("Press it.", "Bar stays off, so it plays nothing.")).toBe("Press it. Bar stays off, so it plays nothing.");
});
