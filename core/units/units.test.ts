import { expect, test } from "vitest";
import { addDelays, formatGigabits, formatMegabits, formatMetres, formatMilliseconds, milliseconds } from "@/core/units";

test("figures carry their unit after a thin space", () => {
  expect(formatMegabits(24.576)).toBe("24.6\u2009Mb/s");
  expect(formatMilliseconds(37.6)).toBe("38\u2009ms");
  expect(formatMetres(1.5)).toBe("1.5\u2009m");
  expect(formatMetres(2)).toBe("2\u2009m");
});

test("17.82 Gb/s is not rounded up to 18", () => {
  expect(formatGigabits(17.82)).toBe("17.82\u2009Gb/s");
  expect(formatGigabits(18)).toBe("18.0\u2009Gb/s");
  expect(formatGigabits(22.275)).toBe("22.28\u2009Gb/s");
});

test("delays along a way add up", () => expect(addDelays(milliseconds(18), milliseconds(22))).toBe(40));
