import { classesJoining } from "@/core/facts";
import type { Device, Port } from "@/core/device";
import { cableAt, type Cable, type CableEnd, type Job } from "@/core/job";
import { inputKinds, isTaken } from "./sockets";
import type { BoxAtHand, WiringSpace } from "./space";
import { wiresBetween, type Wire } from "./wires";

/** How screens, boxes and the sound system are joined, before any player is plugged in. */
export interface Backbone {
  readonly boxes: readonly BoxAtHand[];
  readonly wires: readonly Wire[];
  readonly hubs: readonly Device[];
  /** The room with these devices and wires and no planned player. */
  readonly job: Job;
}

/**
 * Every way to join screens, boxes and sound system that makes sense: each HDMI output into an input that it fits, the sound system's
 * into a return socket where the screen has one, at most one lead for the sound, and no box that nothing goes through.
 */
export function* backbonesOf(space: WiringSpace): Generator<Backbone> {
  for (const boxes of boxSets(space)) {
    const hubs = [...space.screens, ...(isScreen(space, space.system) ? [] : [space.system]), ...boxes.map(({ device }) => device)];
    const bare = jobWith(space, hubs, []);
    const outputs = hubs.flatMap((device) => hdmiOutputs(device).map((port): CableEnd => ({ device: device.id, port: port.id })));
    yield* joined(space, bare, hubs, outputs, [])
      .filter((wires) => reachesScreens(space, boxes, wires))
      .flatMap((backbone) => withLeads(space, hubs, backbone))
      .filter((wires) => isWhole(boxes, wires))
      .map((wires): Backbone => ({ boxes, wires, hubs, job: jobWith(space, hubs, wires) }));
  }
}

const isScreen = ({ screens }: WiringSpace, device: Device): boolean => screens.some(({ id }) => id === device.id);

/** No box, each box, and where there are several screens pairs of which one shares the picture out. */
function boxSets({ boxes, bonds, screens }: WiringSpace): readonly (readonly BoxAtHand[])[] {
  const forbidden = new Set(bonds.flatMap((bond) => (bond.bond === "forbid-box" ? [bond.archetype] : [])));
  const wanted = bonds.flatMap((bond) => (bond.bond === "use-box" ? [bond.archetype] : []));
  const own = boxes.filter(({ device }) => !forbidden.has(device.archetype ?? device.id));
  // For several screens one box may share the picture out and another take the sound off.
  const shares = own.filter(({ device }) => hdmiOutputs(device).length > 1);
  const takes = own.filter((box) => !shares.includes(box));
  const pairs = screens.length > 1 ? shares.flatMap((a) => takes.map((b) => [a, b])) : [];
  return [[], ...own.map((box) => [box]), ...pairs].filter((set) =>
    wanted.every((archetype) => set.some(({ device }) => (device.archetype ?? device.id) === archetype)),
  );
}

const hdmiOutputs = (device: Device): readonly Port[] =>
  device.ports.filter(({ connector, direction }) => connector === "hdmi" && direction === "out");

/** The room with hubs and wires and what no plan touches. */
export function jobWith(space: WiringSpace, devices: readonly Device[], wires: readonly Wire[], players: readonly Device[] = []): Job {
  const { job, fixedDevices, fixedCables } = space;
  const here = [...devices, ...players, ...fixedDevices];
  // In the order of the document, so that the first sound system and the first player stay the first.
  const order = new Map(job.devices.map(({ id }, index) => [id, index]));
  const placeOf = ({ id }: Device) => order.get(id) ?? job.devices.length;
  return {
    ...job,
    brief: { ...job.brief, soundSystem: space.system.id },
    devices: here.toSorted((a, b) => placeOf(a) - placeOf(b)),
    cables: [...fixedCables, ...wires.map(({ cable }) => cable)],
  };
}

/** HDMI wires between hubs: each output in turn into nothing or into an input of each kind that it may go to. */
function joined(
  space: WiringSpace,
  job: Job,
  hubs: readonly Device[],
  outputs: readonly CableEnd[],
  wires: readonly Wire[],
): readonly (readonly Wire[])[] {
  const [output, ...rest] = outputs;
  if (!output) return [wires];
  const from = hubs.find(({ id }) => id === output.device);
  const targets = from ? hubs.flatMap((hub) => targetsIn(space, job, from, hub)) : [];
  const branches = targets.flatMap((end) =>
    wiresBetween(space, job, output, end)
      .filter(({ lying }) => !lying || !wires.some((wire) => wire.lying?.id === lying.id))
      .map((wire) => ({ wire, job: { ...job, cables: [...job.cables, wire.cable] } })),
  );
  return [
    ...joined(space, job, hubs, rest, wires),
    ...branches.flatMap(({ wire, job: after }) => joined(space, after, hubs, rest, [...wires, wire])),
  ];
}

/** The sockets of a hub that an output of another may go to, one of each kind. */
function targetsIn(space: WiringSpace, job: Job, from: Device, hub: Device): readonly CableEnd[] {
  if (hub.id === from.id) return [];
  // Of equal sockets the one in which a cable from there sits already.
  const sits = space.lying.flatMap(({ from: end, to }) => (end.device === from.id && to.device === hub.id ? [to.port] : []));
  const kinds = inputKinds(hub, job.cables).map(({ ports }) => ({
    device: hub.id,
    port: ports.find((port) => sits.includes(port)) ?? ports[0] ?? "",
  }));
  const sockets = returnSockets(hub, job.cables);
  if (from.id === space.system.id) {
    // The return comes back from a return socket; a screen's others are left for players.
    return sockets.length ? sockets : kinds;
  }
  if (from.role === "box") return isScreen(space, hub) && sockets.length && hasReturn(from) ? sockets : kinds;
  return [];
}

/** One of each kind of free socket that has a return channel, those of boxes that play the screen's part included. */
function returnSockets(hub: Device, taken: readonly Cable[]): readonly CableEnd[] {
  const seen = new Set<string>();
  return hub.ports.flatMap((port): CableEnd[] => {
    if (port.connector !== "hdmi" || port.direction !== "in" || port.returns === "none" || port.returns === null) return [];
    const end = { device: hub.id, port: port.id };
    const key = JSON.stringify({ ...port, id: "", label: "" });
    if (isTaken(end, taken) || seen.has(key)) return [];
    seen.add(key);
    return [end];
  });
}

const hasReturn = (device: Device): boolean =>
  device.ports.some((port) => port.connector === "hdmi" && port.direction === "out" && port.returns !== "none" && port.returns !== null);

const SOUND_LEADS: ReadonlySet<string> = new Set(["optical", "coaxial", "rca", "minijack"]);

/** The wires with no lead, and with each lead from a screen or box into the sound system, straight or through a box. */
function withLeads(space: WiringSpace, hubs: readonly Device[], wires: readonly Wire[]): readonly (readonly Wire[])[] {
  const job = jobWith(space, hubs, wires);
  const into = leadsInto(space, job, hubs, space.system);
  const through = into.flatMap((wire) => {
    const box = hubs.find(({ id }) => id === wire.cable.from.device);
    if (box?.role !== "box") return [];
    const after = { ...job, cables: [...job.cables, wire.cable] };
    return leadsInto(
      space,
      after,
      hubs.filter(({ role }) => role === "screen"),
      box,
    ).map((first) => [...wires, first, wire]);
  });
  return [wires, ...into.map((wire) => [...wires, wire]), ...through];
}

/** Every lead for sound alone from one of the hubs into a device, one for each pair of plugs that differs. */
function leadsInto(space: WiringSpace, job: Job, hubs: readonly Device[], target: Device): readonly Wire[] {
  const inputs = target.ports.filter(({ direction, connector }) => direction === "in" && SOUND_LEADS.has(connector));
  const seen = new Set<string>();
  return hubs.flatMap((hub) =>
    hub.id === target.id
      ? []
      : hub.ports
          .filter(({ direction, connector }) => direction === "out" && SOUND_LEADS.has(connector))
          .flatMap((port) =>
            inputs.flatMap((input) => {
              const [from, to] = [
                { device: hub.id, port: port.id },
                { device: target.id, port: input.id },
              ];
              const key = `${hub.id} ${port.id} ${input.connector}`;
              if (seen.has(key) || cableAt(job, from) || cableAt(job, to) || classesJoining(port.connector, input.connector).length === 0)
                return [];
              seen.add(key);
              return wiresBetween(space, job, from, to);
            }),
          ),
  );
}

/** Two boxes are worth their place only as a chain that lights every screen. */
function reachesScreens({ screens }: WiringSpace, boxes: readonly BoxAtHand[], wires: readonly Wire[]): boolean {
  if (boxes.length < 2) return true;
  const ids = new Set(boxes.map(({ device }) => device.id));
  const isChain = wires.some(({ cable }) => ids.has(cable.from.device) && ids.has(cable.to.device));
  return isChain && screens.every(({ id }) => wires.some(({ cable }) => cable.to.device === id));
}

/** Every box does something: something goes in, and what it is there for goes out. */
const isWhole = (boxes: readonly BoxAtHand[], wires: readonly Wire[]): boolean =>
  boxes.every(({ device }) => {
    const outputs = hdmiOutputs(device);
    const hasInputs = inputKinds(device, []).length > 0;
    const lit = outputs.filter((port) => isWired(device, port, wires)).length;
    const goesIn = hasInputs || lit > 0 || wires.some(({ cable }) => cable.to.device === device.id);
    const showsOn = !hasInputs || outputs.length === 0 || lit > 0;
    return goesIn && showsOn && (isUsedForSound(device, wires) ?? (outputs.length < 2 || lit > 1));
  });

/** A box with outputs for sound has one of them in use; null for one that has none. */
function isUsedForSound(device: Device, wires: readonly Wire[]): boolean | null {
  const outputs = device.ports.filter((port) =>
    port.connector === "hdmi"
      ? port.direction === "in" && isSoundSocket(device, port)
      : port.direction === "out" && SOUND_LEADS.has(port.connector),
  );
  return outputs.length ? outputs.some((port) => isWired(device, port, wires)) : null;
}

/** An HDMI input that no picture comes in by: sound goes out of it, as the return of a screen would. */
const isSoundSocket = (device: Device, { id }: Port): boolean =>
  !device.routes.some(({ kind, from }) => kind === "picture" && from.includes(id));

const isWired = (device: Device, port: Port, wires: readonly Wire[]): boolean =>
  isTaken(
    { device: device.id, port: port.id },
    wires.map(({ cable }) => cable),
  );
