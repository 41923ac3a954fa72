import { castOf, type Household } from "@/core/cec";
import { deviceName, socketLabel } from "@/core/text";
import { entriesOfPicture, hasChoice, pressAt } from "./hand-path";
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
  const entries = new Map<string, readonly string[]>();
  for (const { device, rows } of players) {
    const row = device === screen ? undefined : rows.find((one) => one.screen === screen && one.picture !== null);
    const end = row && entriesOfPicture(job, row).findLast((one) => one.device === screen);
    if (!end) continue;
    const input = socketLabel(job, end);
    entries.set(input, [...(entries.get(input) ?? []), deviceName(job, device)]);
  }
  // What it shows of its own is a way of use like that of any player.
  if (entries.size === 0) return [];
  const name = deviceName(job, screen);
  const steps: readonly SheetFact[] = [
    { says: "press", press: pressAt(job, screen, { key: "power" }) },
    ...(hasChoice(job, screen)
      ? [...entries].map(([input, names]): SheetFact => ({ says: "choose", on: name, players: names, input }))
      : []),
  ];
  return [
    sheetLine("head", `also ${screen}`, { says: "also-on", screen: name }),
    ...steps.map((fact, index) => sheetLine("step", `also ${screen} ${index + 1}`, fact)),
  ];
}
