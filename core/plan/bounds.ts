import { idealForms, optimisticBest, scoreArrival, scoreStream, type Freedom, type Solved } from "@/core/chain";
import { chosenSoundSystem, type Job } from "@/core/job";
import { CHANGE_COST, type ChangeKind } from "./changes";

/** How high each row can ever stand, and from that the least that is still to be paid to get it there. */
export interface Bounds {
  isDone(solved: Solved): boolean;
  isLow(unit: string, rows: Solved["rows"]): boolean;
  leastStillToCome(solved: Solved): number;
  /** The same, as far as no choice of settings could lower it: what the wiring alone still asks for. */
  leastForWiring(solved: Solved): number;
}

/** Upper bounds of every row, and from them the least that is still to be paid. */
export function makeBounds(start: Solved, kinds: readonly ChangeKind[]): Bounds {
  const system = chosenSoundSystem(start.job);
  const reachable = (job: Job, freedom: Freedom): ReadonlyMap<string, number> => {
    const scores = new Map<string, number>();
    for (const device of job.devices)
      for (const source of device.sources)
        for (const content of source.contents) {
          const best = system ? (idealForms(content, system)[0] ?? null) : null;
          const stream = system ? optimisticBest(job, device, source.id, content, system, freedom) : null;
          scores.set(`${device.id}/${source.id}/${content.id}`, system ? scoreStream(stream, best, system) : 0);
        }
    return scores;
  };
  const ever = reachable(start.job, { plugs: kinds.includes("plug"), cables: kinds.includes("cable") });
  const highest = (unit: string, rows: Solved["rows"]) => Math.max(ever.get(unit) ?? 0, ...rows.map(scoreArrival));
  const isLow = (unit: string, rows: Solved["rows"]) => rows.some((row) => scoreArrival(row) < highest(unit, rows));
  // Settings do not move these bounds, so they are reckoned once for each way the plugs and cables can stand.
  const byWiring = new Map<string, Wiring>();
  // Where plugs are free it only matters which cables there are, not where they sit.
  const byWires = new Map<string, ReadonlyMap<string, number>>();
  const ofPlugs = (job: Job): ReadonlyMap<string, number> => {
    const key = JSON.stringify(job.cables.map(({ from, returnWires }) => [from, returnWires]));
    const known = byWires.get(key) ?? reachable(job, { plugs: true, cables: false });
    byWires.set(key, known);
    return known;
  };
  const ofWiring = (job: Job): Wiring => {
    const key = JSON.stringify(job.cables);
    const known = byWiring.get(key) ?? {
      settings: reachable(job, { plugs: false, cables: false }),
      plugs: ofPlugs(job),
      cables: reachable(job, { plugs: false, cables: true }),
    };
    byWiring.set(key, known);
    return known;
  };
  const stillToCome = ({ job, units }: Solved, forSettings: number): number => {
    const low = units.filter(({ key, rows }) => isLow(key, rows));
    if (low.length === 0) return 0;
    const wiring = ofWiring(job);
    return Math.max(
      ...low.map(({ key, rows }) => {
        const reaches = (bound: ReadonlyMap<string, number>) => (bound.get(key) ?? 0) >= highest(key, rows);
        if (reaches(wiring.settings)) return forSettings;
        if (reaches(wiring.plugs)) return CHANGE_COST.plug;
        return reaches(wiring.cables) ? CHANGE_COST.cable : CHANGE_COST.plug + CHANGE_COST.cable;
      }),
    );
  };
  return {
    isLow,
    isDone: ({ units }) => !units.some(({ key, rows }) => isLow(key, rows)),
    leastStillToCome: (solved) => stillToCome(solved, CHANGE_COST.setting),
    leastForWiring: (solved) => stillToCome(solved, 0),
  };
}

/** How high each row can be reckoned when settings, and plugs or cables beside them, are free. */
interface Wiring {
  readonly settings: ReadonlyMap<string, number>;
  readonly plugs: ReadonlyMap<string, number>;
  readonly cables: ReadonlyMap<string, number>;
}
