import { bedChannels, connectorFact, linkFact, smallerBed, type Bed, type Coding } from "@/core/facts";
import { unreachable } from "@/core/outcome";
import type { Device, Port, Presents, SoundDescriptor, SoundRoute } from "@/core/device";
import { endKey, type CableEnd } from "@/core/job";
import { gateOf } from "./conditions";
import { whyNotCarry } from "./link";
import type { UnknownFact } from "./reason";
import { returnChannel } from "./return-channel";
import { isAt, type Rig } from "./rig";

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
  // A tree of boxes that asks itself in a circle gets an empty list.
  return rig.recall(`listing ${endKey(exit)}`, () => seenAt(rig, exit), NOTHING);
}

function seenAt(rig: Rig, exit: CableEnd): Listing {
  const port = rig.port(exit);
  const cable = rig.cableAt(exit);
  if (!port || !cable) return NOTHING;
  if (port.connector !== "hdmi") return takenForGranted(port);
  if (isAt(cable.from, exit)) return presentedAt(rig, cable.to);
  const channel = returnChannel(rig, cable);
  if (channel.kind === "closed") return NOTHING;
  if (channel.kind === "unknown") return channel.facts[0] ? doubtful(channel.facts[0]) : NOTHING;
  const reported = reportedAt(rig, cable.from);
  if (reported.unknown) return reported;
  return listOf(
    [...reported.sounds].flatMap(([coding, row]): SoundDescriptor[] => {
      if (coding === "lpcm") return [{ ...row, coding, channels: smallerBed(row.channels, linkFact(channel.link).lpcm) }];
      return whyNotCarry({ coding, channels: row.channels }, channel.link, []) ? [] : [{ ...row, coding }];
    }),
  );
}

/** Where nothing is reported back, a sender takes for granted what every far end of that link is held to know. */
export function takenForGranted(port: Port): Listing {
  const { link } = connectorFact(port.connector);
  if (link === null) return NOTHING;
  const { assumes, lpcm } = linkFact(link);
  return listOf((assumes ?? []).map((coding) => ({ coding, channels: coding === "lpcm" ? lpcm : "5.1", objects: false })));
}

/** What the far end of a return channel says it takes: by its rule for that socket, else its own decoders. */
function reportedAt(rig: Rig, end: CableEnd): Listing {
  const device = rig.device(end.device);
  if (!device) return NOTHING;
  return device.presents.some((row) => row.ports.includes(end.port)) ? presentedAt(rig, end) : ownDecoders(device);
}

const ownDecoders = (device: Device): Listing =>
  device.decodes === null ? doubtful({ fact: "decoders", device: device.id }) : told(device.decodes);

/** What a device tells of its decoders: all of them but those of analogue sound and of AAC. */
export const told = (decodes: readonly SoundDescriptor[]): Listing =>
  once(toldOf, decodes, () => listOf(decodes.filter(({ coding }) => coding !== "analogue" && coding !== "aac")));

/** The list that a rule of a device holds. */
export const fixedList = (sound: readonly SoundDescriptor[]): Listing => once(listedOf, sound, () => listOf(sound));

/** Decoders and rules are never changed in place, so the lists of each are made once. */
type ListsKnown = WeakMap<readonly SoundDescriptor[], Listing>;
const toldOf: ListsKnown = new WeakMap();
const listedOf: ListsKnown = new WeakMap();

function once(known: ListsKnown, rows: readonly SoundDescriptor[], make: () => Listing): Listing {
  const found = known.get(rows) ?? make();
  known.set(rows, found);
  return found;
}

/** The EDID sound list that a device shows at one of its inputs, by the first of its rules that counts there. */
export function presentedAt(rig: Rig, entry: CableEnd): Listing {
  const device = rig.device(entry.device);
  if (!device) return NOTHING;
  for (const rule of device.presents) {
    if (!rule.ports.includes(entry.port)) continue;
    const gate = gateOf(rig, device, rule.when);
    if (gate.fact) return doubtful(gate.fact);
    if (!gate.reason) return byRule(rig, device, entry, rule);
  }
  return NOTHING;
}

function byRule(rig: Rig, device: Device, entry: CableEnd, rule: Presents): Listing {
  switch (rule.rule) {
    case "decoders":
      return ownDecoders(device);
    case "copy":
      return listingAt(rig, { device: device.id, port: rule.of });
    case "common":
      return common(rule.of.map((port) => ({ device: device.id, port })).flatMap((end) => (rig.cableAt(end) ? [listingAt(rig, end)] : [])));
    case "list": {
      if (rule.sound === null) return doubtful({ fact: "listing", device: device.id, port: entry.port });
      const own = fixedList(rule.sound);
      return rule.widenedBy && rule.widenedBy !== entry.port ? widened(rig, device, entry, rule.widenedBy, own) : own;
    }
    default:
      return unreachable(rule);
  }
}

/** What every one of several lists holds. */
export function common(listings: readonly Listing[]): Listing {
  const unsure = listings.find(({ unknown }) => unknown !== null);
  const [first, ...rest] = listings;
  if (unsure || !first) return unsure ?? NOTHING;
  return listOf(
    [...first.sounds].flatMap(([coding, row]) => {
      const others = rest.map(({ sounds }) => sounds.get(coding));
      if (others.some((other) => other === undefined)) return [];
      const channels = others.reduce((bed, other) => (other ? smallerBed(bed, other.channels) : bed), row.channels);
      return [{ coding, channels, objects: row.objects && others.every((other) => other?.objects) }];
    }),
  );
}

/** A TV adds to its own list what its return channel reports and what it is set, and able, to hand on from that input. */
function widened(rig: Rig, device: Device, entry: CableEnd, returnPort: string, own: Listing): Listing {
  const route = device.routes.find(
    (row): row is SoundRoute => row.kind === "sound" && row.from.includes(entry.port) && row.to.includes(returnPort),
  );
  if (!route) return own;
  const gate = gateOf(rig, device, route.opens);
  if (gate.fact) return { ...own, unknown: gate.fact };
  if (gate.reason) return own;
  const format = route.format ? rig.setting(device, route.format) : undefined;
  if (route.format && format === null) return { ...own, unknown: { fact: "setting", device: device.id, setting: route.format } };
  if (format && format !== "auto" && format !== "pass-through") return own;
  const far = listingAt(rig, { device: device.id, port: returnPort });
  if (far.unknown) return { ...own, unknown: far.unknown };
  if (route.passes === null) return { ...own, unknown: { fact: "passes", device: device.id, port: entry.port } };
  return listOf([...[...own.sounds].map(([coding, listed]) => ({ coding, ...listed })), ...handedOn(far.sounds, route.passes, route.lpcm)]);
}

/** What is left of a far end's list behind a route that passes these codings, and LPCM in no more channels. */
export function handedOn(
  sounds: Listing["sounds"],
  passes: NonNullable<SoundRoute["passes"]>,
  lpcm: SoundRoute["lpcm"],
): readonly SoundDescriptor[] {
  return [...sounds].flatMap(([coding, listed]): SoundDescriptor[] => {
    if (coding === "lpcm") return [{ coding, channels: smallerBed(listed.channels, lpcm), objects: false }];
    const pass = passes.find((row) => row.coding === coding);
    return pass ? [{ coding, channels: smallerBed(listed.channels, pass.channels), objects: listed.objects && pass.objects }] : [];
  });
}

/** A list in which each coding stands once, with the most that any row grants it. */
export function listOf(rows: readonly SoundDescriptor[]): Listing {
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
