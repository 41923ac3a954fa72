import type { Device, Port } from "@/core/device";
import { loopThrough, type CableEnd } from "@/core/job";
import { boxSets, isWhole, reachesScreens, showsOn } from "./box-sets";
import { withLeads } from "./leads";
import { jobWith } from "./room-of";
import { hdmiOutputs, inputKinds, likeOutputs, returnKinds, takenBy, type TakenSockets } from "./sockets";
import type { BoxAtHand, WiringSpace } from "./space";
import { wiresBetween, type Wire } from "./wires";

/** How screens, boxes and the sound system are joined, before any player is plugged in. */
export interface Backbone {
  readonly boxes: readonly BoxAtHand[];
  readonly wires: readonly Wire[];
  readonly hubs: readonly Device[];
}

/**
 * Every way to join screens, boxes and sound system that makes sense: each HDMI output into an input that it fits, the sound system's
 * into a return socket where the screen has one, at most one lead for the sound, and no box that nothing goes through.
 */
export function* backbonesOf(space: WiringSpace, sets = boxSets(space)): Generator<Backbone> {
  for (const boxes of sets) {
    const hubs = [...space.screens, ...(isScreen(space, space.system) ? [] : [space.system]), ...boxes.map(({ device }) => device)];
    const room = jobWith(space, hubs, []);
    for (const joins of new Joining({ space, boxes, hubs, room }).all()) {
      if (!reachesScreens(space, boxes, joins)) continue;
      for (const wires of withLeads(space, room, hubs, joins)) if (isWhole(space, hubs, boxes, wires)) yield { boxes, wires, hubs };
    }
  }
}

const isScreen = ({ screens }: WiringSpace, device: Device): boolean => screens.some(({ id }) => id === device.id);

/** Hubs that stand in the room with nothing plugged. */
interface Standing {
  readonly space: WiringSpace;
  readonly boxes: readonly BoxAtHand[];
  readonly hubs: readonly Device[];
  readonly room: ReturnType<typeof jobWith>;
}

/**
 * HDMI wires between hubs: each output in turn into an input of each kind that it may go to, or into nothing. Two wires from one device
 * into the same one bring nothing that one of them does not, and of equal outputs the order is told once.
 */
class Joining {
  private readonly found: (readonly Wire[])[] = [];
  private readonly outputs: readonly CableEnd[];

  constructor(private readonly standing: Standing) {
    this.outputs = standing.hubs.flatMap((device) => hdmiOutputs(device).map((port) => ({ device: device.id, port: port.id })));
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
    const { space, hubs, room } = this.standing;
    const from = hubs.find(({ id }) => id === output.device);
    if (!from) return;
    const taken = takenBy([...space.fixedCables, ...wires.map(({ cable }) => cable)]);
    for (const [place, hub] of hubs.entries()) {
      if (hub === from || wires.some(({ cable }) => cable.from.device === from.id && cable.to.device === hub.id)) continue;
      if (!isInOrder(this.standing, from, output, place, wires)) continue;
      for (const end of targetsIn(space, taken, from, hub)) {
        if (closesLoop(this.standing, wires, output, end)) continue;
        for (const wire of wiresBetween(space, room, output, end)) {
          const isUsed = wire.lying && wires.some(({ lying }) => lying?.id === wire.lying?.id);
          if (!isUsed) this.join(at + 1, [...wires, wire]);
        }
      }
    }
  }

  /** Whether what is asked of boxes and screens can still come of the outputs from one on. */
  private canStillBe(at: number, wires: readonly Wire[]): boolean {
    const { space, boxes } = this.standing;
    const done = this.outputs[at - 1]?.device;
    const box = done === this.outputs[at]?.device ? undefined : boxes.find(({ device }) => device.id === done);
    if (box && !showsOn(box.device, wires)) return false;
    if (boxes.length < 2) return true;
    const dark = space.screens.filter(({ id }) => !wires.some(({ cable }) => cable.to.device === id)).length;
    return dark <= this.outputs.length - at;
  }
}

/** Equal outputs of a new box go to the hubs in their order; of a box that lies there each keeps its own cable. */
function isInOrder({ space, hubs }: Standing, from: Device, output: CableEnd, place: number, wires: readonly Wire[]): boolean {
  if (space.lying.some((cable) => cable.from.device === from.id)) return true;
  const others = wires.filter(({ cable }) => cable.from.device === from.id);
  if (others.length === 0) return true;
  const alike = likeOutputs(from, output.port);
  return others.every(({ cable }) => !alike.includes(cable.from.port) || hubs.findIndex(({ id }) => id === cable.to.device) <= place);
}

/** A wire closes a loop only where one leads out of where it goes already. */
const closesLoop = ({ space, room }: Standing, wires: readonly Wire[], from: CableEnd, to: CableEnd): boolean =>
  wires.some(({ cable }) => cable.from.device === to.device) &&
  loopThrough({ ...room, cables: [...space.fixedCables, ...wires.map(({ cable }) => cable)] }, from, to) !== null;

/** The sockets of a hub that an output of another may go to, one of each kind. */
function targetsIn(space: WiringSpace, taken: TakenSockets, from: Device, hub: Device): readonly CableEnd[] {
  // Of equal sockets the one in which a cable from there sits already.
  const sits = space.lying.flatMap(({ from: end, to }) => (end.device === from.id && to.device === hub.id ? [to.port] : []));
  const oneOfEach = (kinds: ReturnType<typeof inputKinds>): readonly CableEnd[] =>
    kinds.map(({ device, ports }) => ({ device, port: ports.find((port) => sits.includes(port)) ?? ports[0] ?? "" }));
  if (from.id === space.system.id) {
    // The return comes back from a return socket; a screen's others are left for players.
    const sockets = returnKinds(hub, taken);
    return oneOfEach(sockets.length ? sockets : inputKinds(hub, taken));
  }
  if (from.role !== "box") return [];
  const sockets = isScreen(space, hub) && hasReturn(from) ? returnKinds(hub, taken) : [];
  return oneOfEach(sockets.length ? sockets : inputKinds(hub, taken));
}

const hasReturn = (device: Device): boolean =>
  device.ports.some(
    (port: Port) => port.connector === "hdmi" && port.direction === "out" && port.returns !== "none" && port.returns !== null,
  );
