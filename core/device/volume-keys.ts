import type { Quirk } from "./control";
import type { Device } from "./device";

/** What decides whether a device changes its volume when somebody else's key asks for it. */
export interface VolumeKeyTaker {
  readonly takesVolume: boolean;
  readonly maker: string;
  readonly quirks: ReadonlySet<Quirk>;
}

/** A device as such a taker. */
export const volumeKeyTaker = ({ volume, maker, control }: Pick<Device, "volume" | "maker" | "control">): VolumeKeyTaker => ({
  takesVolume: volume === "cec" || volume === "remote-and-cec",
  maker,
  quirks: new Set(control.quirks),
});

/**
 * Whether a device that is on obeys the volume keys that a device of a maker sends over HDMI control.
 * Source: CEC 1.4 §13.13 remote control pass through: a follower may refuse any key.
 */
export const obeysVolumeKeys = ({ takesVolume, maker, quirks }: VolumeKeyTaker, sender: string): boolean =>
  takesVolume &&
  !quirks.has("sends-only") &&
  !quirks.has("volume-by-remote-only") &&
  !(quirks.has("ignores-foreign-keys") && maker !== sender);
