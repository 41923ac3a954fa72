import { present } from "@/core/outcome";

/** What each of some takers is worth in each of some places; -Infinity: it cannot go there. */
export type WorthTable = readonly (readonly number[])[];

export interface Assignment {
  /** The place of each taker. */
  readonly places: readonly number[];
  readonly worth: number;
}

/** A place that cannot be taken costs more than all that can be gained; finite, so that sums stay numbers. */
const IMPOSSIBLE = 1e9;

/**
 * Gives every taker a place so that the sum of their worth is greatest. Null where they cannot all have one.
 * The Hungarian method with shortest augmenting paths: each taker in turn finds the cheapest way to a place with room, along which
 * others may move on. Equal places are told once with the room that they have together, so the effort grows with their kinds.
 * Source: R. Jonker and A. Volgenant, Computing 38 (1987) 325–340.
 * @param rooms how many takers each place holds; one each where it is left out
 */
export function bestAssignment(worth: WorthTable, rooms: readonly number[] = (worth[0] ?? []).map(() => 1)): Assignment | null {
  const paths = new Paths(worth, rooms);
  for (let taker = 0; taker < worth.length; taker += 1) if (!paths.placeNext(taker)) return null;
  const sum = paths.places.reduce((total, place, taker) => total + at(at(worth, taker), place), 0);
  return sum === -Infinity ? null : { places: paths.places, worth: sum };
}

/** An item of a list at a place that exists. */
function at<Item>(items: readonly Item[], index: number): Item {
  return present(items[index], "a place of the assignment");
}

/** Numbers in a row; asking beside it throws. */
class Numbers {
  private readonly view: DataView;

  constructor(
    private readonly length: number,
    first = 0,
  ) {
    this.view = new DataView(new ArrayBuffer(length * 8));
    if (first !== 0) this.fill(first);
  }

  at(index: number): number {
    return this.view.getFloat64(index * 8);
  }

  set(index: number, value: number): void {
    this.view.setFloat64(index * 8, value);
  }

  fill(value: number): void {
    for (let index = 0; index < this.length; index += 1) this.set(index, value);
  }
}

/** The takers placed so far, with the dual prices that make every placement optimal. */
class Paths {
  readonly places: number[] = [];
  /** What each taker costs in each place, one row after the other. */
  private readonly costs: Numbers;
  private readonly ofTaker: Numbers;
  private readonly ofPlace: Numbers;
  private readonly holders: number[][];
  /** For each place how much it would cost to come there; which taker would; and 1 where a path has reached it. */
  private readonly least: Numbers;
  private readonly mover: Numbers;
  private readonly reached: Numbers;
  private readonly kinds: number;

  constructor(
    worth: WorthTable,
    private readonly rooms: readonly number[],
  ) {
    this.kinds = rooms.length;
    this.costs = new Numbers(worth.length * this.kinds);
    worth.forEach((row, taker) => {
      for (let place = 0; place < this.kinds; place += 1) {
        const value = at(row, place);
        this.costs.set(taker * this.kinds + place, value === -Infinity ? IMPOSSIBLE : -value);
      }
    });
    this.ofTaker = new Numbers(worth.length);
    this.ofPlace = new Numbers(this.kinds);
    this.holders = rooms.map(() => []);
    this.least = new Numbers(this.kinds);
    this.mover = new Numbers(this.kinds, -1);
    this.reached = new Numbers(this.kinds);
  }

  /** Places one more taker; false where no place has room. */
  placeNext(taker: number): boolean {
    this.least.fill(Infinity);
    this.reached.fill(0);
    const passed: number[] = [];
    this.relax(taker, 0);
    for (;;) {
      const place = this.nearest();
      if (place < 0) return false;
      const way = this.least.at(place);
      const sitting = at(this.holders, place);
      if (sitting.length < at(this.rooms, place)) {
        this.reprice(taker, passed, way);
        this.moveAlong(taker, place);
        return true;
      }
      passed.push(place);
      this.reached.set(place, 1);
      // Its holder has it at the best price, so it moves on from the same distance.
      for (const other of sitting) this.relax(other, way);
    }
  }

  private relax(taker: number, way: number): void {
    const base = way - this.ofTaker.at(taker);
    for (let place = 0; place < this.kinds; place += 1) {
      if (this.reached.at(place) === 1) continue;
      const cost = base + this.costs.at(taker * this.kinds + place) - this.ofPlace.at(place);
      if (cost < this.least.at(place)) {
        this.least.set(place, cost);
        this.mover.set(place, taker);
      }
    }
  }

  private nearest(): number {
    let found = -1;
    for (let place = 0; place < this.kinds; place += 1)
      if (this.reached.at(place) === 0 && (found < 0 || this.least.at(place) < this.least.at(found))) found = place;
    return found;
  }

  private reprice(taker: number, passed: readonly number[], way: number): void {
    this.ofTaker.set(taker, this.ofTaker.at(taker) + way);
    for (const place of passed) {
      const saved = way - this.least.at(place);
      this.ofPlace.set(place, this.ofPlace.at(place) - saved);
      for (const other of at(this.holders, place)) this.ofTaker.set(other, this.ofTaker.at(other) + saved);
    }
  }

  private moveAlong(taker: number, end: number): void {
    let place = end;
    for (;;) {
      const moving = this.mover.at(place);
      const before = this.places[moving];
      at(this.holders, place).push(moving);
      this.places[moving] = place;
      if (moving === taker || before === undefined) return;
      const left = at(this.holders, before);
      left.splice(left.indexOf(moving), 1);
      place = before;
    }
  }
}
