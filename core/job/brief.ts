import { z } from "zod";
import { Slug } from "@/core/device";

/** What may be bought for a job. */
export const PURCHASE_KINDS = ["cable", "box", "device"] as const;
export type PurchaseKind = (typeof PURCHASE_KINDS)[number];

/** Whether a cable may run between two rooms or places, and how long it must be. */
export const Run = z.strictObject({
  id: Slug,
  between: z.tuple([Slug, Slug]),
  allowed: z.boolean().default(true),
  /** Null: not measured. */
  lengthM: z.number().positive().max(1000).nullable().default(null),
});
export type Run = z.infer<typeof Run>;

/** What the household wishes, as choices that the engine and the planner use. */
export const Brief = z.strictObject({
  /** The device that sound should come from; null: the first sound system, else the first screen with speakers. */
  soundSystem: Slug.nullable().default(null),
  wishes: z.string().max(8000).default(""),
  /** Who uses the room. */
  household: z.string().max(300).default(""),
  /** How many remotes they bear for the loudness of everything; null: not asked. */
  remotes: z.number().int().min(1).max(9).nullable().default(null),
  /** Where the news should sound from: the sound system always, or the speakers of the screen itself. */
  newsFrom: z.enum(["system", "screen"]).default("system"),
  /** plain: two channels are enough, and no change is proposed for more. */
  surround: z.enum(["wished", "plain"]).default("wished"),
  /** Speech matters most: rows of speech that lose their centre channel are told. */
  clearSpeech: z.boolean().default(false),
  /** What may be spent, in the currency of the settings; null: not asked. */
  budget: z.number().min(0).max(1_000_000).nullable().default(null),
  mayBuy: z
    .array(z.enum(PURCHASE_KINDS))
    .max(PURCHASE_KINDS.length)
    .default([...PURCHASE_KINDS]),
  /** Devices that must stay in the room. */
  mustStay: z.array(Slug).max(200).default([]),
  runs: z.array(Run).max(100).default([]),
});
export type Brief = z.infer<typeof Brief>;
