/** Logical addresses: who may hold which. Source: CEC 1.4 table 5, HDMI 2.0 table 11-3 (12 and 13 as backup). */
export const CEC_ADDRESSES = [
  { address: 0, name: "TV", kind: "tv" },
  { address: 1, name: "recorder 1", kind: "recorder" },
  { address: 2, name: "recorder 2", kind: "recorder" },
  { address: 3, name: "tuner 1", kind: "tuner" },
  { address: 4, name: "player 1", kind: "playback" },
  { address: 5, name: "audio system", kind: "audio" },
  { address: 6, name: "tuner 2", kind: "tuner" },
  { address: 7, name: "tuner 3", kind: "tuner" },
  { address: 8, name: "player 2", kind: "playback" },
  { address: 9, name: "recorder 3", kind: "recorder" },
  { address: 10, name: "tuner 4", kind: "tuner" },
  { address: 11, name: "player 3", kind: "playback" },
  { address: 12, name: "backup 1", kind: "backup" },
  { address: 13, name: "backup 2", kind: "backup" },
  { address: 14, name: "specific use", kind: "specific" },
  { address: 15, name: "unregistered, and everyone", kind: "everyone" },
] as const;

/** What a device is on the bus. A switch passes the wire on and holds no address of its own. */
export const CEC_KINDS = ["tv", "recorder", "tuner", "playback", "audio", "switch"] as const;
export type CecKind = (typeof CEC_KINDS)[number];

export const EVERYONE = 15;
export const UNREGISTERED = 15;
export const BACKUP_ADDRESSES: readonly number[] = [12, 13];

/** The addresses a device of a kind tries, in the order of the standard. Source: CEC 1.4 §10.2.1. */
export const addressesOf = (kind: CecKind): readonly number[] =>
  CEC_ADDRESSES.filter((row) => row.kind === kind).map(({ address }) => address);

/** The device type as reports carry it. Source: CEC 1.4 table 29 [Device Type]. */
export const CEC_DEVICE_TYPES = { tv: 0, recorder: 1, tuner: 3, playback: 4, audio: 5, switch: 6 } as const satisfies Record<
  CecKind,
  number
>;

/**
 * Times of the wire, in milliseconds. A block is eight data bits, end of message and acknowledge; before a frame the wire must rest.
 * Source: CEC 1.4 §5.2 (start bit 4.5, bit 2.4), §9.1 table 7 (signal-free times of 3, 5 and 7 bit periods), §7.3 (at most five tries again).
 */
export const CEC_TIMES = {
  startBitMs: 4.5,
  bitMs: 2.4,
  bitsInBlock: 10,
  restAgainBits: 3,
  restNewInitiatorBits: 5,
  restSameInitiatorBits: 7,
  triesAgain: 5,
  /** A request wants its answer within this. Source: CEC 1.4 §9.2, required maximum response time. */
  answerMs: 1000,
  mostBlocks: 16,
} as const;

/** Keys that a remote sends over the bus. Source: CEC 1.4 table 30 [UI Command]. */
export const CEC_KEYS = [
  { code: 0x00, key: "select" },
  { code: 0x01, key: "up" },
  { code: 0x02, key: "down" },
  { code: 0x03, key: "left" },
  { code: 0x04, key: "right" },
  { code: 0x09, key: "root menu" },
  { code: 0x0a, key: "setup menu" },
  { code: 0x0b, key: "contents menu" },
  { code: 0x0d, key: "back" },
  { code: 0x20, key: "0" },
  { code: 0x21, key: "1" },
  { code: 0x22, key: "2" },
  { code: 0x23, key: "3" },
  { code: 0x24, key: "4" },
  { code: 0x25, key: "5" },
  { code: 0x26, key: "6" },
  { code: 0x27, key: "7" },
  { code: 0x28, key: "8" },
  { code: 0x29, key: "9" },
  { code: 0x2b, key: "enter" },
  { code: 0x30, key: "channel up" },
  { code: 0x31, key: "channel down" },
  { code: 0x34, key: "input select" },
  { code: 0x35, key: "display information" },
  { code: 0x40, key: "power" },
  { code: 0x41, key: "volume up" },
  { code: 0x42, key: "volume down" },
  { code: 0x43, key: "mute" },
  { code: 0x44, key: "play" },
  { code: 0x45, key: "stop" },
  { code: 0x46, key: "pause" },
  { code: 0x48, key: "rewind" },
  { code: 0x49, key: "fast forward" },
  { code: 0x4b, key: "skip forward" },
  { code: 0x4c, key: "skip backward" },
  { code: 0x65, key: "mute, and no other way" },
  { code: 0x66, key: "sound again, and no other way" },
  { code: 0x6b, key: "power to and fro" },
  { code: 0x6c, key: "power off, and no other way" },
  { code: 0x6d, key: "power on, and no other way" },
  { code: 0x71, key: "blue" },
  { code: 0x72, key: "red" },
  { code: 0x73, key: "green" },
  { code: 0x74, key: "yellow" },
] as const;

export const CEC_KEY = { power: 0x40, volumeUp: 0x41, volumeDown: 0x42, mute: 0x43, powerOff: 0x6c, powerOn: 0x6d } as const;

/** Source: CEC 1.4 table 29 [Power Status]. */
export const CEC_POWER = [
  { code: 0, words: "on" },
  { code: 1, words: "in standby" },
  { code: 2, words: "waking" },
  { code: 3, words: "going to standby" },
] as const;

/** Source: CEC 1.4 table 29 [Abort Reason]. */
export const CEC_ABORTS = [
  { code: 0, words: "it does not know this message" },
  { code: 1, words: "not in the state for it" },
  { code: 2, words: "it cannot give the source" },
  { code: 3, words: "it does not know the value" },
  { code: 4, words: "it refuses" },
  { code: 5, words: "it cannot tell why" },
] as const;

/** Source: CEC 1.4 table 29 [CEC Version], HDMI 2.0 table 11-31. */
export const CEC_VERSIONS = [
  { code: 4, words: "1.3a" },
  { code: 5, words: "1.4" },
  { code: 6, words: "2.0" },
] as const;
