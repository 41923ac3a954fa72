import fc from "fast-check";
import { expect, test } from "vitest";
import { disturbedRooms } from "@/demo/disturbed-room-under-test";
import { applyCommand, chosenSoundSystem, type Job } from "@/core/job";
import { movedRows, possibleChanges, smallestChanges } from "@/core/plan";
import { arrivalsOf, compareStreams, idealForms, solve, solveAgain, type Arrival } from "@/core/chain";
import { CODING_IDS } from "@/core/facts";

const SEED = 77;

const systemOf = (job: Job, { system }: Arrival) => job.devices.find(({ id }) => id === system);
const withDecoders = (
  job: Job,
  id: string,
  change: (rows: NonNullable<Job["devices"][number]["decodes"]>) => Job["devices"][number]["decodes"],
): Job => ({
  ...job,
  devices: job.devices.map((device) => (device.id === id && device.decodes ? { ...device, decodes: change(device.decodes) } : device)),
});
/** The same stream arrives, by all that can be heard of it. */
const arrivesAlike = (a: Arrival, b: Arrival): boolean => JSON.stringify(a.arrives) === JSON.stringify(b.arrives);
const pairs = (before: Job, after: Job) => {
  const later = new Map(arrivalsOf(after).map((row) => [row.id, row]));
  return arrivalsOf(before).flatMap((row) => {
    const now = later.get(row.id);
    return now ? [{ row, now }] : [];
  });
};

test("the best form is never worse than what arrives, and never worse than any ideal form", () => {
  fc.assert(
    fc.property(disturbedRooms, (job) => {
      for (const row of arrivalsOf(job)) {
        const system = systemOf(job, row);
        if (!system) continue;
        expect(compareStreams(row.best, row.arrives, system)).toBeGreaterThanOrEqual(0);
        for (const form of idealForms(row.content, system)) expect(compareStreams(row.best, form, system)).toBeGreaterThanOrEqual(0);
      }
    }),
    { seed: SEED, numRuns: 250 },
  );
});

test("a decoder taken away never makes a row full, unless it was the one for objects, which a ceiling then names", () => {
  fc.assert(
    fc.property(disturbedRooms, fc.nat(), (job, pick) => {
      const system = chosenSoundSystem(job);
      const rows = system?.decodes ?? [];
      const gone = rows[pick % Math.max(1, rows.length)];
      if (!system || !gone) return;
      const without = withDecoders(job, system.id, (all) => all.filter((row) => row !== gone));
      for (const { row, now } of pairs(job, without)) {
        if (row.soundVerdict !== "reduced" || now.soundVerdict !== "full") continue;
        expect(
          now.losses.some(({ scope, reason }) => scope === "ceiling" && reason.code === "no-object-decoder"),
          row.id,
        ).toBe(true);
      }
    }),
    { seed: SEED, numRuns: 300 },
  );
});

test("a decoder more that changes nothing of what arrives never makes a verdict better", () => {
  fc.assert(
    fc.property(disturbedRooms, fc.constantFrom(...CODING_IDS), fc.boolean(), (job, coding, objects) => {
      const system = chosenSoundSystem(job);
      if (!system?.decodes || system.decodes.some((row) => row.coding === coding)) return;
      const more = withDecoders(job, system.id, (all) => [...(all ?? []), { coding, channels: "7.1", objects }]);
      for (const { row, now } of pairs(job, more))
        if (arrivesAlike(row, now) && row.soundVerdict === "reduced") expect(now.soundVerdict, row.id).toBe("reduced");
    }),
    { seed: SEED, numRuns: 300 },
  );
});

test("no row is full that any single change of this gear would lift, and every row that is not full has a reason", () => {
  fc.assert(
    fc.property(disturbedRooms, (job) => {
      const before = solve(job, "planned");
      for (const row of before.rows) {
        if (row.soundVerdict !== "full") expect(row.losses.length, row.id).toBeGreaterThan(0);
        if (row.content.picture && !row.picture) expect(row.pictureLosses.length, row.id).toBeGreaterThan(0);
      }
      const heard = new Map(before.rows.map((row) => [row.id, row]));
      for (const change of possibleChanges(job)) {
        const applied = applyCommand(job, change.command);
        if (!applied.ok) continue;
        for (const now of solveAgain(before, applied.value.job).rows) {
          const row = heard.get(now.id);
          if (row?.soundVerdict === "full" && row.system === now.system)
            expect(now.soundRank, now.id).toBeLessThanOrEqual(row.soundRank + 99);
        }
      }
    }),
    { seed: SEED, numRuns: 60 },
  );
});

test("changes never misses a single change that lifts a row and lowers none", () => {
  let lifted = 0;
  fc.assert(
    fc.property(disturbedRooms, (job) => {
      const before = solve(job, "planned");
      const lifting = possibleChanges(job).some((change) => {
        const applied = applyCommand(job, change.command);
        if (!applied.ok) return false;
        const after = solveAgain(before, applied.value.job);
        const { lifts, lowers, pictureLifts, pictureLowers } = movedRows(before.rows, after.rows);
        // A screen that nothing was plugged into is new with its rows, and of what nobody knows nothing is promised.
        const isInUse = (screen: string | null) => job.cables.some(({ to }) => to.device === screen);
        const isKnown = (id: string) =>
          [...before.rows, ...after.rows].some((row) => row.id === id && (row.player === row.screen || isInUse(row.screen)));
        const isSure = after.rows.every(({ soundVerdict }) => soundVerdict !== "unknown");
        return isSure && [...lifts, ...pictureLifts].some(isKnown) && lowers.length + pictureLowers.length === 0;
      });
      if (!lifting || job.brief.surround === "plain") return;
      lifted += 1;
      expect(smallestChanges(job, { mostNodes: 1, kinds: ["setting", "plug", "cable"] }).best.changes.length).toBeGreaterThan(0);
    }),
    { seed: SEED, numRuns: 60 },
  );
  expect(lifted).toBeGreaterThan(15);
}, 120_000);
