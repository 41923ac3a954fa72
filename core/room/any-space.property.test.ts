import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { tries } from "@/demo/tries-under-test";
import { roomsReport } from "@/core/report";
import { roomAnswer } from "@/core/room";
import { jobWith, loose, placed, roomOf } from "./under-test";

/*
 * Rooms of any size with speakers anywhere in them, a receiver and its wires. Every figure is worked out here once more from the tape alone:
 * by Pythagoras, by the speed of sound and by the resistance of copper. Nothing of the room's own geometry is used.
 */
const CHANNELS = ["L", "C", "R", "Ls", "Rs"] as const;

const metres = (min: number, max: number) => fc.integer({ min: Math.round(min * 100), max: Math.round(max * 100) }).map((cm) => cm / 100);

const spaces = fc
  .record({
    width: metres(3, 9),
    depth: metres(3, 12),
    heightM: metres(2.1, 4),
    temperatureC: fc.integer({ min: 5, max: 35 }),
    earM: metres(0.9, 1.3),
  })
  .chain((size) =>
    fc.record({
      size: fc.constant(size),
      seat: fc.record({ x: metres(0.5, size.width - 0.5), y: metres(1, size.depth - 0.3) }),
      spots: fc.tuple(
        ...CHANNELS.map(() =>
          fc.record({
            x: metres(0.05, size.width - 0.05),
            y: metres(0.05, size.depth - 0.05),
            h: metres(0.2, size.heightM - 0.1),
            wireM: metres(1, 45),
          }),
        ),
      ),
      ohm: fc.constantFrom(4, 6, 8),
    }),
  );
type Space = typeof spaces extends fc.Arbitrary<infer One> ? One : never;

function jobOf({ size, seat, spots, ohm }: Space) {
  const { width, depth, heightM, temperatureC, earM } = size;
  return jobWith(
    "receiver-51",
    {
      outline: [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: depth },
        { x: 0, y: depth },
      ],
      ceiling: { shape: "flat", heightM },
      temperatureC,
      seats: [{ id: "seat", name: "Seat", at: seat, earM }],
      placements: spots.map(({ x, y, h, wireM }, index) => placed(`u${index}`, x, y, h, { wireM })),
    },
    {
      units: [
        { id: "amplifier", name: "amplifier", feed: { feed: "own" } },
        ...CHANNELS.map((channel, index) => loose(`u${index}`, channel, { passive: { ohm } })),
      ],
    },
  );
}

const degrees = (radians: number) => (radians * 180) / Math.PI;
/** Of moist air at room temperature. */
const metresPerSecond = (celsius: number) => 331.3 * Math.sqrt(1 + celsius / 273.15);

describe("rooms of any size", () => {
  test("every angle, distance and delay is what tape, Pythagoras and the speed of sound say", () => {
    fc.assert(
      fc.property(spaces, (space) => {
        const job = jobOf(space);
        const { speakers, systems } = roomAnswer(job, roomOf(job));
        const straight = space.spots.map(({ x, y, h }) => Math.hypot(x - space.seat.x, y - space.seat.y, h - space.size.earM));
        const farthest = Math.max(...straight);
        for (const [index, channel] of CHANNELS.entries()) {
          const found = speakers.find((one) => one.channel === channel);
          const spot = space.spots[index];
          const own = straight[index];
          if (!found || !spot || own === undefined) throw new Error(`no ${channel}`);
          const [left, ahead] = [space.seat.x - spot.x, space.seat.y - spot.y];
          expect(found.straightM).toBeCloseTo(own, 9);
          // Straight above the seat every direction is as good as another.
          if (Math.hypot(left, ahead) > 0.02) {
            expect(found.azimuthDeg).toBeCloseTo(degrees(Math.atan2(left, ahead)), 6);
            expect(found.elevationDeg).toBeCloseTo(degrees(Math.atan2(spot.h - space.size.earM, Math.hypot(left, ahead))), 6);
          }
          const time = systems[0]?.times.find(({ speaker }) => speaker.channel === channel);
          expect(time?.delayMs).toBeCloseTo(((farthest - own) / metresPerSecond(space.size.temperatureC)) * 1000, 2);
        }
      }),
      tries(120, 5000, 51),
    );
  });

  test("no stocked wire thinner than the one named stays under 5 % of the impedance, and that one does", () => {
    fc.assert(
      fc.property(spaces, (space) => {
        const job = jobOf(space);
        for (const run of roomAnswer(job, roomOf(job)).wire) {
          const limit = space.ohm * 0.05;
          const ohmOf = (mm2: number) => (0.0175 * 2 * run.lengthM) / mm2;
          const stocked = [0.75, 1, 1.5, 2.5, 4, 6];
          const thinnest = stocked.find((mm2) => ohmOf(mm2) <= limit + 1e-12) ?? null;
          expect(run.limitOhm).toBeCloseTo(limit, 9);
          expect(run.mm2, `${run.lengthM} m to ${space.ohm} ohms`).toBe(thinnest);
        }
      }),
      tries(80, 3000, 53),
    );
  });

  test("the report has a figure or nothing at every place, and words without a hole", () => {
    fc.assert(
      fc.property(spaces, (space) => {
        const text = JSON.stringify(roomsReport(jobOf(space)));
        expect(text).not.toMatch(/NaN|Infinity|undefined|\[object/);
        for (const [, words] of text.matchAll(/"words":"([^"]*)"/g)) expect(words).toMatch(/^\S.*\S$/);
      }),
      tries(60, 2000, 57),
    );
  });
});
