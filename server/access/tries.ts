/** Wrong tries of somebody, and until when the next is not even looked at. */
interface Wrong {
  readonly count: number;
  readonly until: number;
  readonly last: number;
}

const NONE: Wrong = { count: 0, until: 0, last: 0 };
/** Wrong tries in a row without a pause: from one address, and from all together. */
const FREE = { address: 3, all: 20 } as const;
/** The longest pauses: an address waits, everybody is not locked out by one. */
const LONGEST_MS = { address: 15 * 60_000, all: 30_000 } as const;
/** Without a wrong try for so long, they are forgotten. */
const FORGOTTEN_MS = 3_600_000;
const MOST_ADDRESSES = 1000;

/** Pauses after wrong tries that grow twice as long with each, for an address and for all of them together. Times in milliseconds. */
export class Tries {
  private readonly byAddress = new Map<string, Wrong>();
  private all: Wrong = NONE;

  /** How long a try from an address has to wait still; 0: it may be made. */
  waitMs(address: string, now: number): number {
    return Math.max(0, (this.byAddress.get(address)?.until ?? 0) - now, this.all.until - now);
  }

  wrong(address: string, now: number): void {
    this.all = after(this.all, "all", now);
    const next = after(this.byAddress.get(address) ?? NONE, "address", now);
    // The latest is last, so that the oldest are released first.
    this.byAddress.delete(address);
    this.byAddress.set(address, next);
    for (const oldest of this.byAddress.keys()) {
      if (this.byAddress.size <= MOST_ADDRESSES) break;
      this.byAddress.delete(oldest);
    }
  }

  right(address: string): void {
    this.byAddress.delete(address);
  }
}

function after(before: Wrong, whose: keyof typeof FREE, now: number): Wrong {
  const count = now - before.last > FORGOTTEN_MS ? 1 : before.count + 1;
  const over = count - FREE[whose];
  return { count, last: now, until: over < 0 ? 0 : now + Math.min(LONGEST_MS[whose], 1000 * 2 ** over) };
}
