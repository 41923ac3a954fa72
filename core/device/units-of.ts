import { CHANNEL_NAMES, channelsOf, type Channel } from "@/core/facts";
import type { Device } from "./device";
import { SpeakerUnit } from "./unit";

/** The id of the amplifier among units that nobody wrote down. */
const AMPLIFIER = "amplifier";

/**
 * The boxes of a sound system: those written down, else one loose speaker for each channel of its layout and the device that drives them.
 * A screen's own speakers are part of it and stand where it stands, so it has none.
 */
export function unitsOf(device: Device): readonly SpeakerUnit[] {
  if (device.role !== "sound" || !device.speakers) return [];
  if (device.units.length) return device.units;
  const known = loose.get(device);
  if (known) return known;
  const { bed, heights } = device.speakers;
  const made = [
    SpeakerUnit.parse({ id: AMPLIFIER, name: device.name.slice(0, 80), feed: { feed: "own" } }),
    ...channelsOf(bed, heights).map(looseSpeaker),
  ];
  loose.set(device, made);
  return made;
}

/** Made once for each device, so that the same device has the same units. */
const loose = new WeakMap<Device, readonly SpeakerUnit[]>();

const looseSpeaker = (channel: Channel): SpeakerUnit =>
  SpeakerUnit.parse({
    id: channel.toLowerCase(),
    name: CHANNEL_NAMES[channel],
    drivers: [{ channel }],
    feed: { feed: "wire" },
    mains: channel === "LFE",
  });
