import fc from "fast-check";
import { expect, test } from "vitest";
import { WAY_MINUTES } from "./plan-days";
import { loadOf, planDays, type VisitToPlan } from "./index";

const visit = (id: string, at: string | null, minutes: number, day = "2026-12-01"): VisitToPlan => ({ id, day, at, minutes });

test("a visit with no agreed time goes where it fits: before the agreed one, or after it with the way between", () => {
  // Eight to nine is free; the second needs two hours, which are not there before ten.
  expect(planDays([visit("agreed", "10:00", 90), visit("short", null, 60), visit("long", null, 120)])).toEqual([
    {
      day: "2026-12-01",
      visits: [
        { id: "short", from: 480, to: 540, isAgreed: false, short: 0 },
        { id: "agreed", from: 600, to: 690, isAgreed: true, short: 0 },
        { id: "long", from: 720, to: 840, isAgreed: false, short: 0 },
      ],
    },
  ]);
});

test("two visits agreed too close together both stay, and the missing minutes are shown", () => {
  const [day] = planDays([visit("first", "09:00", 120), visit("second", "11:00", 60)]);
  expect(day?.visits.map(({ id, short }) => [id, short])).toEqual([
    ["first", 0],
    ["second", WAY_MINUTES],
  ]);
});

test("days come in their order, each with its own visits", () => {
  const days = planDays([visit("b", null, 30, "2026-12-02"), visit("a", null, 30)]);
  expect(days.map(({ day, visits }) => [day, visits.map(({ id }) => id)])).toEqual([
    ["2026-12-01", ["a"]],
    ["2026-12-02", ["b"]],
  ]);
});

test("every visit is there once, agreed ones at their minute, and what was not agreed never clashes", () => {
  const one = fc.record({
    at: fc.option(fc.integer({ min: 0, max: 22 }).map((hour) => `${String(hour).padStart(2, "0")}:30`)),
    minutes: fc.integer({ min: 5, max: 300 }),
  });
  fc.assert(
    fc.property(fc.array(one, { maxLength: 8 }), (drawn) => {
      const visits = drawn.map(({ at, minutes }, index) => visit(String(index), at, minutes));
      const planned = planDays(visits).flatMap((day) => day.visits);
      expect(planned.map(({ id }) => id).toSorted()).toEqual(visits.map(({ id }) => id).toSorted());
      for (const free of planned.filter(({ isAgreed }) => !isAgreed))
        for (const other of planned)
          if (other !== free) expect(free.from >= other.to + WAY_MINUTES || free.to + WAY_MINUTES <= other.from).toBe(true);
    }),
  );
});

test("the list to load by counts a part of several jobs once, with what the van lacks first", () => {
  expect(
    loadOf([
      { job: "Loft", part: "HDMI 2 m", isReserved: true },
      { job: "Hall", part: "HDMI 2 m", isReserved: true },
      { job: "Hall", part: "Extractor", isReserved: false },
    ]),
  ).toEqual([
    { part: "Extractor", count: 1, missing: 1, jobs: ["Hall"] },
    { part: "HDMI 2 m", count: 2, missing: 0, jobs: ["Loft", "Hall"] },
  ]);
});
