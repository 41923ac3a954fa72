import { hasBond } from "./bonds";
import type { Backbone } from "./backbones";
import type { Measure } from "./grounds";
import { reachOf, type Reach } from "./reach";
import { jobWith } from "./room-of";
import { inputKinds, takenBy, type SocketKind } from "./sockets";
import { hdmiOut } from "./space";
import { wiresBetween, type Wire } from "./wires";

/** One way to plug in a player on a backbone, before anything is worked out of it. Null for kind and wire: it stays unplugged. */
export interface Plug {
  readonly player: string;
  readonly kind: SocketKind | null;
  readonly wire: Wire | null;
  readonly reach: Reach | null;
  /** It brings no more points than this, whatever the settings. */
  readonly most: number;
}

/** A backbone with every way to plug its players in, a table for each player in turn, and the most that all of it can bring. */
export interface Plugs {
  readonly tables: readonly (readonly Plug[])[];
  /** What the hubs play themselves brings at most so much. */
  readonly ownMost: number;
  /** Sound comes to the sound system from somewhere, a socket for a player or a source of the hubs themselves. */
  readonly sounds: boolean;
}

export function plugsOf({ space, most }: Measure, backbone: Backbone): Plugs {
  const taken = takenBy([...space.fixedCables, ...backbone.wires.map(({ cable }) => cable)]);
  const reach = reachOf(space, backbone);
  const kinds = backbone.hubs.flatMap((hub) =>
    inputKinds(hub, taken).map((kind) => ({ hub, kind, reach: reach({ device: hub.id, port: kind.ports[0] ?? "" }) })),
  );
  const room = jobWith(space, backbone.hubs, [], space.players);
  const tables = space.players.map((player): readonly Plug[] => {
    const plug = hdmiOut(player);
    const unplugged: Plug = { player: player.id, kind: null, wire: null, reach: null, most: most.ofPlayer(player.id, null) };
    if (!plug) return [unplugged];
    const sits = (hub: string) => space.lying.find(({ from, to }) => from.device === player.id && to.device === hub)?.to.port;
    return [
      unplugged,
      ...kinds.flatMap(({ hub, kind, reach: reached }) => {
        if (hasBond(space, player.id, hub, kind)) return [];
        const port = kind.ports.find((id) => id === sits(hub.id)) ?? kind.ports[0] ?? "";
        return wiresBetween(space, room, { device: player.id, port: plug.id }, { device: hub.id, port }).map((wire): Plug => ({
          player: player.id,
          kind,
          wire,
          reach: reached,
          most: most.ofPlayer(player.id, { reach: reached, wire }),
        }));
      }),
    ];
  });
  const sources = [...backbone.hubs, ...space.fixedDevices].flatMap(({ id, sources: own }) =>
    own.map((source) => ({ device: id, port: source.id })),
  );
  const sounds = kinds.some((kind) => kind.reach.sounds) || sources.some((source) => reach(source).sounds);
  return { tables, ownMost: most.ofOwn(backbone.hubs, reach), sounds };
}
