import { streamsOf, whyNotCarry, whyNotPlay, type Stream } from "@/core/chain";
import type { Content } from "@/core/device";
import { bedOfAtMost, classesJoining, codingFact, CODING_IDS, CONNECTORS, smallerBed, type Bed, type LinkKind } from "@/core/facts";
import type { WiringSpace } from "../space";
import { mostKeptOf } from "./kept-sound";

/** A space is never changed in place, so each of its contents is bounded once. */
const remembered = new WeakMap<WiringSpace, (content: Content) => number>();

/**
 * How much of its sound a content keeps at most, 0 to 1, where nothing but a lead for sound alone leads into the sound system: the best
 * of all that such a lead carries and the system plays, as if every player could make it.
 */
export function overLeads(space: WiringSpace): (content: Content) => number {
  const asked = remembered.get(space) ?? bounding(space);
  remembered.set(space, asked);
  return asked;
}

function bounding(space: WiringSpace): (content: Content) => number {
  const links = leadLinks(space);
  const known = new Map<Content, number>();
  return (content) => {
    const most = known.get(content) ?? mostOver(space, links, content);
    known.set(content, most);
    return most;
  };
}

/** The links into the sound system by a lead, whatever that comes from. */
const leadLinks = ({ system }: WiringSpace): readonly LinkKind[] => {
  const sockets = [...new Set(system.ports.map(({ connector }) => connector))].filter((connector) => connector !== "hdmi");
  const joined = CONNECTORS.filter(({ id }) => sockets.some((socket) => id === socket || classesJoining(id, socket).length > 0));
  return joined.flatMap(({ link }) => link ?? []);
};

function mostOver(space: WiringSpace, links: readonly LinkKind[], content: Content): number {
  const { system } = space;
  // Nobody knows what it decodes.
  if (system.decodes === null) return 1;
  const forms = streamsOf(content).flatMap((track) => CODING_IDS.map((coding): Stream => atBestAs(track, coding)));
  const crossing = forms.filter((form) => whyNotPlay(form, system) === null && links.some((link) => whyNotCarry(form, link, []) === null));
  return mostKeptOf(space, content, crossing);
}

/** A track in a coding at its best: its own as it is, another with as many channels as that holds, no coding too many, lossless where it can be. */
function atBestAs(track: Stream, coding: Stream["coding"]): Stream {
  const { objects, lossless, burst, maxChannels } = codingFact(coding);
  const isOwn = coding === track.coding;
  const holds = isOwn ? track.channels : bedOfAtMost(maxChannels);
  return {
    ...track,
    coding,
    channels: smallerBed(track.channels, burst ? holds : STEREO),
    objects: isOwn || objects !== "none" ? track.objects : "none",
    lossless: track.lossless && (isOwn || lossless),
    // A sender halves what is too fast for a lead.
    sampleRateKHz: Math.min(track.sampleRateKHz, CERTAIN_KHZ),
    lineage: "native",
  };
}

/** The rate that every link carries, in kHz. Source: IEC 60958-3. */
const CERTAIN_KHZ = 48;

/** What is no burst crosses a lead in two channels. Source: IEC 60958-3, IEC 61938. */
const STEREO: Bed = "2.0";
