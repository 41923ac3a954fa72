/** The next number of a sequence, from 0 to below 1. */
export type Draw = () => number;

/** A sequence that is the same for the same seed on every machine. Source: mulberry32, public domain. */
export function generator(seed: number): Draw {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = state;
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
