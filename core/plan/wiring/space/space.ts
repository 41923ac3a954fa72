import { castOf, householdOf } from "@/core/cec";
import type { CableClass, SettingKey } from "@/core/facts";
import type { Device, HdmiPort } from "@/core/device";
import { present } from "@/core/outcome";
import { cableAt, chosenSoundSystem, type Bond as BriefBond, type Cable, type CableEnd, type Job, type Want } from "@/core/job";

/** A box that a plan may use: one that is in the room, or one of the van or the shop with its price. */
export interface BoxAtHand {
  readonly device: Device;
  /** Null: not priced. What is in the room already costs nothing. */
  readonly price: number | null;
  readonly isThere: boolean;
}

/** A cable of the van: how many of it are free, and what one costs. */
export interface CableAtHand {
  readonly class: CableClass;
  readonly lengthM: number;
  readonly price: number | null;
  readonly free: number;
}

/** What a plan may put in and lay, beside cables that are bought. */
export interface AtHand {
  readonly boxes: readonly BoxAtHand[];
  readonly cables?: readonly CableAtHand[];
}

/** A wish that a plan must fulfil, or it is none: one of the brief, or that a device stays, for else another of its kind may take its place. */
export type Must = Want | { readonly want: "keep"; readonly device: string };

/** What is asked of plans: bonds that they keep, wishes that they must fulfil, and wishes that they should. */
export interface PlanWishes {
  readonly bonds?: readonly Bond[];
  readonly musts?: readonly Must[];
  readonly hopes?: readonly Want[];
}

/** What the brief of a job wishes of plans. */
export const wishesOf = ({ brief }: Pick<Job, "brief">): Required<PlanWishes> => ({
  bonds: brief.bonds,
  musts: [...brief.musts, ...brief.mustStay.map((device): Must => ({ want: "keep", device }))],
  hopes: brief.hopes,
});

/** Something that a plan must keep to, or keep from: bonds of the brief, and what somebody asks about once. */
export type Bond =
  | BriefBond
  | { readonly bond: "use-box"; readonly archetype: string }
  | { readonly bond: "use-school"; readonly school: string }
  | { readonly bond: "use-setting"; readonly device: string; readonly key: SettingKey; readonly value: string };

/** What a plan of a room decides, and what stays as it is installed. */
export interface WiringSpace {
  readonly job: Job;
  readonly system: Device;
  readonly screens: readonly Device[];
  /** Players with an HDMI plug: each gets a socket. */
  readonly players: readonly Device[];
  readonly boxes: readonly BoxAtHand[];
  readonly vanCables: readonly CableAtHand[];
  /** Devices and cables that no plan touches: players without HDMI, and what they depend on. */
  readonly fixedDevices: readonly Device[];
  readonly fixedCables: readonly Cable[];
  /** Existing cables that a plan may use again between the same two devices. */
  readonly existing: readonly Cable[];
  readonly bonds: readonly Bond[];
  readonly musts: readonly Must[];
  readonly hopes: readonly Want[];
  /** The screen whose remote the household takes. */
  readonly mainScreen: string | null;
}

export const hdmiOut = (device: Device): HdmiPort | undefined =>
  device.ports.find((port): port is HdmiPort => port.connector === "hdmi" && port.direction === "out");

/** The players of a space by their ids. */
const named = new WeakMap<WiringSpace, ReadonlyMap<string, Device>>();

/** A player of a space. */
export function findPlayer(space: WiringSpace, id: string): Device {
  const players = named.get(space) ?? new Map(space.players.map((player) => [player.id, player]));
  named.set(space, players);
  return present(players.get(id), "a player of the space");
}

/** Whether a player has a lead for sound of its own that no plan touches, over which it can play wherever its picture goes. */
export const hasOwnLead = ({ fixedCables }: WiringSpace, player: string): boolean => fixedCables.some(({ from }) => from.device === player);

/** The socket that holds the HDMI plug of a player; null: it is in none. */
export function sitsIn(job: Job, player: Device): CableEnd | null {
  const plug = hdmiOut(player);
  return (plug && cableAt(job, { device: player.id, port: plug.id })?.to) ?? null;
}

const isDecided = (device: Device): boolean => device.role === "player" && hdmiOut(device) !== undefined;

/**
 * What can be planned of a job with this at hand; without other wishes those of its brief hold. Null where there is nothing to plan: no screen, or nothing that sounds.
 */
export function wiringSpace(
  job: Job,
  { boxes, cables = [] }: AtHand,
  { bonds = [], musts = [], hopes = [] }: PlanWishes = wishesOf(job),
): WiringSpace | null {
  const system = chosenSoundSystem(job);
  if (!system || !isSoundSystem(job, system)) return null;
  const screens = job.devices.filter(({ role, display }) => role === "screen" && display);
  if (screens.length === 0) return null;
  const fixed = fixedIds(job, system.id);
  const players = job.devices.filter(isDecided);
  const decided = new Set([system.id, ...[...screens, ...players].map(({ id }) => id)]);
  const own = job.devices.filter(({ id, role }) => role === "box" && !fixed.has(id));
  const movable = new Set([...decided, ...own.map(({ id }) => id)]);
  // What a player sends by another plug than HDMI stays as it is installed.
  const isOther = ({ from }: Cable) => players.some((player) => player.id === from.device && hdmiOut(player)?.id !== from.port);
  const isExisting = (cable: Cable) => movable.has(cable.from.device) && movable.has(cable.to.device) && !isOther(cable);
  const household = householdOf(job);
  return {
    job,
    system,
    screens,
    players,
    boxes: [
      ...own.map((device) => ({ device, price: 0, isThere: true })),
      ...boxes.flatMap((box) =>
        box.isThere ? [] : [{ ...box, device: { ...box.device, room: box.device.spans ? null : roomOfBoxes(players) } }],
      ),
    ],
    vanCables: cables,
    fixedDevices: job.devices.filter(({ id }) => !movable.has(id)),
    fixedCables: job.cables.filter((cable) => !isExisting(cable)),
    existing: job.cables.filter(isExisting),
    bonds,
    musts,
    hopes,
    mainScreen: castOf(household).screen?.nature.device ?? screens[0]?.id ?? null,
  };
}

/** Where nobody chose the screen itself to be listened to, a room without a sound system has nothing to plan for. */
export const isSoundSystem = ({ brief }: Pick<Job, "brief">, device: Device): boolean =>
  device.role === "sound" || brief.soundSystem === device.id;

/** New boxes stand where most of the players do, so that a box bridges no way that no cable may take; null: nobody said where. */
function roomOfBoxes(players: readonly Device[]): string | null {
  const rooms = players.flatMap(({ room }) => (room === null ? [] : [room]));
  const count = (room: string) => rooms.filter((other) => other === room).length;
  return rooms.reduce<string | null>((best, room) => (best === null || count(room) > count(best) ? room : best), null);
}

/** Players without HDMI, other sound systems, and every box that such a thing depends on. */
function fixedIds(job: Job, system: string): ReadonlySet<string> {
  const fixed = new Set(
    job.devices
      .filter((device) => (device.role === "player" && !isDecided(device)) || (device.role === "sound" && device.id !== system))
      .map(({ id }) => id),
  );
  let grown = true;
  while (grown) {
    grown = false;
    for (const { from, to } of job.cables) {
      const onward = job.devices.find(({ id }) => id === to.device);
      if (!fixed.has(from.device) || onward?.role !== "box" || fixed.has(to.device)) continue;
      fixed.add(to.device);
      grown = true;
    }
  }
  return fixed;
}
