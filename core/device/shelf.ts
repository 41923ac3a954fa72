import type { Archetype } from "./archetype";
import { BOXES } from "./archetypes/boxes";
import { OTHER_PLAYERS } from "./archetypes/other-players";
import { PLAYERS } from "./archetypes/players";
import { SCREENS } from "./archetypes/screens";
import { SOUND_SYSTEMS } from "./archetypes/sound";
import { Device } from "./device";

/** Every archetype that ships, in the order of the signal. */
export const SHELF: readonly Archetype[] = [...PLAYERS, ...OTHER_PLAYERS, ...BOXES, ...SCREENS, ...SOUND_SYSTEMS];

export const findArchetype = (name: string): Archetype | undefined => SHELF.find((row) => row.archetype === name);

/** A full device from an archetype of the shelf, with the id and name it has in a job. Throws when the shelf has no such archetype. */
export function fromShelfOrThrow(archetype: string, named: { id: string; name?: string }): Device {
  const found = findArchetype(archetype);
  if (!found) throw new Error(`No archetype ${archetype} on the shelf`);
  const { summary: _summary, ...device } = found;
  return Device.parse({ ...device, id: named.id, name: named.name ?? device.name });
}
