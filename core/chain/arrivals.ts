import { judgeLipSync } from "@/core/facts";
import type { Content, Device, SettingState, Source } from "@/core/device";
import { chosenSoundSystem, type Job } from "@/core/job";
import { milliseconds } from "@/core/units";
import type { Arrival, Verdict } from "./arrival";
import { ceilingsOf } from "./ceilings";
import { follow, type Followed } from "./follow";
import { pictureArrival, type PictureArrival } from "./picture-way";
import { compareStreams, idealForms } from "./quality";
import type { Loss, Reason } from "./reason";
import { makeRig, type Rig } from "./rig";
import { streamOf, type Stream } from "./stream";
import { furthestReached, waysTo } from "./way";
import { lossesBelowBest } from "./why-not";

/**
 * The board: what arrives for every player and kind of content, in the order of the document.
 * `state` chooses whose settings count: as found, as planned (found where no plan is), or as left.
 */
export function arrivalsOf(job: Job, state: SettingState = "planned"): readonly Arrival[] {
  const rig = makeRig(job, state);
  const system = chosenSoundSystem(job);
  return job.devices.flatMap((device) =>
    device.sources.flatMap((source) => source.contents.map((content) => arrivalOf(rig, device, source, content, system))),
  );
}

function arrivalOf(rig: Rig, device: Device, source: Source, content: Content, system: Device | undefined): Arrival {
  const picture = pictureArrival(rig, device, source.id, content);
  const tracks = content.tracks.map(streamOf);
  const best = system ? (idealForms(content, system)[0] ?? null) : null;
  const followed = system ? bestWay(rig, device, source.id, tracks, system) : null;
  const verdict = verdictOf(followed, best, content, picture, system);
  const lipSyncMs =
    followed?.arrives && followed.delayMs !== null && picture && content.picture && picture.delayMs !== null
      ? milliseconds(followed.delayMs - picture.delayMs)
      : null;
  return {
    id: `${device.id}/${source.id}/${content.id}`,
    player: device.id,
    source: source.id,
    app: source.kind === "media" ? null : source.name,
    content,
    system: system?.id ?? null,
    screen: picture?.screen ?? null,
    verdict,
    leaves: followed?.leaves ?? null,
    arrives: followed?.arrives ?? null,
    plays: followed?.plays ?? null,
    best,
    hops: followed?.hops ?? [],
    losses: lossesOf(rig, device, source, content, system, followed, best, verdict),
    delayMs: followed?.arrives ? followed.delayMs : null,
    lipSyncMs,
    lipSync: lipSyncMs === null ? null : judgeLipSync(lipSyncMs),
    picture: picture?.picture ?? null,
    pictureLosses: picture?.losses ?? [],
    screenSpeakers: screenSpeakers(rig, device, source.id, tracks, picture, system),
  };
}

/** The way that brings most; among ways that bring nothing, one that is merely unknown before one that is shut, and the one with the fewest obstacles. */
function bestWay(rig: Rig, device: Device, source: string, tracks: readonly Stream[], system: Device): Followed | null {
  const order = (a: Followed, b: Followed): number =>
    compareStreams(b.arrives, a.arrives, system) ||
    Number(isUnknown(b)) - Number(isUnknown(a)) ||
    a.blocks.length - b.blocks.length ||
    a.way.length - b.way.length;
  const followed = waysTo(rig, device, source, system).map((way) => follow(rig, way, tracks));
  return followed.sort(order)[0] ?? null;
}

const isUnknown = (followed: Followed): boolean => followed.unknown.length > 0 && followed.blocks.length === 0;

function verdictOf(
  followed: Followed | null,
  best: Stream | null,
  content: Content,
  picture: PictureArrival | null,
  system: Device | undefined,
): Verdict {
  if (!system || !followed) return "silent";
  if (isUnknown(followed)) return "unknown";
  if (!followed.arrives) return "silent";
  if (content.picture && !picture) return "no-picture";
  return compareStreams(followed.arrives, best, system) >= 0 ? "full" : "reduced";
}

function lossesOf(
  rig: Rig,
  device: Device,
  source: Source,
  content: Content,
  system: Device | undefined,
  followed: Followed | null,
  best: Stream | null,
  verdict: Verdict,
): readonly Loss[] {
  if (!system) return [atPlayer({ code: "no-sound-system" })];
  const ceilings = ceilingsOf(content, best, system).map(
    (reason) => ({ reason, hop: Math.max(0, (followed?.hops.length ?? 1) - 1), scope: "ceiling" }) as const,
  );
  if (!followed) return [atPlayer(whyNoWay(rig, device, source, system)), ...ceilings];
  if (verdict === "unknown")
    return [
      ...toldOnce(followed.unknown).map(({ fact, hop }): Loss => ({ reason: { code: "unknown-fact", unknown: fact }, hop, scope: "path" })),
      ...ceilings,
    ];
  if (!followed.arrives) return [...followed.blocks, ...ceilings];
  return [...lossesBelowBest(rig, followed, content, system), ...ceilings];
}

/** A missing fact shows at every hop that waits for it; it is told once, at the last of them, where it belongs. */
const toldOnce = (unknown: Followed["unknown"]) => [...new Map(unknown.map((row) => [JSON.stringify(row.fact), row])).values()];

const atPlayer = (reason: Reason): Loss => ({ reason, hop: 0, scope: "path" });

function whyNoWay(rig: Rig, device: Device, source: Source, system: Device): Reason {
  const plugged = device.ports.some((port) => rig.cableAt({ device: device.id, port: port.id }));
  if (!plugged) return { code: "not-connected", device: device.id };
  return { code: "no-way", device: furthestReached(rig, device, source.id)?.id ?? device.id, to: system.id };
}

/** What the speakers of the screen itself play of a source, where the screen is not the chosen sound system. */
function screenSpeakers(
  rig: Rig,
  device: Device,
  source: string,
  tracks: readonly Stream[],
  picture: PictureArrival | null,
  system: Device | undefined,
) {
  const screen = picture ? rig.device(picture.screen) : undefined;
  if (!screen?.speakers || screen.id === system?.id) return null;
  return bestWay(rig, device, source, tracks, screen)?.plays ?? null;
}
