import { describe, expect, test } from "vitest";
import { firmFigures, kindsOf, quirkOf, recurringTroubles, type JobHistory } from "@/core/handover";
import { VisitEntry } from "@/core/job";
import { recurringSentence } from "@/core/text";
import { device, withQuirks } from "@/demo/room-under-test";

const entry = (at: string, given: object): VisitEntry =>
  VisitEntry.parse({ id: crypto.randomUUID(), step: `step ${at}`, state: "done", at: `${at}:00.000Z`, who: "A. Fitter", ...given });
const ended = (day: string, minutes: number | null, plannedMinutes: number | null, board: object | null = null) =>
  entry(`${day}T12:00`, {
    event: { event: "visit-ended", day, reason: "install", minutes, plannedMinutes, handedOver: board !== null, snapshot: null, board },
  });

describe("the figures of a firm", () => {
  const walk = crypto.randomUUID();
  const jobs = [
    {
      id: "a",
      name: "A",
      losses: { "link-capacity": 3, "format-setting": 1 },
      record: [
        entry("2026-01-10T09:00", { step: "prove x", sees: "as-predicted" }),
        entry("2026-01-10T09:05", { step: "prove y", sees: "silent" }),
        ended("2026-01-10", 100, 80, { rows: 6, wholeFound: 2, wholeLeft: 6 }),
      ],
    },
    {
      id: "b",
      name: "B",
      losses: { "format-setting": 4 },
      record: [
        entry("2026-01-05T08:00", { step: "c", fix: { walk, step: "check", id: "set:bar:mute", answer: "mended" } }),
        entry("2026-01-05T08:01", { step: "d", fix: { walk, step: "check", id: "lamp:bar", answer: "on" } }),
        entry("2026-01-05T08:02", { step: "f", fix: { walk, step: "found", id: "muted:bar/mute=on" } }),
        ended("2026-01-05", 30, 40),
        ended("2026-02-05", null, 40),
      ],
    },
  ];
  const figures = firmFigures(jobs);

  test("minutes planned against taken, in the order of the days, only where both are known", () => {
    expect(figures.visits).toEqual([
      { job: "b", name: "B", day: "2026-01-05", planned: 40, taken: 30 },
      { job: "a", name: "A", day: "2026-01-10", planned: 80, taken: 100 },
    ]);
  });
  test("rows whole before and after, of jobs that were handed over", () =>
    expect(figures.board).toEqual({ jobs: 1, rows: 6, wholeFound: 2, wholeLeft: 6 }));
  test("proofs as predicted and otherwise", () => expect(figures.proof).toEqual({ proven: 1, otherwise: 1 }));
  test("losses of all boards, the commonest first", () =>
    expect(figures.losses).toEqual([
      { code: "format-setting", rows: 5 },
      { code: "link-capacity", rows: 3 },
    ]));
  test("faults that were found, and what mended them: a look mends nothing", () => {
    expect(figures.faults).toEqual([{ fault: "muted", count: 1 }]);
    expect(figures.cures).toEqual([{ cure: "set", count: 1 }]);
  });
  test("what was taken back counts nowhere", () => {
    const [a] = jobs;
    const back = entry("2026-01-10T13:00", { step: "prove y", state: "open" });
    expect(firmFigures([{ id: "a", name: "A", losses: {}, record: [...(a?.record ?? []), back] }]).proof).toEqual({
      proven: 1,
      otherwise: 0,
    });
  });
});

describe("what happens again and again", () => {
  const job = (id: string, quirky: boolean, record: readonly VisitEntry[] = []): JobHistory => ({
    id,
    name: id,
    kinds: kindsOf([
      quirky ? withQuirks(device("receiver-51", "receiver"), "ignores-standby") : device("receiver-51", "receiver"),
      device("tv-earc", "tv"),
      { ...device("tv-earc", "by-hand"), archetype: null },
    ]),
    record,
  });
  const stillOn = [entry("2026-01-10T09:00", { step: "act tv-remote-standby", sees: { miss: "still-on", device: "receiver" } })];

  test("is counted by class over all jobs, with those where it happened", () => {
    const found = recurringTroubles([job("a", true), job("b", true), job("c", true), job("d", false), job("e", false)]);
    expect(found).toEqual([
      {
        archetype: "receiver-51",
        devices: 5,
        troubles: [
          {
            trouble: { of: "quirk", quirk: "ignores-standby" },
            devices: 3,
            jobs: [
              { id: "a", name: "a" },
              { id: "b", name: "b" },
              { id: "c", name: "c" },
            ],
          },
        ],
      },
    ]);
    expect(recurringSentence({ of: "quirk", quirk: "ignores-standby" }, 3, 5)).toBe(
      "Three of five of this kind did not go off with the others.",
    );
  });

  test("something seen in an act counts too, and can be taken over as the habit that explains it", () => {
    const [kind] = recurringTroubles([job("a", false, stillOn), job("b", false, stillOn), job("c", false)]);
    expect(kind?.troubles).toMatchObject([{ trouble: { of: "miss", miss: "still-on" }, devices: 2 }]);
    expect(quirkOf({ of: "miss", miss: "still-on" })).toBe("ignores-standby");
    expect(quirkOf({ of: "fault", fault: "muted" })).toBeNull();
  });

  test("once its habit is noted the habit alone is counted", () => {
    const [kind] = recurringTroubles([job("a", true, stillOn), job("b", true, stillOn)]);
    expect(kind?.troubles.map(({ trouble }) => trouble)).toEqual([{ of: "quirk", quirk: "ignores-standby" }]);
  });

  test("once is an accident; a device that came from no class is of none", () => {
    expect(recurringTroubles([job("a", true), job("b", false)])).toEqual([]);
    expect(kindsOf([{ ...device("tv-earc", "by-hand"), archetype: null }])).toEqual([]);
  });

  test("a fault counts for the device that it was at", () => {
    const walk = crypto.randomUUID();
    const found = [entry("2026-01-10T09:00", { step: "f", fix: { walk, step: "found", id: "dead-device:receiver" } })];
    const [kind] = recurringTroubles([job("a", false, found), job("b", false, found)]);
    expect(kind).toMatchObject({ archetype: "receiver-51", troubles: [{ trouble: { of: "fault", fault: "dead-device" }, devices: 2 }] });
  });
});
