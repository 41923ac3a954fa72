import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { jsonOnDevice, keepOnDevice, noteOnDevice } from "./device-notes";

const kept = new Map<string, string>();
let refuses: "nothing" | "to keep" | "all" = "nothing";
const or = <Value>(is: boolean, value: Value): Value => {
  if (is) throw new DOMException("no", "SecurityError");
  return value;
};
beforeEach(() => {
  kept.clear();
  refuses = "nothing";
  vi.stubGlobal("window", {
    localStorage: {
      getItem: (key: string) => or(refuses === "all", kept.get(key) ?? null),
      setItem: (key: string, note: string) => or(refuses !== "nothing", kept.set(key, note)),
    },
  });
});
afterEach(() => vi.unstubAllGlobals());

test("a note is there again after a reload", () => {
  keepOnDevice("name", "Ines");
  expect(kept.get("name")).toBe("Ines");
  expect([noteOnDevice("name"), noteOnDevice("other")]).toEqual(["Ines", null]);
});

test("a device that is full keeps it for the page, and keeps the next one as soon as it can", () => {
  kept.set("name", "Ines");
  refuses = "to keep";
  keepOnDevice("name", "Ada");
  expect(noteOnDevice("name")).toBe("Ada");
  refuses = "nothing";
  keepOnDevice("name", "Mo");
  expect([noteOnDevice("name"), kept.get("name")]).toEqual(["Mo", "Mo"]);
});

test("a browser that keeps nothing of a page does not stop it", () => {
  refuses = "all";
  expect(noteOnDevice("unknown")).toBeNull();
  keepOnDevice("unknown", "1");
  expect(noteOnDevice("unknown")).toBe("1");
});

test("what does not read as JSON is none", () => {
  keepOnDevice("waits", "{");
  expect(jsonOnDevice("waits")).toBeNull();
  keepOnDevice("waits", '["dry"]');
  expect(jsonOnDevice("waits")).toEqual(["dry"]);
});
