import type { SettingState } from "@/core/device";
import { findDevice, type Job } from "@/core/job";
import type { Arrival } from "./arrival";
import { pictureWays } from "./picture-way";
import { makeRig, type Rig } from "./rig";

/** What another player does while a row plays: it waits at a hub whose one way is taken, or it goes on elsewhere. */
export type Meanwhile =
  | { readonly does: "waits"; readonly player: string; readonly at: string }
  | { readonly does: "goes-on"; readonly player: string; readonly at: string }
  /** Its picture can show there, while its sound waits. */
  | { readonly does: "shows"; readonly player: string; readonly at: string };

/** A way through a device that carries one input at a time. */
interface Taken {
  readonly device: string;
  readonly from: string;
  readonly to: string;
}

/**
 * What every other player does while one row plays. Each socket, display and set of speakers carries one input at a time, so a player
 * whose own way needs one of those from another input waits there; a matrix or a second screen may let it go on.
 */
export function whileItPlays(job: Job, board: readonly Arrival[], row: Arrival, state: SettingState = "planned"): readonly Meanwhile[] {
  const rig = makeRig(job, state);
  const taken = new Map([...soundWay(row), ...pictureWayOf(rig, row)].map((step) => [`${step.device} ${step.to}`, step.from]));
  const stopOn = (way: readonly Taken[]): string | null =>
    way.find(({ device, from, to }) => {
      const now = taken.get(`${device} ${to}`);
      return now !== undefined && now !== from;
    })?.device ?? null;
  const stopOf = (other: Arrival): string | null => stopOn([...soundWay(other), ...pictureWayOf(rig, other)]);
  const players = [...new Set(board.map(({ player }) => player))].filter((player) => player !== row.player);
  return players.flatMap((player): Meanwhile[] => {
    const rows = board.filter((other) => other.player === player && (other.screen !== null || other.arrives !== null));
    const free = rows.find((other) => stopOf(other) === null);
    if (free) return [{ does: "goes-on", player, at: free.screen ?? free.system ?? player }];
    const shown = rows.find((other) => other.screen !== null && stopOn(pictureWayOf(rig, other)) === null);
    if (shown?.screen) return [{ does: "shows", player, at: shown.screen }];
    const [first] = rows;
    const at = first && stopOf(first);
    return at ? [{ does: "waits", player, at }] : [];
  });
}

function soundWay({ hops, source, arrives }: Arrival): readonly Taken[] {
  if (!arrives) return [];
  let from = source;
  return hops.flatMap(({ device, port, cable }): Taken[] => {
    if (cable === null) return [{ device, from, to: port }];
    from = port;
    return [];
  });
}

function pictureWayOf(rig: Rig, { player, source, screen }: Arrival): readonly Taken[] {
  const device = screen === null ? undefined : findDevice(rig.job, player);
  const way = device && pictureWays(rig, device, source).find((one) => one.screen.id === screen);
  if (!way || !screen) return [];
  if (way.cables.length === 0) return [{ device: player, from: source, to: "display" }];
  return way.cables.map((cable, index) => ({
    device: cable.to.device,
    from: cable.to.port,
    to: way.cables[index + 1]?.from.port ?? "display",
  }));
}
