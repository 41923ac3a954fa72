import { findDevice, findPort, type Cable, type CableEnd, type Job } from "@/core/job";
import { deviceName } from "@/core/text";
import type { SheetPress } from "./sheet-facts";

/** The cables from one device to another in the direction of the picture, the fewest; null where none lead there. */
function cablesBetween(job: Job, from: string, to: string, isPicture: boolean): readonly Cable[] | null {
  const reached = new Map<string, readonly Cable[]>([[from, []]]);
  const queue = [from];
  for (let device = queue.shift(); device !== undefined; device = queue.shift()) {
    const so = reached.get(device) ?? [];
    if (device === to) return so;
    for (const cable of job.cables) {
      if (cable.from.device !== device || cable.miswired || reached.has(cable.to.device)) continue;
      if (isPicture && !carriesPicture(job, cable.from)) continue;
      reached.set(cable.to.device, [...so, cable]);
      queue.push(cable.to.device);
    }
  }
  return null;
}

const carriesPicture = (job: Job, end: CableEnd): boolean => {
  const port = findPort(job, end);
  return port?.connector === "hdmi" || port?.connector === "composite";
};

/** Inputs of a device that something is plugged into, and whether there is a choice between them. */
const hasChoice = (job: Job, device: string): boolean => {
  const found = findDevice(job, device);
  const plugged = new Set(job.cables.filter(({ to }) => to.device === device).map(({ to }) => to.port));
  return plugged.size > 1 || (plugged.size === 1 && (found?.sources.some(({ contents }) => contents.length > 0) ?? false));
};

/** What a socket is called where an input is chosen. */
export const inputName = (job: Job, end: CableEnd): string => findPort(job, end)?.label ?? end.port;

/**
 * Everything that a person presses to use a player where nothing follows by itself: the power of each device on the way, then each input.
 * It is read from the plugs alone, so it holds whatever HDMI control does.
 */
export function pressesByHand(job: Job, player: string, screen: string | null, system: string | null): readonly SheetPress[] {
  const toScreen = screen && screen !== player ? cablesBetween(job, player, screen, true) : [];
  const toSystem = system ? cablesBetween(job, player, system, false) : [];
  const back = system && screen ? job.cables.find(({ from, to }) => from.device === system && to.device === screen) : undefined;
  const inputs = [...(toScreen ?? []), ...(toSystem ?? [])].map(({ to }) => to);
  const onWay = [player, ...inputs.map(({ device }) => device), ...(screen ? [screen] : []), ...(system ? [system] : [])];
  const name = (id: string) => deviceName(job, id);
  const powered = [...new Set(onWay)].filter((id) => findDevice(job, id)?.role !== "box");
  const chosen = new Map(inputs.filter(({ device }) => hasChoice(job, device)).map((end) => [end.device, inputName(job, end)]));
  // Its sound comes back from the screen: there the system listens to the screen's own socket.
  if (system && toSystem === null && back && hasChoice(job, system)) chosen.set(system, inputName(job, back.from));
  return [
    ...powered.map((id): SheetPress => ({ device: name(id), key: "power" })),
    ...[...chosen].map(([id, input]): SheetPress => ({ device: name(id), key: "input", input })),
    ...(screen === player && hasChoice(job, player) ? [{ device: name(player), key: "input", input: null } as const] : []),
  ];
}
