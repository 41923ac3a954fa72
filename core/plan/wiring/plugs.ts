import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
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

/** Plugs of each player into kinds of sockets, by all that they hang on: they come up again on most backbones. */
export type PlugsKnown = Map<string, readonly (readonly Plug[])[]>;

export function plugsOf(measure: Measure, backbone: Backbone): Plugs {
  const { space, most } = measure;
  const taken = takenBy([...space.fixedCables, ...backbone.wires.map(({ cable }) => cable)]);
  const reach = reachOf(space, backbone);
  let room: Job | undefined;
  const byKind = backbone.hubs.flatMap((hub) =>
    inputKinds(hub, taken).map((kind) => {
      const reached = reach({ device: hub.id, port: kind.ports[0] ?? "" });
      const key = `${hub.id} ${kind.ports.join()} ${String(reached.sounds)} ${[...reached.screens].join()} ${[...reached.leads].join()}`;
      const known =
        measure.plugs.get(key) ?? plugsInto(measure, (room ??= jobWith(space, backbone.hubs, [], space.players)), hub, kind, reached);
      measure.plugs.set(key, known);
      return { known, reached };
    }),
  );
  const tables = space.players.map(({ id }, index): readonly Plug[] => {
    const plugs: Plug[] = [{ player: id, kind: null, wire: null, reach: null, most: most.ofPlayer(id, null) }];
    for (const { known } of byKind) plugs.push(...(known[index] ?? []));
    return plugs;
  });
  const sources = [...backbone.hubs, ...space.fixedDevices].flatMap(({ id, sources: own }) =>
    own.map((source) => ({ device: id, port: source.id })),
  );
  const sounds = byKind.some(({ reached }) => reached.sounds) || sources.some((source) => reach(source).sounds);
  return { tables, ownMost: most.ofOwn(backbone.hubs, reach), sounds };
}

/** The ways to plug each player into a kind of socket from where something is reached; none where it has no HDMI or may not sit there. */
function plugsInto({ space, most }: Measure, room: Job, hub: Device, kind: SocketKind, reach: Reach): readonly (readonly Plug[])[] {
  return space.players.map((player) => {
    const plug = hdmiOut(player);
    if (!plug || hasBond(space, player.id, hub, kind)) return [];
    const sits = space.lying.find(({ from, to }) => from.device === player.id && to.device === hub.id)?.to.port;
    const port = kind.ports.find((id) => id === sits) ?? kind.ports[0] ?? "";
    return wiresBetween(space, room, { device: player.id, port: plug.id }, { device: hub.id, port }).map((wire): Plug => ({
      player: player.id,
      kind,
      wire,
      reach,
      most: most.ofPlayer(player.id, { reach, wire }),
    }));
  });
}
