import type { Arrival } from "@/core/chain";
import { obeysVolumeKeys } from "@/core/device";
import { isBelow, ROOT } from "./address";
import { isPlayer, type Station } from "./station";

/** Where sound comes from at a moment: the sound system, the screen's own speakers, or nowhere. */
export type Sounding = "system" | "screen" | "nowhere";

/**
 * How the sound of a player can reach the sound system: by itself once that is on (through it, by eARC, by a side cable), only by a
 * return channel that both agreed on, by a cable of which the screen notices nothing, or not at all.
 */
export type SoundWay = "free" | "arc" | "unnoticed" | "none";

/** The sound way of every player to what the household listens to, from the sound engine's own rows; the best where it has several. With a screen,
 * only of what that screen shows. */
export function soundWaysOf(board: readonly Arrival[], screen?: string): ReadonlyMap<string, SoundWay> {
  const order: readonly SoundWay[] = ["free", "unnoticed", "arc", "none"];
  const ways = new Map<string, SoundWay>();
  for (const row of board) {
    if (screen !== undefined && row.screen !== screen) continue;
    const known = ways.get(row.player);
    const way = wayOf(row);
    if (known === undefined || order.indexOf(way) < order.indexOf(known)) ways.set(row.player, way);
  }
  return ways;
}

function wayOf({ arrives, hops, screen }: Arrival): SoundWay {
  if (!arrives) return "none";
  if (hops.some(({ link }) => link === "arc")) return "arc";
  const isBeside = hops.some(({ device, link }) => device !== screen && link !== null && link !== "hdmi" && link !== "earc");
  return isBeside ? "unnoticed" : "free";
}

/** The stations that an act is judged by. */
export interface Cast {
  readonly screen: Station | undefined;
  readonly system: Station | undefined;
  readonly stations: ReadonlyMap<string, Station>;
}

/**
 * Where the sound of what is shown comes from. A screen that found nobody for its sound plays it itself; one that counts the sound as
 * the sound system's is mute. Source: CEC 1.4 §13.15.2 (system audio mode mutes the screen), HDMI 2.1 §9.5 (eARC without CEC).
 */
export function soundingOf(ways: ReadonlyMap<string, SoundWay>, cast: Cast): Sounding {
  const sounding = meantToSound(ways, cast);
  // A screen without speakers never sounds, whatever it takes itself for.
  return sounding === "screen" && cast.screen?.nature.hasSpeakers === false ? "nowhere" : sounding;
}

function meantToSound(ways: ReadonlyMap<string, SoundWay>, cast: Cast): Sounding {
  const { screen, system } = cast;
  if (!screen || screen.power !== "on") return system?.power === "on" && system.systemAudio ? "system" : "nowhere";
  if (!system || system.nature.device === screen.nature.device) return "screen";
  const way = ways.get(shownDevice(cast) ?? screen.nature.device) ?? "none";
  const isOn = system.power === "on";
  if (isOn && (way === "free" || way === "unnoticed" || (way === "arc" && screen.arc && returnTaker(cast)?.arc === true))) return "system";
  return screen.systemAudio || (way === "unnoticed" && screen.nature.playsElsewhere) ? "nowhere" : "screen";
}

/** Who takes the return channel on the screen's wire: the sound system, or a box that answers in its place. */
export const returnTaker = ({ screen, system, stations }: Cast): Station | undefined =>
  system && system.nature.wire === screen?.nature.wire
    ? system
    : [...stations.values()].find(
        ({ nature }) => nature.kind === "audio" && nature.logical !== null && nature.wire === screen?.nature.wire,
      );

/**
 * The screen at the root of a device's address, where that is another than this one, whether or not a control wire leads there: each
 * screen numbers its own inputs, so an address says nothing at the other. Source: HDMI 1.4 §8.7 (every display is a root).
 */
export const otherScreenOver = (
  { screen, stations }: Pick<Cast, "screen" | "stations">,
  { nature: { wire, root } }: Station,
): Station | undefined =>
  wire === screen?.nature.wire || root === null || root === screen?.nature.device ? undefined : stations.get(root);

/** The device that the screen shows: the one that stands where it takes the source to be. */
export function shownDevice({ screen, stations }: Cast): string | undefined {
  const source = screen?.source ?? ROOT;
  if (source === ROOT) return screen?.nature.device;
  const players = [...stations.values()].filter(
    (station) => isPlayer(station.nature.kind) && !otherScreenOver({ screen, stations }, station),
  );
  const there = players.find(({ nature }) => nature.physical === source);
  // One that takes no part, or wakes nobody, claims nothing; it is shown when the screen turns to its input, or to that of the box before it.
  const isSilent = ({ logical, wakesOthers }: Station["nature"]) => logical === null || !wakesOthers;
  const mute = players.find(({ nature, power }) => isSilent(nature) && power === "on" && isBelow(nature.physical, source));
  return (there ?? mute)?.nature.device;
}

/** Whose volume the screen's remote moves; null: nobody's. */
export function volumeOwner(ways: ReadonlyMap<string, SoundWay>, cast: Cast): string | null {
  const { screen } = cast;
  if (!screen || screen.power !== "on") return null;
  if (!screen.systemAudio) {
    const sounding = soundingOf(ways, cast);
    if (sounding === "screen") return screen.nature.device;
    // A screen that keeps its keys to itself sends none by infrared either.
    return sounding === "system" && screen.nature.playsElsewhere ? screen.nature.infraredTo : null;
  }
  const taker = returnTaker(cast);
  return taker?.power === "on" && obeysVolumeKeys(taker.nature, screen.nature.maker) ? taker.nature.device : null;
}
