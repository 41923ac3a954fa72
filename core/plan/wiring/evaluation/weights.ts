import type { Arrival } from "@/core/chain";
import type { ActFigures } from "@/core/cec";
import { WEIGHINGS, type Brief, type Job, type Weights } from "@/core/job";

export type { Weights } from "@/core/job";

/** What each weighing in plain words counts. */
export const PRESETS = {
  "easiest-to-use": { sound: 30, picture: 20, ease: 50, money: 1, hours: 1, pulls: 1 },
  "best-sound": { sound: 65, picture: 25, ease: 10, money: 0.5, hours: 0.5, pulls: 0.5 },
  "least-spending": { sound: 35, picture: 25, ease: 20, money: 20, hours: 3, pulls: 1 },
  "least-drilling": { sound: 35, picture: 25, ease: 20, money: 2, hours: 3, pulls: 12 },
} as const satisfies Record<(typeof WEIGHINGS)[number], Weights>;
export type Preset = keyof typeof PRESETS;
export const PRESET_NAMES: readonly Preset[] = WEIGHINGS;

/** What a brief weighs plans by. */
export const weightsOf = ({ weighing }: Pick<Brief, "weighing">): Weights => (typeof weighing === "string" ? PRESETS[weighing] : weighing);

/** What sound is worth whose picture does not come. */
export const WITHOUT_PICTURE = 0.1;

/**
 * How much of its sound a row keeps, 0 to 1: that it sounds, its channels, its objects, that nothing was lost, how often it was coded again. Whatever is whole is 1,
 * and for a household that wishes plain sound whatever sounds with its picture.
 */
export function soundKept({ brief }: Pick<Job, "brief">, { verdict, kept }: Pick<Arrival, "verdict" | "kept">): number {
  if (verdict === "full") return 1;
  if (verdict === "silent" || verdict === "unknown" || !kept) return 0;
  if (verdict === "no-picture") return WITHOUT_PICTURE;
  if (brief.surround === "plain") return 1;
  // The last bit is lost to codings more than there need be.
  return 0.4 + 0.25 * kept.channels + 0.2 * kept.objects + 0.12 * kept.lossless + 0.02 * kept.codings;
}

/** How much of its picture a row keeps, 0 to 1. A row that has none keeps all there is where it is heard. */
export function pictureKept({ content, picture, pictureLosses, arrives }: Arrival): number {
  if (!content.picture) return arrives ? 1 : 0;
  return picture ? shownKept(pictureLosses) : 0;
}

/** How much is kept of a picture that is shown: what it loses costs half of it. */
export const shownKept = (losses: Arrival["pictureLosses"]): number => (losses.length === 0 ? 1 : 0.5);

/** How easy an act is, 0 to 1: as wanted, with steps that remain, or not at all. */
export function actEase({ verdict, steps }: Pick<ActFigures, "verdict" | "steps">): number {
  if (verdict === "as-wished") return 1;
  return verdict === "with-a-step" ? easeAfter(steps) : 0;
}

/** How easy an act is of which so many steps are left to a person. */
export const easeAfter = (steps: number): number => (steps === 0 ? 1 : Math.max(0.2, 0.7 - 0.15 * (steps - 1)));

/** How much of the ease of a household is in its everyday acts; the rest is how many players can be watched while the sound system sleeps. */
export const ACTS_SHARE = 0.9;

/** Points lost for each player that finds no socket at all: whatever else is spared, the household wants to use what it has. */
export const UNPLUGGED_POINTS = 12;

/**
 * Points lost for a player in a socket of the scarce kind beside a plainer one that serves it as well. Less than moving a plug costs: it
 * decides between ways that are equal, and nobody takes a working lead out for it.
 */
export const WASTED_POINTS = 0.015;

/** What a wish is worth that can be given up for more: about as much as an act of every day that goes wrong. */
export const HOPE_POINTS = 6;

/** How often the household does an act, against waking one player. */
export const ACT_WEIGHTS: Readonly<Record<string, number>> = {
  "tv-remote-power-on": 2,
  news: 2,
  "tv-remote-volume-up": 2,
  "tv-remote-mute": 1,
  "tv-remote-standby": 2,
  "night-update": 2,
};

/** Minutes on site, as an installer of some years calculates them; the sum is an estimate and says so. */
export const MINUTES = { box: 15, socket: 0.5, cable: 8, pull: 25, plug: 2, pairing: 5, setting: 1, takeOut: 1 } as const;

/** What a part without a price counts, in the currency of the settings: a typical price. */
export const GUESSED_PRICE = { box: 40, boxSocket: 12, cable: 15, hybrid: 90, adapter: 12 } as const;
