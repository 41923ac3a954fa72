import type { StockItem, VanNeed } from "./stock";

/** Which item of the van serves a need, and the needs that none serves. */
export interface Reservation {
  readonly reserved: readonly { readonly need: VanNeed; readonly item: string }[];
  readonly missing: readonly VanNeed[];
}

/**
 * Sets parts of the van aside for the needs of one job after another, in the order given. A cable is served by one of its class that is
 * at least as long, the shortest first; a device by one of its archetype. What is set aside for one is gone for the next.
 */
export function reserve(items: readonly StockItem[], jobs: readonly (readonly VanNeed[])[]): readonly Reservation[] {
  const left = new Map(items.map(({ id, count }) => [id, count]));
  return jobs.map((needs) => {
    const reserved: { need: VanNeed; item: string }[] = [];
    const missing: VanNeed[] = [];
    for (const need of needs) {
      const item = items.filter((one) => (left.get(one.id) ?? 0) > 0 && serves(one, need)).sort((a, b) => lengthOf(a) - lengthOf(b))[0];
      if (!item) {
        missing.push(need);
        continue;
      }
      left.set(item.id, (left.get(item.id) ?? 0) - 1);
      reserved.push({ need, item: item.id });
    }
    return { reserved, missing };
  });
}

function serves({ what }: StockItem, { what: need }: VanNeed): boolean {
  if (what.kind === "cable") return need.kind === "cable" && what.class === need.class && what.lengthM >= need.lengthM;
  return what.kind === "device" && need.kind === "device" && what.archetype === need.archetype;
}

const lengthOf = ({ what }: StockItem): number => (what.kind === "cable" ? what.lengthM : 0);

/** What is free of each item once the needs are served. */
export const freeCounts = (items: readonly StockItem[], reservations: readonly Reservation[]): ReadonlyMap<string, number> =>
  new Map(
    items.map(({ id, count }) => [id, count - reservations.flatMap(({ reserved }) => reserved).filter(({ item }) => item === id).length]),
  );
