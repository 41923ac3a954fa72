import { judgeLipSync } from "@/core/facts";
import type { Content, Device, Source } from "@/core/device";
import { findDevice, type Job } from "@/core/job";
import type { PictureLoss } from "@/core/picture";
import { milliseconds } from "@/core/units";
import type { Arrival, SoundVerdict } from "./arrival";
import { cautionsOf } from "./cautions";
import { ceilingsOf } from "./ceilings";
import { bestWay, isUnknown, type ChosenWay } from "./best-way";
import type { Followed } from "./follow";
import { pictureArrival } from "./picture-arrival";
import { furthestSeen, pictureWays, type PictureWay } from "./picture-way";
import { idealForms, isFull } from "./ideal";
import { keepsObjects, lostToDecodeMode, throughSoundMode } from "./play";
import { compareStreams, keptOf, soundRank } from "./quality";
import type { Loss, Reason } from "./reason";
import type { Rig } from "./rig";
import { asStatesAre, deadLeadAt, deadLeadBetween, deadLeadFrom, outOfOrder } from "./state-reasons";
import { wishCautions } from "./wish-cautions";
import type { Stream } from "./stream";
import { devicesReached, isCutOff, waysTo } from "./way";
import { volumeOf } from "./volume";
import { lossesBelowBest } from "./why-not";

/**
 * How much a row tells. "all": also why not more arrives, what to beware of, and what the screen itself plays meanwhile; "as-heard": what
 * a person in the room can hear and see; "arrivals-only": not what the screen itself plays either.
 */
export type Told = "all" | "as-heard" | "arrivals-only";

/** The rows of one content of one source: one for each screen its picture reaches, one alone where it has no picture or reaches none. */
export function arrivalsOfContent(
  rig: Rig,
  device: Device,
  source: Source,
  content: Content,
  system: Device | undefined,
  told: Told = "all",
): readonly Arrival[] {
  const ways = pictureWays(rig, device, source.id);
  const shown: readonly (PictureWay | null)[] = ways.length === 0 ? [null] : content.picture ? ways : ways.slice(0, 1);
  return shown.map((way) =>
    arrivalOf(way ? rig.litBy(way.outputs) : rig, {
      device,
      source,
      content,
      system: systemOf(rig.job, device, content, way?.screen, system),
      picture: way,
      among: shown.length,
      told,
    }),
  );
}

/** The news may be wanted from the screen's own speakers, and a player may be meant for a second sound system; everything else is for the chosen one. */
export function systemOf(
  job: Job,
  player: Device,
  content: Content,
  screen: Device | undefined,
  system: Device | undefined,
): Device | undefined {
  if (job.brief.newsFrom === "screen" && content.kind === "news" && screen?.speakers) return screen;
  return (player.heardFrom && findDevice(job, player.heardFrom)) || system;
}

interface Row {
  readonly device: Device;
  readonly source: Source;
  readonly content: Content;
  readonly system: Device | undefined;
  readonly picture: PictureWay | null;
  /** How many screens this content reaches. */
  readonly among: number;
  readonly told: Told;
}

function arrivalOf(rig: Rig, row: Row): Arrival {
  const { device, source, content, system } = row;
  const screen = row.picture?.screen;
  // As it is set now; what it could play at will is asked of `system`.
  const live = system && (rig.device(system.id) ?? system);
  const picture = row.picture ? pictureArrival(rig, device, row.picture, content) : null;
  const followed = system ? bestWay(rig, device, source.id, content, system) : null;
  const best = system ? bestForm(content, followed, system) : null;
  // What of it the system's own sound mode lets through to the speakers.
  const heard = live && followed?.arrives ? heardOn(rig, followed.arrives, live) : null;
  const soundVerdict = soundVerdictOf(followed, heard, content, system);
  const isHeard = soundVerdict === "full" || soundVerdict === "reduced";
  const verdict = isHeard && content.picture && !picture?.picture ? "no-picture" : soundVerdict;
  const lipSyncMs =
    followed?.arrives && followed.delayMs !== null && picture?.picture && picture.delayMs !== null
      ? milliseconds(followed.delayMs - picture.delayMs)
      : null;
  const arrives = followed?.arrives ?? null;
  const isAll = row.told === "all";
  const volume = isAll && arrives && followed && system ? volumeOf(rig, followed, system, screen) : null;
  return {
    id: `${device.id}/${source.id}/${content.id}${row.among > 1 && screen ? `@${screen.id}` : ""}`,
    player: device.id,
    source: source.id,
    app: source.kind === "media" ? null : source.name,
    content,
    system: system?.id ?? null,
    screen: screen?.id ?? null,
    shownOn: row.among > 1 && screen ? screen.name : null,
    verdict,
    soundVerdict,
    leaves: followed?.leaves ?? null,
    arrives,
    plays: followed?.plays ?? null,
    soundRank: heard && system ? soundRank(heard, system) : 0,
    kept: heard && system ? keptOf(heard, best, system) : null,
    best,
    hops: followed?.hops ?? [],
    losses: isAll ? lossesOf(rig, row, followed, best, soundVerdict) : [],
    cautions: isAll
      ? [
          ...cautionsOf(rig, device, followed, row.picture),
          ...(system && isCutOff(waysTo(rig, device, source.id, system)) ? [{ code: "not-all-ways" } as const] : []),
          ...wishCautions(rig.job, { content, arrives, best, volume }),
        ]
      : [],
    volume,
    delayMs: followed?.arrives ? followed.delayMs : null,
    lipSyncMs,
    lipSync: lipSyncMs === null ? null : judgeLipSync(lipSyncMs),
    picture: picture?.picture ?? null,
    pictureLosses: picture?.losses ?? (content.picture ? [whyNoPicture(rig, device, source)] : []),
    screenSpeakers: row.told === "arrivals-only" ? null : screenSpeakers(rig, row),
  };
}

/** What the speakers make audible of what arrives: the sound mode and the object decoders as they stand. */
function heardOn(rig: Rig, arrives: Stream, live: Device): Stream {
  const stream = throughSoundMode(rig, arrives, live);
  return stream.objects !== "none" && !keepsObjects(stream, live) ? { ...stream, objects: "none" } : stream;
}

/** The best form that the system could take. Some box may make a rarer form than the usual ones, and what arrives is possible. */
function bestForm(content: Content, followed: Followed | null, system: Device): Stream | null {
  const ideal = idealForms(content, system)[0] ?? null;
  const arrives = followed?.arrives ?? null;
  return compareStreams(arrives, ideal, system) > 0 ? arrives : ideal;
}

function soundVerdictOf(followed: Followed | null, heard: Stream | null, content: Content, system: Device | undefined): SoundVerdict {
  if (!system || !followed) return "silent";
  if (isUnknown(followed)) return "unknown";
  if (!heard) return "silent";
  return isFull(heard, content, system) ? "full" : "reduced";
}

function lossesOf(rig: Rig, row: Row, followed: ChosenWay | null, best: Stream | null, verdict: SoundVerdict): readonly Loss[] {
  const { device, source, content, system } = row;
  if (!system) return [atPlayer({ code: "no-sound-system" })];
  const last = Math.max(0, (followed?.hops.length ?? 1) - 1);
  const ceilings = ceilingsOf(content, best, system).map((reason) => ({ reason, hop: last, scope: "ceiling" }) as const);
  if (!followed) return [atPlayer(whyNoWay(rig, device, source, system)), ...ceilings];
  if (verdict === "unknown")
    return [
      ...toldOnce(followed.unknown).map(({ fact, hop }): Loss => ({ reason: { code: "unknown-fact", unknown: fact }, hop, scope: "path" })),
      ...ceilings,
    ];
  if (!followed.arrives) return [...asStatesAre(rig.job, followed.blocks), ...ceilings];
  const mode = lostToDecodeMode(rig, followed.arrives, system);
  return [
    ...lossesBelowBest(rig, followed, content, system),
    ...codedAgainAt(followed),
    ...(verdict === "full" ? [] : unsureAt(followed)),
    ...(mode ? [{ reason: mode, hop: last, scope: "path" } as const] : []),
    ...ceilings,
  ];
}

/** What nobody knows of other ways, each at the last device of this way that it has to do with. */
function unsureAt({ hops, unsure = [] }: ChosenWay): readonly Loss[] {
  const last = Math.max(0, hops.length - 1);
  return toldOnce(unsure).map(({ fact }): Loss => {
    const at = hops.findLastIndex((hop) => ("cable" in fact ? hop.cable === fact.cable : hop.device === fact.device));
    return { reason: { code: "other-way-unknown", unknown: fact }, hop: at < 0 ? last : at, scope: "path" };
  });
}

/** The devices that coded the sound again with loss. A link that does so tells it as its own reason. */
function codedAgainAt({ way, hops }: Followed): readonly Loss[] {
  return hops.flatMap((hop, index): Loss[] => {
    const step = way[index];
    if (step?.kind !== "inside" || hop.out?.lineage !== "re-encoded" || !hop.in || hop.in.lineage === "re-encoded") return [];
    const { coding: to, generations: generation } = hop.out;
    return [{ reason: { code: "coded-again", device: step.device.id, from: hop.in.coding, to, generation }, hop: index, scope: "path" }];
  });
}

/** A missing fact shows at every hop that waits for it; it is told once, at the last of them, where it belongs. */
const toldOnce = (unknown: Followed["unknown"]) => [...new Map(unknown.map((row) => [JSON.stringify(row.fact), row])).values()];

const atPlayer = (reason: Reason): Loss => ({ reason, hop: 0, scope: "path" });

function whyNoWay(rig: Rig, device: Device, source: Source, system: Device): Reason {
  const miswired = rig.job.cables.find(({ miswired: is, from, to }) => is && [from.device, to.device].includes(device.id));
  if (miswired) return { code: "miswired", cable: miswired.id, direction: rig.port(miswired.from)?.direction ?? "out" };
  const faulty = deadLeadAt(rig.job, device.id);
  if (faulty) return { code: "cable-state", cable: faulty.id, state: faulty.state };
  const { state } = device;
  if (state === "no-power" || state === "dead" || state === "headphones") return { code: "device-state", device: device.id, state };
  const plugged = device.ports.some((port) => rig.cableAt({ device: device.id, port: port.id }));
  if (!plugged) return { code: "not-connected", device: device.id };
  const reached = [...devicesReached(rig, device, source.id).map(({ id }) => id), device.id];
  const [furthest = device.id] = reached;
  const off = outOfOrder(rig.job, system.id) ?? outOfOrder(rig.job, furthest);
  if (off) return off;
  const lead = deadLeadBetween(rig.job, reached, system.id) ?? deadLeadFrom(rig.job, furthest);
  return lead ? { code: "cable-state", cable: lead.id, state: lead.state } : { code: "no-way", device: furthest, to: system.id };
}

/** Why the picture of a source comes to no screen. */
function whyNoPicture(rig: Rig, device: Device, source: Source): PictureLoss {
  const furthest = furthestSeen(rig, device, source.id);
  const off = outOfOrder(rig.job, device.id) ?? outOfOrder(rig.job, furthest);
  if (off) return { code: "picture-device-state", device: off.device, state: off.state };
  const lead = deadLeadFrom(rig.job, furthest);
  return lead ? { code: "picture-cable-state", cable: lead.id, state: lead.state } : { code: "picture-no-way", device: furthest };
}

/** What the speakers of the screen itself play of a source, where the screen is not the chosen sound system. */
function screenSpeakers(rig: Rig, { device, source, content, picture, system }: Row) {
  const screen = picture?.screen;
  if (!screen?.speakers || screen.id === system?.id) return null;
  return bestWay(rig, device, source.id, content, screen)?.plays ?? null;
}
