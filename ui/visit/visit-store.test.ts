import { expect, test } from "vitest";
import { VisitEntry } from "@/core/job";
import { mergedEntries } from "@/core/visit";
import { bothKept, EMPTY_RECORD, withEntry } from "./visit-store";

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

test("two windows on one device keep each other's ticks, and what the server has of one is unsent no more", () => {
  const [one, two] = [withEntry(EMPTY_RECORD, entry(1)), withEntry(EMPTY_RECORD, entry(2, "protect"))];
  const kept = bothKept(bothKept(EMPTY_RECORD, one), two);
  expect(kept.unsent.toSorted()).toEqual([entry(1).id, entry(2).id].toSorted());
  expect(kept.entries).toHaveLength(2);
  expect(bothKept(kept, { ...one, unsent: [] }).unsent).toEqual([entry(2).id]);
});
