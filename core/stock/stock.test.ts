import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { demoJob } from "@/demo/demo-jobs";
import { boxesAtHand, freeCounts, reserve, StockFields, vanNeeds, type StockItem, type VanNeed } from "@/core/stock";
import { stockName } from "@/core/text";

const cable = (id: string, lengthM: number, count: number): StockItem => ({
  id,
  what: { kind: "cable", class: "optical", lengthM },
  count,
  minimum: 0,
  price: null,
});
const need = (lengthM: number, id = "c"): VanNeed => ({ what: { kind: "cable", class: "optical", lengthM }, part: { kind: "cable", id } });

describe("parts set aside", () => {
  test("a 3 m run takes the 5 m lead and leaves the 2 m one; a longer run than all of them is missing", () => {
    const [first] = reserve([cable("short", 2, 1), cable("long", 5, 1), cable("longest", 10, 1)], [[need(3), need(12)]]);
    expect(first?.reserved.map(({ item }) => item)).toEqual(["long"]);
    expect(first?.missing).toEqual([need(12)]);
  });

  test("never sets aside more than there is, and every need is either served or missing", () => {
    const items = fc.array(
      fc
        .record({ lengthM: fc.integer({ min: 1, max: 9 }), count: fc.integer({ min: 0, max: 4 }) })
        .map(({ lengthM, count }) => ({ lengthM, count })),
      { maxLength: 5 },
    );
    const jobs = fc.array(fc.array(fc.integer({ min: 1, max: 10 }), { maxLength: 5 }), { maxLength: 5 });
    fc.assert(
      fc.property(items, jobs, (rows, wants) => {
        const stock = rows.map(({ lengthM, count }, index) => cable(String(index), lengthM, count));
        const reservations = reserve(
          stock,
          wants.map((lengths) => lengths.map((length) => need(length))),
        );
        for (const free of freeCounts(stock, reservations).values()) expect(free).toBeGreaterThanOrEqual(0);
        reservations.forEach(({ reserved, missing }, index) => expect(reserved.length + missing.length).toBe(wants[index]?.length));
      }),
      { numRuns: 200, seed: 3 },
    );
  });
});

test("a job needs from the van what its plan says so, and nothing else", () => {
  expect(vanNeeds(demoJob("sail-loft"))).toEqual([]);
  expect(vanNeeds(demoJob("village-hall"))).toEqual([
    { what: { kind: "cable", class: "premium-high-speed", lengthM: 1.5 }, part: { kind: "cable", id: "streamer-matrix" } },
  ]);
});

test("boxes at hand are those that are free, are boxes, and fit the budget", () => {
  const item = (archetype: string, count: number, price: number | null): StockItem => ({
    id: archetype,
    what: { kind: "device", archetype },
    count,
    minimum: 0,
    price,
  });
  const stock = [
    item("arc-adapter", 1, 65),
    item("earc-extractor-mixed", 1, 200),
    item("edid-emulator", 0, 5),
    item("bar-arc-only", 1, 10),
  ];
  const free = freeCounts(stock, []);
  const flat = demoJob("flat-4b");
  expect(boxesAtHand({ ...flat, brief: { ...flat.brief, budget: 100 } }, stock, free)).toEqual(["arc-adapter"]);
  expect(boxesAtHand({ ...flat, brief: { ...flat.brief, budget: null } }, stock, free)).toEqual(["arc-adapter", "earc-extractor-mixed"]);
});

test("a line of the van is named with its length in the firm's units, and nonsense is no line", () => {
  expect(stockName({ kind: "cable", class: "optical", lengthM: 3.048 }, "imperial")).toBe("optical (TOSLINK), 10\u2009ft");
  expect(StockFields.safeParse({ what: { kind: "cable", class: "rope", lengthM: 2 }, count: 1 }).success).toBe(false);
  expect(StockFields.safeParse({ what: { kind: "spare", name: " " }, count: 1 }).success).toBe(false);
});

test("a reel of speaker wire is a part of the van by its size and length", () => {
  expect(stockName({ kind: "wire", mm2: 2.5, lengthM: 50 })).toBe("speaker wire 2.5\u2009mm², 50\u2009m");
  expect(StockFields.safeParse({ what: { kind: "wire", mm2: 2.5, lengthM: 50 }, count: 1 }).success).toBe(true);
  expect(StockFields.safeParse({ what: { kind: "wire", mm2: 3, lengthM: 50 }, count: 1 }).success).toBe(false);
});
