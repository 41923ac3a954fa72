import { expect, test } from "vitest";
import { PICTURE_MODES, timingFact } from "@/core/facts";
import { inHd, lowerModes } from "./lower-modes";

test.each([
  ["3840x2160@120", ["3840x2160@60", "1920x1080@120", "1920x1080@60", "1280x720@60"]],
  ["3840x2160@100", ["3840x2160@50", "1920x1080@50", "1280x720@50"]],
  ["3840x2160@60", ["1920x1080@60", "1280x720@60"]],
  ["3840x2160@25", ["1920x1080@50", "1280x720@50"]],
  ["3840x2160@24", ["1920x1080@24", "1280x720@60"]],
  ["1280x720@60", []],
] as const)("from %s a source steps down by rate, then by size", (mode, steps) => expect(lowerModes(mode)).toEqual(steps));

test("no step has more lines, and none is the mode itself", () => {
  for (const mode of PICTURE_MODES)
    for (const lower of lowerModes(mode)) {
      expect(timingFact(lower).height).toBeLessThanOrEqual(timingFact(mode).height);
      expect(lower).not.toBe(mode);
    }
});

test("for want of HDCP 2.2 a player drops to 1080 lines at its own rate, and leaves smaller pictures alone", () => {
  expect(inHd("3840x2160@24")).toBe("1920x1080@24");
  expect(inHd("3840x2160@50")).toBe("1920x1080@50");
  expect(inHd("7680x4320@60")).toBe("1920x1080@60");
  expect(inHd("720x576i@50")).toBe("720x576i@50");
});
