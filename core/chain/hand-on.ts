import { bedChannels, codingFact, relativesOf, smallerBed, type Bed, type Coding } from "@/core/facts";
import type { Device, SoundRoute } from "@/core/device";
import type { Listing } from "./listing";
import { codedAgain, type Stream } from "./stream";

/** A device about to hand sound on along one of its inner routes. */
export interface Desk {
  readonly device: Device;
  readonly route: SoundRoute;
  readonly listing: Listing;
  /** The value of the route's format setting; undefined where it has none. */
  readonly format: string | undefined;
  /** Codings can cross the link behind it; over an analogue lead or Bluetooth only decoded sound can. */
  readonly carriesCodings: boolean;
}

/**
 * What a device hands on of the streams it has (a player's tracks, the best first, or the one that came in), under its format setting.
 * Null: nothing of it. The same rule serves a player's output and a TV's return channel.
 * Source: the `auto` order is native if listed, decoded LPCM if 5.1 or more is listed, a listed lossy relative, LPCM 2.0.
 */
export function handOn(desk: Desk, inputs: readonly Stream[]): Stream | null {
  const sent = desk.route.blind ? untouched(desk, inputs[0]) : formatted(desk, inputs);
  if (!sent || desk.route.renders === null) return sent;
  return { ...sent, channels: smallerBed(sent.channels, "2.0"), objects: "none", lineage: "binaural" };
}

/** What a box without a mind of its own hands on: all that its wires and chips pass, whatever the far end lists. */
function untouched(desk: Desk, input: Stream | undefined): Stream | null {
  if (!input) return null;
  if (isBitstream(input.coding)) return desk.carriesCodings ? native(desk, input, "even-unlisted") : null;
  if (bedChannels(input.channels) > bedChannels(desk.route.lpcm)) return null;
  return input.coding === "analogue" && !desk.device.decodes?.some(({ coding }) => coding === "analogue")
    ? null
    : { ...input, coding: "lpcm" };
}

function formatted(desk: Desk, inputs: readonly Stream[]): Stream | null {
  if (!desk.carriesCodings) return asLpcm(desk, inputs, "2.0");
  switch (desk.format) {
    case "pcm":
      return asLpcm(desk, inputs, desk.route.pcm);
    case "stereo":
      return asLpcm(desk, inputs, "2.0");
    case "dolby-digital-plus":
      return forced(desk, inputs, "eac3") ?? asLpcm(desk, inputs, "2.0");
    case "dts":
      return forced(desk, inputs, "dts") ?? asLpcm(desk, inputs, "2.0");
    case "dolby-digital":
      return asDolbyDigital(desk, inputs) ?? asLpcm(desk, inputs, "2.0");
    case "bitstream":
      return native(desk, inputs[0], "if-listed") ?? relative(desk, inputs) ?? legacy(desk, inputs) ?? uncoded(desk, inputs);
    case "pass-through":
      return native(desk, inputs[0], "even-unlisted") ?? automatic(desk, inputs);
    default:
      return automatic(desk, inputs);
  }
}

function automatic(desk: Desk, inputs: readonly Stream[]): Stream | null {
  return native(desk, inputs[0], "if-listed") ?? surroundLpcm(desk, inputs) ?? relative(desk, inputs) ?? asLpcm(desk, inputs, "2.0");
}

const isBitstream = (coding: Coding) => codingFact(coding).burst !== null;

/** The stream untouched; an app that does not see objects listed offers the version without them. */
function native({ route, listing }: Desk, input: Stream | undefined, rule: "if-listed" | "even-unlisted"): Stream | null {
  if (!input || !isBitstream(input.coding)) return null;
  const wrapped = wrappedAsMat(route, listing, input);
  if (wrapped) return wrapped;
  const pass = route.passes?.find((row) => row.coding === input.coding);
  const listed = listing.sounds.get(input.coding);
  if (!pass || (rule === "if-listed" && !listed)) return null;
  const offered = rule === "even-unlisted" || listed?.objects || !codingFact(input.coding).objectsNeedListing;
  const channels = smallerBed(input.channels, rule === "if-listed" && listed ? smallerBed(pass.channels, listed.channels) : pass.channels);
  return { ...input, channels, objects: pass.objects && offered ? input.objects : "none" };
}

/** Some players play Dolby objects out as MAT, whatever they came in, where the far end lists it. */
function wrappedAsMat(route: SoundRoute, listing: Listing, input: Stream): Stream | null {
  if (!route.wrapsObjects || input.coding !== "eac3" || input.objects !== "atmos") return null;
  const pass = route.passes?.find(({ coding }) => coding === "mat");
  const listed = listing.sounds.get("mat");
  return pass?.objects && listed?.objects ? { ...input, coding: "mat" } : null;
}

/** Told to send bitstream, a player sends Dolby Digital or a DTS core even to a far end that lists neither; what comes of it is the far end's affair. */
function legacy(desk: Desk, inputs: readonly Stream[]): Stream | null {
  const old = inputs.find(({ coding }) => coding === "ac3" || coding === "dts");
  if (old) return native(desk, old, "even-unlisted");
  const main = inputs.find(({ coding }) => relativesOf(coding).some(({ is, how }) => is === "dts" && how === "embedded"));
  return main
    ? native(
        desk,
        { ...main, coding: "dts", channels: smallerBed(main.channels, "5.1"), objects: "none", lossless: false, generations: 1 },
        "even-unlisted",
      )
    : null;
}

/** What "bitstream" leaves of sound that has no coding to pass: LPCM as mastered stays as wide as it is, anything decoded becomes stereo. */
const uncoded = (desk: Desk, inputs: readonly Stream[]): Stream | null => {
  const mastered = inputs.filter(({ coding }) => coding === "lpcm");
  return mastered.length ? asLpcm(desk, mastered, desk.route.lpcm) : asLpcm(desk, inputs, "2.0");
};

/** Decoded LPCM, when the list and the device have 5.1 or more for it; stereo content needs no more than stereo. */
function surroundLpcm(desk: Desk, inputs: readonly Stream[]): Stream | null {
  const listed = desk.listing.sounds.get("lpcm");
  if (!listed || bedChannels(smallerBed(listed.channels, desk.route.lpcm)) < bedChannels("5.1")) return null;
  return asLpcm(desk, inputs, desk.route.lpcm);
}

/** LPCM of the first stream the device can decode, in no more channels than the device makes and the list grants. */
function asLpcm({ device, route, listing }: Desk, inputs: readonly Stream[], limit: Bed): Stream | null {
  const listed = listing.sounds.get("lpcm");
  if (!listed) return null;
  for (const input of inputs) {
    const decoder = input.coding === "lpcm" ? { channels: input.channels } : device.decodes?.find((row) => row.coding === input.coding);
    if (!decoder) continue;
    const whole = smallerBed(input.channels, decoder.channels);
    const channels = smallerBed(smallerBed(whole, limit), smallerBed(listed.channels, route.lpcm));
    const lineage = channels !== input.channels ? "downmixed" : input.coding === "lpcm" ? input.lineage : "decoded";
    return { ...input, coding: "lpcm", channels, objects: "none", lineage };
  }
  return null;
}

/** The lossy relative that is listed: a companion track, an embedded core, or one made by coding again. */
function relative(desk: Desk, inputs: readonly Stream[]): Stream | null {
  const [main, ...companions] = inputs;
  for (const companion of companions) {
    const found = native(desk, companion, "if-listed");
    if (found) return found;
  }
  if (!main) return null;
  for (const row of relativesOf(main.coding)) {
    if (!desk.listing.sounds.has(row.is)) continue;
    const core = { ...main, coding: row.is, channels: smallerBed(main.channels, "5.1"), objects: "none", lossless: false } as const;
    if (row.how === "embedded" && desk.route.passes?.some((pass) => pass.coding === row.is)) return { ...core, generations: 1 };
    if (row.how === "transcoded" && canEncode(desk, main, row.is)) return { ...core, generations: codedAgain(main), lineage: "re-encoded" };
  }
  return null;
}

const asDolbyDigital = (desk: Desk, inputs: readonly Stream[]): Stream | null => forced(desk, inputs, "ac3");

/** One coding whatever is listed: a track of it as it is, other surround coded again; stereo is left to LPCM. */
function forced(desk: Desk, inputs: readonly Stream[], coding: "ac3" | "eac3" | "dts"): Stream | null {
  const ready = native(
    desk,
    inputs.find((input) => input.coding === coding),
    "even-unlisted",
  );
  if (ready) return ready;
  const source = inputs.find((input) => bedChannels(input.channels) > 2 && canEncode(desk, input, coding));
  if (!source) return null;
  return {
    coding,
    sampleRateKHz: 48,
    channels: smallerBed(source.channels, "5.1"),
    objects: "none",
    lossless: false,
    generations: codedAgain(source),
    lineage: "re-encoded",
  };
}

const canEncode = ({ device, route }: Desk, input: Stream, coding: Coding): boolean =>
  route.encodes.includes(coding) && (input.coding === "lpcm" || (device.decodes?.some((row) => row.coding === input.coding) ?? false));
