import { quarrelsOf } from "@/core/cec";
import { byContent, compareArrivals, type Arrival, type Solved, comparePictures } from "@/core/chain";
import type { LipSyncJudgement } from "@/core/facts";

/** A trouble that is there after a change and was not before: of a row, or of a device on the control wire. */
export type NewTrouble =
  { readonly trouble: "drift"; readonly row: string; readonly device: string } | { readonly trouble: "quarrel"; readonly device: string };

/** Which rows of a board stand better and which stand worse, in their sound and in their picture. A row is named as the first board names it. */
export interface MovedRows {
  readonly lifts: readonly string[];
  readonly lowers: readonly string[];
  readonly pictureLifts: readonly string[];
  readonly pictureLowers: readonly string[];
  /** Rows whose sound comes nearer to the picture, or farther from it, by the bounds of ITU-R BT.1359. */
  readonly syncLifts: readonly string[];
  readonly syncLowers: readonly string[];
  readonly troubles: readonly NewTrouble[];
}

/** What moves nothing. */
export const NOTHING_MOVED: MovedRows = {
  lifts: [],
  lowers: [],
  pictureLifts: [],
  pictureLowers: [],
  syncLifts: [],
  syncLowers: [],
  troubles: [],
};

/** Whether anything moved at all. */
export const movesAnything = (moved: MovedRows): boolean =>
  moved.lifts.length +
    moved.lowers.length +
    moved.pictureLifts.length +
    moved.pictureLowers.length +
    moved.syncLifts.length +
    moved.syncLowers.length >
  0;

const IN_STEP: Readonly<Record<LipSyncJudgement, number>> = {
  "in-step": 2,
  "sound-early": 1,
  "sound-late": 1,
  "sound-far-early": 0,
  "sound-far-late": 0,
};

/**
 * Compares two boards content by content and screen by screen. A screen that goes dark for a content is a loss, one that lights up a gain;
 * a content that only one of the boards has (a device came or went) is lost with its sound, or new and neither.
 */
export function movedRows(before: readonly Arrival[], after: readonly Arrival[]): MovedRows {
  const moved = {
    lifts: [] as string[],
    lowers: [] as string[],
    pictureLifts: [] as string[],
    pictureLowers: [] as string[],
    syncLifts: [] as string[],
    syncLowers: [] as string[],
    troubles: [] as NewTrouble[],
  };
  const [earlier, later] = [byContent(before), byContent(after)];
  for (const [content, olds] of earlier) {
    const news = later.get(content);
    if (news === olds) continue;
    for (const old of olds) {
      const same = news?.find(({ screen }) => screen === old.screen);
      if (same === old) continue;
      // Where its screen went dark, the content may still sound beside another, or with none.
      const now = same ?? news?.[0];
      const sound = now ? compareArrivals(now, old) : old.arrives ? -1 : 0;
      const picture = same ? comparePictures(same, old) : old.picture ? -1 : 0;
      if (sound > 0) moved.lifts.push(old.id);
      if (sound < 0) moved.lowers.push(old.id);
      if (picture > 0 || (!old.screen && now?.picture)) moved.pictureLifts.push(old.id);
      if (picture < 0) moved.pictureLowers.push(old.id);
      const sync = same?.lipSync && old.lipSync ? IN_STEP[same.lipSync] - IN_STEP[old.lipSync] : 0;
      if (sync > 0) moved.syncLifts.push(old.id);
      if (sync < 0) moved.syncLowers.push(old.id);
      if (now) moved.troubles.push(...newTroubles(old, now));
    }
    for (const row of news ?? [])
      if (row.picture && olds.every(({ screen }) => screen !== null && screen !== row.screen)) moved.pictureLifts.push(row.id);
  }
  return moved;
}

/** The same with the quarrels on the control wire that the later room has and the earlier had not. */
export function movedRooms(before: Solved, after: Solved): MovedRows {
  const moved = movedRows(before.rows, after.rows);
  const known = quarrelsOf(before.job, before.state);
  const quarrels = quarrelsOf(after.job, after.state).filter((device) => !known.includes(device));
  return quarrels.length
    ? { ...moved, troubles: [...moved.troubles, ...quarrels.map((device) => ({ trouble: "quarrel" as const, device }))] }
    : moved;
}

const newTroubles = (old: Arrival, now: Arrival): readonly NewTrouble[] =>
  now.cautions.flatMap((caution) =>
    caution.code === "drift" && old.arrives && !old.cautions.some(({ code }) => code === "drift")
      ? [{ row: old.id, trouble: "drift" as const, device: caution.device }]
      : [],
  );
