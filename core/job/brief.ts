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

/** What a way of wiring is weighed by, in plain words. */
export const WEIGHINGS = ["easiest-to-use", "best-sound", "least-spending", "least-drilling"] as const;

/** The most that each can count; half of that is already much. */
export const MOST_WEIGHTS = { sound: 100, picture: 100, ease: 100, money: 40, hours: 40, pulls: 40 } as const;

const points = (most: number) => z.number().min(0).max(most);

/** What counts how much: points for the whole of sound, picture and ease; points lost for money, hours and pulls. */
export const Weights = z.strictObject({
  sound: points(MOST_WEIGHTS.sound),
  picture: points(MOST_WEIGHTS.picture),
  ease: points(MOST_WEIGHTS.ease),
  /** For each hundred of the currency. */
  money: points(MOST_WEIGHTS.money),
  /** For each hour on site. */
  hours: points(MOST_WEIGHTS.hours),
  /** For each cable from one room or place to another. */
  pulls: points(MOST_WEIGHTS.pulls),
});
export type Weights = Readonly<z.infer<typeof Weights>>;

/** Something that whoever plans must keep to, or keep from. Where no socket is named any of that device is meant. */
export const Bond = z.discriminatedUnion("bond", [
  z.strictObject({ bond: z.literal("pin"), player: Slug, hub: Slug, port: Slug.nullable().default(null) }),
  z.strictObject({ bond: z.literal("forbid-place"), player: Slug, hub: Slug }),
  z.strictObject({ bond: z.literal("forbid-box"), archetype: Slug }),
  z.strictObject({ bond: z.literal("forbid-new-cables") }),
  z.strictObject({ bond: z.literal("forbid-school"), school: Slug }),
]);
export type Bond = Readonly<z.infer<typeof Bond>>;

/** What is required of the wired room, of one device or of all of it. */
export const Want = z.discriminatedUnion("want", [
  /** Everything of a player, or of a screen's own apps and tuner, is heard from the sound system. */
  z.strictObject({ want: z.literal("sounds"), device: Slug }),
  z.strictObject({ want: z.literal("whole"), device: Slug }),
  /** Its picture loses nothing where it is seen. */
  z.strictObject({ want: z.literal("picture"), device: Slug }),
  /** Its picture comes to every screen. */
  z.strictObject({ want: z.literal("everywhere"), device: Slug }),
  /** No everyday act takes more remotes than so many. */
  z.strictObject({ want: z.literal("remotes"), most: z.number().int().min(1).max(9) }),
]);
export type Want = Readonly<z.infer<typeof Want>>;

/** What the household wishes, as choices that the engine and the planner use. */
export const Brief = z.strictObject({
  /** The device that sound should come from; null: the first sound system, else the first screen with speakers. */
  soundSystem: Slug.nullable().default(null),
  wishes: z.string().max(8000).default(""),
  /** Who uses the room. */
  household: z.string().max(300).default(""),
  /** How many remotes they accept for the volume of everything; null: not asked. */
  remotes: z.number().int().min(1).max(9).nullable().default(null),
  /** Where the news should sound from: the sound system always, or the speakers of the screen itself. */
  newsFrom: z.enum(["system", "screen"]).default("system"),
  /** Of several screens one alone is lit at a time, or several at once; null: not asked. */
  screensAtOnce: z.enum(["one", "several"]).nullable().default(null),
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
  weighing: z.union([z.enum(WEIGHINGS), Weights]).default("best-sound"),
  bonds: z.array(Bond).max(100).default([]),
  /** Without these no way of wiring will do. */
  musts: z.array(Want).max(60).default([]),
  /** These are worth something, and can be given up for more. */
  hopes: z.array(Want).max(60).default([]),
});
export type Brief = z.infer<typeof Brief>;

/** The devices that the wishes for the planner name, each with its place in the brief. */
export function wishedDevices({ bonds, musts, hopes }: Pick<Brief, "bonds" | "musts" | "hopes">) {
  const ofBond = (bond: Bond) => ("player" in bond ? [bond.player, bond.hub] : []);
  const ofWant = (want: Want) => ("device" in want ? [want.device] : []);
  return [
    ...bonds.flatMap((bond, index) => ofBond(bond).map((device) => ({ device, place: ["brief", "bonds", index] as const }))),
    ...musts.flatMap((want, index) => ofWant(want).map((device) => ({ device, place: ["brief", "musts", index] as const }))),
    ...hopes.flatMap((want, index) => ofWant(want).map((device) => ({ device, place: ["brief", "hopes", index] as const }))),
  ];
}

/** The brief once a device is gone: what was required of it goes with it. */
export function briefWithout(brief: Brief, device: string): Brief {
  const names = ({ bonds, musts, hopes }: Partial<Brief>) =>
    wishedDevices({ bonds: bonds ?? [], musts: musts ?? [], hopes: hopes ?? [] }).some((named) => named.device === device);
  if (brief.soundSystem !== device && !names(brief)) return brief;
  return {
    ...brief,
    soundSystem: brief.soundSystem === device ? null : brief.soundSystem,
    bonds: brief.bonds.filter((bond) => !names({ bonds: [bond] })),
    musts: brief.musts.filter((want) => !names({ musts: [want] })),
    hopes: brief.hopes.filter((want) => !names({ hopes: [want] })),
  };
}
