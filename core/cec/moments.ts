import { castOf, screenOfAct, type Played } from "./acts";
import { shownDevice, soundingOf, volumeOwner, type Sounding } from "./sound-of";
import type { Station } from "./station";
import type { Household } from "./stations";

/** How a room stands from a time of an act on. */
export interface Moment {
  readonly tMs: number;
  readonly stations: ReadonlyMap<string, Station>;
}

/** An act moment by moment: as it began, and after each time at which something changed. */
export function momentsOf({ start, trace }: Pick<Played, "start" | "trace">): readonly Moment[] {
  const moments: Moment[] = [{ tMs: 0, stations: start }];
  for (const { tMs, device, what, value } of [...trace.changes].sort((a, b) => a.tMs - b.tMs)) {
    const last = moments.at(-1);
    const station = last?.stations.get(device);
    if (!last || !station) continue;
    const stations = new Map(last.stations).set(device, { ...station, [what]: value });
    if (last.tMs === tMs && moments.length > 1) moments[moments.length - 1] = { tMs, stations };
    else moments.push({ tMs, stations });
  }
  return moments;
}

/** What a person sees and hears from a time on. */
export interface Sensed {
  readonly tMs: number;
  /** The device whose picture is shown; null: the screen is dark. */
  readonly shows: string | null;
  readonly sounding: Sounding;
  readonly soundsFrom: string | null;
  /** How loud that is; null: silent. */
  readonly volume: number | null;
  /** Whose volume the screen's remote moves. */
  readonly volumeOwner: string | null;
}

/** What is seen and heard along an act, told only where it changes. */
export function sensedOf(household: Household, played: Played): readonly Sensed[] {
  const wanted = screenOfAct(household, played.act);
  const all = momentsOf(played).map(({ tMs, stations }): Sensed => {
    const cast = castOf({ ...household, stations }, wanted);
    const sounding = soundingOf(household.soundWays, cast);
    const from = sounding === "system" ? cast.system : sounding === "screen" ? cast.screen : undefined;
    return {
      tMs,
      shows: cast.screen?.power === "on" ? (shownDevice(cast) ?? null) : null,
      sounding,
      soundsFrom: from?.nature.device ?? null,
      volume: from && !from.muted ? from.volume : null,
      volumeOwner: volumeOwner(household.soundWays, cast),
    };
  });
  return all.filter((one, index) => index === 0 || !isAlike(one, all[index - 1]));
}

const isAlike = (a: Sensed, b: Sensed | undefined): boolean =>
  b !== undefined && a.shows === b.shows && a.soundsFrom === b.soundsFrom && a.volume === b.volume && a.volumeOwner === b.volumeOwner;
