import { castOf, type Household } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import { hasReturn } from "@/core/device";
import { cableAt, findDevice, findPort, type CableEnd } from "@/core/job";
import { deviceName } from "@/core/text";
import { entriesOfSound, hasChoice, inputName } from "./hand-path";
import type { WayOfUse } from "./how-to-use";
import type { SheetFact, SheetLine } from "./sheet-facts";
import { sheetLine } from "./sheet-line";
import type { PlayerRows } from "./used-players";

/** The socket by which a row comes into the sound system. */
const entryAt = (row: Arrival, system: string): CableEnd | undefined => entriesOfSound(row).findLast(({ device }) => device === system);

/**
 * Whether the sound system turns to a player by itself: over HDMI control it follows what is shown, at its own inputs or back from the
 * screen. Source: CEC 1.4 §13.15.
 */
function followsTo({ job, stations }: Household, player: string, entry: CableEnd): boolean {
  const onBus = (id: string) => {
    const nature = stations.get(id)?.nature;
    return nature && nature.logical !== null ? nature : undefined;
  };
  const system = onBus(entry.device);
  if (!system) return false;
  const cable = cableAt(job, entry);
  if (cable?.from.device === entry.device) return hasReturn(findPort(job, cable.to));
  // Where a box cuts the control wire between them, it hears nothing of the player.
  return findPort(job, entry)?.connector === "hdmi" && onBus(player)?.wire === system.wire;
}

/** What to choose on the sound system, for the players whose input it does not find by itself; how they are used tells it of some already. */
export function choiceLines(household: Household, players: readonly PlayerRows[], ways: readonly WayOfUse[]): readonly SheetLine[] {
  const { job } = household;
  const system = castOf(household).system?.nature.device;
  if (system === undefined) return [];
  const name = deviceName(job, system);
  const told = new Set(ways.filter(({ facts }) => facts.some((fact) => choosesOn(name, fact))).map(({ id }) => id));
  const heard = players.flatMap(({ device, rows }) => {
    const row = rows.find(({ plays, system: from }) => plays && from === system);
    const entry = row && entryAt(row, system);
    return entry ? [{ device, entry }] : [];
  });
  const chosen = new Map<string, readonly string[]>();
  for (const { device, entry } of heard) {
    if (told.has(device) || !hasChoice(job, system) || followsTo(household, device, entry)) continue;
    const input = inputName(job, entry);
    chosen.set(input, [...(chosen.get(input) ?? []), deviceName(job, device)]);
  }
  if (heard.length > 0 && chosen.size === 0 && told.size === 0) return nothingToChoose(household, system, heard);
  return [...chosen].map(([input, names]) => sheetLine("sentence", `sound ${input}`, { says: "choose", on: name, players: names, input }));
}

/** A sound system on the control bus follows; another one with several sockets has to stay at the one that is plugged. */
function nothingToChoose(
  { job, stations }: Household,
  system: string,
  heard: readonly { readonly entry: CableEnd }[],
): readonly SheetLine[] {
  const name = deviceName(job, system);
  const [first] = heard;
  if ((stations.get(system)?.nature.logical ?? null) !== null)
    return [sheetLine("sentence", "sound follows", { says: "follows", system: name })];
  const sockets =
    findDevice(job, system)?.ports.filter(({ direction, connector }) => direction === "in" || connector === "bluetooth") ?? [];
  return first && sockets.length > 1
    ? [sheetLine("sentence", "sound stays", { says: "stays-at", system: name, input: inputName(job, first.entry) })]
    : [];
}

const choosesOn = (system: string, fact: SheetFact): boolean =>
  fact.says === "press" && fact.press.key === "input" && fact.press.device === system;
