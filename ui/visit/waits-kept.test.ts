import { afterEach, beforeEach, describe, expect, test, vi } from "vitest";
import { keepWaits, keptWaits, ringsBetween, withoutWait, withWait } from "./waits-kept";

const kept = new Map<string, string>();
beforeEach(() => {
  kept.clear();
  vi.stubGlobal("window", {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    },
  });
});
afterEach(() => vi.unstubAllGlobals());

const NOW = Date.parse("2026-11-24T10:00:00Z");
const SECOND = 1000;

describe("the waits of a visit", () => {
  test("are there again after a reload, each job its own", () => {
    keepWaits("one", withWait([], "dry", 2, NOW));
    expect(keptWaits("one")).toEqual([{ step: "dry", until: NOW + 120 * SECOND }]);
    expect(keptWaits("other")).toEqual([]);
  });

  test("begin again with their step: the later one counts", () => {
    const waits = withWait(withWait([], "dry", 2, NOW), "dry", 2, NOW + 30 * SECOND);
    expect(waits).toEqual([{ step: "dry", until: NOW + 150 * SECOND }]);
    expect(withoutWait(waits, "dry")).toEqual([]);
  });

  test("ring once, at the look in which they end, however late that comes: a phone that slept looks seldom", () => {
    const waits = withWait([], "dry", 1, NOW);
    const looks = [0, 59, 60, 61, 90].map((seconds) => NOW + seconds * SECOND);
    expect(looks.slice(1).map((now, index) => ringsBetween(waits, looks[index] ?? 0, now))).toEqual([false, true, false, false]);
    expect(ringsBetween(waits, NOW, NOW + 3600 * SECOND)).toBe(true);
  });

  test.each(['[{"step":7}]', "not JSON"])("are none where what was kept does not read: %s", (text) => {
    kept.set("octachord-waits-one", text);
    expect(keptWaits("one")).toEqual([]);
  });
});
