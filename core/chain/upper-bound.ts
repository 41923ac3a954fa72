import { classesJoining, connectorFact, settingFact, type LinkKind, type SettingKey } from "@/core/facts";
import { failsBySettings, isTurning, type Condition, type Content, type Device, type Port, type SoundRoute } from "@/core/device";
import { endKey, type Cable, type CableEnd } from "@/core/job";
import { carriesCodings, leavingOn, turnedBy, whyNotCarry } from "./link";
import type { Listing } from "./listing";
import { listedAnywhereAt, listedUpperBoundAt } from "./listed-upper-bound";
import { cableQuestion, settingQuestion, takersQuestion, type Question } from "./read-set";
import { everyWayToHandOn, EVERYTHING, listsUpTo, POSSIBLE_LISTS } from "./possible-lists";
import { isAt, type Rig } from "./rig";
import { whyNotPlay } from "./play";
import { compareStreams } from "./quality";
import { streamKey, streamsOf, type Stream } from "./stream";

/** What is free: settings; where plugs sit; what cables have in them. */
export interface Freedom {
  readonly plugs: boolean;
  readonly cables: boolean;
  /** Settings that are known stay as they are, and only those that nobody knows are free. Left out: all are. */
  readonly settings?: "as-known";
  /** Questions whose answers stay as they are: settings that are decided, sockets that keep their cable. Left out: none. */
  readonly fixed?: ReadonlySet<Question>;
  /** Sockets that keep their cable, though it may be changed for a better one. */
  readonly plugged?: ReadonlySet<Question>;
}

/** A content on its way from a source of a player to a sound system, while its settings, and what else is free, are chosen at will. */
export interface BoundQuestion {
  readonly player: Device;
  readonly source: string;
  readonly content: Content;
  readonly system: Device;
  readonly freedom: Freedom;
}

/** A stream no worse than anything that could arrive. Null: nothing can. */
export function bestUpperBound(rig: Rig, hope: BoundQuestion): Stream | null {
  return arrivalUpperBounds(rig, hope).reduce<Stream | null>(
    (best, stream) => (compareStreams(stream, best, decodingAll(hope.system)) > 0 ? stream : best),
    null,
  );
}

/**
 * Every stream that could arrive: an upper bound, never below the truth. Gates are open, every list is assumed,
 * unknown facts are the best there are. Where everything is plugged as it stays, all that the answer rests on is asked of the rig.
 */
export function arrivalUpperBounds(rig: Rig, { player, source, content, freedom, ...asked }: BoundQuestion): readonly Stream[] {
  const system = decodingAll(asked.system);
  const arriving: Stream[] = [];
  // Boxes that can be plugged in a ring could code a stream again for ever: only its fewest lossy codings count at a socket.
  const fewest = new Map<string, number>();
  const visit = (device: Device, from: string, streams: readonly Stream[]) => {
    for (const route of device.routes) {
      if (route.kind !== "sound" || !route.from.includes(from) || staysShut(rig, device, route.opens, freedom)) continue;
      for (const to of route.to) {
        if (to === "speakers") {
          if (device.id === system.id && !staysHushed(rig, device, freedom))
            arriving.push(...streams.filter((stream) => whyNotPlay(stream, system) === null));
          continue;
        }
        const exit = { device: device.id, port: to };
        const ahead = linksFrom(rig, exit, freedom);
        if (ahead.length === 0) continue;
        const lists = possibleLists(rig, exit, freedom);
        const handedOn = everyWayToHandOn(
          { device, route, carriesCodings: ahead.some(({ link }) => carriesCodings(link)) },
          streams,
          lists,
          formatsOf(rig, device, route, freedom),
        );
        for (const { link, end } of ahead) {
          const next = rig.atWill(end.device);
          if (!next) continue;
          for (const out of handedOn) {
            const sent = leavingOn(link, out, route.blind);
            if (whyNotCarry(sent, link, []) !== null) continue;
            const arrived = turnedBy(link, sent);
            const key = `${endKey(end)} ${streamKey({ ...arrived, generations: 0 })}`;
            if ((fewest.get(key) ?? Infinity) <= arrived.generations) continue;
            fewest.set(key, arrived.generations);
            visit(decodingAll(next), end.port, [arrived]);
          }
        }
      }
    }
  };
  visit(decodingAll(player), source, streamsOf(content));
  return arriving;
}

const withEverything = new WeakMap<Device, Device>();

/** A device whose decoders nobody knows may have all of them. Devices are never changed in place, so each is made once. */
export function decodingAll(device: Device): Device {
  if (device.decodes !== null) return device;
  const known = withEverything.get(device) ?? { ...device, decodes: EVERYTHING };
  withEverything.set(device, known);
  return known;
}

/** Lists that are possible at a socket: no more than could be advertised there, as it is plugged or, where that is free, however it may be. */
export function possibleLists(rig: Rig, exit: CableEnd, { plugs, cables }: Freedom): readonly Listing[] {
  const port = rig.port(exit);
  if (plugs || cables) return port ? listsUpTo(listedAnywhereAt(rig.job.devices, port)) : POSSIBLE_LISTS;
  return rig.recall(`wished ${endKey(exit)}`, () => listsUpTo(listedUpperBoundAt(rig, exit)), POSSIBLE_LISTS);
}

/** The value of a setting that stays as it is; null: it is free, or nobody knows it. */
const stayingValue = (rig: Rig, device: Device, key: SettingKey, { settings, fixed }: Freedom): string | null =>
  settings === "as-known" || fixed?.has(settingQuestion(device.id, key)) ? (rig.setting(device, key) ?? null) : null;

/** The values that the format setting of a route can have: all of its options, or the one that stays. */
export function formatsOf(rig: Rig, device: Device, route: SoundRoute, freedom: Freedom): readonly (string | undefined)[] {
  const stays = route.format ? stayingValue(rig, device, route.format, freedom) : null;
  return stays === null ? (device.settings.find(({ key }) => key === route.format)?.options ?? [undefined]) : [stays];
}

/** Whether a condition fails on something that stays as it is. */
function staysShut(rig: Rig, device: Device, conditions: readonly Condition[], freedom: Freedom): boolean {
  return conditions.some((condition) => {
    if ("unplugged" in condition) {
      const end = { device: device.id, port: condition.unplugged };
      return freedom.fixed?.has(cableQuestion(end)) === true && rig.cableAt(end) !== undefined;
    }
    return failsBySettings(condition, (key) => stayingValue(rig, device, key, freedom));
  });
}

/** Whether a system stays muted, or its volume at nothing. */
const staysHushed = (rig: Rig, device: Device, freedom: Freedom): boolean =>
  (["mute", "volume-level"] as const).some((key) => {
    const value = stayingValue(rig, device, key, freedom);
    return value !== null && value !== settingFact(key).usual;
  });

/**
 * Where a socket could lead. A cable's output end stays where it is; with free plugs its other end may sit in any input, with free
 * cables it has every wire there is, and a socket without one may get one.
 */
function linksFrom(rig: Rig, exit: CableEnd, freedom: Freedom): readonly { link: LinkKind; end: CableEnd }[] {
  const port = rig.port(exit);
  if (!port) return [];
  const lies = rig.cableAt(exit);
  const isFixed = (end: CableEnd) => freedom.fixed?.has(cableQuestion(end)) ?? false;
  const stays = (end: CableEnd) => isFixed(end) || (freedom.plugged?.has(cableQuestion(end)) ?? false);
  // Where all that takes returns stays at a device, nothing else comes to take them.
  const isReturning = port.direction === "in" && (freedom.fixed?.has(takersQuestion(exit.device)) ?? false);
  if ((!freedom.plugs && !freedom.cables) || stays(exit) || isReturning) {
    const end = lies && (isAt(lies.from, exit) ? lies.to : lies.from);
    const wires = lies && (isFixed(exit) || !freedom.cables ? wiresIn(lies) : BEST_WIRES);
    return end && wires ? links(rig, exit, isAt(lies.from, exit), end, wires, freedom) : [];
  }
  const mates = matesOf(rig, exit, port).filter((end) => !stays(end));
  return mates.flatMap((end) => {
    const isFrom = port.direction === "out" && !(isTurning(port) && rig.port(end)?.direction === "out");
    const out = isFrom ? exit : end;
    const cable = rig.cableAt(out);
    const into = isFrom ? end : exit;
    const isThere = cable !== undefined && isAt(cable.from, out) && (freedom.plugs || isAt(cable.to, into));
    // A cable that sits in the socket can be pulled out and another run; one in two outputs or inputs can be plugged right.
    const isNew = freedom.cables || (freedom.plugs && isMiswiredAt(rig, exit, end));
    if (!isThere && !isNew) return [];
    return links(rig, exit, isFrom, end, freedom.cables || !cable ? BEST_WIRES : wiresIn(cable), freedom);
  });
}

/** Devices are never changed in place, so which sockets could be joined to one is laid out once for the devices of a room. */
const laidOut = new WeakMap<readonly Device[], Map<string, readonly CableEnd[]>>();

function matesOf(rig: Rig, exit: CableEnd, port: Port): readonly CableEnd[] {
  const bySocket = laidOut.get(rig.job.devices) ?? new Map<string, readonly CableEnd[]>();
  laidOut.set(rig.job.devices, bySocket);
  const known =
    bySocket.get(endKey(exit)) ??
    rig.job.devices.flatMap((device) =>
      device.id === exit.device
        ? []
        : device.ports
            .filter((other) => canJoin(port, other) && classesJoining(port.connector, other.connector).length > 0)
            .map((other): CableEnd => ({ device: device.id, port: other.id })),
    );
  bySocket.set(endKey(exit), known);
  return known;
}

const canJoin = (a: Port, b: Port): boolean => a.direction !== b.direction || isTurning(a) || isTurning(b);
const isMiswiredAt = (rig: Rig, ...ends: readonly CableEnd[]): boolean =>
  rig.job.cables.some(({ miswired, from, to }) => miswired && ends.some((end) => isAt(end, from) || isAt(end, to)));

/** What is in a cable, as far as a return needs it. */
interface Wires {
  readonly back: "none" | "arc" | "earc";
  readonly control: boolean;
}
const BEST_WIRES: Wires = { back: "earc", control: true };
const wiresIn = ({ returnWires, controlWire }: Cable): Wires => ({ back: returnWires ?? "earc", control: controlWire });

/** Forward from an output; from an input back along the return, as good as both sockets and the wires allow with every switch on. */
function links(
  rig: Rig,
  exit: CableEnd,
  isForward: boolean,
  end: CableEnd,
  wires: Wires,
  freedom: Freedom,
): { link: LinkKind; end: CableEnd }[] {
  const port = rig.port(exit);
  if (!port) return [];
  if (isForward) {
    const { link } = connectorFact(port.connector);
    return link ? [{ link, end }] : [];
  }
  const far = rig.port(end);
  if (port.connector !== "hdmi" || far?.connector !== "hdmi" || wires.back === "none" || port.returns === "none" || far.returns === "none")
    return [];
  const staysOff = (setting: SettingKey) =>
    [exit, end].some(({ device: id }) => {
      const device = rig.atWill(id);
      return device !== undefined && stayingValue(rig, device, setting, freedom) === "off";
    });
  const isEarc = wires.back === "earc" && port.returns !== "arc" && far.returns !== "arc" && !staysOff("earc");
  const hasCec = wires.control && !staysOff("arc") && !staysOff("cec") && [exit, end].every(({ device }) => rig.atWill(device)?.speaksCec);
  return isEarc ? [{ link: "earc", end }] : hasCec ? [{ link: "arc", end }] : [];
}
