/** What each of some takers is worth in each of some places; -Infinity: it cannot go there. At least as many places as takers. */
export type WorthTable = readonly (readonly number[])[];

export interface Assignment {
  /** The place of each taker. */
  readonly places: readonly number[];
  readonly worth: number;
}

/** A place that cannot be taken costs more than all that can be gained; finite, so that sums stay numbers. */
const IMPOSSIBLE = 1e9;

/**
 * Gives every taker a place of its own so that the sum of their worth is greatest. Null where they cannot all have one.
 * The Hungarian method with shortest augmenting paths, in the order of takers squared times places.
 * Source: R. Jonker and A. Volgenant, Computing 38 (1987) 325–340.
 */
export function bestAssignment(worth: WorthTable): Assignment | null {
  const takers = worth.length;
  const places = worth[0]?.length ?? 0;
  if (takers === 0) return { places: [], worth: 0 };
  if (places < takers) return null;
  const costs = new Float64Array(takers * places).fill(IMPOSSIBLE);
  worth.forEach((row, taker) =>
    row.forEach((value, place) => {
      if (value !== -Infinity) costs[taker * places + place] = -value;
    }),
  );
  // Potentials of takers and places; column 0 stands for nobody yet, so both count from one.
  const ofTaker = new Float64Array(takers + 1);
  const ofPlace = new Float64Array(places + 1);
  const holder = new Int32Array(places + 1);
  for (let taker = 1; taker <= takers; taker += 1) {
    const came = new Int32Array(places + 1);
    const least = new Float64Array(places + 1).fill(Infinity);
    const seen = new Uint8Array(places + 1);
    let place = 0;
    holder[0] = taker;
    do {
      seen[place] = 1;
      const from = holder[place] ?? 0;
      const potential = ofTaker[from] ?? 0;
      const row = (from - 1) * places - 1;
      let step = Infinity;
      let next = 0;
      for (let other = 1; other <= places; other += 1) {
        if (seen[other]) continue;
        const reduced = (costs[row + other] ?? IMPOSSIBLE) - potential - (ofPlace[other] ?? 0);
        if (reduced < (least[other] ?? Infinity)) {
          least[other] = reduced;
          came[other] = place;
        }
        if ((least[other] ?? Infinity) < step) {
          step = least[other] ?? Infinity;
          next = other;
        }
      }
      for (let other = 0; other <= places; other += 1) {
        if (seen[other]) {
          const held = holder[other] ?? 0;
          ofTaker[held] = (ofTaker[held] ?? 0) + step;
          ofPlace[other] = (ofPlace[other] ?? 0) - step;
        } else least[other] = (least[other] ?? Infinity) - step;
      }
      place = next;
    } while (holder[place] !== 0);
    while (place !== 0) {
      const before = came[place] ?? 0;
      holder[place] = holder[before] ?? 0;
      place = before;
    }
  }
  const found = new Array<number>(takers).fill(-1);
  for (let place = 1; place <= places; place += 1) {
    const taker = holder[place] ?? 0;
    if (taker > 0) found[taker - 1] = place - 1;
  }
  const sum = found.reduce((total, place, taker) => total + (worth[taker]?.[place] ?? -Infinity), 0);
  return sum === -Infinity ? null : { places: found, worth: sum };
}
