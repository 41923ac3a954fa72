import { expect, test } from "vitest";
import { addDelays, formatGigabits, formatMegabits, formatMetres, formatMilliseconds, milliseconds, readLength } from "@/core/units";

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

test.each([
  ["3.42", "metric", 3.42],
  ["3,42 m", "metric", 3.42],
  ["342 cm", "metric", 3.42],
  ["342cm", "imperial", 3.42],
  ["11' 2 5/8\"", "imperial", 3.41948],
  ["11′ 2 5/8″", "metric", 3.41948],
  ["10 ft", "metric", 3.048],
  ["10", "imperial", 3.048],
  ['30 1/2"', "metric", 0.7747],
] as const)("a length as a tape shows it: %s is %s: %f m", (text, units, metres) => expect(readLength(text, units)).toBeCloseTo(metres, 5));

test.each(["", "-3", "three", '3 5/0"', "1e9x", "3 m 4"])("“%s” is no length", (text) => expect(readLength(text, "metric")).toBeNull());
