import { expect, test } from "vitest";
import { VisitEntry } from "@/core/job";
import { mergedEntries } from "@/core/visit";
import { EMPTY_RECORD, withEntry } from "./visit-store";

const entry = (n: number, step = "photo"): VisitEntry =>
  VisitEntry.parse({
    id: `5b0c7bb0-6f1f-4c5b-8c2a-0d7a3a1f5e1${n}`,
    step,
    state: "done",
    at: `2026-11-27T10:0${n}:00.000Z`,
  });

test("an entry is there at once, in the order of its moment, and unsent until the server has it", () => {
  const record = withEntry(withEntry(EMPTY_RECORD, entry(2)), entry(1, "protect"));
  expect(record.entries.map(({ step }) => step)).toEqual(["protect", "photo"]);
  expect(record.unsent).toEqual([entry(2).id, entry(1).id]);
});

test("two devices that ticked apart have both ticks after they meet, in either order", () => {
  const [phone, laptop] = [[entry(1)], [entry(2, "protect"), entry(1)]];
  expect(mergedEntries(phone, laptop)).toEqual(mergedEntries(laptop, phone));
  expect(mergedEntries(phone, laptop)).toHaveLength(2);
});
