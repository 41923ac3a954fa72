import { solve, type Arrival } from "@/core/chain";
import { effectiveSetting, type Device } from "@/core/device";
import type { SettingKey } from "@/core/facts";
import { applyCommand, freeId, sameEnd, type Cable, type CableEnd, type Job } from "@/core/job";
import { possibleChanges, type Change } from "../../changes";
import { purchases } from "../../purchase";
import { allowedKinds } from "../../wished";
import { isMatrix, schoolsWanted, showsOn } from "../topology";
import {
  addEffort,
  boxEffort,
  commonFigures,
  type Effort,
  fulfils,
  leadsAreUsed,
  MINUTES,
  NO_EFFORT,
  pointsOf,
  solvedRoom,
  weighedFigures,
  type Weights,
  wireEffort,
} from "../evaluation";
import type { WiringPlan } from "../search";
import { choicesOf, isLead, sitsIn, type WiringSpace } from "../space";

/** A room that differs from a plan by one change and is worth more by the same weights. */
export interface BetterNeighbour {
  readonly change: Change;
  readonly job: Job;
  /** How many points it has more. */
  readonly more: number;
}

/** The result of a check: how many neighbours were played, and those that are better, the best first. */
export interface PlanCheck {
  readonly played: number;
  readonly better: readonly BetterNeighbour[];
}

/** Points closer than this are equal. */
export const ALIKE = 1e-6;

/**
 * Judges a plan from outside the search: every room that differs from it by one setting, plug, removal, cable or box, as far as the brief
 * allows, is played through the full engine and weighed. It shares with the search what a room is worth, and nothing of how it was found.
 */
export function checkPlan(space: WiringSpace, weights: Weights, plan: WiringPlan): PlanCheck {
  const points = worthOfRoom(space, weights, plan.job) ?? -Infinity;
  const isHeard = plan.figures.heard;
  let played = 0;
  const better = neighboursOf(space, plan.job).flatMap((change): BetterNeighbour[] => {
    const applied = applyCommand(plan.job, change.command);
    if (!applied.ok) return [];
    const job = withOwnNames(space, plan.job, applied.value.job);
    const own = worthOfRoom(space, weights, job, isHeard);
    played += 1;
    return own !== null && own > points + ALIKE ? [{ change, job, more: own - points }] : [];
  });
  return { played, better: better.toSorted((a, b) => b.more - a.more) };
}

/** A new cable never takes the name of one that was found and pulled out: by that name it would count as the same. */
export function withOwnNames(space: WiringSpace, before: Job, job: Job): Job {
  const taken = new Set([...space.job.cables, ...job.cables].map(({ id }) => id));
  const isNew = ({ id }: Cable) => !before.cables.some((cable) => cable.id === id) && space.job.cables.some((cable) => cable.id === id);
  return { ...job, cables: job.cables.map((cable) => (isNew(cable) ? { ...cable, id: freeId(cable.id, taken) } : cable)) };
}

const forbidsCables = ({ bonds }: WiringSpace): boolean => bonds.some(({ bond }) => bond === "forbid-new-cables");

/** Every single setting, plug and cable of a room that the brief lets be otherwise. */
export function allowedChanges(space: WiringSpace, job: Job): readonly Change[] {
  const kinds = allowedKinds(space.job);
  return possibleChanges(job).filter(({ kind }) => kinds.includes(kind) && !(kind === "cable" && forbidsCables(space)));
}

function neighboursOf(space: WiringSpace, job: Job): readonly Change[] {
  // A box that is bought comes with a cable.
  const mayBuyBoxes = allowedKinds(space.job).includes("box") && !forbidsCables(space);
  const bought = mayBuyBoxes ? space.boxes.filter(({ isThere }) => !isThere) : [];
  const inPlaces = bought.flatMap(({ device }) => (device.archetype ? purchases(job, device.archetype) : []));
  return [...allowedChanges(space, job), ...inPlaces];
}

/**
 * What a room is worth beside the one that was found, or null where it breaks what must be.
 * @param mustSound a room in which nothing comes from the sound system is none, for another one is heard
 */
export function worthOfRoom(space: WiringSpace, weights: Weights, job: Job, mustSound = false): number | null {
  if (breaksBond(space, job) || isUnwantedLead(space, job) || hasForbiddenCable(space, job)) return null;
  const solved = solve(job, "planned");
  if (!isUsed(space, job, solved.rows)) return null;
  const of = (device: string): readonly Arrival[] => solved.rows.filter(({ player }) => player === device);
  if (job.devices.some(({ id }) => !fulfils(space, id, of(id)))) return null;
  const acts = commonFigures(space, solvedRoom(space, solved).household);
  const figures = weighedFigures(space, solved, acts, effortOf(space, job));
  return mustSound && !figures.heard ? null : pointsOf(space, weights, solved, figures);
}

/** As in the search: a lead that carries nothing is not laid, and a box that is bought does what it is there for. */
function isUsed(space: WiringSpace, job: Job, rows: readonly Arrival[]): boolean {
  const wires = job.cables
    .filter(({ id }) => !space.fixedCables.some((fixed) => fixed.id === id))
    .map((cable) => ({ cable, existing: null }));
  const bought = job.devices.filter(({ id, role }) => role === "box" && !space.job.devices.some((device) => device.id === id));
  return leadsAreUsed(rows, wires) && bought.every((box) => showsOn(box, wires) && (space.players.length > 1 || !isMatrix(box)));
}

const breaksBond = ({ bonds, players, job: before }: WiringSpace, job: Job): boolean =>
  bonds.some((bond) => {
    if (!("player" in bond)) return false;
    const player = players.find(({ id }) => id === bond.player);
    const sits = player && sitsIn(job, player);
    const isThere = sits?.device === bond.hub;
    // Who finds no place where it is pinned is left out, and that costs enough.
    if (bond.bond === "pin") return sits ? !isThere || (bond.port !== null && sits.port !== bond.port) : false;
    return isThere;
  }) || before.brief.mustStay.some((id) => !job.devices.some((device) => device.id === id));

/** Whether a player has a new lead for sound into the sound system, where no separate sound cable is wanted. */
const isUnwantedLead = (space: WiringSpace, { cables }: Job): boolean =>
  !schoolsWanted(space).includes("side-cable") &&
  cables.some(
    (cable) =>
      isLead(cable) &&
      cable.to.device === space.system.id &&
      space.players.some(({ id }) => id === cable.from.device) &&
      !space.fixedCables.some(({ id }) => id === cable.id),
  );

/** Whether a cable was bought that may not be: where only boxes may, each comes with its own and keeps them. */
const hasForbiddenCable = ({ job: before }: WiringSpace, { cables }: Job): boolean => {
  if (before.brief.mayBuy.includes("cable")) return false;
  const isBought = ({ device }: CableEnd) => !before.devices.some(({ id }) => id === device);
  return cables.some(
    ({ id, class: kind, from, to }) =>
      kind !== "bluetooth" && !before.cables.some((cable) => cable.id === id) && !isBought(from) && !isBought(to),
  );
};

/** What it takes to come from the room as it was found to this one, by what differs between the two. */
export function effortOf(space: WiringSpace, job: Job): Effort {
  const before = new Map(space.job.cables.map((cable) => [cable.id, cable]));
  const wires = job.cables.map((cable) => wireOf(space, cable, before.get(cable.id)));
  const boxes = job.devices
    .filter(({ id }) => !space.job.devices.some((device) => device.id === id))
    .map((device) =>
      boxEffort(
        space.boxes.find((box) => box.device.archetype === device.archetype && !box.isThere) ?? { device, price: null, isThere: false },
      ),
    );
  const planned = new Set(space.existing.map(({ id }) => id));
  const pulled = [...before.keys()].filter((id) => !planned.has(id) && !job.cables.some((cable) => cable.id === id)).length;
  const fixed = {
    ...NO_EFFORT,
    minutes: (space.existing.length + pulled) * MINUTES.takeOut + menus(space, job) * MINUTES.setting,
  };
  return [...wires, ...boxes].reduce(addEffort, fixed);
}

function wireOf(space: WiringSpace, cable: Cable, was: Cable | undefined): Effort {
  if (was && space.fixedCables.includes(was))
    return sameEnd(was.from, cable.from) && sameEnd(was.to, cable.to) && was.class === cable.class
      ? NO_EFFORT
      : { ...NO_EFFORT, minutes: MINUTES.plug };
  const isSame = was !== undefined && was.class === cable.class && was.returnWires === cable.returnWires;
  return wireEffort(space, { cable, existing: isSame ? was : null });
}

/**
 * Settings that stand otherwise than they were found, at a bought box otherwise than it comes. One that nobody has looked at is looked at on site
 * whatever is planned for it.
 */
const menus = (space: WiringSpace, job: Job): number =>
  job.devices.reduce((sum, now) => {
    const before = space.job.devices.find(({ id }) => id === now.id) ?? now;
    const looked = settingsPlanned(space, job, before);
    const isVisited = ({ key, found }: Device["settings"][number]) =>
      effectiveSetting(now, key, "planned") !== found || (found === null && looked.has(key));
    return sum + before.settings.filter(isVisited).length;
  }, 0);

/** The settings of a device that every plan decides in which it has a place. */
function settingsPlanned({ screens, system, boxes, players }: WiringSpace, job: Job, device: Device): ReadonlySet<SettingKey> {
  const isHub = [...screens, system, ...boxes.map((box) => box.device)].some(({ id }) => id === device.id);
  const isPlugged = players.some(({ id }) => id === device.id) && sitsIn(job, device) !== null;
  if ((!isHub && !isPlugged) || device.settings.every(({ found }) => found !== null)) return new Set();
  const isItself = device.id === system.id && screens.some(({ id }) => id === device.id);
  const keys = choicesOf(device, isItself).flatMap(([first]) => first?.key ?? []);
  // Bluetooth is switched only where something is paired.
  return new Set(keys.filter((key) => key !== "bluetooth"));
}
