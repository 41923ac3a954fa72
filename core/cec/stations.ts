import type { CecKind } from "@/core/facts";
import { makeRig, returnChannel, solve, type Question, type Rig, type Solved } from "@/core/chain";
import { effectiveSetting, hearsVolumeByInfrared, passesAsleep, volumeKeyTaker, type Device, type SettingState } from "@/core/device";
import { asItStands, chosenSoundSystem, findDevice, type Job } from "@/core/job";
import { childAddress, NOWHERE, placeInTree } from "./address";
import { claimAddresses, type Claims } from "./claims";
import { soundWaysOf, type SoundWay } from "./sound-of";
import type { Nature, Station } from "./station";
import { kindOf, networkOf, takesPart, type BusNode, type Network } from "./topology";

/** Everything the simulation needs of a room. */
export interface Household {
  readonly job: Job;
  readonly network: Network;
  readonly claims: Claims;
  readonly stations: ReadonlyMap<string, Station>;
  /** The board of the room, on which the ways of the sound rest. */
  readonly solved: Solved;
  /** The screen whose remote the household takes; null: the one with most on its wire. */
  readonly mainScreen: string | null;
  /** How the sound of each player can reach the sound system. */
  readonly soundWays: ReadonlyMap<string, SoundWay>;
}

/** How long a device of a class takes from the wish to be on until it is, where nobody measured it. The trade allows 5 to 20 s. */
const WAKE_MS: Readonly<Record<CecKind, number>> = { tv: 6000, recorder: 15_000, tuner: 20_000, playback: 8000, audio: 5000, switch: 1000 };
const QUIET = 20;

/** What is known of a room beforehand: the order in which its devices get power, its board, and whose remote counts. */
export interface HouseholdKnown {
  readonly order?: readonly string[];
  readonly solved?: Solved;
  readonly mainScreen?: string | null;
}

/** The room asleep, every device with the address it takes when power comes back in the given order. */
export function householdOf(job: Job, state: SettingState = "planned", known: HouseholdKnown = {}): Household {
  const stood = asItStands(job);
  const network = networkOf(stood, state);
  const claims = claimAddresses(network.nodes, known.order ?? inTreeOrder(network.nodes));
  const returns = returnLinks(stood, state).answer;
  const system = chosenSoundSystem(stood);
  const stations = new Map(
    network.nodes.flatMap((node): [string, Station][] => {
      const device = findDevice(stood, node.device);
      return device
        ? [[node.device, asleep(natureOf(device, node, claims.held.get(node.device) ?? null, { system, returns, state }))]]
        : [];
    }),
  );
  if (system && !stations.has(system.id)) stations.set(system.id, offTheBus(system));
  const solved = known.solved ?? solve(job, state);
  return { job, network, claims, stations, solved, mainScreen: known.mainScreen ?? null, soundWays: soundWaysOf(solved.rows) };
}

/** Whether every act goes the same in two rooms of the same devices and contents: nothing that plays or judges an act differs between them. */
export const actsAlike = (a: Household, b: Household): boolean => actFacts(a) === actFacts(b);

/** A household is never changed in place, and one is compared with many. */
const actFactsKnown = new WeakMap<Household, string>();

function actFacts(household: Household): string {
  const known = actFactsKnown.get(household);
  if (known !== undefined) return known;
  const { network, claims, stations, solved, mainScreen, soundWays } = household;
  const screens = [...new Set(solved.rows.map(({ screen }) => screen))];
  const ways = screens.map((screen) => (screen === null ? [] : [screen, ...soundWaysOf(solved.rows, screen)]));
  const facts = JSON.stringify([network, claims, stations, mainScreen, soundWays, ways], (_key, value: unknown) =>
    value instanceof Map ? [...value] : value instanceof Set ? [...value] : value,
  );
  actFactsKnown.set(household, facts);
  return facts;
}

/** A sound system without an HDMI socket: it hears nobody, and only hands or its own remote move it. */
function offTheBus(device: Device): Station {
  const leftOn = device.volume === "knob";
  const node: BusNode = {
    device: device.id,
    kind: "audio",
    wire: OFF_THE_BUS,
    address: NOWHERE,
    root: null,
    inputs: [],
    version: device.control.version,
    placedBy: null,
    speaks: false,
  };
  const station = asleep({ ...natureOf(device, node, null, { system: device, returns: new Map(), state: "planned" }), leftOn });
  return leftOn ? { ...station, power: "on" } : station;
}

const OFF_THE_BUS = -1;

const inTreeOrder = (nodes: readonly BusNode[]): readonly string[] =>
  [...nodes].sort((a, b) => placeInTree(a.address) - placeInTree(b.address)).map(({ device }) => device);

const asleep = (nature: Nature): Station => ({
  nature,
  placed: nature.placedBy === null,
  power: "standby",
  input: null,
  source: null,
  systemAudio: false,
  arc: false,
  volume: QUIET,
  muted: false,
  pending: [],
});

/** What a device's nature on the bus takes from the room around it. */
interface RoomOfBus {
  readonly system: Device | undefined;
  readonly returns: ReadonlyMap<string, Nature["returnLink"]>;
  readonly state: SettingState;
}

function natureOf(device: Device, node: BusNode, logical: number | null, { system, returns, state }: RoomOfBus): Nature {
  return {
    device: device.id,
    kind: node.kind,
    wire: node.wire,
    physical: node.address,
    root: node.root,
    logical,
    inputs: node.inputs.map((_, index) => (node.address === NOWHERE ? null : childAddress(node.address, index + 1))),
    leftOn: false,
    wakeMs: device.control.wakeMs ?? WAKE_MS[node.kind],
    version: node.version,
    placedBy: node.placedBy,
    ...asItIsSet(device, node.kind, state),
    hasSpeakers: device.speakers !== null,
    ...volumeKeyTaker(device),
    infraredTo: system && device.role === "screen" && hearsVolumeByInfrared(device, system) ? system.id : null,
    returnLink: returns.get(device.id) ?? "none",
  };
}

/** What its own switches make of a device on the bus. */
function asItIsSet(
  device: Device,
  kind: CecKind,
  state: SettingState,
): Pick<Nature, "wakesOthers" | "obeysStandby" | "playsElsewhere" | "passesAsleep"> {
  const setting = (key: Parameters<typeof effectiveSetting>[1]) => effectiveSetting(device, key, state);
  return {
    wakesOthers: wakesOthers(kind, setting("control-wakes")),
    obeysStandby: setting("control-obeys") !== "off",
    playsElsewhere: setting("speakers") !== "own",
    passesAsleep: passesPicture(device, state),
  };
}

/** Devices as they are set are never changed in place. */
const control = new WeakMap<Device, string>();

/** All that the planned switches of a device mean for control, but for its return channel: where it is the same, control goes alike. */
export function controlStateOf(device: Device): string {
  const known = control.get(device) ?? controlWords(device);
  control.set(device, known);
  return known;
}

function controlWords(device: Device): string {
  const kind = kindOf(device, "planned");
  const { wakesOthers, obeysStandby, playsElsewhere, passesAsleep } = asItIsSet(device, kind ?? "switch", "planned");
  return [device.id, kind, takesPart(device, "planned"), wakesOthers, obeysStandby, playsElsewhere, passesAsleep].join(" ");
}

/** Whether the picture of its HDMI inputs goes on while it sleeps: of a sound system by its pass-through, of others where a way asks for no power. */
function passesPicture(device: Device, state: SettingState): boolean {
  const holds = ({ setting, value }: { setting: string; value: string }) =>
    setting === "power"
      ? value === "standby"
      : device.settings.some(({ key }) => key === setting && effectiveSetting(device, key, state) === value);
  const ways = device.routes.filter(
    (route) => route.kind === "picture" && device.ports.some(({ id, connector }) => connector === "hdmi" && route.from.includes(id)),
  );
  if (ways.length === 0) return true;
  if (device.role === "sound") return passesAsleep(device, state) === true;
  return ways.some(({ opens }) =>
    opens.every((condition) => ("either" in condition ? condition.either.some(holds) : !("setting" in condition) || holds(condition))),
  );
}

/** Where it has no switch for it, a screen or player wakes others, a sound system does not: music must not light the screen. */
const wakesOthers = (kind: CecKind, value: string | null | undefined): boolean => (value ? value === "on" : kind !== "audio");

/** The return channel that sockets, wires and switches allow each device, as the sound engine sees it, and the questions on which that hangs. */
export function returnLinks(
  job: Job,
  state: SettingState = "planned",
): { readonly answer: ReadonlyMap<string, Nature["returnLink"]>; readonly asked: readonly Question[] } {
  const rig = makeRig(job, state);
  const { answer, asked } = rig.traced(() => linksOf(job, rig));
  return { answer, asked: [...asked.questions] };
}

function linksOf(job: Job, rig: Rig): ReadonlyMap<string, Nature["returnLink"]> {
  const links = new Map<string, Nature["returnLink"]>();
  for (const cable of job.cables) {
    const channel = returnChannel(rig, cable);
    if (channel.kind !== "open") continue;
    for (const end of [cable.from, cable.to]) links.set(end.device, channel.link);
  }
  return links;
}
