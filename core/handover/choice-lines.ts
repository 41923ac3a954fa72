import { castOf, type Household } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import { hasReturn } from "@/core/device";
import { cableAt, findDevice, findPort, type CableEnd, type Job } from "@/core/job";
import { deviceName, socketLabel } from "@/core/text";
import { chooseFacts, entriesOfSound, hasChoice, type Entry } from "./hand-path";
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
  // Where a box cuts the control wire between them, it hears nothing of the player, or of the screen that sends its sound back.
  if (cable?.from.device === entry.device) return hasReturn(findPort(job, cable.to)) && onBus(cable.to.device)?.wire === system.wire;
  return findPort(job, entry)?.connector === "hdmi" && onBus(player)?.wire === system.wire;
}

/** What to choose on the sound system, for the players whose input it does not find by itself; how they are used tells it of some already. */
export function choiceLines(household: Household, players: readonly PlayerRows[], ways: readonly WayOfUse[]): readonly SheetLine[] {
  const { job } = household;
  const system = castOf(household).system?.nature.device;
  if (system === undefined) return [];
  const name = deviceName(job, system);
  const told = new Set(ways.filter(({ facts }) => facts.some((fact) => choosesOn(name, fact))).map(({ id }) => id));
  const heard = players.flatMap(({ device, rows }): Entry[] => {
    const row = rows.find(({ plays, system: from }) => plays && from === system);
    const entry = row && entryAt(row, system);
    return entry ? [{ device, entry }] : [];
  });
  const chosen = heard.filter(({ device, entry }) => !told.has(device) && hasChoice(job, system) && !followsTo(household, device, entry));
  if (heard.length > 0 && chosen.length === 0 && told.size === 0) return nothingToChoose(household, system, heard);
  return chooseFacts(job, system, chosen).map((fact) => sheetLine("sentence", `sound ${fact.input}`, fact));
}

/** A sound system that hears of the players follows them; another one with several sockets has to stay at the one that is plugged. */
function nothingToChoose(household: Household, system: string, heard: readonly Entry[]): readonly SheetLine[] {
  const { job } = household;
  const name = deviceName(job, system);
  const [first] = heard;
  if (heard.every(({ device, entry }) => followsTo(household, device, entry)))
    return [sheetLine("sentence", "sound follows", { says: "follows", system: name })];
  return first && socketsToChoose(job, system) > 1
    ? [sheetLine("sentence", "sound stays", { says: "stays-at", system: name, input: socketLabel(job, first.entry) })]
    : [];
}

/** The inputs of a sound system, plugged or not, the one that a screen's sound comes back to included. */
const socketsToChoose = (job: Job, system: string): number =>
  findDevice(job, system)?.ports.filter((port) => port.direction === "in" || port.connector === "bluetooth" || hasReturn(port)).length ?? 0;

const choosesOn = (system: string, fact: SheetFact): boolean =>
  fact.says === "press" && fact.press.key === "input" && fact.press.device === system;
