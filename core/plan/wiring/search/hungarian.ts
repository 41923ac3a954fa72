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

/** The takers placed so far, with the dual prices that make every placement optimal. */
class Paths {
  readonly places: number[] = [];
  private readonly ofTaker: number[];
  private readonly ofPlace: number[];
  private readonly holders: number[][];
  /** For each place how much it would cost to come there, and which taker would. */
  private readonly least: number[];
  private readonly mover: number[];
  private readonly isReached: boolean[];

  constructor(
    private readonly worth: WorthTable,
    private readonly rooms: readonly number[],
  ) {
    this.ofTaker = worth.map(() => 0);
    this.ofPlace = rooms.map(() => 0);
    this.holders = rooms.map(() => []);
    this.least = rooms.map(() => Infinity);
    this.mover = rooms.map(() => -1);
    this.isReached = rooms.map(() => false);
  }

  /** Places one more taker; false where no place has room. */
  placeNext(taker: number): boolean {
    this.least.fill(Infinity);
    this.isReached.fill(false);
    const reached: number[] = [];
    this.relax(taker, 0);
    for (;;) {
      const place = this.nearest();
      if (place < 0) return false;
      const way = at(this.least, place);
      const sitting = at(this.holders, place);
      if (sitting.length < at(this.rooms, place)) {
        this.reprice(taker, reached, way);
        this.moveAlong(taker, place);
        return true;
      }
      reached.push(place);
      this.isReached[place] = true;
      // Its holder has it at the best price, so it moves on from the same distance.
      for (const other of sitting) this.relax(other, way);
    }
  }

  private relax(taker: number, way: number): void {
    const row = at(this.worth, taker);
    const base = way - at(this.ofTaker, taker);
    for (let place = 0; place < this.rooms.length; place += 1) {
      if (this.isReached[place]) continue;
      const value = at(row, place);
      const cost = base + (value === -Infinity ? IMPOSSIBLE : -value) - at(this.ofPlace, place);
      if (cost < at(this.least, place)) {
        this.least[place] = cost;
        this.mover[place] = taker;
      }
    }
  }

  private nearest(): number {
    let found = -1;
    for (let place = 0; place < this.rooms.length; place += 1)
      if (!this.isReached[place] && (found < 0 || at(this.least, place) < at(this.least, found))) found = place;
    return found;
  }

  private reprice(taker: number, reached: readonly number[], way: number): void {
    this.ofTaker[taker] = at(this.ofTaker, taker) + way;
    for (const place of reached) {
      const saved = way - at(this.least, place);
      this.ofPlace[place] = at(this.ofPlace, place) - saved;
      for (const other of at(this.holders, place)) this.ofTaker[other] = at(this.ofTaker, other) + saved;
    }
  }

  private moveAlong(taker: number, end: number): void {
    let place = end;
    for (;;) {
      const moving = at(this.mover, place);
      const before = this.places[moving];
      this.holders[place]?.push(moving);
      this.places[moving] = place;
      if (moving === taker || before === undefined) return;
      const left = this.holders[before];
      left?.splice(left.indexOf(moving), 1);
      place = before;
    }
  }
}
