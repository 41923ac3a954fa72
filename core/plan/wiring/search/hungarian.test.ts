import fc from "fast-check";
import highsLoader from "highs";
import { beforeAll, describe, expect, test } from "vitest";
import { bestAssignment, type WorthTable } from "./hungarian";

type Solver = Awaited<ReturnType<typeof highsLoader>>;
let solver: Solver;
beforeAll(async () => {
  solver = await highsLoader();
});

/** The same question as a linear program, for a solver that knows nothing of this one. Null where it has no answer. */
function byLinearProgram(worth: WorthTable, rooms: readonly number[]): number | null {
  const cells = worth.flatMap((row, taker) => row.flatMap((value, place) => (value === -Infinity ? [] : [{ taker, place, value }])));
  const name = ({ taker, place }: { taker: number; place: number }) => `x_${taker}_${place}`;
  const sum = (of: typeof cells) => (of.length ? of.map(name).join(" + ") : "0 z");
  const takers = worth.map((_, taker) => ` t${taker}: ${sum(cells.filter((cell) => cell.taker === taker))} = 1`);
  const places = (worth[0] ?? []).map(
    (_, place) => ` p${place}: ${sum(cells.filter((cell) => cell.place === place))} <= ${rooms[place] ?? 0}`,
  );
  const program = [
    "Maximize",
    ` obj: ${cells.map((cell) => `${cell.value < 0 ? "-" : "+"} ${Math.abs(cell.value)} ${name(cell)}`).join(" ") || "0 z"}`,
    "Subject To",
    ...takers,
    ...places,
    "End",
  ].join("\n");
  const solution = solver.solve(program);
  return solution.Status === "Optimal" ? solution.ObjectiveValue : null;
}

const tables: fc.Arbitrary<WorthTable> = fc.tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 0, max: 4 })).chain(([takers, more]) =>
  fc.array(
    fc.array(fc.oneof({ weight: 4, arbitrary: fc.integer({ min: -20, max: 99 }) }, { weight: 1, arbitrary: fc.constant(-Infinity) }), {
      minLength: takers + more,
      maxLength: takers + more,
    }),
    { minLength: takers, maxLength: takers },
  ),
);

describe("players to sockets", () => {
  test("by hand: the streamer yields the first socket, because the console can sit nowhere else", () => {
    const worth = [
      [9, 8],
      [7, -Infinity],
    ];
    expect(bestAssignment(worth)).toEqual({ places: [1, 0], worth: 15 });
  });

  test("two that fit in the one socket only cannot both have it", () => {
    expect(
      bestAssignment([
        [5, -Infinity],
        [6, -Infinity],
      ]),
    ).toBeNull();
    expect(bestAssignment([[1], [2]])).toBeNull();
    expect(bestAssignment([])).toEqual({ places: [], worth: 0 });
  });

  test("three equal sockets are one place with room for three, and a fourth player goes elsewhere", () => {
    const worth = [
      [5, 1],
      [6, 1],
      [7, 1],
      [8, 4],
    ];
    expect(bestAssignment(worth, [3, 2])).toEqual({ places: [0, 0, 0, 1], worth: 22 });
    expect(bestAssignment(worth, [2, 1])).toBeNull();
  });

  test("is worth what a solver of linear programs finds, and no place holds more than it has room for", () => {
    fc.assert(
      fc.property(tables, fc.infiniteStream(fc.integer({ min: 0, max: 3 })), fc.boolean(), (worth, some, areSingle) => {
        const rooms = (worth[0] ?? []).map(() => (areSingle ? 1 : (some.next().value ?? 0)));
        const found = bestAssignment(worth, rooms);
        const other = byLinearProgram(worth, rooms);
        if (other === null) expect(found).toBeNull();
        else expect(found?.worth).toBeCloseTo(other, 6);
        for (const [place, room] of rooms.entries())
          expect(found?.places.filter((one) => one === place).length ?? 0).toBeLessThanOrEqual(room);
      }),
      { numRuns: 400, seed: 41 },
    );
  });
});
