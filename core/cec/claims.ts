import { addressesOf, BACKUP_ADDRESSES, UNREGISTERED } from "@/core/facts";
import { ROOT } from "./address";
import type { Frame } from "./frame";
import { isPlayer } from "./station";
import type { BusNode } from "./topology";

/** A poll whether an address is free, and whether somebody answered: then it is not. */
export interface Poll {
  readonly device: string;
  readonly wire: number;
  readonly frame: Frame;
  readonly taken: boolean;
}

/** Who holds which logical address; null: it takes no part. 15: it found none free, hears only what goes to everyone and cannot be asked anything. */
export interface Claims {
  readonly held: ReadonlyMap<string, number | null>;
  readonly polls: readonly Poll[];
}

/** A screen that is not the root of its tree takes the address for specific use. Source: CEC 1.4 §11.3.2 table 5 note. */
const OTHER_SCREEN = 14;

/**
 * Lets the devices take their addresses one after another, in the order in which they get power: each calls the addresses of its kind
 * and takes the first that nobody answers; a player of CEC 2.0 then calls the two backup addresses. Source: CEC 1.4 §10.2.1, HDMI 2.0
 * §11.3.2.
 */
export function claimAddresses(nodes: readonly BusNode[], order: readonly string[] = nodes.map(({ device }) => device)): Claims {
  const held = new Map<string, number | null>(nodes.map(({ device }) => [device, null]));
  const taken = new Set<string>();
  const polls: Poll[] = [];
  const inOrder = [...nodes].sort((a, b) => placeIn(order, a.device) - placeIn(order, b.device));
  for (const { device, kind, wire, address, speaks, version } of inOrder) {
    if (!speaks || kind === "switch") continue;
    const backup = version === "2.0" && isPlayer(kind) ? BACKUP_ADDRESSES : [];
    const wanted = kind === "tv" && address !== ROOT ? [OTHER_SCREEN] : [...addressesOf(kind), ...backup];
    let own = UNREGISTERED;
    for (const candidate of wanted) {
      const isTaken = taken.has(`${wire} ${candidate}`);
      polls.push({ device, wire, frame: { from: candidate, to: candidate, message: null }, taken: isTaken });
      if (isTaken) continue;
      own = candidate;
      break;
    }
    if (own !== UNREGISTERED) taken.add(`${wire} ${own}`);
    held.set(device, own);
  }
  return { held, polls };
}

const placeIn = (order: readonly string[], device: string): number => {
  const place = order.indexOf(device);
  return place < 0 ? order.length : place;
};
