import type { Device, Port } from "@/core/device";
import { endKey, runBetween } from "@/core/job";
import { isSwitchBox } from "./switch-box";
import { isForbidden, SOUND_LEADS, THROUGH_AIR } from "./leads";
import {
  firstPort,
  type BoxAtHand,
  hdmiOutputs,
  inputKinds,
  type LeadsFrom,
  NO_SOCKETS,
  reachOf,
  type Wire,
  type WiringSpace,
} from "../space";

/**
 * No box, each box, and where there are several screens pairs of which one shares the picture out. Where one screen alone is in use at a time
 * all players can come through one input: then a box that adds sockets may stand before such a pair.
 */
export function boxSets({ job, players, boxes, bonds, screens }: WiringSpace): readonly (readonly BoxAtHand[])[] {
  const forbidden = new Set(bonds.flatMap((bond) => (bond.bond === "forbid-box" ? [bond.archetype] : [])));
  const wanted = bonds.flatMap((bond) => (bond.bond === "use-box" ? [bond.archetype] : []));
  // A picture goes wirelessly only where no cable may run from a player to a screen.
  const mustSpan = players.some((player) => screens.some((screen) => isForbidden(job, player.id, screen.id)));
  const own = boxes.filter(
    (box) =>
      !forbidden.has(box.device.archetype ?? box.device.id) &&
      (mustSpan || !box.device.spans) &&
      (box.isThere || players.length > 1 || !isMatrix(box.device)),
  );
  // For several screens one box may share the picture out and another take the sound off.
  const shares = own.filter(({ device }) => hdmiOutputs(device).length > 1);
  const takes = own.filter((box) => !shares.includes(box));
  const pairs = screens.length > 1 ? shares.flatMap((a) => takes.map((b) => [a, b])) : [];
  const gathers = job.brief.screensAtOnce === "one" ? takes.filter(({ device }) => isSwitchBox(device)) : [];
  const chains = gathers.flatMap((first) =>
    pairs.flatMap((pair) => (pair.some(({ device }) => isSwitchBox(device)) ? [] : [[first, ...pair]])),
  );
  return [[], ...own.map((box) => [box]), ...pairs, ...chains].filter((set) =>
    wanted.every((archetype) => set.some(({ device }) => (device.archetype ?? device.id) === archetype)),
  );
}

/** A box with several inputs and several outputs is bought for several players. */
export const isMatrix = (device: Device): boolean =>
  hdmiOutputs(device).length > 1 && inputKinds(device, NO_SOCKETS).reduce((sum, { ports }) => sum + ports.length, 0) > 1;

/** Several boxes are worth their place only as a chain that reaches every screen: how many wires that still takes at least. */
export function missing({ screens }: WiringSpace, boxes: readonly BoxAtHand[], wires: readonly Wire[]): number {
  const isBox = (id: string) => boxes.some(({ device }) => device.id === id);
  const links = wires.filter(({ cable }) => isBox(cable.from.device) && isBox(cable.to.device)).length;
  const dark = screens.filter(({ id }) => !wires.some(({ cable }) => cable.to.device === id)).length;
  return dark + Math.max(0, boxes.length - 1 - links);
}

/** A box that a picture goes into shows it on, and one that does nothing but share it out shows it on twice; its outputs alone tell. */
export const showsOn = (device: Device, wires: readonly Wire[]): boolean => {
  const least = outputsNeeded(device);
  return least === 0 || hdmiOutputs(device).filter((port) => isWired(device, port, wires)).length >= least;
};

/** Boxes are never changed in place, so what is needed of them is computed once. */
const needed = new WeakMap<Device, number>();

/** How many HDMI outputs of a box lead on, or it is there for nothing. */
function outputsNeeded(device: Device): number {
  const known = needed.get(device);
  if (known !== undefined) return known;
  const outputs = hdmiOutputs(device).length;
  const takesPictures = inputKinds(device, NO_SOCKETS).length > 0;
  const least = outputs === 0 || !takesPictures ? 0 : soundOutputs(device).length === 0 && outputs > 1 ? 2 : 1;
  needed.set(device, least);
  return least;
}

/** Boxes and hubs as they are joined, and the leads for sound that may still be laid. */
interface JoinedBoxes {
  readonly hubs: readonly Device[];
  readonly boxes: readonly BoxAtHand[];
  readonly wires: readonly Wire[];
  readonly leadsFrom?: LeadsFrom;
}

/** Every box does something, or may once its leads are laid: something goes in, and what it is there for goes out. */
export const isWhole = (space: WiringSpace, joined: JoinedBoxes): boolean =>
  joined.boxes.every(({ device }) => {
    const { wires, leadsFrom } = joined;
    const mayLead = leadsFrom !== undefined && leadsFrom.size > 0;
    const takesPlayers = inputKinds(device, NO_SOCKETS).length > 0;
    const sounds = soundOutputs(device);
    const isUsedForSound = sounds.some(
      (port) => isWired(device, port, wires) || leadsFrom?.has(endKey({ device: device.id, port: port.id })),
    );
    // Without a socket for a player it is there for the sound that leaves it, or for nothing.
    if (!isUsedForSound && (sounds.length > 0 || !takesPlayers)) return false;
    const isLit = hdmiOutputs(device).some((port) => isWired(device, port, wires));
    const goesIn = takesPlayers || isLit || mayLead || wires.some(({ cable }) => cable.to.device === device.id);
    if (!goesIn || !showsOn(device, wires)) return false;
    return !isSwitchBox(device) || (isWanting(space, joined, device) && isHeard(space, joined, device));
  });

/** The sockets of a box that sound alone leaves by. */
const soundOutputs = (device: Device): readonly Port[] =>
  device.ports.filter((port) =>
    port.connector === "hdmi"
      ? port.direction === "in" && isSoundSocket(device, port)
      : port.direction === "out" && (SOUND_LEADS.has(port.connector) || THROUGH_AIR.has(port.connector)),
  );

/** An HDMI input that no picture comes in by: sound goes out of it, as the return of a screen would. */
const isSoundSocket = (device: Device, { id }: Port): boolean =>
  !device.routes.some(({ kind, from }) => kind === "picture" && from.includes(id));

const isWired = (device: Device, { id }: Port, wires: readonly Wire[]): boolean =>
  wires.some(({ cable: { from, to } }) => (from.device === device.id && from.port === id) || (to.device === device.id && to.port === id));

/** From the sockets that a box gathers sound comes to the sound system: nobody gathers what then stays silent. */
function isHeard(space: WiringSpace, joined: JoinedBoxes, box: Device): boolean {
  const reach = reachOf(space, joined);
  return inputKinds(box, NO_SOCKETS).some((kind) => reach({ device: kind.device, port: firstPort(kind) }).sounds);
}

/** A box that adds sockets is wanted where there are not enough of the kind that it takes, or where it saves pulling cables. */
function isWanting(space: WiringSpace, { hubs, wires }: JoinedBoxes, box: Device): boolean {
  const onward = wires.find(({ cable }) => cable.from.device === box.id)?.cable.to;
  const hub = hubs.find(({ id }) => id === onward?.device);
  if (!onward || !hub) return true;
  const kind = inputKinds(hub, NO_SOCKETS).find(({ ports }) => ports.includes(onward.port));
  const others = wires.filter(({ cable: { from, to } }) => from.device !== box.id && to.device === hub.id && kind?.ports.includes(to.port));
  const isFar = space.players.some(({ id }) => runBetween(space.job, id, hub.id) !== undefined);
  return isFar || !kind || kind.ports.length - others.length < space.players.length;
}
