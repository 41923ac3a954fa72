import { bedChannels, BED_IDS, codingFact, relativesOf, smallerBed, type Bed, type Coding } from "@/core/facts";
import type { Content, Device } from "@/core/device";
import { keepsObjects, soundingBed, whyNotPlay } from "./play";
import { compareStreams } from "./quality";
import { codedAgain, streamsOf, type Stream } from "./stream";

/** What a full arrival of a content must hold at a sound system: the content as authored, within its speakers and object decoders. */
export interface Authored {
  readonly channels: number;
  readonly objects: boolean;
  readonly lossless: boolean;
}

type Decoders = NonNullable<Device["decodes"]>;
interface Ideal {
  readonly forms: readonly Stream[];
  readonly authored: Authored;
}

/** Contents and decoders are never changed in place, so what one makes of the other is remembered, for each bed that the speakers sound. */
const remembered = new WeakMap<Content, WeakMap<Decoders, Map<Bed, Ideal>>>();

/**
 * Every form of a content that a sound system can take at all, the best first, from a player that can make anything over a link that
 * carries anything: each track native, decoded to LPCM, its embedded cores, its bed without objects, and the usual recodings
 * (Dolby Digital 5.1 and an LPCM 2.0 downmix). Decoders that a setting or module opens count. Empty where nobody knows the decoders.
 */
export const idealForms = (content: Content, system: Device): readonly Stream[] => idealOf(content, system)?.forms ?? [];

/** Whether an arrival is full: every channel and object that the system's speakers and object decoders can play, lossless where authored so, nothing coded again. */
export function isFull(stream: Stream, content: Content, system: Device): boolean {
  const authored = idealOf(content, system)?.authored;
  if (!authored) return false;
  return (
    bedChannels(soundingBed(stream, system)) >= authored.channels &&
    (!authored.objects || keepsObjects(stream, system)) &&
    (!authored.lossless || stream.lossless) &&
    !isCodedAgain(stream, content) &&
    stream.lineage !== "binaural"
  );
}

/** Whether a stream has been through more lossy codings than the best of its content's tracks. */
export const isCodedAgain = (stream: Stream, content: Content): boolean =>
  stream.generations > Math.max(...streamsOf(content).map(({ generations }) => generations));

function idealOf(content: Content, system: Device): Ideal | null {
  const decodes = system.decodes;
  if (!decodes) return null;
  const byDecoders = remembered.get(content) ?? new WeakMap<Decoders, Map<Bed, Ideal>>();
  remembered.set(content, byDecoders);
  const byBed = byDecoders.get(decodes) ?? new Map<Bed, Ideal>();
  byDecoders.set(decodes, byBed);
  const bed = system.speakers?.bed ?? "2.0";
  const known = byBed.get(bed);
  if (known) return known;
  const forms = everyForm(content)
    .filter((form) => whyNotPlay(form, system) === null)
    .sort((a, b) => compareStreams(b, a, system) || Number(a.coding === "analogue") - Number(b.coding === "analogue"));
  const ideal = { forms, authored: authoredFor(content, forms, system) };
  byBed.set(bed, ideal);
  return ideal;
}

function authoredFor(content: Content, forms: readonly Stream[], system: Device): Authored {
  const objects = forms.some((form) => keepsObjects(form, system));
  const tracks = streamsOf(content).map((track) => ({
    channels: bedChannels(soundingBed(track, system)),
    objects: objects && track.objects !== "none",
    lossless: track.lossless,
  }));
  const value = (track: Authored) => track.channels * 100 + Number(track.objects) * 10 + Number(track.lossless);
  return tracks.reduce((best, track) => (value(track) > value(best) ? track : best));
}

function everyForm(content: Content): readonly Stream[] {
  const tracks = streamsOf(content);
  // A track that lies beside comes before a recoding that is like it: the one is there to be sent, the other few devices make.
  const forms = [...tracks.flatMap((track) => [...native(track), ...embedded(track), ...decoded(track)]), ...tracks.flatMap(recoded)];
  const alike = ({ coding, channels, objects, lossless, generations }: Stream) =>
    `${coding} ${channels} ${objects} ${String(lossless)} ${generations}`;
  return [...new Map(forms.toReversed().map((form) => [alike(form), form])).values()].toReversed();
}

/** The track as it is, and without its objects. A player may also wrap Dolby objects as MAT. */
function native(track: Stream): readonly Stream[] {
  if (track.objects === "none") return [track];
  const wrapped: readonly Stream[] = track.objects === "atmos" && track.coding !== "mat" ? [{ ...track, coding: "mat" }] : [];
  return [track, ...wrapped, { ...track, objects: "none" }];
}

const embedded = (track: Stream): readonly Stream[] =>
  relativesOf(track.coding)
    .filter(({ how }) => how === "embedded")
    .map(({ is }) => coreOf(track, is));

/** The lossy core inside a stream, which its maker coded: the first lossy generation. */
export const coreOf = (track: Stream, coding: Coding): Stream => ({
  ...track,
  coding,
  channels: smallerBed(track.channels, "5.1"),
  objects: "none",
  lossless: false,
  generations: 1,
  lineage: "native",
});

/** Decoded sound of every bed up to the track's own, and the analogue stereo of it. */
function decoded(track: Stream): readonly Stream[] {
  const lineage = (channels: Bed): Stream["lineage"] => (channels === track.channels ? "decoded" : "downmixed");
  const plain = { ...track, objects: "none" } as const;
  const beds = BED_IDS.filter((bed) => bedChannels(bed) < bedChannels(track.channels) || bed === track.channels);
  const lpcm = beds.map((channels): Stream => ({ ...plain, coding: "lpcm", channels, lineage: lineage(channels) }));
  const stereo = smallerBed(track.channels, "2.0");
  return [
    ...(track.coding === "lpcm" ? lpcm.filter(({ channels }) => channels !== track.channels) : lpcm),
    ...(track.coding === "analogue" ? [] : [{ ...plain, coding: "analogue" as const, channels: stereo, lineage: lineage(stereo) }]),
  ];
}

/** Any surround coded again as Dolby Digital 5.1, the recoding that players and televisions usually have. */
const recoded = (track: Stream): readonly Stream[] =>
  track.coding === "ac3" || bedChannels(track.channels) <= 2
    ? []
    : [
        {
          coding: "ac3",
          channels: smallerBed(track.channels, "5.1"),
          objects: "none",
          sampleRateKHz: 48,
          lossless: codingFact("ac3").lossless,
          generations: codedAgain(track),
          lineage: "re-encoded",
        },
      ];
