import type { Arrival } from "@/core/chain";
import { findDevice, type Job } from "@/core/job";

/** A wish that a plan must fulfil, or it is none. */
export type Must =
  /** Everything of a player, or of a screen's own apps and tuner, is heard from the sound system. */
  | { readonly must: "sounds"; readonly device: string }
  | { readonly must: "whole"; readonly device: string }
  /** Its picture loses nothing. */
  | { readonly must: "picture"; readonly device: string }
  /** The device stays; without this wish another of its kind may take its place. */
  | { readonly must: "keep"; readonly device: string };

/** Whether the rows of a device fulfil what is wished of it. A device without rows fulfils nothing that is wished of them. */
export function fulfils(musts: readonly Must[], device: string, rows: readonly Arrival[]): boolean {
  return musts.every((wish) => {
    if (wish.device !== device || wish.must === "keep") return true;
    return rows.length > 0 && rows.every((row) => isGiven(wish.must, row));
  });
}

function isGiven(must: Exclude<Must["must"], "keep">, { verdict, picture, pictureLosses, content }: Arrival): boolean {
  switch (must) {
    case "sounds":
      return verdict === "full" || verdict === "reduced";
    case "whole":
      return verdict === "full";
    case "picture":
      return !content.picture || (picture !== null && pictureLosses.length === 0);
  }
}

/** Reads `sounds:television`, `whole:console`, `picture:streamer` or `keep:bar`; null where the job has no such device or wish. */
export function readMust(job: Job, text: string): Must | null {
  const [must = "", device = ""] = text.split(":");
  if (!findDevice(job, device)) return null;
  switch (must) {
    case "sounds":
    case "whole":
    case "picture":
    case "keep":
      return { must, device };
    default:
      return null;
  }
}
