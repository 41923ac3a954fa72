import { z } from "zod";
import { CONTENT_CATALOGUE } from "@/core/device";
import { FAULT_KIND_IDS, VISIT_WORKS } from "@/core/facts";

export const UNIT_SYSTEMS = ["metric", "imperial"] as const;

/** Letters of the firm's picture as a data address: some 400 kB of picture. */
export const MAX_FIRM_PICTURE = 560_000;

/** What a firm sets once for all its jobs. */
export const Preferences = z.strictObject({
  units: z.enum(UNIT_SYSTEMS).default("metric"),
  /** Printed on maps and sheets. */
  firm: z
    .strictObject({
      name: z.string().max(120).default(""),
      address: z.string().max(300).default(""),
      phone: z.string().max(60).default(""),
      /** Its sign, printed on what it hands over, as a data address; empty: none. */
      picture: z
        .string()
        .max(MAX_FIRM_PICTURE)
        .regex(/^$|^data:image\/(png|jpeg);base64,[A-Za-z0-9+/]+=*$/, "a PNG or JPEG picture")
        .default(""),
    })
    .prefault({}),
  /** Written after amounts; a person's own letters. */
  currency: z.string().trim().max(8).default(""),
  /** Minutes of hands that the firm wrote down in place of the usual ones, by kind of work. */
  minutes: z
    .partialRecord(
      z.enum(VISIT_WORKS),
      z
        .strictObject({ from: z.number().min(0).max(480), to: z.number().min(0).max(480) })
        .refine(({ from, to }) => from <= to, { error: "from no more than to" }),
    )
    .default({}),
  /** How often the firm meets a kind of fault against the others, in place of the table of the trade. */
  faults: z.partialRecord(z.enum(FAULT_KIND_IDS), z.number().min(0).max(1000)).default({}),
  /** What a new player of a kind is taken to play, by source kind, in place of the archetype's own; empty: the archetype's. */
  contents: z
    .strictObject({
      media: z.array(z.string().max(64)).max(24).default([]),
      app: z.array(z.string().max(64)).max(24).default([]),
      tuner: z.array(z.string().max(64)).max(24).default([]),
    })
    .prefault({})
    .refine(
      (sets) =>
        Object.values(sets)
          .flat()
          .every((id) => CONTENT_CATALOGUE.some((content) => content.id === id)),
      {
        error: "only contents of the catalogue",
      },
    ),
});
export type Preferences = z.infer<typeof Preferences>;

/** The settings of a firm that has set nothing. */
export const defaultPreferences = (): Preferences => Preferences.parse({});
