import { castOf, type Household } from "@/core/cec";
import { deviceName } from "@/core/text";
import { chooseFacts, entriesOfPicture, hasChoice, pressAt, type Entry } from "./hand-path";
import type { SheetFact, SheetLine } from "./sheet-facts";
import { sheetLine } from "./sheet-line";
import type { PlayerRows } from "./used-players";

/** How a player is watched on another screen of the room: that is switched on with its own key and, where there is a choice, turned to it. */
export function otherScreenLines(household: Household, players: readonly PlayerRows[]): readonly SheetLine[] {
  const main = castOf(household).screen?.nature.device;
  const shown = new Set(players.flatMap(({ rows }) => rows.flatMap(({ screen, picture }) => (picture && screen ? [screen] : []))));
  return [...shown].flatMap((screen) => (screen === main ? [] : linesOfScreen(household, screen, players)));
}

function linesOfScreen({ job }: Household, screen: string, players: readonly PlayerRows[]): readonly SheetLine[] {
  const entries = players.flatMap(({ device, rows }): Entry[] => {
    const row = device === screen ? undefined : rows.find((one) => one.screen === screen && one.picture !== null);
    const entry = row && entriesOfPicture(job, row).findLast((one) => one.device === screen);
    return entry ? [{ device, entry }] : [];
  });
  // What it shows of its own is a way of use like that of any player.
  if (entries.length === 0) return [];
  const steps: readonly SheetFact[] = [
    { says: "press", press: pressAt(job, screen, { key: "power" }) },
    ...(hasChoice(job, screen) ? chooseFacts(job, screen, entries) : []),
  ];
  return [
    sheetLine("head", `also ${screen}`, { says: "also-on", screen: deviceName(job, screen) }),
    ...steps.map((fact, index) => sheetLine("step", `also ${screen} ${index + 1}`, fact)),
  ];
}
