import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import {
  hasBond,
  hasOwnLead,
  hdmiOut,
  inputKinds,
  jobWith,
  type Reach,
  reachOf,
  type SocketKind,
  takenBy,
  type Wire,
  wiresBetween,
} from "../space";
import type { Topology } from "../topology";
import type { PlanContext } from "./configurations";
import type { UpperBounds } from "../bounds";

/** One way to plug in a player on a topology, before anything is worked out of it. Null for kind and wire: it stays unplugged. */
export interface Plug {
  readonly player: string;
  readonly kind: SocketKind | null;
  readonly wire: Wire | null;
  readonly reach: Reach | null;
  /** It brings no more points than this, whatever the settings. */
  readonly most: number;
}

/** The plugs of each player into a kind of socket, with the most that one of each can bring; none: -Infinity. */
interface IntoKind {
  readonly plugs: readonly (readonly Plug[])[];
  readonly most: readonly number[];
}

/** Plugs into kinds of sockets, by all that they depend on: they come up again on most topologies. */
export type PlugMemo = Map<string, IntoKind>;

/** A topology with every way to plug its players in, and the most that all of it can bring. */
export class Plugs {
  private laid: readonly (readonly Plug[])[] | undefined;

  constructor(
    private readonly unplugged: readonly Plug[],
    private readonly kinds: readonly IntoKind[],
    /** What the hubs play themselves brings at most so much. */
    readonly ownMost: number,
    /** Sound comes to the sound system from somewhere, a socket for a player or a source of the hubs themselves. */
    readonly sounds: boolean,
  ) {}

  /** A table for each player in turn, laid out when it is first asked for. */
  get tables(): readonly (readonly Plug[])[] {
    this.laid ??= this.unplugged.map((plug, player) => {
      const table = [plug];
      for (const { plugs } of this.kinds) table.push(...(plugs[player] ?? []));
      return table;
    });
    return this.laid;
  }

  /** At most so much the players bring, as if there were room for all of them in every socket. */
  get roughly(): number {
    return this.unplugged.reduce(
      (sum, { most }, player) => sum + this.kinds.reduce((top, kind) => Math.max(top, kind.most[player] ?? top), most),
      0,
    );
  }
}

export function plugsOf(context: PlanContext, topology: Topology): Plugs {
  const { space, most, plugs } = context;
  const taken = takenBy([...space.fixedCables, ...topology.wires.map(({ cable }) => cable)]);
  const reach = reachOf(space, topology);
  let room: Job | undefined;
  const kinds: IntoKind[] = [];
  let sounds = [...topology.hubs, ...space.fixedDevices].some(({ id, sources }) =>
    sources.some((source) => reach({ device: id, port: source.id }).sounds),
  );
  sounds ||= space.players.some(({ id }) => hasOwnLead(space, id));
  for (const hub of topology.hubs)
    for (const kind of inputKinds(hub, taken)) {
      const reached = reach({ device: hub.id, port: kind.ports[0] ?? "" });
      const key = `${hub.id} ${kind.ports.join()} ${String(reached.sounds)} ${[...reached.screens].join()} ${[...reached.leads].join()}`;
      const known = plugs.get(key) ?? plugsInto(context, (room ??= jobWith(space, topology.hubs, [], space.players)), hub, kind, reached);
      plugs.set(key, known);
      kinds.push(known);
      sounds ||= reached.sounds;
    }
  return new Plugs(unpluggedOf(context), kinds, most.ofOwn(topology.hubs, reach), sounds);
}

/** A context stays the same in a search, and so does what it gives to players that have no socket. */
const alone = new WeakMap<UpperBounds, readonly Plug[]>();

function unpluggedOf({ space, most }: PlanContext): readonly Plug[] {
  const known =
    alone.get(most) ?? space.players.map(({ id }) => ({ player: id, kind: null, wire: null, reach: null, most: most.ofPlayer(id, null) }));
  alone.set(most, known);
  return known;
}

/** The ways to plug each player into a kind of socket from where something is reached; none where it has no HDMI or may not sit there. */
function plugsInto({ space, most }: PlanContext, room: Job, hub: Device, kind: SocketKind, reach: Reach): IntoKind {
  const plugs = space.players.map((player) => {
    const plug = hdmiOut(player);
    if (!plug || hasBond(space, player.id, hub, kind)) return [];
    const sits = space.existing.find(({ from, to }) => from.device === player.id && to.device === hub.id)?.to.port;
    const port = kind.ports.find((id) => id === sits) ?? kind.ports[0] ?? "";
    return wiresBetween(space, room, { device: player.id, port: plug.id }, { device: hub.id, port }).map((wire): Plug => ({
      player: player.id,
      kind,
      wire,
      reach,
      most: most.ofPlayer(player.id, { reach, wire }),
    }));
  });
  return { plugs, most: plugs.map((own) => Math.max(-Infinity, ...own.map((plug) => plug.most))) };
}
