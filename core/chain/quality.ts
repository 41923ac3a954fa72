import { bedChannels, bedOfAtMost, smallerBed, type Bed } from "@/core/facts";
import type { Content, Device } from "@/core/device";
import { keepsObjects, soundingBed, whyNotPlay } from "./play";
import { streamsOf, type Stream } from "./stream";

/**
 * Orders two streams by what a system makes of them: objects first, then channels that sound, then losslessness, then fewer
 * lossy generations. Positive: `a` is better. As soon as objects can be kept, bitstream wins; without them decoded lossless LPCM beats a lossy core.
 */
export function compareStreams(a: Stream | null, b: Stream | null, system: Device): number {
  if (!a || !b) return Number(a !== null) - Number(b !== null);
  return (
    Number(keepsObjects(a, system)) - Number(keepsObjects(b, system)) ||
    bedChannels(soundingBed(a, system)) - bedChannels(soundingBed(b, system)) ||
    Number(a.lossless) - Number(b.lossless) ||
    b.generations - a.generations
  );
}

type Decoders = NonNullable<Device["decodes"]>;

/** Contents and decoders are never changed in place, so what one makes of the other can be remembered, by the bed that the speakers sound. */
const remembered = new WeakMap<Content, WeakMap<Decoders, Map<Bed, readonly Stream[]>>>();

/** Every form of a content that a system could play if nothing stood between, the best first: each track as it is, and decoded. */
export function idealForms(content: Content, system: Device): readonly Stream[] {
  const { decodes, speakers } = system;
  if (!decodes) return [];
  const byDecoders = remembered.get(content) ?? new WeakMap<Decoders, Map<Bed, readonly Stream[]>>();
  remembered.set(content, byDecoders);
  const byBed = byDecoders.get(decodes) ?? new Map<Bed, readonly Stream[]>();
  byDecoders.set(decodes, byBed);
  const bed = speakers?.bed ?? "2.0";
  const known = byBed.get(bed) ?? computeIdealForms(content, system);
  byBed.set(bed, known);
  return known;
}

function computeIdealForms(content: Content, system: Device): readonly Stream[] {
  const lpcm = system.decodes?.find((row) => row.coding === "lpcm")?.channels;
  const forms = streamsOf(content).flatMap((track): Stream[] => {
    const decoder = system.decodes?.find((row) => row.coding === track.coding);
    const whole: Stream[] = decoder
      ? [{ ...track, channels: smallerBed(track.channels, decoder.channels), objects: decoder.objects ? track.objects : "none" }]
      : [];
    const takesAnalogue = track.coding !== "analogue" && (system.decodes?.some((row) => row.coding === "analogue") ?? false);
    // Named last: where decoded stereo could come digitally just as well, that is what could play.
    const analogue: Stream[] = takesAnalogue
      ? [{ ...track, coding: "analogue", channels: smallerBed(track.channels, "2.0"), objects: "none", lineage: "decoded" }]
      : [];
    if (!lpcm || track.coding === "lpcm") return [...whole, ...analogue];
    const beds = [
      ...new Set([smallerBed(track.channels, lpcm), smallerBed(bedOfAtMost(6), smallerBed(track.channels, lpcm)), "2.0" as const]),
    ];
    const decoded = beds.map((channels): Stream => ({
      ...track,
      coding: "lpcm",
      channels,
      objects: "none",
      lineage: channels === track.channels ? "decoded" : "downmixed",
    }));
    return [...whole, ...decoded, ...analogue];
  });
  return forms.filter((form) => whyNotPlay(form, system) === null).sort((a, b) => compareStreams(b, a, system));
}
