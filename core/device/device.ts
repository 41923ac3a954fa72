import { z } from "zod";
import { BED_IDS, CODING_IDS, PICTURE_MODES, SETTING_KEYS } from "@/core/facts";
import { Content } from "./content";
import { Control } from "./control";
import { Dials } from "./dials";
import { DEVICE_STATES } from "./device-state";
import { Slug } from "./slug";
import { SpeakerUnit } from "./unit";

/** One row of a sound list: a coding, the largest bed of it, and whether its objects are understood. Compare the short audio descriptor of CTA-861-H §7.5.2. */
export const SoundDescriptor = z.strictObject({
  coding: z.enum(CODING_IDS),
  channels: z.enum(BED_IDS),
  objects: z.boolean().default(false),
});
export type SoundDescriptor = z.infer<typeof SoundDescriptor>;

const SettingIs = z.strictObject({ setting: z.enum(SETTING_KEYS), value: z.string().min(1).max(40) });

/**
 * What must hold for something inside a device to work: a setting has a value, one of several has, nothing is plugged into a
 * socket that mutes it, or (for a box with several outputs) its sound output belongs to the screen in use.
 */
export const Condition = z.union([
  SettingIs,
  z.strictObject({ either: z.array(SettingIs).min(2).max(8) }),
  z.strictObject({ unplugged: Slug }),
  z.strictObject({ soundFollows: z.record(z.string().min(1).max(40), Slug) }),
]);
export type Condition = z.infer<typeof Condition>;

/** All must hold; one may be written without the list, and null or nothing means always. */
const Conditions = z
  .union([Condition, z.array(Condition).max(8)])
  .nullable()
  .default(null)
  .transform((given): Condition[] => (given === null ? [] : Array.isArray(given) ? given : [given]));

/** A coding that a device turns into LPCM or plays. */
export const Decoder = SoundDescriptor.extend({
  /** It exists only while these hold: a setting, or a module that must be fitted; left out: always. */
  opens: Conditions.optional(),
});
export type Decoder = z.infer<typeof Decoder>;

const socket = {
  id: Slug,
  label: z.string().min(1).max(40),
  direction: z.enum(["in", "out"]),
  /** It is worn out or broken: nothing goes through it. */
  dead: z.boolean().default(false),
};

/** `direction` is that of the picture: the marked return socket of a TV is an input, that of a bar an output. */
export const HdmiPort = z.strictObject({
  ...socket,
  connector: z.literal("hdmi"),
  /** TMDS or FRL rate of the socket; null where nobody knows. */
  maxGbps: z.number().positive().max(48).nullable(),
  /** Its rate while the device's picture mode is standard; null where it has no such mode. */
  standardGbps: z.number().positive().max(48).nullable().default(null),
  hdcp: z.enum(["none", "1.4", "2.2", "2.3"]).nullable(),
  /** The return channel that this socket has; null where nobody knows yet. */
  returns: z.enum(["none", "arc", "earc"]).nullable(),
  /** What must hold before its return works at all: a box's button, or a menu item that ties ARC to CEC. */
  returnOpens: Conditions,
  /** While these hold, this output plays the screen's part and sends sound out, as a box's socket that can be HDMI out or sound out; empty: never. */
  turnsWhen: Conditions,
  /** A plug that is part of the device, as on a stick; a wide one covers the sockets beside it. */
  plug: z.enum(["slim", "wide"]).nullable().default(null),
});
const simple = <Kind extends "optical" | "coaxial" | "rca" | "minijack" | "composite" | "usb">(kind: Kind) =>
  z.strictObject({ ...socket, connector: z.literal(kind) });
export const BluetoothPort = z.strictObject({
  ...socket,
  connector: z.literal("bluetooth"),
  /** It has a low-delay codec; null where nobody knows. */
  lowDelay: z.boolean().nullable().default(false),
  /** How late it was seen to play or send over Bluetooth; null: as the codec has it. */
  delayMs: z.number().min(0).max(2000).nullable().default(null),
});
export const Port = z.discriminatedUnion("connector", [
  HdmiPort,
  simple("optical"),
  simple("coaxial"),
  simple("rca"),
  simple("minijack"),
  simple("composite"),
  simple("usb"),
  BluetoothPort,
]);
export type HdmiPort = z.infer<typeof HdmiPort>;
export type Port = z.infer<typeof Port>;
export type PortInput = z.input<typeof Port>;

/** Where content starts: a drive, an app inside the device, a tuner. */
export const Source = z.strictObject({
  id: Slug,
  name: z.string().min(1).max(40),
  kind: z.enum(["media", "app", "tuner"]),
  contents: z.array(Content).max(24),
  /** Links over which this app stays silent although others do not. */
  failsOver: z.array(z.enum(["bluetooth"])).default([]),
});
export type Source = z.infer<typeof Source>;

export const Setting = z.strictObject({
  key: z.enum(SETTING_KEYS),
  options: z.array(z.string().min(1).max(40)).min(1).max(64),
  /** As it was when the installer came; null where nobody looked. */
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
  /** What it can code again. */
  encodes: z.array(z.enum(CODING_IDS)).default([]),
  /** It plays the objects of Dolby Digital Plus out as MAT where that is listed. */
  wrapsObjects: z.boolean().default(false),
  /** The setting that decides the format; null: the best that is listed. */
  format: z.enum(SETTING_KEYS).nullable().default(null),
  /** Open only while this holds. */
  opens: Conditions,
  /** It hands on whatever comes in, whatever the far end lists: a splitter, an extractor, a plain converter. */
  blind: z.boolean().default(false),
  /** It renders surround for headphones: two channels come out, and no objects, whatever goes in. */
  renders: z.enum(["binaural"]).nullable().default(null),
  delayMs,
});
export type SoundRoute = z.infer<typeof SoundRoute>;
export type SoundRouteInput = z.input<typeof SoundRoute>;

export const HDR_FORMATS = ["hdr10", "hlg", "hdr10-plus", "dolby-vision"] as const;

export const PictureRoute = z.strictObject({
  kind: z.literal("picture"),
  from: z.array(Terminal).min(1),
  to: z.array(Terminal).min(1),
  opens: Conditions,
  /** The HDR formats it passes; null: any. */
  hdr: z.array(z.enum(HDR_FORMATS)).nullable().default(null),
  /** It passes variable refresh and the low-latency wish. */
  gaming: z.boolean().default(true),
  /** Each output gets a picture that its own screen can show; without it all get what the least of them can. */
  scaler: z.boolean().default(false),
  /** The player sees the picture list of the screen at this output alone; null: what all screens behind it can show. */
  copies: Slug.nullable().default(null),
  /** It makes this timing of whatever comes in: a converter gives a timing, not the detail. */
  makes: z.enum(PICTURE_MODES).nullable().default(null),
  delayMs,
});
export type PictureRoute = z.infer<typeof PictureRoute>;
export type PictureRouteInput = z.input<typeof PictureRoute>;

export const Route = z.discriminatedUnion("kind", [SoundRoute, PictureRoute]);
export type Route = z.infer<typeof Route>;

const presents = {
  ports: z.array(Slug).min(1),
  /** The rule counts while this holds; the first that counts for a socket is the one shown. */
  when: Conditions,
};

/** What the device shows as EDID sound list at its inputs, or reports at a return socket in place of its own decoders. */
export const Presents = z.discriminatedUnion("rule", [
  z.strictObject({
    rule: z.literal("list"),
    ...presents,
    /** Null where nobody has read it. */
    sound: z.array(SoundDescriptor).nullable(),
    /** The return socket whose far end widens this list; null: the list stays as it is. */
    widenedBy: Slug.nullable().default(null),
  }),
  /** Its own decoders. */
  z.strictObject({ rule: z.literal("decoders"), ...presents }),
  /** A copy of what it sees at one of its own sockets: the screen's list, or that of the sound output. */
  z.strictObject({ rule: z.literal("copy"), ...presents, of: Slug }),
  /** Only what all plugged ones among these sockets list. */
  z.strictObject({ rule: z.literal("common"), ...presents, of: z.array(Slug).min(1) }),
]);
export type Presents = z.infer<typeof Presents>;

export const Speakers = z.strictObject({
  bed: z.enum(BED_IDS),
  heights: z.number().int().min(0).max(6).default(0),
  /** From the last wire to the air: decoding and processing. */
  delayMs: z.number().min(0).max(2000).nullable().default(null),
  /** Units that play later than the others by so much, as wireless ones may. */
  later: z
    .array(z.strictObject({ units: z.string().min(1).max(80), byMs: z.number().positive().max(500) }))
    .max(16)
    .default([]),
});
export type Speakers = z.infer<typeof Speakers>;

export const Display = z.strictObject({
  maxMode: z.enum(PICTURE_MODES),
  hdr: z.array(z.enum(HDR_FORMATS)).default([]),
  /** It takes variable refresh and the low-latency wish. */
  gaming: z.boolean().default(false),
  delayMs: z.number().min(0).max(2000).nullable(),
  gameDelayMs: z.number().min(0).max(2000).nullable(),
  /** In its film mode; null: as in its standard mode. */
  filmDelayMs: z.number().min(0).max(2000).nullable().default(null),
});
export type Display = z.infer<typeof Display>;

export const ROLES = ["player", "box", "screen", "sound"] as const;

/** What a device is known for, beside what it can do. */
export const Habit = z.discriminatedUnion("habit", [
  /** Its bitstream slips out of step after a while. */
  z.strictObject({
    habit: z.literal("drifts"),
    codings: z.array(z.enum(CODING_IDS)).min(1),
    /** How far it was seen to slip, positive for sound late, and after how many minutes; null: not measured. */
    amountMs: z.number().min(-5000).max(5000).nullable().default(null),
    afterMinutes: z.number().positive().max(1440).nullable().default(null),
  }),
  /** Where HDCP is too old on the way it shows nothing, instead of stepping down to 1080p. */
  z.strictObject({ habit: z.literal("blanks-without-hdcp") }),
  /** It shows its old list until it is plugged again or switched off and on. */
  z.strictObject({ habit: z.literal("keeps-old-edid") }),
  /** It shows no list while the screen sleeps. */
  z.strictObject({ habit: z.literal("forgets-edid") }),
]);
export type Habit = z.infer<typeof Habit>;

/** How its volume is moved: by its own remote and over CEC, by its own remote alone, over CEC alone, by a knob, or not at all. */
export const VOLUMES = ["remote-and-cec", "remote", "cec", "knob", "fixed"] as const;

/** Where a part of a job comes from: it is there already, the van has it, or it must be bought. */
export const SUPPLIES = ["there", "van", "buy"] as const;
export type Supply = (typeof SUPPLIES)[number];

/** A device in full, as it is in a job. */
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
  decodes: z.array(Decoder).nullable().default([]),
  speakers: Speakers.nullable().default(null),
  display: Display.nullable().default(null),
  routes: z.array(Route).max(48).default([]),
  presents: z.array(Presents).max(32).default([]),
  settings: z.array(Setting).max(24).default([]),
  /** It takes part in HDMI control at all, whatever its settings say. */
  speaksCec: z.boolean().default(true),
  control: Control.prefault({}),
  volume: z.enum(VOLUMES).nullable().default(null),
  habits: z.array(Habit).max(8).default([]),
  /** Attached leads, to its own speakers or units, and how far they reach. */
  attachedLeads: z
    .array(z.strictObject({ to: z.string().min(1).max(80), lengthM: z.number().positive().max(100) }))
    .max(16)
    .default([]),
  /** The boxes that its speakers are in; empty: nobody wrote them down. */
  units: z.array(SpeakerUnit).max(32).default([]),
  /** What fits it to its room; null: nothing, or not known. */
  dials: Dials.nullable().default(null),
  /** What its own display says while a coding plays, where that is not the coding's name. */
  displayWords: z
    .array(z.strictObject({ coding: z.enum(CODING_IDS), words: z.string().trim().min(1).max(60) }))
    .max(CODING_IDS.length)
    .default([]),
  /** How it is at the moment: with power and well, or not. */
  state: z.enum(DEVICE_STATES).default("works"),
  note: z.string().max(4000).default(""),
  /** The sound system that its sound is meant for, where a room has several; null: that of the brief. */
  heardFrom: Slug.nullable().default(null),
  /** The room or place of a room where it is; null: not noted. */
  room: Slug.nullable().default(null),
  /** Its two ends stand apart and are joined through the air, so that its cables stay each within a room. */
  spans: z.boolean().default(false),
  supply: z.enum(SUPPLIES).default("there"),
  /** The EDID that was read from it, as hexadecimal digits; null where none was. */
  edid: z
    .string()
    .regex(/^([0-9a-f]{2})+$/, "pairs of hexadecimal digits")
    .max(65_536)
    .nullable()
    .default(null),
});
export type Device = z.infer<typeof Device>;
export type DeviceInput = z.input<typeof Device>;
