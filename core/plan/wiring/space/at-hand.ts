import { SHELF, findArchetype, fromShelfOrThrow, type Supply } from "@/core/device";
import { freeId, freeName, type Job } from "@/core/job";
import type { StockItem } from "@/core/stock";
import type { AtHand, BoxAtHand } from "./space";

/** A box of the shelf as a plan would put it into a job; null for an archetype that is none. */
export function boxOfShelf(job: Job, archetype: string, price: number | null, supply: Supply): BoxAtHand | null {
  const row = findArchetype(archetype);
  if (row?.role !== "box") return null;
  const id = freeId(archetype, new Set(job.devices.map((device) => device.id)));
  const name = freeName(row.name, new Set(job.devices.map((device) => device.name)));
  return { device: { ...fromShelfOrThrow(archetype, { id, name }), supply }, price, isThere: false };
}

/**
 * What a plan of a job may put in and lay: what the van has to spare with its price, and where boxes may be bought every other one of the
 * shelf, without a price. What alone is dearer than the budget is left out. Cables of the van give their price to bought ones.
 */
export function atHand(job: Job, items: readonly StockItem[] = [], free: ReadonlyMap<string, number> = new Map()): AtHand {
  return {
    boxes: boxesAtHand(job, items, free),
    cables: items.flatMap(({ id, what, price }) =>
      what.kind === "cable" ? [{ class: what.class, lengthM: what.lengthM, price, free: Math.max(0, free.get(id) ?? 0) }] : [],
    ),
  };
}

function boxesAtHand(job: Job, items: readonly StockItem[], free: ReadonlyMap<string, number>): readonly BoxAtHand[] {
  const { budget, mayBuy } = job.brief;
  const van = items.flatMap(({ id, what, price }) =>
    what.kind === "device" && (free.get(id) ?? 0) > 0 && (budget === null || price === null || price <= budget)
      ? (boxOfShelf(job, what.archetype, price, "van") ?? [])
      : [],
  );
  const known = new Set(van.map(({ device }) => device.archetype));
  const shop = mayBuy.includes("box")
    ? SHELF.flatMap(({ archetype }) => (known.has(archetype) ? [] : (boxOfShelf(job, archetype, null, "buy") ?? [])))
    : [];
  return [...van, ...shop];
}
