import { cableClassFact } from "@/core/facts";
import { passesAsleep, type SettingState } from "@/core/device";
import { findDevice, type Job } from "@/core/job";
import { linkNeed } from "@/core/picture";
import type { Arrival } from "./arrival";
import { pictureWays } from "./picture-way";
import { makeRig } from "./rig";

/** What the picture of a row asks of each cable on its way, and what that cable is made for; null: its class says nothing of pictures. */
export interface PictureRun {
  readonly cable: string;
  readonly needGbps: number;
  readonly haveGbps: number | null;
}

/** The cables that the picture of a row runs through, in their order. Empty where it has none. */
export function pictureRun(job: Job, row: Arrival, state: SettingState = "planned"): readonly PictureRun[] {
  const device = findDevice(job, row.player);
  const way = device && pictureWays(makeRig(job, state), device, row.source).find(({ screen }) => screen.id === row.screen);
  if (!way || !row.picture) return [];
  const { tmdsGbps, frl } = linkNeed(row.picture);
  return way.cables.map(({ id, class: cableClass }) => ({
    cable: id,
    needGbps: tmdsGbps <= 18 ? tmdsGbps : (frl ?? tmdsGbps),
    haveGbps: cableClassFact(cableClass).pictureGbps,
  }));
}

/** What a device on the way of a row must be while it plays: switched on, or, where it passes signals asleep, at least in stand-by. */
export type PowerNeed = "on" | "stand-by" | "not-known";

/** For every device that a row's sound or picture passes, whether it must be on. A device that plays, sends or shows the row always must. */
export function powerNeeds(job: Job, row: Arrival, state: SettingState = "planned"): ReadonlyMap<string, PowerNeed> {
  const onPicture = pictureRun(job, row, state).flatMap(({ cable }) => {
    const found = job.cables.find(({ id }) => id === cable);
    return found ? [found.from.device, found.to.device] : [];
  });
  const passed = new Set([row.player, ...row.hops.map(({ device }) => device), ...onPicture]);
  const acts = new Set([row.player, row.system, row.screen]);
  return new Map(
    [...passed].flatMap((id): [string, PowerNeed][] => {
      const device = findDevice(job, id);
      return device ? [[id, acts.has(id) ? "on" : powerNeedOf(passesAsleep(device, state))]] : [];
    }),
  );
}

const powerNeedOf = (passes: boolean | null): PowerNeed => (passes === null ? "not-known" : passes ? "stand-by" : "on");
