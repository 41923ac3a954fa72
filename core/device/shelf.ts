import type { Archetype } from "./archetype";
import { BARS } from "./archetypes/bars";
import { BOXES } from "./archetypes/boxes";
import { OTHER_PLAYERS } from "./archetypes/other-players";
import { OTHER_SCREENS } from "./archetypes/other-screens";
import { OTHER_SOUND } from "./archetypes/other-sound";
import { PLAYERS } from "./archetypes/players";
import { RECEIVERS } from "./archetypes/receivers";
import { TELEVISIONS } from "./archetypes/televisions";
import { Device } from "./device";

/** Every archetype that ships, in the order of the signal. */
export const SHELF: readonly Archetype[] = [
  ...PLAYERS,
  ...OTHER_PLAYERS,
  ...BOXES,
  ...TELEVISIONS,
  ...OTHER_SCREENS,
  ...BARS,
  ...RECEIVERS,
  ...OTHER_SOUND,
];

export const findArchetype = (name: string): Archetype | undefined => SHELF.find((row) => row.archetype === name);

/** A full device from an archetype of the shelf, with the id and name it has in a job. Throws when the shelf has no such archetype. */
export function fromShelfOrThrow(archetype: string, named: { id: string; name?: string }): Device {
  const found = findArchetype(archetype);
  if (!found) throw new Error(`No archetype ${archetype} on the shelf`);
  const { summary: _summary, ...device } = found;
  return Device.parse({ ...device, id: named.id, name: named.name ?? device.name });
}
