import type { Device } from "@/core/device";
import type { SocketKind } from "./sockets";
import type { Bond, WiringSpace } from "./space";

/** Whether what a person pinned or forbade keeps a player out of a kind of socket. */
export function hasBond({ bonds }: WiringSpace, player: string, hub: Device, kind: SocketKind): boolean {
  return bonds.some((bond) => {
    switch (bond.bond) {
      case "pin":
        return bond.player === player && (bond.hub !== hub.id || (bond.port !== null && !kind.ports.includes(bond.port)));
      case "forbid-place":
        return bond.player === player && bond.hub === hub.id;
      default:
        return false;
    }
  });
}

/** The socket that a player is pinned to, if any. */
export const pinnedPort = ({ bonds }: WiringSpace, player: string): string | null =>
  bonds.flatMap((bond: Bond) => (bond.bond === "pin" && bond.player === player && bond.port ? [bond.port] : []))[0] ?? null;
