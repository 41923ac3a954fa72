import { z } from "zod";
import { CABLE_CLASS_IDS, WIRE_MM2 } from "@/core/facts";
import type { Job } from "@/core/job";

const CableInVan = z.strictObject({ kind: z.literal("cable"), class: z.enum(CABLE_CLASS_IDS), lengthM: z.number().positive().max(1000) });
const DeviceInVan = z.strictObject({ kind: z.literal("device"), archetype: z.string().min(1).max(64) });

/** What is in the van: a cable of a class and length, speaker wire, a box or device from the shelf, or anything else by its name. */
export const StockWhat = z.discriminatedUnion("kind", [
  CableInVan,
  DeviceInVan,
  /** A reel of speaker wire of a size, so many metres on each. */
  z.strictObject({
    kind: z.literal("wire"),
    mm2: z.union(WIRE_MM2.map((size) => z.literal(size))),
    lengthM: z.number().positive().max(1000),
  }),
  z.strictObject({ kind: z.literal("spare"), name: z.string().trim().min(1).max(120) }),
]);
export type StockWhat = z.infer<typeof StockWhat>;

/** A line of the van's list. */
export const StockFields = z.strictObject({
  what: StockWhat,
  count: z.number().int().min(0).max(9999),
  /** Below this it is on the list to restock. */
  minimum: z.number().int().min(0).max(9999).default(0),
  /** What one costs the customer, in the currency of the settings; null: not priced. */
  price: z.number().min(0).max(1_000_000).nullable().default(null),
});
export type StockFields = z.infer<typeof StockFields>;
/** A change of a line, the count by how many more or fewer: two who count at once both count. */
export const StockChange = z.strictObject({
  countBy: z.number().int().min(-9999).max(9999).optional(),
  minimum: z.number().int().min(0).max(9999).optional(),
});
export type StockChange = z.infer<typeof StockChange>;

/** A line after a change; the count stays within what a line can hold. */
export const changedStock = (fields: StockFields, { countBy = 0, minimum = fields.minimum }: StockChange): StockFields => ({
  ...fields,
  minimum,
  count: Math.min(9999, Math.max(0, fields.count + countBy)),
});

export type StockItem = StockFields & { readonly id: string };

/** A part that a job takes from the van, and the cable or device of the job that it is for. */
export const VanNeed = z.strictObject({
  what: z.discriminatedUnion("kind", [CableInVan, DeviceInVan]),
  part: z.strictObject({ kind: z.enum(["cable", "device"]), id: z.string() }),
});
export type VanNeed = Readonly<z.infer<typeof VanNeed>>;

/** Every part of a job that its plan takes from the van. A device without an archetype cannot be told from another and is left out. */
export const vanNeeds = (job: Job): readonly VanNeed[] => [
  ...job.cables.flatMap((cable): VanNeed[] =>
    cable.supply === "van"
      ? [{ what: { kind: "cable", class: cable.class, lengthM: cable.lengthM }, part: { kind: "cable", id: cable.id } }]
      : [],
  ),
  ...job.devices.flatMap(({ id, archetype, supply }): VanNeed[] =>
    supply === "van" && archetype ? [{ what: { kind: "device", archetype }, part: { kind: "device", id } }] : [],
  ),
];
