import { BED_IDS, CODINGS, smallerBed, type Bed, type Coding } from "@/core/facts";
import type { SoundDescriptor, SoundRoute } from "@/core/device";
import { handOn, type Desk } from "./hand-on";
import type { Listed, Listing } from "./listing";
import type { ListedUpperBound } from "./listed-upper-bound";
import { streamKey, type Stream } from "./stream";

/** What there is to decode and to pass on, where nobody knows how much of it a device can. */
export const EVERYTHING: SoundDescriptor[] = CODINGS.map(({ id }) => ({ coding: id, channels: "7.1", objects: true }));

const listing = (coding: Coding, channels: Bed): Listing => ({ sounds: new Map([[coding, { channels, objects: true }]]), unknown: null });

/**
 * Lists that bring out whatever a device could choose to send: each coding alone, so that nothing better listed takes its place, and LPCM of
 * each bed, since one wider than a far end takes is silent there.
 */
export const POSSIBLE_LISTS: readonly Listing[] = [
  ...CODINGS.flatMap(({ id, burst }) => (burst === null ? [] : [listing(id, "7.1")])),
  ...BED_IDS.map((bed) => listing("lpcm", bed)),
];

/** Few different lists are possible, so what each allows is worked out once. */
const upTo = new Map<string, readonly Listing[]>();
const upToThis = new WeakMap<NonNullable<ListedUpperBound>, readonly Listing[]>();

/** The possible lists, each with no more than could be listed. */
export function listsUpTo(most: ListedUpperBound): readonly Listing[] {
  if (most === null) return POSSIBLE_LISTS;
  const found = upToThis.get(most);
  if (found) return found;
  const words = [...most].map(([coding, { channels, objects }]) => `${coding} ${channels} ${String(objects)}`).join();
  const known = upTo.get(words) ?? listsWithin(most);
  upTo.set(words, known);
  upToThis.set(most, known);
  return known;
}

function listsWithin(most: NonNullable<ListedUpperBound>): readonly Listing[] {
  const lists = POSSIBLE_LISTS.map(({ sounds }) =>
    [...sounds].flatMap(([coding, { channels }]): [Coding, Listed][] => {
      const listed = most.get(coding);
      return listed ? [[coding, { channels: smallerBed(channels, listed.channels), objects: listed.objects }]] : [];
    }),
  );
  const different = new Map(lists.map((rows) => [JSON.stringify(rows), rows]));
  return [...different.values()].map((rows): Listing => ({ sounds: new Map(rows), unknown: null }));
}

/** Lists are computed once for a socket, and turned into a key once. */
const wordsOf = new WeakMap<readonly Listing[], string>();

function keyOf(lists: readonly Listing[]): string {
  const known = wordsOf.get(lists) ?? JSON.stringify(lists.map(({ sounds }) => [...sounds]));
  wordsOf.set(lists, known);
  return known;
}

/** Decoders and routes are never changed in place, so what one makes of a stream along the other can be remembered. */
const remembered = new WeakMap<object, WeakMap<SoundRoute, Map<string, readonly Stream[]>>>();
const NO_DECODERS = {};

/** Whatever a device could hand on of some streams, by any of these lists and any of these values of its format setting. */
export function everyWayToHandOn(
  desk: Pick<Desk, "device" | "route" | "carriesCodings">,
  streams: readonly Stream[],
  lists: readonly Listing[],
  formats: readonly (string | undefined)[],
): readonly Stream[] {
  const { device, route } = desk;
  const byDecoders = remembered.get(device.decodes ?? NO_DECODERS) ?? new WeakMap<SoundRoute, Map<string, readonly Stream[]>>();
  remembered.set(device.decodes ?? NO_DECODERS, byDecoders);
  const byRoute = byDecoders.get(route) ?? new Map<string, readonly Stream[]>();
  byDecoders.set(route, byRoute);
  const key = `${formats.join()} ${String(desk.carriesCodings)} ${streams.map(streamKey).join("|")} ${lists === POSSIBLE_LISTS ? "" : keyOf(lists)}`;
  const known = byRoute.get(key) ?? tryEveryList(desk, formats, streams, lists);
  byRoute.set(key, known);
  return known;
}

function tryEveryList(
  { route, ...desk }: Pick<Desk, "device" | "route" | "carriesCodings">,
  formats: readonly (string | undefined)[],
  streams: readonly Stream[],
  lists: readonly Listing[],
): readonly Stream[] {
  const wished = route.passes === null ? { ...route, passes: EVERYTHING } : route;
  const found = new Map<string, Stream>();
  for (const format of formats) {
    for (const list of lists) {
      const out = handOn({ ...desk, route: wished, listing: list, format }, streams);
      if (out) found.set(streamKey(out), out);
    }
  }
  return [...found.values()];
}
