import { z } from "zod";
import { BED_IDS, CODING_IDS, PICTURE_MODES, SETTING_KEYS } from "@/core/facts";
import { Content } from "./content";

/** Names within a job file: small letters, digits and hyphens. */
export const Slug = z
  .string()
  .regex(/^[a-z0-9][a-z0-9-]{0,63}$/, "small letters, digits and hyphens, at most 64, beginning with a letter or digit");

/** One row of a sound list: a coding, the largest bed of it, and whether its objects are understood. Compare the short audio descriptor of CTA-861-H §7.5.2. */
export const SoundDescriptor = z.strictObject({
  coding: z.enum(CODING_IDS),
  channels: z.enum(BED_IDS),
  objects: z.boolean().default(false),
});
export type SoundDescriptor = z.infer<typeof SoundDescriptor>;

const socket = { id: Slug, label: z.string().min(1).max(40), direction: z.enum(["in", "out"]) };

/** `direction` is that of the picture: the marked return socket of a TV is an input, that of a bar an output. */
export const HdmiPort = z.strictObject({
  ...socket,
  connector: z.literal("hdmi"),
  /** TMDS or FRL rate of the socket; null where nobody knows. */
  maxGbps: z.number().positive().max(48).nullable(),
  hdcp: z.enum(["none", "1.4", "2.2", "2.3"]).nullable(),
  /** The return channel that this socket has; null where nobody knows yet. */
  returns: z.enum(["none", "arc", "earc"]).nullable(),
});
export const OpticalPort = z.strictObject({ ...socket, connector: z.literal("optical") });
export const Port = z.discriminatedUnion("connector", [HdmiPort, OpticalPort]);
export type HdmiPort = z.infer<typeof HdmiPort>;
export type Port = z.infer<typeof Port>;

/** Where content starts: a drive, an app inside the device, a tuner. */
export const Source = z.strictObject({
  id: Slug,
  name: z.string().min(1).max(40),
  kind: z.enum(["media", "app", "tuner"]),
  contents: z.array(Content).max(24),
});
export type Source = z.infer<typeof Source>;

export const Setting = z.strictObject({
  key: z.enum(SETTING_KEYS),
  options: z.array(z.string().min(1).max(40)).min(1).max(12),
  /** As it stood when the installer came; null where nobody looked. */
  found: z.string().nullable(),
  /** As planned; null: leave as found. */
  planned: z.string().nullable().default(null),
  /** As left after the visit; null: not yet. */
  left: z.string().nullable().default(null),
});
export type Setting = z.infer<typeof Setting>;

/** A port id, a source id, or one of the ends "speakers" and "display". */
const Terminal = z.string().min(1).max(64);

const delayMs = z.number().min(0).max(2000).nullable().default(0);

export const SoundRoute = z.strictObject({
  kind: z.literal("sound"),
  from: z.array(Terminal).min(1),
  to: z.array(Terminal).min(1),
  /** The bitstreams it hands on untouched; null where nobody knows. Not asked of a route to the speakers. */
  passes: z.array(SoundDescriptor).nullable().default([]),
  /** The largest LPCM bed it hands on. */
  lpcm: z.enum(BED_IDS).default("2.0"),
  /** The bed that its own decoder makes when set to PCM. */
  pcm: z.enum(BED_IDS).default("2.0"),
  /** What it can code anew. */
  encodes: z.array(z.enum(CODING_IDS)).default([]),
  /** The setting that decides the format; null: the best that is listed. */
  format: z.enum(SETTING_KEYS).nullable().default(null),
  /** Open only while a setting has this value. */
  opens: z
    .strictObject({ setting: z.enum(SETTING_KEYS), value: z.string() })
    .nullable()
    .default(null),
  delayMs,
});
export type SoundRoute = z.infer<typeof SoundRoute>;
export type SoundRouteInput = z.input<typeof SoundRoute>;

export const PictureRoute = z.strictObject({
  kind: z.literal("picture"),
  from: z.array(Terminal).min(1),
  to: z.array(Terminal).min(1),
  delayMs,
});
export type PictureRoute = z.infer<typeof PictureRoute>;
export type PictureRouteInput = z.input<typeof PictureRoute>;

export const Route = z.discriminatedUnion("kind", [SoundRoute, PictureRoute]);
export type Route = z.infer<typeof Route>;

/** What the device shows as EDID sound list at its inputs. */
export const Presents = z.discriminatedUnion("rule", [
  z.strictObject({
    rule: z.literal("list"),
    ports: z.array(Slug).min(1),
    /** Null where nobody has read it. */
    sound: z.array(SoundDescriptor).nullable(),
    /** The return socket whose far end widens this list; null: the list stays as it is. */
    widenedBy: Slug.nullable().default(null),
  }),
  z.strictObject({ rule: z.literal("decoders"), ports: z.array(Slug).min(1) }),
]);
export type Presents = z.infer<typeof Presents>;

export const Speakers = z.strictObject({
  bed: z.enum(BED_IDS),
  heights: z.number().int().min(0).max(6).default(0),
  /** From the last wire to the air: decoding and processing. */
  delayMs: z.number().min(0).max(2000).nullable().default(null),
});
export type Speakers = z.infer<typeof Speakers>;

export const Display = z.strictObject({
  maxMode: z.enum(PICTURE_MODES),
  hdr: z.array(z.enum(["hdr10", "hlg", "dolby-vision"])).default([]),
  delayMs: z.number().min(0).max(2000).nullable(),
  gameDelayMs: z.number().min(0).max(2000).nullable(),
});
export type Display = z.infer<typeof Display>;

export const ROLES = ["player", "screen", "sound"] as const;

/** A device in full, as it stands in a job. */
export const Device = z.strictObject({
  id: Slug,
  name: z.string().min(1).max(300),
  maker: z.string().max(80).default(""),
  /** Where its data came from; null when spelled out by hand. */
  archetype: z.string().nullable().default(null),
  role: z.enum(ROLES),
  ports: z.array(Port).max(32).default([]),
  sources: z.array(Source).max(8).default([]),
  /** The codings it can turn into LPCM or play itself; null where nobody knows. */
  decodes: z.array(SoundDescriptor).nullable().default([]),
  speakers: Speakers.nullable().default(null),
  display: Display.nullable().default(null),
  routes: z.array(Route).max(48).default([]),
  presents: z.array(Presents).max(32).default([]),
  settings: z.array(Setting).max(24).default([]),
  note: z.string().max(4000).default(""),
});
export type Device = z.infer<typeof Device>;
export type DeviceInput = z.input<typeof Device>;
