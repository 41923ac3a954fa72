import type { Device } from "@/core/device";
import { exitLink, forwardLink } from "./exit-link";
import { carriesCodings, leavingOn, turnedBy, whyNotCarry } from "./link";
import { listingAt } from "./listing";
import { listedUpperBoundAt } from "./listed-upper-bound";
import { whyNotPlay } from "./play";
import { everyWayToHandOn } from "./possible-lists";
import type { Reason } from "./reason";
import { returnChannel } from "./return-channel";
import type { Rig } from "./rig";
import type { Stream } from "./stream";
import { decodingAll, formatsOf, possibleLists, type Freedom } from "./upper-bound";
import type { Step } from "./way";
import { whyNothing } from "./why-nothing";

/** Everything stays as it is plugged and set; only what nobody knows is free. */
const AS_KNOWN: Freedom = { plugs: false, cables: false, settings: "as-known" };

/** What may come out of a step of which something is not known. */
export interface Possible {
  /** Streams of which one may come out. */
  readonly streams: readonly Stream[];
  /** Why nothing does, whatever the answer; null where something may. */
  readonly reason: Reason | null;
}

/**
 * Follows sound past something that nobody knows: each of `choices` is what may come in, several streams where they are the tracks of a
 * player's own source. Where the step stops every one of them whatever the answer, the row is silent and not merely unknown.
 */
export function pastUnknown(rig: Rig, step: Step, choices: readonly (readonly Stream[])[], isPlayer: boolean): Possible {
  const first = choices[0]?.[0];
  if (!first) return { streams: [], reason: null };
  switch (step.kind) {
    case "gap":
      return { streams: [], reason: step.reason };
    case "link":
      return alongLink(rig, step, choices.flat());
    case "inside":
      return step.to === "speakers" ? onSpeakers(rig, step.device, choices.flat()) : through(rig, step, choices, isPlayer);
  }
}

function alongLink(rig: Rig, step: Extract<Step, { kind: "link" }>, streams: readonly Stream[]): Possible {
  const channel = step.transport === "return" ? returnChannel(rig, step.cable) : null;
  // A return that cannot begin says so itself.
  if (channel?.kind === "closed") return { streams: [], reason: null };
  const link = channel?.link ?? forwardLink(rig, step.from);
  const refusals = streams.map((stream) => whyNotCarry(stream, link, channel?.because ?? []));
  const carried = streams.filter((_, index) => refusals[index] === null).map((stream) => turnedBy(link, stream));
  return { streams: carried, reason: carried.length ? null : (refusals[0] ?? null) };
}

function through(rig: Rig, step: Extract<Step, { kind: "inside" }>, choices: readonly (readonly Stream[])[], isPlayer: boolean): Possible {
  const { device, route, to } = step;
  const exit = { device: device.id, port: to };
  const ahead = exitLink(rig, exit);
  if (!ahead) return { streams: choices.flat(), reason: null };
  const { link } = ahead;
  const listing = listingAt(rig, exit);
  // A decoder that nobody knows may make fewer channels than are listed, and what nobody knows to be passed on may be left out.
  const isOpen = listing.unknown || device.decodes === null || route.passes === null;
  const lists = isOpen ? possibleLists(rig, exit, AS_KNOWN) : [listing];
  const desk = { device: decodingAll(rig.atWill(device.id) ?? device), route, carriesCodings: carriesCodings(link) };
  const formats = formatsOf(rig, device, route, AS_KNOWN);
  const streams = choices.flatMap((tracks) =>
    everyWayToHandOn(desk, tracks, lists, formats).map((out) => leavingOn(link, out, route.blind)),
  );
  const first = choices[0]?.[0];
  if (streams.length || !first) return { streams, reason: null };
  const listed = listing.unknown ? listedUpperBoundAt(rig, exit) : listing.sounds;
  return { streams, reason: whyNothing(rig, { ...step, device: desk.device }, first, isPlayer, listed) };
}

function onSpeakers(rig: Rig, device: Device, streams: readonly Stream[]): Possible {
  const system = decodingAll(rig.atWill(device.id) ?? device);
  const refusals = streams.map((stream) => whyNotPlay(stream, system));
  return refusals.includes(null) ? { streams, reason: null } : { streams: [], reason: refusals[0] ?? null };
}
