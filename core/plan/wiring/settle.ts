import { actFigures, householdOf, isOnPurpose } from "@/core/cec";
import type { Arrival } from "@/core/chain";
import type { Device } from "@/core/device";
import type { Cable } from "@/core/job";
import { NO_EFFORT, type Effort } from "./effort";
import { commonActs, easeOf, playerOfAct, remotesNeeded } from "./everyday-acts";
import type { Ground, Measure } from "./grounds";
import type { Heard } from "./hear";
import type { SettingChoice } from "./hub-settings";
import { easeShare, withoutSocket } from "./most";
import { fulfils } from "./musts";
import type { Plug } from "./plugs";
import { jobWith } from "./room-of";
import { hasOwnLead } from "./space";
import { switchesOf } from "./switches";
import { ACTS_SHARE, UNPLUGGED_POINTS } from "./weights";

/** A plug worked out on a ground: with the settings of its player that bring most, and at most how many points that is. */
export interface PlayerOption extends Omit<Plug, "most" | "reach"> {
  readonly settings: readonly SettingChoice[];
  readonly effort: Effort;
  readonly points: number;
  /** The acts that hang on its player alone take so many remotes; with others in the room never fewer. */
  readonly remotes: number;
  /** No more points than this with other formats for sound at the same hubs: its picture stays, its sound could be whole. */
  readonly most: number;
}

/** Who does not sit anywhere is not woken, and wakes nobody; for the first one another player is watched, of whom nothing is known here. */
export function unplugged({ space, weights }: Measure, { player, kind, wire }: Plug): PlayerOption | null {
  const device = space.players.find(({ id }) => id === player);
  if (!device || !(hasOwnLead(space, player) || fulfils(space, player, []))) return null;
  const isFirst = space.players[0]?.id === player;
  const ease = weights.ease * ACTS_SHARE * easeShare(space, player, (act) => isFirst || !isOnPurpose(act));
  const points = ease - UNPLUGGED_POINTS + withoutSocket(space, weights, device);
  return { player, kind, wire, settings: [], effort: NO_EFFORT, points, remotes: 1, most: points };
}

/**
 * Judges the acts that hang on a player for each choice of its settings that was heard, and takes the best: settings of a player are its
 * own affair, so only the best of them can stand in a best plan, and of equal ones the first.
 * @param mostRemotes choices whose acts take more remotes are none
 */
export function judge(
  measure: Measure,
  ground: Ground,
  { player, kind, wire }: Plug,
  heard: readonly Heard[],
  mostRemotes = Infinity,
): PlayerOption | null {
  const { space, weights } = measure;
  const anywhere = weights.ease * ACTS_SHARE * easeShare(space, player);
  const tried = heard.flatMap((one): PlayerOption[] => {
    const { ease, remotes } = actsBound(measure, ground, one);
    if (remotes > mostRemotes) return [];
    const acts = weights.ease * ACTS_SHARE * ease;
    const isWhole = allArrive(one.rows) && allArrive(ground.rows);
    const { settings, effort } = one;
    return [{ player, kind, wire, settings, effort, points: one.points + acts, remotes, most: one.most + (isWhole ? acts : anywhere) }];
  });
  const [first] = tried;
  if (!first) return null;
  const best = tried.reduce((top, one) => (one.points > top.points + 1e-9 ? one : top), first);
  return { ...best, most: Math.max(...tried.map(({ most }) => most)) };
}

const allArrive = (rows: readonly Arrival[]): boolean => rows.every(({ arrives }) => arrives !== null);

/** How the acts that hang on one player go where it is alone. */
export interface ActsBound {
  /** At most so easy. */
  readonly ease: number;
  /** At least so many remotes. */
  readonly remotes: number;
}

/**
 * At most so easy can the acts be that hang on one player: waking it, and for the first player those that begin while it is watched.
 * With others in the room an address can be missing, never be more.
 */
export function actsBound({ space, ease }: Measure, ground: Ground, { player: set, wire, rows }: Heard): ActsBound {
  const player = set.id;
  // All on which control rests: the wires, the switches of the player itself and of the hubs, and by which links sound arrives.
  const key = `${player} ${switchesOf({ hubs: [set] })} ${wireKey(wire.cable)} ${groundKey(ground)} ${linkKey(rows)}`;
  const known = ease.get(key);
  if (known !== undefined) return known;
  const acts = commonActs(space).filter(({ act }) => playerOfAct(space, act) === player);
  const job = jobWith(space, ground.hubs, [...ground.backbone.wires, wire], [set]);
  const all = [...ground.rows, ...rows];
  const household = householdOf(job, "planned", { solved: { job, state: "planned", units: [], rows: all }, mainScreen: space.mainScreen });
  const figures = actFigures(
    household,
    acts.map(({ act }) => act),
  );
  const found = { ease: easeOf(figures, acts), remotes: remotesNeeded(figures, acts) };
  ease.set(key, found);
  return found;
}

const groundKeys = new WeakMap<Ground, string>();

/** What a ground adds to the key of ease. */
function groundKey(ground: Ground): string {
  const { hubs, backbone, rows } = ground;
  const known = groundKeys.get(ground) ?? controlKey({ devices: hubs, cables: backbone.wires.map(({ cable }) => cable) }, rows);
  groundKeys.set(ground, known);
  return known;
}

interface Room {
  readonly devices: readonly Device[];
  readonly cables: readonly Cable[];
}

/** All on which control rests in a room: its wires, its control switches, and by which links the sound of its rows arrives. */
export const controlKey = ({ devices, cables }: Room, rows: readonly Arrival[]): string =>
  [...cables.map(wireKey), switchesOf({ hubs: devices }), linkKey(rows)].join("|");

/** What control asks of a cable: where it leads, and its wires for control and return. */
const wireKey = ({ from, to, returnWires, controlWire }: Cable): string =>
  `${from.device} ${from.port} ${to.device} ${to.port} ${returnWires} ${controlWire}`;

const linkKey = (rows: readonly Arrival[]): string =>
  rows
    .map(
      ({ id, screen, arrives, hops }) =>
        `${id} ${screen} ${arrives !== null} ${hops.map(({ device, link }) => `${device} ${link}`).join()}`,
    )
    .join(";");
