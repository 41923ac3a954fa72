import type { Job } from "@/core/job";
import { finderOf, playOut } from "@/core/diagnose";

/** How the search does in one room, with every fault planted in turn. */
export interface EveryFault {
  /** Faults that were not found, or not cured, with what was found instead. */
  readonly lost: readonly string[];
  readonly minutes: readonly number[];
}

/** For tests: plants every fault of a room and lets the search find it. */
export function everyFaultOf(name: string, job: Job): EveryFault {
  const finder = finderOf(job);
  const played = finder.played.map(({ fault }) => ({ fault, out: playOut(finder, fault, { seed: 7 }) }));
  return {
    lost: played
      .filter(({ fault, out }) => !out.cured || !(out.found === fault.id || out.alikeWith.includes(out.found ?? "")))
      .map(({ fault, out }) => `${name}: ${fault.id} found ${String(out.found)}`),
    minutes: played.map(({ out }) => out.minutes),
  };
}

/** The figures of several rooms, in one line for the log of a test. */
export function figuresOf(rooms: readonly EveryFault[]) {
  const minutes = rooms.flatMap((room) => room.minutes);
  const average = minutes.reduce((sum, one) => sum + one, 0) / minutes.length;
  const worst = Math.max(...minutes);
  return {
    average,
    worst,
    says: `${minutes.length} faults in ${rooms.length} rooms: ${average.toFixed(1)} min on average, ${worst} min at worst\n`,
  };
}
