import { makeRig, picturesOf, type Rig } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Cable } from "@/core/job";
import { choicesOf, findPlayer, hdmiOut, inputKinds, NO_SOCKETS, type WiringSpace, withSettings } from "../space";
import { shownKept } from "../evaluation";

/** How much of its picture each content of a player can keep on a screen, 0 to 1, in the order of its contents. */
export type PictureOn = (player: string, screen: string) => readonly number[];

/** Every picture whole on every screen: what can be supposed before anything is computed. */
export const WHOLE_ON_ALL: PictureOn = () => [];

/**
 * How much of its picture each content keeps where the player is in the screen itself, by the best cable in the best socket: nothing
 * that is put between them gives the screen more than it can show. Computed on first use.
 */
export function pictureOnScreens(space: WiringSpace): PictureOn {
  const known = new Map<string, readonly number[]>();
  return (player, screen) => {
    const key = `${player} ${screen}`;
    const kept = known.get(key) ?? keptDirectly(space, player, screen);
    known.set(key, kept);
    return kept;
  };
}

function keptDirectly(space: WiringSpace, playerId: string, screenId: string): readonly number[] {
  const player = findPlayer(space, playerId);
  const screen = space.screens.find(({ id }) => id === screenId);
  if (!screen) return [];
  const kinds = inputKinds(screen, NO_SOCKETS).map(({ ports }) => keptIn(space, asPlanned(player), asPlanned(screen), ports[0] ?? ""));
  const contents = player.sources.flatMap((source) => source.contents);
  // Where no socket shows it at all, a box between them might.
  return contents.map((_, index) => Math.max(0, ...kinds.map((kept) => kept[index] ?? 1)) || 1);
}

/**
 * On how many screens each content of a player is whole at most in a room, one that loses something counting half, in the order of its
 * contents. A picture that a switch shuts could come with another setting, and counts whole.
 */
export const pictureUpperBound = (rig: Rig, player: string): readonly number[] =>
  picturesOf(rig, player).map(({ seen }) => seen.reduce((sum, { picture, losses }) => sum + (picture ? shownKept(losses) : 1), 0));

/** Devices are never changed in place, so each is set as planned once. */
const planned = new WeakMap<Device, Device>();

/** With the first of the values that are planned; where there are several they are about sound. */
export function asPlanned(device: Device): Device {
  const known = planned.get(device);
  if (known) return known;
  const set = withSettings(
    device,
    choicesOf(device, false).flatMap(([first]) => first ?? []),
  );
  planned.set(device, set);
  return set;
}

function keptIn(space: WiringSpace, player: Device, screen: Device, port: string): readonly number[] {
  const plug = hdmiOut(player);
  if (!plug) return [];
  const cable: Cable = {
    id: "best",
    from: { device: player.id, port: plug.id },
    to: { device: screen.id, port },
    class: plug.plug ? "direct-plug" : "ultra-high-speed",
    lengthM: 0.5,
    direction: "either",
    backwards: false,
    miswired: false,
    state: "sound",
    returnWires: "earc",
    controlWire: true,
    label: "",
    tags: { from: "", to: "" },
    supply: "there",
  };
  const job = { ...space.job, devices: [screen, player], cables: [cable] };
  return picturesOf(makeRig(job, "planned"), player.id).map(({ content, seen: [seen] }) => {
    // What has no picture has none to lose.
    if (!content.picture) return 1;
    return seen?.picture ? shownKept(seen.losses) : 0;
  });
}
