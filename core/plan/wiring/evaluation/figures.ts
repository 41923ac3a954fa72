import { actFigures, actsOf, castOf, householdOf, isOnPurpose, relianceOf, type ActFigures, type Household } from "@/core/cec";
import { byContent, type Arrival, type Solved } from "@/core/chain";
import type { Cable, Job } from "@/core/job";
import type { Effort } from "./effort";
import { commonActs, commonFigures, easeOf } from "./everyday-acts";
import { isLead, isSeenAlone, sitsIn, type Wire, type WiringSpace } from "../space";
import { ACTS_SHARE, pictureKept, soundKept, type Weights } from "./weights";

/** What plans are weighed by, each with its unit. */
export interface WeighedFigures extends Effort {
  /** Shares of 0 to 1 of all that the room's players could give. */
  readonly sound: number;
  readonly picture: number;
  readonly ease: number;
  /** Something plays from the sound system; where some plan has that, one without it is not a plan. */
  readonly heard: boolean;
  /** Players that can be watched while the sound system sleeps, and players whose HDMI plug has no socket. */
  readonly alone: number;
  readonly unplugged: number;
  readonly acts: readonly ActFigures[];
}

/** What a plan gives and what it costs, each with its unit. */
export interface PlanFigures extends WeighedFigures {
  /** Rows of the board: whole, reduced, and the others. */
  readonly whole: number;
  readonly reduced: number;
  readonly without: number;
  /** Rows out of step although their sound arrives. */
  readonly outOfStep: number;
  /** Rows whose answer depends on a fact that nobody knows, and rows that carry a caution: a known quirk of a device, a lead at its limit. */
  readonly unknown: number;
  readonly cautioned: number;
  readonly menus: number;
  /** Remotes that the everyday acts need together, and keys that remain after the first. */
  readonly remotes: number;
  readonly steps: number;
  /** Devices that are no players and whose remotes remain in use for everyday acts. */
  readonly hands: readonly string[];
  /** Players whose sound ends when somebody switches HDMI control off. */
  readonly onControl: number;
  /** Devices that must be on for the news of the main screen to play from the sound system; null: it does not play there. */
  readonly onForNews: number | null;
  /** New boxes and cables that are not in the van. */
  readonly toBuy: number;
  readonly freeSockets: number;
}

/** What each content of a room counts, so that all of them together are 1, and a content on two screens counts once. */
export function contentShare(job: Job): number {
  const contents = job.devices.reduce((sum, { sources }) => sum + sources.reduce((count, source) => count + source.contents.length, 0), 0);
  return contents ? 1 / contents : 0;
}

/**
 * The points of rows for sound and picture. A content counts once: its sound by the mean of its rows, its picture by the mean of all
 * screens, those that it does not reach included; a screen's own apps are meant for that screen alone, music for none.
 */
export function rowPoints(space: WiringSpace, rows: readonly Arrival[], share: number, weights: Weights): number {
  const { sound, picture } = keptOf(space, rows);
  return (sound * weights.sound + picture * weights.picture) * share;
}

/** The sums over all contents of what is kept of their sound and picture, each 0 to 1. */
function keptOf({ job, screens }: WiringSpace, rows: readonly Arrival[]): { readonly sound: number; readonly picture: number } {
  let [sound, picture] = [0, 0];
  for (const all of byContent(rows).values()) {
    // What has no picture is on no screen, and a screen's own apps are meant for that screen alone.
    const onScreens = all.some(({ player, content }) => !content.picture || screens.some(({ id }) => id === player)) ? 1 : screens.length;
    sound += all.reduce((sum, row) => sum + soundKept(job, row), 0) / all.length;
    picture += all.reduce((sum, row) => sum + pictureKept(row), 0) / Math.max(all.length, onScreens);
  }
  return { sound, picture };
}

/** The leads for sound alone that carry that of no row; they are not laid. */
export const idleLeads = (rows: readonly Arrival[], wires: readonly Wire[]): readonly Wire[] =>
  wires.filter(({ cable }) => isLead(cable) && !rows.some((row) => takesLead(row, cable)));

/** Whether the sound of a row arrives by way of a lead. */
export const takesLead = ({ arrives, hops }: Arrival, { to }: Cable): boolean =>
  arrives !== null && hops.some(({ device, port }) => device === to.device && port === to.port);

/** Every lead for sound alone carries that of some row. */
export const leadsAreUsed = (rows: readonly Arrival[], wires: readonly Wire[]): boolean => idleLeads(rows, wires).length === 0;

/** How easy a household has it, 0 to 1: its acts, and the share of its players that can be watched while the sound system sleeps. */
export const easeTogether = (acts: number, alone: number): number => ACTS_SHARE * acts + (1 - ACTS_SHARE) * alone;

/** A wired room with its board, and how control goes in it. */
export interface SolvedRoom {
  readonly solved: Solved;
  readonly household: Household;
}

/** The room of a solved board at work. */
export const solvedRoom = ({ mainScreen }: WiringSpace, solved: Solved): SolvedRoom => ({
  solved,
  household: householdOf(solved.job, "planned", { solved, mainScreen }),
});

/** What a wired room is weighed by. */
export function weighedFigures(
  space: WiringSpace,
  { job, rows }: Pick<Solved, "job" | "rows">,
  acts: readonly ActFigures[],
  effort: Effort,
): WeighedFigures {
  const share = contentShare(job);
  const kept = keptOf(space, rows);
  const seenAlone = space.players.filter((player) => isSeenAlone(space, job, player));
  return {
    ...effort,
    sound: kept.sound * share,
    picture: kept.picture * share,
    ease: easeTogether(easeOf(acts, commonActs(space)), space.players.length ? seenAlone.length / space.players.length : 1),
    heard: rows.some(({ arrives, system }) => arrives !== null && system === space.system.id),
    alone: seenAlone.length,
    unplugged: space.players.filter((player) => sitsIn(job, player) === null).length,
    acts,
  };
}

/** All figures of a wired room. */
export function figuresOf(
  space: WiringSpace,
  room: SolvedRoom,
  effort: Effort,
  { menus, toBuy }: Pick<PlanFigures, "menus" | "toBuy">,
): PlanFigures {
  const { solved, household } = room;
  const { job, rows } = solved;
  const acts = commonFigures(space, household);
  const counted = actFigures(household, actsOf(household).filter(isOnPurpose));
  return {
    ...weighedFigures(space, solved, acts, effort),
    whole: rows.filter(({ verdict }) => verdict === "full").length,
    reduced: rows.filter(({ verdict }) => verdict === "reduced").length,
    without: rows.filter(({ verdict }) => verdict !== "full" && verdict !== "reduced").length,
    outOfStep: rows.filter(({ arrives, lipSync }) => arrives && lipSync !== null && lipSync !== "in-step").length,
    unknown: rows.filter(({ verdict }) => verdict === "unknown").length,
    cautioned: rows.filter(({ cautions }) => cautions.length > 0).length,
    menus,
    toBuy,
    remotes: Math.max(1, ...acts.map(({ remotes }) => remotes)),
    hands: handsOf(space, acts),
    steps: counted.reduce((sum, { steps }) => sum + steps, 0),
    onControl: new Set(relianceOf(household).flatMap(({ players }) => players)).size,
    onForNews: onForNews(space, rows),
    freeSockets: freeSocketsOf(job, castOf(household).screen?.nature.device),
  };
}

/** Whose remotes remain in use, beside those of the players. */
const handsOf = ({ players }: WiringSpace, acts: readonly ActFigures[]): readonly string[] =>
  [...new Set(acts.flatMap(({ hands }) => hands))].filter((device) => !players.some(({ id }) => id === device)).toSorted();

/** The devices that the news of the main screen's own tuner passes through until it is heard. */
function onForNews({ mainScreen, system }: WiringSpace, rows: readonly Arrival[]): number | null {
  const news = rows.find((row) => row.player === mainScreen && row.content.kind === "news" && row.arrives && row.system === system.id);
  return news ? new Set(news.hops.map(({ device }) => device)).size : null;
}

/** HDMI inputs of the main screen and the sound system that nothing is in. */
function freeSocketsOf(job: Job, screen: string | undefined): number {
  const hubs = job.devices.filter(({ id, role }) => id === screen || role === "sound" || role === "box");
  const taken = new Set(job.cables.map(({ to }) => `${to.device} ${to.port}`));
  return hubs.reduce(
    (sum, { id, ports }) =>
      sum + ports.filter((port) => port.connector === "hdmi" && port.direction === "in" && !taken.has(`${id} ${port.id}`)).length,
    0,
  );
}
