import { describe, expect, test } from "vitest";
import { finderOf } from "@/core/diagnose";
import { dueOf, endVisit, eventsOf, likelyFaults, monthsLater, replacedIn, replacementsOf, visitsOf } from "@/core/handover";
import { applyCommand, MOST_SNAPSHOTS, replaceDevice, VisitEntry, type Job } from "@/core/job";
import { demoJob } from "@/demo/demo-jobs";
import { device, made, room } from "@/demo/room-under-test";

const entry = (at: string, given: object): VisitEntry =>
  VisitEntry.parse({ id: crypto.randomUUID(), step: `step ${at}`, state: "done", at: `${at}:00.000Z`, who: "A. Fitter", ...given });
const NAMES = { found: "As found", left: "As left", visit: "Visit" };
const TAKEN = "2026-11-20T12:00:00.000Z";
const end = (job: Job, day = "2026-11-20", record: readonly VisitEntry[] = []) =>
  endVisit(job, record, { day, reason: "install", minutes: 95, handedOver: true }, NAMES, TAKEN);

describe("the visits of a record", () => {
  const walk = crypto.randomUUID();
  const record = [
    entry("2026-11-20T09:00", { step: "protect", minutes: 5 }),
    entry("2026-11-20T09:30", { step: "plug a", minutes: 12, who: "B. Mate" }),
    entry("2026-11-20T10:00", { step: "prove a", sees: "silent" }),
    entry("2026-12-01T08:00", { step: "fix found", fix: { walk, step: "found", id: "muted:bar" } }),
    entry("2026-12-01T09:00", {
      step: "event end",
      note: "mute was pressed",
      event: {
        event: "visit-ended",
        day: "2026-12-01",
        reason: "call-back",
        minutes: 20,
        plannedMinutes: null,
        handedOver: false,
        snapshot: null,
        board: null,
      },
    }),
    entry("2026-12-05T09:00", { step: "event call", event: { event: "called-back", changed: ["moved"] } }),
  ];

  test("are its days: who was there, how long, what was done, seen and found", () => {
    expect(visitsOf(record)).toMatchObject([
      { day: "2026-11-20", who: ["A. Fitter", "B. Mate"], reason: null, minutes: 17, steps: 2, checks: 1, faults: [] },
      {
        day: "2026-12-01",
        who: ["A. Fitter"],
        reason: "call-back",
        minutes: 20,
        steps: 0,
        faults: ["muted:bar"],
        note: "mute was pressed",
      },
    ]);
  });

  test("do not count what was taken back, nor a call for which nobody went", () => {
    const back = entry("2026-11-20T11:00", { step: "protect", state: "open" });
    expect(visitsOf([...record, back])[0]).toMatchObject({ steps: 1, minutes: 12 });
    expect(visitsOf(record).map(({ day }) => day)).not.toContain("2026-12-05");
    expect(eventsOf(record, "called-back")).toHaveLength(1);
  });
});

describe("what is due", () => {
  const rears = room([device("bar-battery-rears", "bar"), device("tv-earc", "tv")], "bar hdmi-out > tv hdmi3");
  const handedOver = entry("2026-02-28T10:00", { step: "event end", event: end(rears, "2026-02-28").event });

  test("a month later is the same day, or the last of a shorter month", () => {
    expect([
      monthsLater("2026-01-31", 1),
      monthsLater("2028-01-31", 1),
      monthsLater("2026-11-30", 12),
      monthsLater("2026-12-15", 1),
    ]).toEqual(["2026-02-28", "2028-02-29", "2027-11-30", "2027-01-15"]);
  });

  test("nothing, before anything was done", () => expect(dueOf(rears, [])).toEqual([]));

  test("firmware a year after it was last looked at, else after the room was handed over; batteries after two years", () => {
    const record = [handedOver, entry("2026-06-10T10:00", { step: "firmware tv" })];
    expect(dueOf(rears, record)).toEqual([
      { due: "firmware", on: "2027-02-28", devices: ["bar"] },
      { due: "firmware", on: "2027-06-10", devices: ["tv"] },
      { due: "battery", on: "2028-02-28", units: expect.arrayContaining([{ device: "bar", unit: "left-rear" }]) as unknown },
    ]);
  });

  test("a promise until a visit of a later day has ended: the one on which it was made does not keep it", () => {
    const promised = entry("2026-02-28T11:00", { step: "event p", event: { event: "promised", due: "2026-04-01" }, note: "the rears" });
    const later = entry("2026-04-02T10:00", { step: "event later", event: { ...end(rears, "2026-04-02").event } });
    const sameDay = entry("2026-02-28T16:00", { step: "event same", event: end(rears, "2026-02-28").event });
    expect(dueOf(rears, [handedOver, promised, sameDay])[0]).toMatchObject({ due: "promised", on: "2026-04-01", words: "the rears" });
    expect(dueOf(rears, [handedOver, promised, later]).some(({ due }) => due === "promised")).toBe(false);
  });
});

describe("the end of a visit", () => {
  test("saves the room under its day, as left too where it is handed over, and tells the board before and after", () => {
    const loft = demoJob("sail-loft");
    const { command, event } = end(loft);
    const after = applyCommand(loft, command);
    if (!after.ok) throw new Error(after.refusal.code);
    expect(after.value.job.phase).toBe("handover");
    expect(after.value.job.snapshots.map(({ id }) => id)).toEqual(expect.arrayContaining(["as-left", "visit-2026-11-20"]));
    expect(event).toMatchObject({ snapshot: "visit-2026-11-20", minutes: 95, handedOver: true, board: { rows: 6, wholeLeft: 6 } });
  });

  test("a second end on the same day takes the place of the first, and an old visit makes way where the list is full", () => {
    let job = demoJob("sail-loft");
    for (let day = 10; day < 25; day += 1) {
      job = made(job, end(job, `2026-11-${day}`).command);
      job = made(job, end(job, `2026-11-${day}`).command);
    }
    expect(job.snapshots.length).toBeLessThanOrEqual(MOST_SNAPSHOTS);
    expect(job.snapshots.filter(({ id }) => id === "visit-2026-11-24")).toHaveLength(1);
    expect(job.snapshots.map(({ id }) => id)).not.toContain("visit-2026-11-10");
  });

  test("where a person's own states fill the list none of them goes, and the event names no state", () => {
    const loft = demoJob("sail-loft");
    const own = Array.from({ length: MOST_SNAPSHOTS }, (_, index) => ({
      id: `own-${index}`,
      name: "Own",
      takenAt: TAKEN,
      devices: loft.devices,
      cables: loft.cables,
    }));
    const { command, event } = end({ ...loft, snapshots: own });
    expect(event.snapshot).toBeNull();
    expect(command).toMatchObject({ commands: [{ kind: "edit-job" }] });
  });
});

test("what changed weighs on what is likely: after a menu was changed settings come first, after furniture was moved plugs and places", () => {
  const finder = finderOf(demoJob("sail-loft"));
  const share = (changed: Parameters<typeof likelyFaults>[1], kinds: readonly string[]) =>
    likelyFaults(finder, changed, 500).reduce(
      (sum, { suspect, chance }) => sum + (kinds.includes(suspect.faults[0]?.kind ?? "") ? chance : 0),
      0,
    );
  const plugs = ["cable-out", "half-in", "wrong-socket"];
  expect(share(["moved"], plugs)).toBeGreaterThan(2 * share([], plugs));
  const menus = ["own-speakers", "wrong-format", "return-off", "control-off"];
  expect(share(["a-menu"], menus)).toBeGreaterThan(1.5 * share([], menus));
  expect(likelyFaults(finder, [], 5)).toHaveLength(5);
});

describe("devices that were replaced", () => {
  const visit: Job = { ...demoJob("sail-loft"), phase: "visit" };
  const other = device("bar-arc-optical", "other", { name: "Other bar" });
  const command = replaceDevice(visit, "bar", other);

  test("are written down once the room is wired, not while it is thought about", () => {
    expect(replacedIn(visit, [command])).toEqual([
      {
        event: "replaced",
        device: "bar",
        name: "Bar",
        archetype: visit.devices.find(({ id }) => id === "bar")?.archetype,
        became: "Other bar",
      },
    ]);
    expect(replacedIn({ ...visit, phase: "design" }, [command])).toEqual([]);
    expect(replacedIn(visit, [{ kind: "remove-device", device: "bar" }])).toEqual([]);
  });

  test("and put back at once, are no history", () => {
    const [event] = replacedIn(visit, [command]);
    if (!event) throw new Error("nothing was replaced");
    const there = entry("2026-11-20T09:00", { event });
    const back = entry("2026-11-20T09:01", { event: { ...event, name: event.became, became: event.name } });
    expect(replacementsOf([there])).toHaveLength(1);
    expect(replacementsOf([there, back])).toEqual([]);
  });
});
