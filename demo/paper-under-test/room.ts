import fc from "fast-check";

/**
 * A small room as it would be noted on paper: one player, one television, one bar, and perhaps an extractor. It is written down here with
 * nothing of the program, and so is what arrives in it (`paper-arrival.ts`): both are read against DOMAIN facts alone.
 */
export interface PaperRoom {
  readonly content: PaperContent;
  /** How the player's sound is meant to get to the bar. */
  readonly way: PaperWay;
  readonly player: PaperPlayer;
  readonly tv: PaperTv;
  readonly bar: PaperBar;
  /** The wires for the return inside the cable between television and bar. */
  readonly wires: PaperReturn;
  /** What the extractor shows the player: two channels, the older surround codings, or the list of the screen. */
  readonly shows: "2ch" | "5.1" | "screen";
}

/** Through the television and back along its return socket; the same by its optical output; into the bar; out of an extractor by optical. */
export type PaperWay = "tv-return" | "tv-optical" | "bar-input" | "extractor";

export type PaperCoding = "lpcm" | "ac3" | "eac3" | "truehd" | "mat" | "dts" | "dts-hd-ma" | "analogue";
export type PaperBed = "2.0" | "5.1" | "7.1";
export type PaperReturn = "none" | "arc" | "earc";
type OnOff = "on" | "off";

/** A coding with the channels, and perhaps the objects, that something takes or hands on of it. */
export interface PaperSound {
  readonly coding: PaperCoding;
  readonly channels: PaperBed;
  readonly objects: boolean;
}

export interface PaperContent {
  readonly name: string;
  readonly tracks: readonly { readonly coding: PaperCoding; readonly channels: PaperBed; readonly objects?: "atmos" | "dtsx" }[];
}

export interface PaperPlayer {
  readonly passes: readonly PaperSound[];
  readonly decodes: readonly PaperSound[];
  readonly lpcm: PaperBed;
  readonly makesDolbyDigital: boolean;
  readonly format: (typeof FORMATS)[number];
}

interface PaperTv {
  readonly passes: readonly PaperSound[];
  readonly decodes: readonly PaperSound[];
  readonly lists: readonly PaperSound[];
  readonly lpcm: PaperBed;
  readonly makesDolbyDigital: boolean;
  readonly format: "auto" | "pass-through" | "pcm" | "dolby-digital";
  readonly speakers: "own" | "external";
  readonly returns: PaperReturn;
  readonly earc: OnOff;
  readonly arc: OnOff;
  readonly cec: OnOff;
}

export interface PaperBar {
  readonly decodes: readonly PaperSound[];
  readonly bed: PaperBed;
  readonly heights: 0 | 2;
  readonly mode: "auto" | "stereo";
  readonly returns: PaperReturn;
  readonly earc: OnOff;
  readonly arc: OnOff;
  readonly cec: OnOff;
}

export const CONTENTS: readonly PaperContent[] = [
  {
    name: "film on disc",
    tracks: [
      { coding: "truehd", channels: "7.1", objects: "atmos" },
      { coding: "ac3", channels: "5.1" },
    ],
  },
  {
    name: "film on an older disc",
    tracks: [
      { coding: "truehd", channels: "5.1" },
      { coding: "ac3", channels: "5.1" },
    ],
  },
  { name: "film in DTS:X", tracks: [{ coding: "dts-hd-ma", channels: "7.1", objects: "dtsx" }] },
  { name: "concert", tracks: [{ coding: "dts-hd-ma", channels: "5.1" }] },
  { name: "film in DTS", tracks: [{ coding: "dts", channels: "5.1" }] },
  { name: "film on an old disc", tracks: [{ coding: "ac3", channels: "5.1" }] },
  { name: "film from an app", tracks: [{ coding: "eac3", channels: "5.1", objects: "atmos" }] },
  { name: "series from an app", tracks: [{ coding: "eac3", channels: "5.1" }] },
  { name: "game", tracks: [{ coding: "lpcm", channels: "7.1" }] },
  {
    name: "game with objects",
    tracks: [
      { coding: "mat", channels: "7.1", objects: "atmos" },
      { coding: "lpcm", channels: "7.1" },
    ],
  },
  { name: "music", tracks: [{ coding: "lpcm", channels: "2.0" }] },
];

const LARGEST: Record<PaperCoding, PaperBed> = {
  lpcm: "7.1",
  ac3: "5.1",
  eac3: "5.1",
  truehd: "7.1",
  mat: "7.1",
  dts: "5.1",
  "dts-hd-ma": "7.1",
  analogue: "2.0",
};
const WITH_OBJECTS: readonly PaperCoding[] = ["eac3", "truehd", "mat", "dts-hd-ma"];

/** Most of the time one of a few values, now and then another: where every part varied freely, nearly every room would be silent. */
const mostly = <Value>(usual: readonly Value[], ...rare: readonly Value[]): fc.Arbitrary<Value> =>
  fc.oneof({ weight: 15, arbitrary: fc.constantFrom(...usual) }, { weight: 1, arbitrary: fc.constantFrom(...rare) });

const onOff = mostly<OnOff>(["on"], "off");
const bed = fc.constantFrom<PaperBed[]>("2.0", "5.1", "7.1");
const returns = mostly<PaperReturn>(["earc", "earc", "arc"], "none");

/** Most or some of these codings, each with objects or without. */
export const someOf = (codings: readonly PaperCoding[]): fc.Arbitrary<readonly PaperSound[]> =>
  fc
    .tuple(fc.oneof(fc.subarray([...codings], { minLength: codings.length - 2 }), fc.subarray([...codings])), fc.boolean())
    .map(([chosen, objects]) =>
      chosen.map((coding) => ({ coding, channels: LARGEST[coding], objects: objects && WITH_OBJECTS.includes(coding) })),
    );

export const CODED: readonly PaperCoding[] = ["ac3", "eac3", "truehd", "mat", "dts", "dts-hd-ma"];

/** LPCM of some bed, and some codings beside it. */
const withLpcm = (codings: readonly PaperCoding[]): fc.Arbitrary<readonly PaperSound[]> =>
  fc.tuple(bed, someOf(codings)).map(([channels, coded]) => [{ coding: "lpcm", channels, objects: false }, ...coded]);

/** What a player can be set to. */
export const FORMATS = ["auto", "bitstream", "pcm", "stereo", "dolby-digital"] as const;

export const paperPlayer: fc.Arbitrary<PaperPlayer> = fc.record({
  passes: someOf(CODED),
  decodes: someOf(CODED),
  lpcm: bed,
  makesDolbyDigital: fc.boolean(),
  format: fc.constantFrom<PaperPlayer["format"][]>("auto", ...FORMATS),
});

/** A bar that can take so much. */
export const onPaperBar = (decodes: fc.Arbitrary<readonly PaperSound[]>): fc.Arbitrary<PaperBar> =>
  fc.record({
    decodes,
    bed,
    heights: fc.constantFrom(0, 2),
    mode: mostly<"auto" | "stereo">(["auto"], "stereo"),
    returns,
    earc: onOff,
    arc: onOff,
    cec: onOff,
  });

export const paperRooms: fc.Arbitrary<PaperRoom> = fc.record({
  content: fc.constantFrom(...CONTENTS),
  way: fc.constantFrom<PaperWay[]>("tv-return", "tv-return", "tv-optical", "bar-input", "extractor"),
  player: paperPlayer,
  tv: fc.record({
    passes: someOf(CODED),
    decodes: someOf(CODED),
    lists: withLpcm(["ac3", "eac3"]),
    lpcm: bed,
    makesDolbyDigital: fc.boolean(),
    format: fc.constantFrom<PaperTv["format"][]>("auto", "auto", "pass-through", "pcm", "dolby-digital"),
    speakers: mostly<"external" | "own">(["external"], "own"),
    returns,
    earc: onOff,
    arc: onOff,
    cec: onOff,
  }),
  bar: onPaperBar(withLpcm(CODED)),
  wires: returns,
  shows: fc.constantFrom("2ch", "5.1", "screen"),
});
