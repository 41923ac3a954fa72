import type { Device } from "@/core/device";
import type { Job } from "@/core/job";
import {
  firstPort,
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

/** One way to plug in a player on a topology. Null for kind and wire: it stays unplugged. */
export interface Plug {
  readonly player: string;
  readonly kind: SocketKind | null;
  readonly wire: Wire | null;
  readonly reach: Reach | null;
  /** Upper bound of its points, for any settings. */
  readonly most: number;
}

/** The plugs of each player into a kind of socket, with the greatest upper bound of each; none: -Infinity. */
interface IntoKind {
  readonly plugs: readonly (readonly Plug[])[];
  readonly most: readonly number[];
}

/** Memo of plugs into kinds of sockets, by everything they depend on: they recur on most topologies. */
export type PlugMemo = Map<string, IntoKind>;

/** Every way to plug the players into a topology. */
export class Plugs {
  private laid: readonly (readonly Plug[])[] | undefined;

  constructor(
    private readonly unplugged: readonly Plug[],
    private readonly kinds: readonly IntoKind[],
    /** Upper bound of the hubs' own sources. */
    readonly ownMost: number,
    /** Some socket or some source of the hubs has a path of sound to the sound system. */
    readonly sounds: boolean,
  ) {}

  /** One table per player, built on first use. */
  get tables(): readonly (readonly Plug[])[] {
    this.laid ??= this.unplugged.map((plug, player) => {
      const table = [plug];
      for (const { plugs } of this.kinds) table.push(...(plugs[player] ?? []));
      return table;
    });
    return this.laid;
  }

  /** One plug into each kind of socket that some player can be in. */
  get ofEachKind(): readonly Plug[] {
    return this.kinds.flatMap(({ plugs }) => plugs.find((own) => own.length > 0)?.slice(0, 1) ?? []);
  }

  /** Relaxation: upper bound of what the players bring if every socket had room for all of them. */
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
      const reached = reach({ device: hub.id, port: firstPort(kind) });
      const key = `${hub.id} ${kind.ports.join()} ${String(reached.sounds)} ${String(reached.byLeadAlone)} ${[...reached.screens].join()} ${[...reached.leads].join()}`;
      const known = plugs.get(key) ?? plugsInto(context, (room ??= jobWith(space, topology.hubs, [], space.players)), hub, kind, reached);
      plugs.set(key, known);
      kinds.push(known);
      sounds ||= reached.sounds;
    }
  return new Plugs(unpluggedOf(context), kinds, most.ofOwn(topology.hubs, reach), sounds);
}

/** The plugs of unplugged players are the same for a whole search. */
const alone = new WeakMap<UpperBounds, readonly Plug[]>();

function unpluggedOf({ space, most }: PlanContext): readonly Plug[] {
  const known =
    alone.get(most) ?? space.players.map(({ id }) => ({ player: id, kind: null, wire: null, reach: null, most: most.ofPlayer(id, null) }));
  alone.set(most, known);
  return known;
}

/** The ways to plug each player into a kind of socket with some reach; none where it has no HDMI or a bond forbids it. */
function plugsInto({ space, most }: PlanContext, room: Job, hub: Device, kind: SocketKind, reach: Reach): IntoKind {
  const plugs = space.players.map((player) => {
    const plug = hdmiOut(player);
    if (!plug || hasBond(space, player.id, hub, kind)) return [];
    const sits = space.existing.find(({ from, to }) => from.device === player.id && to.device === hub.id)?.to.port;
    const port = kind.ports.find((id) => id === sits) ?? firstPort(kind);
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
