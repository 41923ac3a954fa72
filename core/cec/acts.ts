import { chosenSoundSystem, findDevice, type Job } from "@/core/job";
import { inputTowards, ROOT, type PhysicalAddress } from "./address";
import { simulate, type Pressed, type Trace } from "./simulate";
import { otherScreenOver, type Cast } from "./sound-of";
import { isPlayer, type Station } from "./station";
import type { Household } from "./stations";

/** Something the household does every day, as the name that the command line takes, and what they wish of it. */
export type Act =
  | { readonly act: "screen-on" }
  | { readonly act: "screen-off" }
  /** Another screen of the room, with its own remote. */
  | { readonly act: "other-screen-on"; readonly device: string }
  | { readonly act: "wake"; readonly device: string }
  | { readonly act: "put-away"; readonly device: string }
  | { readonly act: "choose-input"; readonly port: string }
  | { readonly act: "louder" }
  | { readonly act: "mute" }
  | { readonly act: "news" }
  | { readonly act: "music" }
  | { readonly act: "night-update"; readonly device: string }
  | { readonly act: "wrong-remote" };

/** An act with the state it begins in and the keys that are pressed. */
export interface Played {
  readonly act: Act;
  readonly start: ReadonlyMap<string, Station>;
  readonly pressed: readonly Pressed[];
  readonly trace: Trace;
}

/** What a person does because they want it; the rest happens to them, and no remote is programmed for it. */
export const isOnPurpose = ({ act }: Act): boolean => act !== "night-update" && act !== "wrong-remote" && act !== "put-away";

/** The name of an act on the command line and over HTTP. */
export function eventOf(act: Act): string {
  switch (act.act) {
    case "screen-on":
      return "tv-remote-power-on";
    case "screen-off":
      return "tv-remote-standby";
    case "louder":
      return "tv-remote-volume-up";
    case "mute":
      return "tv-remote-mute";
    case "choose-input":
      return `tv-input:${act.port}`;
    case "wake":
      return `wake:${act.device}`;
    case "other-screen-on":
      return `screen-on:${act.device}`;
    case "put-away":
      return `standby:${act.device}`;
    case "night-update":
      return `night-update:${act.device}`;
    default:
      return act.act;
  }
}

/** Screen and sound system of a room as the bus knows them: the screen with most on its wire, or the one wanted, and the sound system of the brief. */
export function castOf(
  { job, stations, mainScreen }: Pick<Household, "job" | "mainScreen"> & { readonly stations: ReadonlyMap<string, Station> },
  wanted: string | null = mainScreen,
): Cast {
  const screens = [...stations.values()].filter(({ nature }) => nature.kind === "tv");
  const screen = screens.find(({ nature }) => nature.device === wanted) ?? fullestWire(screens, stations);
  const chosen = chosenSoundSystem(job)?.id;
  const system = chosen ? stations.get(chosen) : undefined;
  return { screen, system: system?.nature.kind === "audio" ? system : undefined, stations };
}

/** The first screen of those with most stations on their wire. */
function fullestWire(screens: readonly Station[], stations: ReadonlyMap<string, Station>): Station | undefined {
  if (screens.length < 2) return screens[0];
  const counts = new Map<number, number>();
  for (const { nature } of stations.values()) counts.set(nature.wire, (counts.get(nature.wire) ?? 0) + 1);
  const below = ({ nature }: Station) => counts.get(nature.wire) ?? 0;
  return screens.reduce((best, one) => (below(one) > below(best) ? one : best));
}

/** The screen by which an act is judged: the one that it is about, the one over the player that it wakes, else the main one. */
export function screenOfAct(household: Household, act: Act): string | null {
  if (act.act === "other-screen-on") return act.device;
  const player = act.act === "wake" ? household.stations.get(act.device) : undefined;
  const other = player && otherScreenOver(castOf(household), player);
  return other?.nature.device ?? household.mainScreen;
}

/** A screen with apps or a tuner that this household watches sounds by itself; another one waits for a player. */
export const hasOwnContents = (job: Job, screen: Station | undefined): boolean =>
  screen !== undefined && (findDevice(job, screen.nature.device)?.sources.some(({ contents }) => contents.length > 0) ?? false);

const playersOf = (household: Household): readonly Station[] =>
  [...household.stations.values()].filter(({ nature }) => isPlayer(nature.kind));

/** Every act that this room knows. */
export function actsOf(household: Household): readonly Act[] {
  const { screen, system } = castOf(household);
  if (!screen) return system ? [{ act: "music" }] : [];
  const players = playersOf(household);
  return [
    { act: "screen-on" },
    ...[...household.stations.values()].flatMap(({ nature }): Act[] =>
      nature.kind === "tv" && nature.device !== screen.nature.device ? [{ act: "other-screen-on", device: nature.device }] : [],
    ),
    ...players.map(({ nature }): Act => ({ act: "wake", device: nature.device })),
    ...portsTowards(household, screen).map((port): Act => ({ act: "choose-input", port })),
    // Where nothing that the bus knows of is watched, nothing is louder by the screen's remote.
    ...(players.length > 0 || hasOwnContents(household.job, screen) ? ([{ act: "louder" }, { act: "mute" }] as const) : []),
    ...(hasOwnContents(household.job, screen) ? [{ act: "news" } as const] : []),
    ...(system ? [{ act: "music" } as const] : []),
    { act: "screen-off" },
    ...players.map(({ nature }): Act => ({ act: "put-away", device: nature.device })),
    ...players.flatMap(({ nature }): Act[] =>
      nature.quirks.has("wakes-by-itself") ? [{ act: "night-update", device: nature.device }] : [],
    ),
    ...(system && !system.nature.leftOn ? [{ act: "wrong-remote" } as const] : []),
  ];
}

/** The act of an event name; undefined where this room knows none by it. */
export const actOfEvent = (household: Household, event: string): Act | undefined => actsOf(household).find((act) => eventOf(act) === event);

/** Inputs of the screen through which a player is reached. */
const portsTowards = (household: Household, screen: Station): readonly string[] =>
  (nodeOf(household, screen)?.inputs ?? []).filter((port) => playerAt(household, screen, port));

/** The player at an input of a screen. */
export function playerAt(household: Household, screen: Station | undefined, port: string): Station | undefined {
  const input = (screen && nodeOf(household, screen)?.inputs.indexOf(port)) ?? -1;
  const address = screen?.nature.inputs[input];
  return [...household.stations.values()].find(({ nature }) => isPlayer(nature.kind) && nature.physical === address);
}

const nodeOf = ({ network }: Household, { nature }: Station) => network.nodes.find(({ device }) => device === nature.device);

/** Plays an act from the state that it begins in. Null where the room has nobody for it. */
export function play(household: Household, act: Act, seed = 1): Played | null {
  const { screen, system } = castOf(household);
  const watching = () => watchingOf(household, seed);
  const run = (start: ReadonlyMap<string, Station>, device: string | undefined, key: Pressed["key"]): Played | null => {
    if (!device || !start.has(device)) return null;
    const pressed = [{ atMs: 0, device, key }];
    return { act, start, pressed, trace: simulate(start, pressed, seed) };
  };
  switch (act.act) {
    case "screen-on":
    case "news":
      return run(household.stations, screen?.nature.device, { press: "power-on" });
    case "screen-off":
      return run(watching(), screen?.nature.device, { press: "power-off" });
    case "louder":
      return run(watching(), screen?.nature.device, { press: "volume-up" });
    case "mute":
      return run(watching(), screen?.nature.device, { press: "mute" });
    case "choose-input": {
      const node = household.network.nodes.find(({ device }) => device === screen?.nature.device);
      const input = node ? node.inputs.indexOf(act.port) + 1 : 0;
      return input ? run(screenOnOf(household, seed), screen?.nature.device, { press: "input", input }) : null;
    }
    case "other-screen-on":
    case "wake":
    case "night-update":
      return run(household.stations, act.device, { press: "power-on" });
    case "put-away":
      return run(watchingOf(household, seed, act.device), act.device, { press: "power-off" });
    case "music":
      return run(household.stations, system?.nature.device, { press: "power-on" });
    case "wrong-remote":
      return run(watching(), system?.nature.device, { press: "power-off" });
  }
}

/** Rooms do not change, so how one stands while something is watched is worked out once. */
const remembered = new WeakMap<Household, Map<string, ReadonlyMap<string, Station>>>();

function remember(household: Household, key: string, stations: () => ReadonlyMap<string, Station>): ReadonlyMap<string, Station> {
  const known = remembered.get(household) ?? new Map<string, ReadonlyMap<string, Station>>();
  remembered.set(household, known);
  const found = known.get(key) ?? stations();
  known.set(key, found);
  return found;
}

/** The room after the screen was switched on with its remote. */
const screenOnOf = (household: Household, seed: number): ReadonlyMap<string, Station> =>
  remember(household, `on ${seed}`, () => switchOn(household, seed));

function switchOn(household: Household, seed: number): ReadonlyMap<string, Station> {
  const { screen } = castOf(household);
  return screen
    ? simulate(household.stations, [{ atMs: 0, device: screen.nature.device, key: { press: "power-on" } }], seed).end
    : household.stations;
}

/** The room while a player is watched, whatever a person had to press for it: screen, player, sound system, input. */
export const watchingOf = (household: Household, seed: number, device?: string): ReadonlyMap<string, Station> =>
  remember(household, `watching ${seed} ${device ?? ""}`, () => watch(household, seed, device));

function watch(household: Household, seed: number, device?: string): ReadonlyMap<string, Station> {
  const { screen, system } = castOf(household);
  const player = device ? household.stations.get(device) : playersOf(household)[0];
  if (!screen) return household.stations;
  let now = screenOnOf(household, seed);
  const press = (who: string | undefined, key: Pressed["key"]) => {
    if (who) now = simulate(now, [{ atMs: 0, device: who, key }], seed).end;
  };
  if (system && now.get(system.nature.device)?.power !== "on") press(system.nature.device, { press: "power-on" });
  if (player && now.get(player.nature.device)?.power !== "on") press(player.nature.device, { press: "power-on" });
  const isElsewhere = player !== undefined && otherScreenOver(castOf(household), player) !== undefined;
  const address: PhysicalAddress = player && !isElsewhere ? player.nature.physical : ROOT;
  if (now.get(screen.nature.device)?.source !== address) {
    // What is behind a receiver or box is at the input of that.
    const input = inputTowards(ROOT, address);
    if (input) press(screen.nature.device, { press: "input", input });
  }
  return now;
}
