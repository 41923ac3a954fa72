import type { Household } from "@/core/cec";
import { pictureRun, type Arrival } from "@/core/chain";
import { hasReturn } from "@/core/device";
import { findDevice, findPort, type Cable, type CableEnd, type Job } from "@/core/job";
import { deviceName, socketLabel } from "@/core/text";
import type { SheetFact, SheetKey, SheetPress } from "./sheet-facts";

/** The sockets by which the sound of a row comes into the devices on its way, in their order. */
export const entriesOfSound = ({ hops }: Arrival): readonly CableEnd[] =>
  hops.flatMap(({ cable, device, port }) => (cable ? [{ device, port }] : []));

/** The sockets by which its picture does. */
export const entriesOfPicture = (job: Job, row: Arrival): readonly CableEnd[] =>
  pictureRun(job, row).flatMap(({ cable }) => job.cables.find(({ id }) => id === cable)?.to ?? []);

/** The socket of a device by which something comes in over a cable; null where nothing does. */
function entryOf(job: Job, device: string, { from, to }: Cable): string | null {
  if (to.device === device) return to.port;
  // The sound of a screen comes back to the system's own output.
  const isBack = from.device === device && findDevice(job, device)?.role === "sound" && hasReturn(findPort(job, to));
  return isBack ? from.port : null;
}

/** Inputs of a device that something is plugged into, and whether there is a choice between them. */
export const hasChoice = (job: Job, device: string): boolean => {
  const own = findDevice(job, device)?.sources.some(({ contents }) => contents.length > 0) ?? false;
  const plugged = new Set(job.cables.flatMap((cable) => entryOf(job, device, cable) ?? []));
  return plugged.size + Number(own) > 1;
};

/** A key of a device; one that hears no infrared may have no remote at all. */
export const pressAt = (job: Job, device: string, key: SheetKey): SheetPress => ({
  device: deviceName(job, device),
  hasRemote: (findDevice(job, device)?.control.infrared ?? "none") !== "none",
  ...key,
});

/**
 * Everything that a person presses to use a player where nothing follows by itself: the power of each device on the way, then each input.
 * It is read from the ways of sound and picture alone, so it holds whatever HDMI control does. The first row that is heard stands for all.
 */
export function pressesByHand({ job, stations }: Household, player: string, rows: readonly Arrival[]): readonly SheetPress[] {
  const shown = rows.find(({ picture }) => picture !== null);
  const heard = rows.find(({ plays }) => plays !== null) ?? rows[0];
  const screen = (shown ?? rows.find((row) => row.screen !== null))?.screen ?? null;
  const inputs = [...(shown ? entriesOfPicture(job, shown) : []), ...(heard ? entriesOfSound(heard) : [])];
  const onWay = [player, ...inputs.map(({ device }) => device), ...(screen ? [screen] : []), ...(heard?.system ? [heard.system] : [])];
  const powered = [...new Set(onWay)].filter((id) => findDevice(job, id)?.role !== "box" && !stations.get(id)?.nature.leftOn);
  const chosen = new Map(inputs.filter(({ device }) => hasChoice(job, device)).map((end) => [end.device, socketLabel(job, end)]));
  return [
    ...powered.map((id) => pressAt(job, id, { key: "power" })),
    ...[...chosen].map(([id, input]) => pressAt(job, id, { key: "input", input })),
    ...(screen === player && hasChoice(job, player) ? [pressAt(job, player, { key: "input", input: null })] : []),
  ];
}

/** A player, and the socket by which it comes into a device. */
export interface Entry {
  readonly device: string;
  readonly entry: CableEnd;
}

/** What to choose on a device: each input once, with the players that come in by it. */
export function chooseFacts(job: Job, on: string, entries: readonly Entry[]): readonly Extract<SheetFact, { says: "choose" }>[] {
  const players = new Map<string, readonly string[]>();
  for (const { device, entry } of entries) {
    const input = socketLabel(job, entry);
    players.set(input, [...(players.get(input) ?? []), deviceName(job, device)]);
  }
  return [...players].map(([input, names]) => ({ says: "choose", on: deviceName(job, on), players: names, input }));
}
