import { BACKUP_ADDRESSES, UNREGISTERED } from "@/core/facts";
import { effectiveSetting, mayReturn, type SettingState } from "@/core/device";
import { findDevice } from "@/core/job";
import { castOf } from "./acts";
import { NOWHERE } from "./address";
import { returnTaker } from "./sound-of";
import { isPlayer, type Station } from "./station";
import type { Household } from "./stations";
import type { Cut } from "./topology";

/** Something in the room's control that goes wrong sooner or later, found without playing an act. */
export type Conflict =
  /** Two of them answer to one name, or the later one to none. */
  | { readonly conflict: "two-sound-systems"; readonly devices: readonly string[] }
  | { readonly conflict: "no-address-left"; readonly device: string }
  | { readonly conflict: "same-place"; readonly devices: readonly string[] }
  | { readonly conflict: "no-place"; readonly device: string }
  | { readonly conflict: "claimants"; readonly devices: readonly string[] }
  /** The return channel starts over the control wire, which does not reach both, or is off. */
  | { readonly conflict: "return-needs-control"; readonly screen: string; readonly system: string; readonly cuts: readonly Cut[] }
  | { readonly conflict: "goes-off-with-one"; readonly device: string }
  /** One wakes the room by itself, another sends it to sleep by itself: night after night. */
  | { readonly conflict: "wake-and-sleep"; readonly wakes: string; readonly sleeps: string }
  /** Both sound at once, and one remote moves only one of them. */
  | { readonly conflict: "two-volumes"; readonly screen: string; readonly system: string }
  /** A backup address, which the older ones do not know: what it tells one of them alone is not heard. */
  | { readonly conflict: "backup-address"; readonly device: string; readonly deafTo: readonly string[] }
  /** It reads no place while the screen sleeps, and first has to wake it to be somebody. */
  | { readonly conflict: "place-sleeps"; readonly devices: readonly string[]; readonly screen: string };

/** Whether anything of a room could gain by the return channel: the screen's own sound, or that of a player that comes by no other way. */
function wantsReturn({ soundWays }: Household, screen: string): boolean {
  const own = soundWays.get(screen);
  const comes = (way: string | undefined) => way === "free" || way === "unnoticed";
  return !comes(own) && [...soundWays.values()].some((way) => !comes(way));
}

/** Every conflict of a room. */
export function conflictsOf(household: Household, state: SettingState = "planned"): readonly Conflict[] {
  const { network, stations } = household;
  const live = [...stations.values()].filter(({ nature }) => nature.logical !== null);
  const cast = castOf(household);
  const { screen, system } = cast;
  const taker = returnTaker(cast);
  const wires = [...new Set(live.map(({ nature }) => nature.wire))];
  const onWire = (wire: number) => live.filter(({ nature }) => nature.wire === wire);
  const twoSystems = wires.flatMap((wire): Conflict[] => {
    const systems = onWire(wire).filter(({ nature }) => nature.kind === "audio");
    return systems.length > 1 ? [{ conflict: "two-sound-systems", devices: systems.map(({ nature }) => nature.device) }] : [];
  });
  const places = new Map<string, string[]>();
  for (const { nature } of live) {
    const key = `${nature.wire} ${nature.physical}`;
    if (nature.physical !== NOWHERE) places.set(key, [...(places.get(key) ?? []), nature.device]);
  }
  const thieves = live.filter(({ nature }) => nature.quirks.has("steals-source"));
  const needsControl =
    screen &&
    system &&
    // eARC finds its partner without the control wire: HDMI 2.1 §9.5.
    screen.nature.returnLink !== "earc" &&
    !(taker && areOnOneWire(household, screen.nature.device, taker.nature.device)) &&
    couldReturn(household, screen.nature.device)
      ? !wantsReturn(household, screen.nature.device)
        ? []
        : [{ conflict: "return-needs-control", screen: screen.nature.device, system: system.nature.device, cuts: network.cuts } as const]
      : [];
  return [
    ...twoSystems,
    ...live.flatMap(({ nature }): Conflict[] =>
      nature.logical === UNREGISTERED && !(nature.kind === "audio" && twoSystems.length)
        ? [{ conflict: "no-address-left", device: nature.device }]
        : [],
    ),
    ...[...places.values()].flatMap((devices): Conflict[] => (devices.length > 1 ? [{ conflict: "same-place", devices }] : [])),
    // One that is on no wire with others has nothing to stand in.
    ...live.flatMap(({ nature }): Conflict[] =>
      nature.physical === NOWHERE && onWire(nature.wire).length > 1 ? [{ conflict: "no-place", device: nature.device }] : [],
    ),
    ...(thieves.length > 1 ? [{ conflict: "claimants", devices: thieves.map(({ nature }) => nature.device) } as const] : []),
    ...needsControl,
    ...live.flatMap(({ nature }): Conflict[] =>
      nature.quirks.has("switches-all-off") ? [{ conflict: "goes-off-with-one", device: nature.device }] : [],
    ),
    ...wakeAndSleep(live),
    ...twoVolumes(household),
    ...live.flatMap(({ nature }): Conflict[] => {
      if (nature.logical === null || !BACKUP_ADDRESSES.includes(nature.logical)) return [];
      const older = onWire(nature.wire).filter((other) => other.nature.version === "1.4" && !isPlayer(other.nature.kind));
      return older.length ? [{ conflict: "backup-address", device: nature.device, deafTo: older.map((other) => other.nature.device) }] : [];
    }),
    ...placeSleeps(live),
  ].filter((conflict) => conflict.conflict !== "return-needs-control" || isOnOrUnknown(household, conflict.screen, state));
}

function areOnOneWire({ stations }: Household, a: string, b: string): boolean {
  const [one, other] = [stations.get(a)?.nature, stations.get(b)?.nature];
  return one !== undefined && other !== undefined && one.logical !== null && other.logical !== null && one.wire === other.wire;
}

/** A socket of it has a return channel. */
const couldReturn = ({ job }: Household, device: string): boolean => findDevice(job, device)?.ports.some(mayReturn) ?? false;

const isOnOrUnknown = ({ job }: Household, device: string, state: SettingState): boolean => {
  const found = findDevice(job, device);
  return found ? effectiveSetting(found, "speakers", state) !== "own" : false;
};

const wakeAndSleep = (live: readonly Station[]): readonly Conflict[] => {
  const having = (quirk: "wakes-by-itself" | "switches-all-off") => live.filter(({ nature }) => nature.quirks.has(quirk));
  return having("wakes-by-itself").flatMap(({ nature: wakes }) =>
    having("switches-all-off").flatMap(({ nature: sleeps }): Conflict[] =>
      wakes.wakesOthers && wakes.wire === sleeps.wire ? [{ conflict: "wake-and-sleep", wakes: wakes.device, sleeps: sleeps.device }] : [],
    ),
  );
};

/** Rows that reach the sound system while the screen plays them from its own speakers too. */
function twoVolumes(household: Household): readonly Conflict[] {
  const { screen, system } = castOf(household);
  const both = household.solved.rows.some((row) => row.arrives && row.screenSpeakers && row.screen === screen?.nature.device);
  return screen && system && both && screen.nature.device !== system.nature.device
    ? [{ conflict: "two-volumes", screen: screen.nature.device, system: system.nature.device }]
    : [];
}

function placeSleeps(live: readonly Station[]): readonly Conflict[] {
  const screens = [...new Set(live.flatMap(({ nature }) => nature.placedBy ?? []))];
  return screens.map((screen) => ({
    conflict: "place-sleeps",
    screen,
    devices: live.filter(({ nature }) => nature.placedBy === screen).map(({ nature }) => nature.device),
  }));
}
