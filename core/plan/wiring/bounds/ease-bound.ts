import { controlWires, kindOf, takesPart, type Act } from "@/core/cec";
import { effectiveSetting, hearsVolumeByInfrared, mayReturn, mayTakeReturn, passesAsleep, type Device } from "@/core/device";
import { endKey, findDevice, findPort, type Cable, type CableEnd, type Job } from "@/core/job";
import { commonActs, easeAfter, playerOfAct } from "../evaluation";
import { type WiringSpace } from "../space";

/** Who is on whose control wire on a topology. */
export interface ControlReach {
  /** Whether a socket is on the wire of the main screen, of any screen, of the sound system. */
  readonly ofSocket: (end: CableEnd, controlWire: boolean) => ReachedBy;
  /** The sound system comes on with the main screen, or stays on always. */
  readonly systemFollows: boolean;
  /** The volume keys of the main screen can move the sound system, by the control wire or by infrared. */
  readonly volumeReaches: boolean;
  /** Some cable carries an ARC return, or could, which begins over the control wire alone. */
  readonly mayArc: boolean;
}

/** What a player is reached by from where it is plugged. */
export interface ReachedBy {
  readonly mainScreen: boolean;
  readonly anyScreen: boolean;
  readonly system: boolean;
}

/** The same with whether it can be watched from there while the sound system sleeps. */
export interface SeenFrom extends ReachedBy {
  readonly alone: boolean;
}

/** Which hubs take no part in control as they are set. */
export const controlOffKey = (hubs: readonly Device[]): string => hubs.flatMap((hub) => (takesPart(hub) ? [] : [hub.id])).join(" ");

/** Which hubs take part as they are set and which boxes answer as the sound system, their return channels, and whether they pass pictures on asleep; where it is the same, so is the reach. */
export function controlReachKey(hubs: readonly Device[]): string {
  const known = reachKeys.get(hubs) ?? hubs.flatMap(reachWords).join(" ");
  reachKeys.set(hubs, known);
  return known;
}

/** Hubs as they are set are never changed in place. */
const reachKeys = new WeakMap<readonly Device[], string>();

const reachWords = (hub: Device): readonly string[] => [
  ...(takesPart(hub) ? [] : [hub.id]),
  ...(["arc", "earc"] as const).flatMap((key) => (effectiveSetting(hub, key, "planned") === "off" ? [`${hub.id} ${key}`] : [])),
  ...(passesAsleep(hub, "planned") ? [`${hub.id} passes`] : []),
  ...(hub.role === "box" && answers(hub) ? [`${hub.id} answers`] : []),
];

/** Whether a player takes part in control with some choice of its settings. */
export const mayTakePart = (player: Device): boolean =>
  takesPart(player) || (player.speaksCec && player.settings.some(({ key, options }) => key === "cec" && options.includes("on")));

/**
 * Lays out who could be on whose control wire in a room without players.
 * @param settings whether the hubs stay as they are set; all of them may take part if they are open
 */
export function controlReachOf(space: WiringSpace, job: Job, settings: "open" | "returns-open" | "set" = "open"): ControlReach {
  const isOnBus = (hub: Device) => settings === "open" || takesPart(hub);
  const wires = controlWires(job);
  const wiresAt = (device: Device): ReadonlySet<number> =>
    new Set(device.ports.flatMap(({ id, connector }) => (connector === "hdmi" ? [wires.of({ device: device.id, port: id })] : [])));
  const at = (ids: readonly string[]) =>
    new Set(job.devices.filter((device) => ids.includes(device.id) && isOnBus(device)).flatMap((device) => [...wiresAt(device)]));
  const main = at(space.mainScreen === null ? [] : [space.mainScreen]);
  const screens = at(space.screens.map(({ id }) => id));
  const system = at([space.system.id]);
  // One with a knob alone is left on, one that is the screen is on with it.
  const isLeftOn = space.system.volume === "knob" || kindOf(space.system) !== "audio";
  const reachedAt = (end: CableEnd, controlWire: boolean): ReachedBy => {
    const wire = controlWire ? wires.of(end) : null;
    const isOn = (some: ReadonlySet<number>) => wire !== null && some.has(wire);
    const anyScreen = isOn(screens);
    // A sound system is woken by a screen that was woken, over the wire of all three. Source: CEC 1.4 §13.15.
    return { mainScreen: isOn(main), anyScreen, system: isLeftOn || (anyScreen && isOn(system)) };
  };
  const known = new Map<string, ReachedBy>();
  return {
    systemFollows: isLeftOn || [...system].some((wire) => main.has(wire)),
    volumeReaches: isVolumeHeard(
      space,
      [...at(job.devices.filter(settings === "set" ? answers : mayAnswer).map(({ id }) => id))].some((wire) => main.has(wire)),
    ),
    mayArc:
      settings !== "set"
        ? job.cables.some(({ from, to }) => [from, to].every((end) => mayReturn(findPort(job, end))))
        : space.players.some(mayTakeReturn) || job.cables.some((cable) => isArcAsSet(job, cable)),
    ofSocket: (end, controlWire) => {
      const key = controlWire ? endKey(end) : `${endKey(end)} unheard`;
      const found = known.get(key) ?? reachedAt(end, controlWire);
      known.set(key, found);
      return found;
    },
  };
}

/**
 * Whether the return along a cable would be ARC with control and return channels as they are set, if whatever else it asks for is given: both
 * ends can return, ARC is not kept from beginning, and something is known to keep it from being eARC, or not known not to.
 * Source: HDMI 2.1 §9.5, CEC 1.4 §13.17.
 */
function isArcAsSet(job: Job, { from, to, returnWires, controlWire }: Cable): boolean {
  const ends = [from, to].map((end) => ({ port: findPort(job, end), device: findDevice(job, end.device) }));
  const isOff = (key: "arc" | "earc") => ends.some(({ device }) => device && effectiveSetting(device, key, "planned") === "off");
  const begins = controlWire && returnWires !== "none" && !isOff("arc") && ends.every(({ device }) => device && takesPart(device));
  const isEarc =
    returnWires === "earc" && !isOff("earc") && ends.every(({ port }) => port?.connector === "hdmi" && port.returns === "earc");
  return begins && !isEarc && ends.every(({ port }) => mayReturn(port));
}

/** Answers as the sound system, as it is set. */
const answers = (device: Device): boolean => kindOf(device) === "audio";

/** May answer as the sound system: one, or a box that can take the return channel and is nothing else on the bus. */
const mayAnswer = (device: Device): boolean =>
  kindOf(device) === "audio" || (device.role === "box" && device.control.kind === null && mayTakeReturn(device));

/** Whether the main screen's volume keys could move what sounds. Source: CEC 1.4 §13.13 (keys go to the logical address of the audio system). */
function isVolumeHeard({ system, screens, players, mainScreen }: WiringSpace, isOnWire: boolean): boolean {
  const main = screens.find(({ id }) => id === mainScreen);
  return isOnWire || main === undefined || kindOf(system) !== "audio" || hearsVolumeByInfrared(main, system) || players.some(mayAnswer);
}

/** How the acts that depend on a player can go at best: as a share of all acts how easy, and how many remotes at least. */
export interface ActsUpperBound {
  readonly ease: number;
  readonly remotes: number;
  /**
   * How much of that ease is lost where both the player and the screen itself sound from the sound system, because the screen's volume keys do
   * not reach it: by whatever link, and where it is none by ARC. ARC that never begins leaves the volume with the screen, and more is lost.
   */
  readonly volume: number;
  readonly volumeBesideArc: number;
  /** It can be watched while the sound system sleeps. */
  readonly alone: boolean;
}

/**
 * How the acts that depend on a player can go at best: whoever no control wire leads to is switched on or off by hand, with its own remote,
 * and that is a step of its own.
 */
export function actsUpperBound(space: WiringSpace, reach: ControlReach, player: string, seen: SeenFrom): ActsUpperBound {
  const bySpace = memo.get(space) ?? new Map<string, ActsUpperBound[]>();
  memo.set(space, bySpace);
  const known = bySpace.get(player) ?? [];
  bySpace.set(player, known);
  const { mainScreen, anyScreen, system, alone } = seen;
  const way = [reach.systemFollows, reach.volumeReaches, reach.mayArc, mainScreen, anyScreen, system, alone].reduce(
    (bits, one) => bits * 2 + Number(one),
    0,
  );
  return (known[way] ??= computeBound(space, reach, player, seen));
}

/** A space is never changed in place, and there are few ways in which a device can be reached, each numbered. */
const memo = new WeakMap<WiringSpace, Map<string, ActsUpperBound[]>>();

function computeBound(
  space: WiringSpace,
  { systemFollows, volumeReaches, mayArc }: ControlReach,
  player: string,
  { alone, ...reached }: SeenFrom,
): ActsUpperBound {
  const main = space.screens.find(({ id }) => id === space.mainScreen);
  const hasOwn = main?.sources.some(({ contents }) => contents.length > 0) ?? false;
  let [ease, remotes, volumeBesideArc] = [0, 1, 0];
  // What fails where the sound of the player, or of the screen itself, waits for a return that never begins.
  let [waking, showing] = [0, 0];
  for (const { act, weight } of commonActs(space)) {
    if (playerOfAct(space, act) !== player) continue;
    const goes = leastSteps(act, { hasOwn, systemFollows, reached, newsFromScreen: space.job.brief.newsFrom === "screen" });
    const eased = goes ? weight * easeAfter(goes.steps) : 0;
    ease += eased;
    if (act.act === "wake") waking += eased;
    if (act.act === "screen-on") showing += eased;
    remotes = Math.max(remotes, goes?.remotes ?? Infinity);
    if (!volumeReaches && (act.act === "louder" || act.act === "mute")) volumeBesideArc += weight * (1 - easeAfter(1));
  }
  return { ease, remotes, volume: mayArc ? Math.min(volumeBesideArc, waking, showing) : volumeBesideArc, volumeBesideArc, alone };
}

/** What an act depends on. */
interface ActConditions {
  readonly hasOwn: boolean;
  readonly systemFollows: boolean;
  readonly reached: ReachedBy;
  readonly newsFromScreen: boolean;
}

/** The steps that are left of an act at least, and the remotes that it takes with them; null: it cannot be done. */
function leastSteps(act: Act, on: ActConditions): { readonly steps: number; readonly remotes: number } | null {
  const { hasOwn, systemFollows, reached, newsFromScreen } = on;
  // Each of them is switched with a remote of its own, beside the one that the act begins with.
  const byHand = (...follows: readonly boolean[]) => {
    const steps = follows.filter((one) => !one).length;
    return { steps, remotes: 1 + steps };
  };
  switch (act.act) {
    case "wake": {
      if (reached.anyScreen) return byHand(reached.system);
      // Screen and input are chosen by hand, with one remote.
      const { steps, remotes } = byHand(false, reached.system);
      return { steps: steps + 1, remotes };
    }
    case "screen-off":
      return byHand(reached.mainScreen, systemFollows);
    case "screen-on":
      return byHand(systemFollows || !hasOwn);
    case "news":
      return byHand(systemFollows || newsFromScreen);
    default:
      return byHand();
  }
}
