import type { Device } from "./device";

/**
 * Whether a sound system hears the volume keys that a screen sends by infrared: it has a remote, stands within the measured reach and in
 * clear view. Where nobody measured the way, it is not counted on. The trade's rule of thumb is a reach of about a metre.
 */
export function hearsVolumeByInfrared(screen: Device, system: Device): boolean {
  const { infraredReachM } = screen.control;
  const { fromScreenM, hidden, infrared } = system.control;
  const hasRemote = system.volume === "remote" || system.volume === "remote-and-cec";
  const isNear = infraredReachM !== null && fromScreenM !== null && fromScreenM <= infraredReachM;
  return hasRemote && isNear && !hidden && infrared !== "none";
}
