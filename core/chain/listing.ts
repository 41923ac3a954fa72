import { bedChannels, linkFact, smallerBed, type Bed, type Coding, type SettingKey } from "@/core/facts";
import type { Device, SoundDescriptor, SoundRoute } from "@/core/device";
import type { CableEnd } from "@/core/job";
import { whyNotCarry } from "./link";
import type { UnknownFact } from "./reason";
import { returnChannel } from "./return-channel";
import { endKey, type Rig } from "./rig";

/** What a device sees on offer at one of its sockets. */
export interface Listing {
  readonly sounds: ReadonlyMap<Coding, Listed>;
  /** Set when the list depends on something nobody knows. */
  readonly unknown: UnknownFact | null;
}
export interface Listed {
  readonly channels: Bed;
  readonly objects: boolean;
}

const NOTHING: Listing = { sounds: new Map(), unknown: null };
const doubtful = (unknown: UnknownFact): Listing => ({ sounds: new Map(), unknown });

/**
 * The sound list seen at an output: over HDMI the EDID of the far socket; on a return socket what the sound system reports
 * (capability data structure over eARC, CEC short audio descriptors over ARC); on optical, where nothing is reported, what a sender takes for granted.
 */
export function listingAt(rig: Rig, exit: CableEnd): Listing {
  const known = rig.listings.get(endKey(exit));
  if (known) return known;
  // A tree of boxes that asks itself in a circle gets an empty list.
  rig.listings.set(endKey(exit), NOTHING);
  const listing = seenAt(rig, exit);
  rig.listings.set(endKey(exit), listing);
  return listing;
}

function seenAt(rig: Rig, exit: CableEnd): Listing {
  const port = rig.port(exit);
  const cable = rig.cableAt(exit);
  if (!port || !cable) return NOTHING;
  if (port.connector === "optical") return assumedOn("optical");
  if (port.direction === "out") return presentedAt(rig, cable.to);
  const channel = returnChannel(rig, cable);
  if (channel.kind === "closed") return NOTHING;
  if (channel.kind === "unknown") return channel.facts[0] ? doubtful(channel.facts[0]) : NOTHING;
  const far = rig.device(cable.from.device);
  if (!far) return NOTHING;
  if (far.decodes === null) return doubtful({ fact: "decoders", device: far.id });
  return listOf(
    far.decodes.flatMap((row) => {
      if (row.coding === "lpcm") return [{ ...row, channels: smallerBed(row.channels, linkFact(channel.link).lpcm) }];
      return whyNotCarry({ coding: row.coding, channels: row.channels }, channel.link, []) ? [] : [row];
    }),
  );
}

function assumedOn(link: "optical"): Listing {
  const { assumes, lpcm } = linkFact(link);
  return listOf((assumes ?? []).map((coding) => ({ coding, channels: coding === "lpcm" ? lpcm : "5.1", objects: false })));
}

/** The EDID sound list that a device shows at one of its inputs, by its own rule. */
export function presentedAt(rig: Rig, entry: CableEnd): Listing {
  const device = rig.device(entry.device);
  const rule = device?.presents.find((row) => row.ports.includes(entry.port));
  if (!device || !rule) return NOTHING;
  if (rule.rule === "decoders") return device.decodes ? listOf(device.decodes) : doubtful({ fact: "decoders", device: device.id });
  if (rule.sound === null) return doubtful({ fact: "listing", device: device.id, port: entry.port });
  const own = listOf(rule.sound);
  return rule.widenedBy && rule.widenedBy !== entry.port ? widened(rig, device, entry, rule.widenedBy, own) : own;
}

/** A TV adds to its own list what its return channel reports and what it is set, and able, to hand on from that input. */
function widened(rig: Rig, device: Device, entry: CableEnd, returnPort: string, own: Listing): Listing {
  const route = device.routes.find(
    (row): row is SoundRoute => row.kind === "sound" && row.from.includes(entry.port) && row.to.includes(returnPort),
  );
  if (!route) return own;
  const conditions: readonly { setting: SettingKey; wanted: readonly string[] }[] = [
    ...(route.opens ? [{ setting: route.opens.setting, wanted: [route.opens.value] }] : []),
    ...(route.format ? [{ setting: route.format, wanted: ["auto", "pass-through"] }] : []),
  ];
  for (const { setting, wanted } of conditions) {
    const value = rig.setting(device, setting);
    if (value === null) return { ...own, unknown: { fact: "setting", device: device.id, setting } };
    if (value !== undefined && !wanted.includes(value)) return own;
  }
  const far = listingAt(rig, { device: device.id, port: returnPort });
  if (far.unknown) return { ...own, unknown: far.unknown };
  if (route.passes === null) return { ...own, unknown: { fact: "passes", device: device.id, port: entry.port } };
  const passes = route.passes;
  const extra = [...far.sounds].flatMap(([coding, listed]): SoundDescriptor[] => {
    if (coding === "lpcm") return [{ coding, channels: smallerBed(listed.channels, route.lpcm), objects: false }];
    const pass = passes.find((row) => row.coding === coding);
    return pass ? [{ coding, channels: smallerBed(listed.channels, pass.channels), objects: listed.objects && pass.objects }] : [];
  });
  return listOf([...[...own.sounds].map(([coding, listed]) => ({ coding, ...listed })), ...extra]);
}

/** A list in which each coding stands once, with the most that any row grants it. */
function listOf(rows: readonly SoundDescriptor[]): Listing {
  const sounds = new Map<Coding, Listed>();
  for (const { coding, channels, objects } of rows) {
    const before = sounds.get(coding);
    sounds.set(coding, {
      channels: before && bedChannels(before.channels) > bedChannels(channels) ? before.channels : channels,
      objects: objects || (before?.objects ?? false),
    });
  }
  return { sounds, unknown: null };
}
