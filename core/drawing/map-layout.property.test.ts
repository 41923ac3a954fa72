import fc from "fast-check";
import { expect, test } from "vitest";
import { fromShelfOrThrow, SHELF } from "@/core/device";
import { applyCommand, emptyJob, socketAnswers, joinSockets, type Job } from "@/core/job";
import { PLATE, passingHeights, placePlates, type PlacedPlate } from "./map-layout";

const archetypes = fc.array(fc.constantFrom(...SHELF.map(({ archetype }) => archetype)), { minLength: 2, maxLength: 12 });
const picks = fc.array(fc.nat(), { maxLength: 12 });

const roomOf = (kinds: readonly string[]): Job => ({
  ...emptyJob("room"),
  devices: kinds.map((archetype, index) => fromShelfOrThrow(archetype, { id: `d${index}`, name: `Device ${index}` })),
});

/** The room with a cable from a socket to the first other that takes it, for each number. */
function wired(job: Job, numbers: readonly number[]): Job {
  return numbers.reduce((current, number) => {
    const sockets = current.devices.flatMap(({ id, ports }) => ports.map((port) => ({ device: id, port: port.id })));
    const held = sockets[number % sockets.length];
    const free = held && socketAnswers(current, held).find(({ refusal }) => refusal === null);
    const applied = held && free ? applyCommand(current, joinSockets(current, held, free.end)) : null;
    return applied?.ok ? applied.value.job : current;
  }, job);
}

const overlap = (a: PlacedPlate, b: PlacedPlate) =>
  a.x < b.x + PLATE.width && b.x < a.x + PLATE.width && a.y < b.y + b.height && b.y < a.y + a.height;

test("no two plates of a computed map lie over each other, whatever the room", () => {
  fc.assert(
    fc.property(archetypes, picks, (kinds, numbers) => {
      const plates = placePlates(wired(roomOf(kinds), numbers));
      for (const [index, a] of plates.entries()) for (const b of plates.slice(index + 1)) expect(overlap(a, b)).toBe(false);
      for (const { device, sides } of plates) expect(sides.size).toBe(device.ports.length);
    }),
    { numRuns: 80, seed: 11 },
  );
});

test("a device more of a lane that is there moves none of the others", () => {
  fc.assert(
    fc.property(archetypes, fc.nat(), (kinds, number) => {
      const job = roomOf(kinds);
      const again = kinds[number % kinds.length] ?? "tv-earc";
      const places = (one: Job) => placePlates(one).map(({ device, x, y }) => [device.id, x, y]);
      const more = { ...job, devices: [...job.devices, fromShelfOrThrow(again, { id: "more", name: "More" })] };
      expect(places(more).filter(([id]) => id !== "more")).toEqual(places(job));
    }),
    { numRuns: 80, seed: 12 },
  );
});

test("a plate that was put somewhere stands there, and the others where they stood", () => {
  fc.assert(
    fc.property(archetypes, fc.nat(), fc.integer({ min: -900, max: 900 }), fc.integer({ min: -900, max: 900 }), (kinds, number, x, y) => {
      const job = roomOf(kinds);
      const device = `d${number % kinds.length}`;
      const moved = applyCommand(job, { kind: "arrange", device, to: { x, y } });
      if (!moved.ok) throw new Error("refused");
      const before = placePlates(job);
      for (const plate of placePlates(moved.value.job)) {
        const own = before.find(({ device: { id } }) => id === plate.device.id);
        expect([plate.x, plate.y]).toEqual(plate.device.id === device ? [x, y] : [own?.x, own?.y]);
      }
    }),
    { numRuns: 80, seed: 13 },
  );
});

test("two cables that pass the same plates never run at one height", () => {
  fc.assert(
    fc.property(archetypes, picks, (kinds, numbers) => {
      const job = wired(roomOf(kinds), numbers);
      const heights = [...passingHeights(placePlates(job), job.cables).values()];
      expect(new Set(heights).size).toBe(heights.length);
    }),
    { numRuns: 80, seed: 14 },
  );
});
