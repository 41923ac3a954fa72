import { effectiveSetting, failsBySettings, PASS_SETTING, passesAsleep, type Device } from "@/core/device";
import type { SettingKey } from "@/core/facts";
import { endKey, type Cable, type CableEnd, type Job } from "@/core/job";
import { sitsIn, type WiringSpace } from "./space";
import { isLead, type Wire } from "./wires";

/** What could at best be reached from a socket, if every gate were open and every format passed. */
export interface Reach {
  /** The screens that a picture comes to. */
  readonly screens: ReadonlySet<string>;
  /** Whether sound comes to the sound system's speakers, forward or by a return channel. */
  readonly sounds: boolean;
  /** Whether it does so by leads for sound alone, and by no HDMI. */
  readonly byLeadAlone: boolean;
  /** The leads for sound alone that its sound could take, by the sockets into which they lead. */
  readonly leads: ReadonlySet<string>;
}

/**
 * Whether a player can be watched on the main screen while the sound system sleeps: its picture does not pass it, or it passes pictures on
 * in stand-by.
 */
export function isSeenAlone(space: WiringSpace, job: Job, player: Device): boolean {
  const socket = sitsIn(job, player);
  return socket !== null && seenAloneFrom(space, job)(socket);
}

/**
 * The same of a player in a socket.
 * @param passes whether the sound system passes pictures on while it sleeps; as it is set among the devices where that is not given
 */
export function seenAloneFrom(
  { system, mainScreen }: WiringSpace,
  { devices, cables }: Pick<Job, "devices" | "cables">,
  passes = passesAsleep(devices.find(({ id }) => id === system.id) ?? system, "planned") === true,
): (socket: CableEnd) => boolean {
  const awake = devices.filter(({ id }) => passes || id !== system.id || id === mainScreen);
  const ways = new Ways(awake, cables);
  const known = new Map<string, boolean>();
  return (socket) => {
    const key = endKey(socket);
    const found = known.get(key) ?? (mainScreen !== null && ways.from(socket, "picture").ends.has(mainScreen));
    known.set(key, found);
    return found;
  };
}

/** Whether it is set so, or can be. */
export const mayPassAsleep = (system: Device): boolean =>
  passesAsleep(system, "planned") === true || system.settings.some(({ key, options }) => key === PASS_SETTING && options.includes("on"));

/** By sockets, into which others leads for sound alone may still be laid from there. */
export type LeadsFrom = ReadonlyMap<string, readonly FarEnd[]>;

/** Hubs with the wires between them. */
interface Joined {
  readonly hubs: readonly Device[];
  readonly wires: readonly Wire[];
  /** By their outputs, where leads for sound may still be laid: each is taken to lie. Left out: none. */
  readonly leadsFrom?: LeadsFrom;
}

/** Hubs and wires are never changed in place, so what is reached of them is computed once. */
const remembered = new WeakMap<Joined, (socket: CableEnd) => Reach>();

/** Asks what is reached from an input of a hub, by its cables and by what is joined inside the devices. */
export function reachOf(space: WiringSpace, joined: Joined): (socket: CableEnd) => Reach {
  const asked = remembered.get(joined) ?? reaching(space, joined);
  remembered.set(joined, asked);
  return asked;
}

function reaching(space: WiringSpace, { hubs, wires, leadsFrom }: Joined): (socket: CableEnd) => Reach {
  const ways = new Ways([...hubs, ...space.fixedDevices], [...space.fixedCables, ...wires.map(({ cable }) => cable)], leadsFrom);
  const known = new Map<string, Reach>();
  return (socket) => {
    const key = endKey(socket);
    const found = known.get(key);
    if (found) return found;
    const { ends, besideLeads, leads } = ways.from(socket, "sound");
    const sounds = ends.has(space.system.id);
    const reach = {
      screens: ways.from(socket, "picture").ends,
      sounds,
      byLeadAlone: sounds && !besideLeads.has(space.system.id),
      leads,
    };
    known.set(key, reach);
    return reach;
  };
}

/** What is left of the routes of a device, by which of them are open: the same object each time, so that what is inside is laid out once. */
const openRoutes = new WeakMap<Device["routes"], Map<string, Device["routes"]>>();

/** A device without the ways inside it that its settings keep shut; those that nobody knows keep nothing shut. */
export function withoutShutWays(device: Device): Device {
  const valueOf = (key: SettingKey) => effectiveSetting(device, key, "planned");
  const isOpen = device.routes.map(({ opens }) => !opens.some((condition) => failsBySettings(condition, valueOf)));
  if (isOpen.every(Boolean)) return device;
  const known = openRoutes.get(device.routes) ?? new Map<string, Device["routes"]>();
  openRoutes.set(device.routes, known);
  const key = isOpen.join();
  const routes = known.get(key) ?? device.routes.filter((_, index) => isOpen[index]);
  known.set(key, routes);
  return { ...device, routes };
}

type Kind = "picture" | "sound";

/** What is joined to a socket inside its device: whether a route ends there, on the display or from the speakers, and the sockets it leaves by. */
interface Inside {
  readonly ends: boolean;
  readonly exits: readonly string[];
}

/** The insides of a device by its sockets and sources. */
interface Insides {
  readonly device: string;
  readonly of: Readonly<Record<Kind, ReadonlyMap<string, Inside>>>;
}

/** By the routes of a device, which are the same object however it is set. */
const laidOut = new WeakMap<Device["routes"], Insides>();

function insidesOf(device: Device): Insides {
  const known = laidOut.get(device.routes);
  // Devices may have been made with the same routes.
  if (known?.device === device.id) return known;
  const fresh = { device: device.id, of: { picture: insides(device, "picture"), sound: insides(device, "sound") } };
  laidOut.set(device.routes, fresh);
  return fresh;
}

function insides({ id, routes }: Device, kind: Kind): ReadonlyMap<string, Inside> {
  const found = new Map<string, Inside>();
  for (const route of routes) {
    if (route.kind !== kind) continue;
    for (const from of route.from) {
      const key = endKey({ device: id, port: from });
      const { ends = false, exits = [] } = found.get(key) ?? {};
      const sockets = route.to.filter((to) => to !== "display" && to !== "speakers");
      found.set(key, {
        ends: ends || sockets.length < route.to.length,
        exits: [...exits, ...sockets.map((port) => endKey({ device: id, port }))],
      });
    }
  }
  return found;
}

/** A socket to which a cable leads, from the other end of it. */
export interface FarEnd {
  readonly device: string;
  readonly socket: string;
  readonly isLead: boolean;
}

/** Cables are never changed in place; sound may come back along one, so each end knows the other. */
const ends = new WeakMap<Cable, readonly (readonly [string, FarEnd])[]>();

function endsOf(cable: Cable): readonly (readonly [string, FarEnd])[] {
  const known = ends.get(cable);
  if (known) return known;
  const [from, to] = [endKey(cable.from), endKey(cable.to)];
  const fresh = [
    [from, { device: cable.to.device, socket: to, isLead: isLead(cable) }],
    [to, { device: cable.from.device, socket: from, isLead: isLead(cable) }],
  ] as const;
  ends.set(cable, fresh);
  return fresh;
}

/** Where ways of a kind lead. */
interface Followed {
  /** The devices at whose end one comes out, on the display or from the speakers. */
  readonly ends: Set<string>;
  /** Those of them into which the way leads by something else than a lead for sound alone. */
  readonly besideLeads: Set<string>;
  /** The leads for sound alone on them, of those that lie. */
  readonly leads: Set<string>;
}

/** The ways through devices and the cables between them. */
class Ways {
  private readonly insides: ReadonlyMap<string, Insides>;
  private readonly far: ReadonlyMap<string, FarEnd>;

  constructor(
    devices: readonly Device[],
    cables: readonly Cable[],
    private readonly leadsFrom?: LeadsFrom,
  ) {
    this.insides = new Map(devices.map((device) => [device.id, insidesOf(device)]));
    this.far = new Map(cables.flatMap(endsOf));
  }

  from({ device, port }: CableEnd, kind: Kind): Followed {
    const found = { ends: new Set<string>(), besideLeads: new Set<string>(), leads: new Set<string>() };
    this.follow({ device, socket: endKey({ device, port }), isLead: false }, kind, found, new Set());
    return found;
  }

  private follow({ device, socket, isLead }: FarEnd, kind: Kind, found: Followed, seen: Set<string>): void {
    if (seen.has(socket)) return;
    seen.add(socket);
    const inside = this.insides.get(device)?.of[kind].get(socket);
    if (inside?.ends) found.ends.add(device);
    if (inside?.ends && !isLead) found.besideLeads.add(device);
    for (const exit of inside?.exits ?? []) {
      for (const open of this.leadsFrom?.get(exit) ?? []) this.follow(open, kind, found, seen);
      const next = this.far.get(exit);
      if (!next) continue;
      if (next.isLead) found.leads.add(next.socket);
      this.follow(next, kind, found, seen);
    }
  }
}
