import type { Arrival } from "@/core/chain";
import { findDevice, Want, type Job } from "@/core/job";
import type { Must, WiringSpace } from "../space";
import { HOPE_POINTS } from "./weights";

/** Whether the rows of a device fulfil everything that must be of it. A device without rows fulfils nothing that is required of them. */
export const fulfils = (space: WiringSpace, device: string, rows: readonly Arrival[]): boolean =>
  space.musts.every((want) => !isOf(want, device) || isGiven(want, rows, screensFor(space, device)));

/** Whether a board fulfils what must be of every player. */
export const fulfilsAll = (space: WiringSpace, board: readonly Arrival[]): boolean =>
  space.musts.length === 0 ||
  space.players.every(({ id }) =>
    fulfils(
      space,
      id,
      board.filter(({ player }) => player === id),
    ),
  );

/** The points of what was hoped of a device and is had by its rows. */
export const hopePoints = (space: WiringSpace, device: string, rows: readonly Arrival[]): number =>
  HOPE_POINTS * space.hopes.filter((want) => isOf(want, device) && isGiven(want, rows, screensFor(space, device))).length;

/** The points of all that was hoped of a device. */
export const hopesAtMost = ({ hopes }: WiringSpace, device: string): number =>
  HOPE_POINTS * hopes.filter((want) => isOf(want, device)).length;

/** Whether so many remotes as it takes are no more than the household accepts. */
export const allowsRemotes = ({ musts }: WiringSpace, remotes: number): boolean =>
  musts.every((want) => want.want !== "remotes" || remotes <= want.most);

/** The points of what was hoped of the number of remotes; at most, where it is not known yet. */
export const remotePoints = ({ hopes }: WiringSpace, remotes?: number): number =>
  HOPE_POINTS * hopes.filter((want) => want.want === "remotes" && (remotes === undefined || remotes <= want.most)).length;

/** A number of remotes that a plan has no more of, and the points of hopes that are given up where it may have so many. */
export interface RemoteLimit {
  readonly most: number;
  readonly lost: number;
}

/** What is to be told apart for the sake of wishes about remotes: how many there may be, from what fulfils all hopes to what fulfils none. */
export function remoteLimits({ musts, hopes }: WiringSpace): readonly RemoteLimit[] {
  const must = Math.min(Infinity, ...musts.flatMap((want) => (want.want === "remotes" ? [want.most] : [])));
  const hoped = hopes.flatMap((want) => (want.want === "remotes" ? [want.most] : []));
  const limits = [...new Set([...hoped, Infinity].map((most) => Math.min(most, must)))].toSorted((a, b) => a - b);
  return limits.map((most) => ({ most, lost: HOPE_POINTS * hoped.filter((hope) => hope < most).length }));
}

type OfDevice = Exclude<Must, { want: "keep" | "remotes" }>;

const isOf = (want: Must, device: string): want is OfDevice => want.want !== "keep" && want.want !== "remotes" && want.device === device;

/** A screen's own apps are seen on that screen alone. */
const screensFor = ({ screens }: WiringSpace, device: string): number => (screens.some(({ id }) => id === device) ? 1 : screens.length);

function isGiven({ want }: OfDevice, rows: readonly Arrival[], screens: number): boolean {
  if (rows.length === 0) return false;
  switch (want) {
    case "sounds":
      return rows.every(({ verdict }) => verdict === "full" || verdict === "reduced");
    case "whole":
      return rows.every(({ verdict }) => verdict === "full");
    case "picture":
      return rows.every(({ content, picture, pictureLosses }) => !content.picture || (picture !== null && pictureLosses.length === 0));
    case "everywhere":
      return rows.every(({ content, source }) => !content.picture || screensOf(rows, source, content.id).size >= screens);
  }
}

/** The screens on which a content is seen. */
const screensOf = (rows: readonly Arrival[], source: string, content: string): ReadonlySet<string> =>
  new Set(rows.flatMap((row) => (row.source === source && row.content.id === content && row.picture && row.screen ? [row.screen] : [])));

/** Reads `sounds:television`, `whole:console`, `picture:streamer`, `everywhere:disc`, `keep:bar` or `remotes:1`; null where the job has no such device or wish. */
export function readMust(job: Job, text: string): Must | null {
  const [want = "", about = ""] = text.split(":");
  if (want === "keep") return findDevice(job, about) ? { want, device: about } : null;
  return readWant(job, text);
}

/** The same, without what is not for hoping: that a device stays. */
export function readWant(job: Job, text: string): Want | null {
  const [want = "", about = ""] = text.split(":");
  const read = Want.safeParse(want === "remotes" ? { want, most: Number(about) } : { want, device: about });
  if (!read.success) return null;
  return "device" in read.data && !findDevice(job, read.data.device) ? null : read.data;
}
