import type { CableClass } from "@/core/facts";
import { plainerSockets, type Device, type HdmiPort } from "@/core/device";
import { runBetween, sameEnd } from "@/core/job";
import { type BoxAtHand, hasAdapter, menusOf, servesAs, type SettingChoice, type Wire, type WiringSpace } from "../space";
import { GUESSED_PRICE, MINUTES, WASTED_POINTS, type Weights } from "./weights";

/** What is put in and laid for a plan, as far as it counts for cost and work. */
export interface Effort {
  /** In the currency of the settings; what is not priced is counted apart. */
  readonly money: number;
  readonly unpriced: number;
  /** What the unpriced parts count instead of a price: something they cost, and saying nothing would make them free. */
  readonly guessed: number;
  readonly newCables: number;
  /** Cables that run from one room or place to another. */
  readonly pulls: number;
  readonly minutes: number;
  /** Players in a socket of the scarce kind where a plainer one of the same hub serves them as well. */
  readonly wasted: number;
}

export const NO_EFFORT: Effort = { money: 0, unpriced: 0, guessed: 0, newCables: 0, pulls: 0, minutes: 0, wasted: 0 };

export const addEffort = (a: Effort, b: Effort): Effort => ({
  money: a.money + b.money,
  unpriced: a.unpriced + b.unpriced,
  guessed: a.guessed + b.guessed,
  newCables: a.newCables + b.newCables,
  pulls: a.pulls + b.pulls,
  minutes: a.minutes + b.minutes,
  wasted: a.wasted + b.wasted,
});

/** A box with more sockets is more to mount and to explain; of two that do the same the smaller one wins. */
export const boxEffort = ({ device, price, isThere }: BoxAtHand): Effort =>
  isThere
    ? NO_EFFORT
    : {
        ...NO_EFFORT,
        ...spent(price, GUESSED_PRICE.box + device.ports.length * GUESSED_PRICE.boxSocket),
        minutes: MINUTES.box + device.ports.length * MINUTES.socket,
      };

const spent = (price: number | null, guess: number): Pick<Effort, "money" | "unpriced" | "guessed"> =>
  price === null ? { money: 0, unpriced: 1, guessed: guess } : { money: price, unpriced: 0, guessed: 0 };

/** Wires are computed once for a space, and so is what each of them asks. */
const asked = new WeakMap<Wire, Effort>();

/** A wire costs nothing where it stays, a plug where it is moved, and is paid for and laid or pulled where it is new. */
export function wireEffort(space: WiringSpace, wire: Wire): Effort {
  const known = asked.get(wire) ?? effortOf(space, wire);
  asked.set(wire, known);
  return known;
}

function effortOf(space: WiringSpace, wire: Wire): Effort {
  const adapter = hasAdapter(wire) ? { ...NO_EFFORT, ...spent(null, GUESSED_PRICE.adapter), minutes: MINUTES.plug } : NO_EFFORT;
  return [cableEffort(space, wire), adapter, { ...NO_EFFORT, wasted: Number(isWasted(space, wire)) }].reduce(addEffort);
}

/** Whether a player is in a socket that it cannot use to the full, beside plainer ones. */
function isWasted({ screens, system, boxes, players }: WiringSpace, { cable: { from, to } }: Wire): boolean {
  const hdmi = (device: Device | undefined, id: string) =>
    device?.ports.find((port): port is HdmiPort => port.id === id && port.connector === "hdmi");
  const hub = [...screens, system, ...boxes.map(({ device }) => device)].find(({ id }) => id === to.device);
  const out = hdmi(
    players.find(({ id }) => id === from.device),
    from.port,
  );
  const into = hdmi(hub, to.port);
  return hub !== undefined && out !== undefined && into !== undefined && plainerSockets(hub, into, out).length > 0;
}

function cableEffort(space: WiringSpace, { cable, existing }: Wire): Effort {
  if (existing) {
    const moved = Number(!sameEnd(existing.from, cable.from)) + Number(!sameEnd(existing.to, cable.to));
    // What is there and stays need not be taken out, which is counted for all of them beforehand.
    return { ...NO_EFFORT, minutes: moved * MINUTES.plug - MINUTES.takeOut };
  }
  if (cable.class === "direct-plug") return { ...NO_EFFORT, minutes: MINUTES.plug };
  if (cable.class === "bluetooth") return { ...NO_EFFORT, minutes: MINUTES.pairing };
  const isPull = runBetween(space.job, cable.from.device, cable.to.device) !== undefined;
  return {
    ...NO_EFFORT,
    ...spent(
      priceOf(space, cable.class, cable.lengthM),
      cable.class === "hybrid-optical-hdmi" || cable.class === "hybrid-optical-hdmi-earc" ? GUESSED_PRICE.hybrid : GUESSED_PRICE.cable,
    ),
    newCables: 1,
    pulls: Number(isPull),
    minutes: isPull ? MINUTES.pull : MINUTES.cable,
  };
}

/** The price of the shortest cable of a class in the van's list that is long enough, whether or not one is left; null: none is priced. */
function priceOf({ vanCables }: WiringSpace, kind: CableClass, lengthM: number): number | null {
  const long = vanCables.filter((cable) => servesAs(cable.class, kind) && cable.lengthM >= lengthM && cable.price !== null);
  return long.toSorted((a, b) => a.lengthM - b.lengthM)[0]?.price ?? null;
}

export const menuEffort = (devices: readonly Device[], choices: readonly SettingChoice[]): Effort => ({
  ...NO_EFFORT,
  minutes: menusOf(devices, choices) * MINUTES.setting,
});

/** Every existing cable would have to be taken out, but for those that a plan keeps. */
export const takeOutEffort = ({ existing }: WiringSpace): Effort => ({ ...NO_EFFORT, minutes: existing.length * MINUTES.takeOut });

/** How many points the effort of a plan loses. */
export const effortPoints = ({ money, guessed, minutes, pulls, wasted }: Effort, weights: Weights): number =>
  ((money + guessed) / 100) * weights.money + (minutes / 60) * weights.hours + pulls * weights.pulls + wasted * WASTED_POINTS;
