import { hasReturn, type Device } from "@/core/device";
import { loopThrough, type CableEnd } from "@/core/job";
import { boxSets, isWhole, missing, showsOn } from "./box-sets";
import { Leads, type OpenLeads } from "./leads";
import {
  firstPort,
  type BoxAtHand,
  hdmiOutputs,
  inputKinds,
  jobWith,
  likeOutputs,
  returnKinds,
  takenBy,
  type TakenSockets,
  type Wire,
  wiresBetween,
  type WiringSpace,
} from "../space";

/** How screens, boxes and the sound system are joined, before any player is plugged in. */
export interface Topology {
  readonly boxes: readonly BoxAtHand[];
  readonly wires: readonly Wire[];
  readonly hubs: readonly Device[];
}

/** The HDMI wires of topologies whose leads for sound are still open. */
export interface OpenTopology extends Topology, OpenLeads {
  /** Every topology with these wires and some of the leads, or none. */
  readonly completed: () => Iterable<Topology>;
}

/**
 * Every way to join screens, boxes and sound system that makes sense: each HDMI output into an input that it fits, the sound system's
 * into a return socket where the screen has one, at most one lead for sound from each of them, and no box that nothing goes through.
 */
export function* topologiesOf(space: WiringSpace, sets = boxSets(space)): Generator<Topology> {
  for (const open of openTopologiesOf(space, sets)) yield* open.completed();
}

/** The same by their HDMI wires, with the leads for sound still open. */
export function* openTopologiesOf(space: WiringSpace, sets = boxSets(space)): Generator<OpenTopology> {
  for (const boxes of sets) {
    const hubs = [...space.screens, ...(isScreen(space, space.system) ? [] : [space.system]), ...boxes.map(({ device }) => device)];
    const room = jobWith(space, hubs, []);
    const leads = new Leads(space, room, hubs);
    for (const joins of new OutputJoiner({ space, boxes, hubs, room }).all()) {
      const completed = function* (): Generator<Topology> {
        for (const wires of leads.with(joins)) {
          const topology = { boxes, wires, hubs };
          if (isWhole(space, topology)) yield topology;
        }
      };
      const open = { boxes, wires: joins, hubs, ...leads.beside(joins), completed };
      if (isWhole(space, open)) yield open;
    }
  }
}

const isScreen = ({ screens }: WiringSpace, device: Device): boolean => screens.some(({ id }) => id === device.id);

/** Hubs that stand in the room with nothing plugged. */
interface BareHubs {
  readonly space: WiringSpace;
  readonly boxes: readonly BoxAtHand[];
  readonly hubs: readonly Device[];
  readonly room: ReturnType<typeof jobWith>;
}

/** An HDMI output of a hub, with the hubs into which it may lead. */
interface Output {
  readonly device: Device;
  readonly end: CableEnd;
  /** The outputs of the same hub that are equal, where nothing is that would tell them apart; they are used in one order. */
  readonly alike: readonly string[];
  readonly targets: readonly Target[];
}

interface Target {
  readonly hub: Device;
  /** Its place among the hubs. */
  readonly place: number;
  /** The sockets in which a cable from the output's device is already. */
  readonly sits: readonly string[];
  /** The sockets with a return channel go first. */
  readonly wantsReturn: boolean;
}

/**
 * HDMI wires between hubs: each output in turn into an input of each kind that it may go to, or into nothing. Two wires from one device
 * into the same one bring nothing that one of them does not, and of equal outputs the order is listed once.
 */
class OutputJoiner {
  private readonly found: (readonly Wire[])[] = [];
  private readonly outputs: readonly Output[];
  private readonly places: ReadonlyMap<string, number>;

  constructor(private readonly standing: BareHubs) {
    this.places = new Map(standing.hubs.map(({ id }, place) => [id, place]));
    this.outputs = standing.hubs.flatMap((device) => {
      const targets = targetsOf(standing, device);
      const isExisting = standing.space.existing.some((cable) => cable.from.device === device.id);
      return hdmiOutputs(device).map(({ id }): Output => ({
        device,
        end: { device: device.id, port: id },
        alike: isExisting ? [] : likeOutputs(device, id),
        targets,
      }));
    });
  }

  all(): readonly (readonly Wire[])[] {
    this.join(0, []);
    return this.found;
  }

  private join(at: number, wires: readonly Wire[]): void {
    const output = this.outputs[at];
    if (!this.canStillBe(at, wires)) return;
    if (!output) {
      this.found.push(wires);
      return;
    }
    this.join(at + 1, wires);
    const { space, room } = this.standing;
    const taken = takenBy([...space.fixedCables, ...wires.map(({ cable }) => cable)]);
    for (const target of this.openTo(output, wires)) {
      const loops = comesTo(this.standing, wires, target.hub.id, output.device.id);
      for (const end of socketsIn(target, taken)) {
        if (loops && closesLoop(this.standing, wires, output.end, end)) continue;
        for (const wire of wiresBetween(space, room, output.end, end)) {
          const isUsed = wire.existing && wires.some(({ existing }) => existing?.id === wire.existing?.id);
          if (!isUsed) this.join(at + 1, [...wires, wire]);
        }
      }
    }
  }

  /** The hubs into which none of the same device leads yet; of equal outputs the first goes to the first of them. */
  private openTo({ device, alike, targets }: Output, wires: readonly Wire[]): readonly Target[] {
    const others = wires.filter(({ cable }) => cable.from.device === device.id);
    if (others.length === 0) return targets;
    // The first that is plugged gives the address; where the control wire goes on, that sets it apart.
    const equal = device.speaksCec ? others.slice(1) : others;
    const from = Math.max(0, ...equal.map(({ cable }) => (alike.includes(cable.from.port) ? (this.places.get(cable.to.device) ?? 0) : 0)));
    return targets.filter(({ hub, place }) => place >= from && !others.some(({ cable }) => cable.to.device === hub.id));
  }

  /** Whether what is asked of boxes and screens can still come of the outputs from one on. */
  private canStillBe(at: number, wires: readonly Wire[]): boolean {
    const { space, boxes } = this.standing;
    const done = this.outputs[at - 1]?.device;
    const box = done === this.outputs[at]?.device ? undefined : boxes.find(({ device }) => device === done);
    if (box && !showsOn(box.device, wires)) return false;
    if (boxes.length < 2) return true;
    return missing(space, boxes, wires) <= this.outputs.length - at;
  }
}

/** Whether signals that come into a device could come to another one, by the wires alone. */
function comesTo(standing: BareHubs, wires: readonly Wire[], from: string, to: string): boolean {
  const { fixedCables } = standing.space;
  const reached = new Set([from]);
  for (const device of reached) {
    if (device === to) return true;
    for (const { cable } of wires) if (cable.from.device === device) reached.add(cable.to.device);
    for (const cable of fixedCables) if (cable.from.device === device) reached.add(cable.to.device);
  }
  return false;
}

const closesLoop = ({ space, room }: BareHubs, wires: readonly Wire[], from: CableEnd, to: CableEnd): boolean =>
  loopThrough({ ...room, cables: [...space.fixedCables, ...wires.map(({ cable }) => cable)] }, from, to) !== null;

/** The hubs into which the HDMI outputs of one may lead: of a screen or player none. */
function targetsOf({ space, hubs }: BareHubs, from: Device): readonly Target[] {
  const isSystem = from.id === space.system.id;
  if (!isSystem && from.role !== "box") return [];
  return hubs.flatMap((hub, place): Target[] => {
    if (hub === from) return [];
    const sits = space.existing.flatMap(({ from: end, to }) => (end.device === from.id && to.device === hub.id ? [to.port] : []));
    // The return comes back from a return socket; a screen's others are left for players.
    return [
      {
        hub,
        place,
        sits,
        wantsReturn: isSystem || (isScreen(space, hub) && from.ports.some((port) => port.direction === "out" && hasReturn(port))),
      },
    ];
  });
}

/**
 * The free sockets of a hub that an output may go to, one of each kind: of equal ones that in which a cable from there is already. What
 * wants a return may also stay where it is.
 */
function socketsIn({ hub, sits, wantsReturn }: Target, taken: TakenSockets): readonly CableEnd[] {
  const sockets = wantsReturn ? returnKinds(hub, taken) : [];
  const plain = inputKinds(hub, taken).filter(({ ports }) => !sockets.some((kind) => kind.ports.some((port) => ports.includes(port))));
  const kinds = sockets.length ? [...sockets, ...plain.filter(({ ports }) => ports.some((port) => sits.includes(port)))] : plain;
  return kinds.map((kind) => ({ device: kind.device, port: kind.ports.find((port) => sits.includes(port)) ?? firstPort(kind) }));
}
