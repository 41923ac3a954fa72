import { makeRig, optimisticBest, scoreStream, systemOf, type Arrival, type Freedom, type Solved } from "@/core/chain";
import type { Content, Device } from "@/core/device";
import { applyCommand, chosenSoundSystem, type Job } from "@/core/job";
import { CHANGE_COST, type Change, type ChangeKind } from "./changes";
import { wishedScore, wishedScoreOf } from "./wished";

/** How high each row can ever stand, and from that the least that is still to be paid to get it there. */
export interface Bounds {
  isDone(solved: Solved): boolean;
  isLow(unit: string, rows: Solved["rows"]): boolean;
  leastStillToCome(solved: Solved): number;
  /** The same, as far as no choice of settings could lower it: what the wiring alone still asks for. */
  leastForWiring(solved: Solved): number;
}

/** Upper bounds of every row, and from them the least that is still to be paid. */
export function makeBounds(start: Solved, kinds: readonly ChangeKind[], boxes: readonly Change[] = []): Bounds {
  const free = { plugs: kinds.includes("plug"), cables: kinds.includes("cable") };
  const score = (row: Arrival) => wishedScoreOf(start.job, row);
  const ofGear = reachable(start.job, free);
  // With one box in any of its places: no set has more than one.
  const ofBoxes = boxes.flatMap(({ command }) => {
    const applied = applyCommand(start.job, command);
    return applied.ok ? [reachable(applied.value.job, free)] : [];
  });
  const ever = (unit: string) => Math.max(...[ofGear, ...ofBoxes].map((bound) => bound.get(unit) ?? 0));
  const highest = (unit: string, rows: Solved["rows"]) => Math.max(ever(unit), ...rows.map(score));
  const isLow = (unit: string, rows: Solved["rows"]) => rows.some((row) => score(row) < highest(unit, rows));
  // Settings do not move these bounds, so they are reckoned once for each way the plugs and cables can stand.
  const byWiring = new Map<string, Wiring>();
  // Where plugs are free it only matters which cables there are, not where they sit.
  const byWires = new Map<string, ReadonlyMap<string, number>>();
  const ofPlugs = (job: Job): ReadonlyMap<string, number> => {
    const key = JSON.stringify(job.cables.map(({ from, returnWires, controlWire }) => [from, returnWires, controlWire]));
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
        if (reaches(wiring.cables)) return CHANGE_COST.cable;
        return reaches(ofGear) || job.devices.length > start.job.devices.length ? CHANGE_COST.plug + CHANGE_COST.cable : CHANGE_COST.box;
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

/** How high the rows of each content could stand at most, by the most hopeful reckoning of what is free. */
function reachable(job: Job, freedom: Freedom): ReadonlyMap<string, number> {
  const scores = new Map<string, number>();
  const rig = makeRig(job, "planned");
  for (const device of job.devices)
    for (const source of device.sources)
      for (const content of source.contents)
        scores.set(
          `${device.id}/${source.id}/${content.id}`,
          Math.max(
            0,
            ...systemsFor(job, device, content).map((system) => {
              const stream = optimisticBest(rig, { player: device, source: source.id, content, system, freedom });
              return wishedScore(job, scoreStream(stream, content, system));
            }),
          ),
        );
  return scores;
}

/** The systems a content could be meant for: which screen it then shows on is not known, so each counts. */
function systemsFor(job: Job, player: Device, content: Content): readonly Device[] {
  const system = chosenSoundSystem(job);
  const meant = job.devices.map((screen) => systemOf(job, player, content, screen.display ? screen : undefined, system));
  return [...new Set(meant)].flatMap((device) => device ?? []);
}

/** How high each row can be reckoned when settings, and plugs or cables beside them, are free. */
interface Wiring {
  readonly settings: ReadonlyMap<string, number>;
  readonly plugs: ReadonlyMap<string, number>;
  readonly cables: ReadonlyMap<string, number>;
}
