import type { Act } from "@/core/cec";
import type { Content, Device } from "@/core/device";
import type { CableEnd } from "@/core/job";
import { present } from "@/core/outcome";
import {
  ACTS_SHARE,
  commonActs,
  contentShare,
  effortPoints,
  hopesAtMost,
  playerOfAct,
  UNPLUGGED_POINTS,
  type Weights,
  wireEffort,
  WITHOUT_PICTURE,
} from "../evaluation";
import { overLeads } from "./lead-bound";
import type { PictureOn } from "./picture-on-screens";
import { hasOwnLead, type Reach, type Wire, type WiringSpace } from "../space";

/** The most that anything of a room can bring by what it reaches; never less than what the full engine gives it there. */
export interface UpperBounds {
  /** A player in a socket of some reach by a wire; null: unplugged. */
  readonly ofPlayer: (player: string, plugged: PluggedBy | null, kept?: KeptUpperBound) => number;
  /** How much of that is the sound that comes from the sound system. */
  readonly soundOfPlayer: (player: string, plugged: PluggedBy, kept?: Pick<KeptUpperBound, "sounds">) => number;
  /** How far what a player brings at most falls once it is known how easy its acts can be, and whether it is seen alone. */
  readonly lostByActs: (player: string, goes: Pick<KeptUpperBound, "acts" | "alone">) => number;
  /** How much of what a hub plays itself is sound that comes from the sound system. */
  readonly soundOfOwn: (hub: Device, reachFrom: (source: CableEnd) => Reach, soundsOf: SoundsOf) => number;
  /** What the hubs play themselves, and the players that stay as they are. */
  readonly ofOwn: (hubs: readonly Device[], reachFrom: (source: CableEnd) => Reach, soundsOf?: SoundsOf) => number;
}

/** How a player is plugged. */
export interface PluggedBy {
  readonly reach: Reach;
  readonly wire: Wire;
}

/** What is known of a player in a socket: how much of the sound of each content can come through, and how easy its acts can be. */
export interface KeptUpperBound {
  readonly sounds: readonly number[];
  /** On how many screens the picture of each content is whole. */
  readonly pictures: readonly number[];
  readonly acts: number;
  readonly alone: boolean;
}

/** How much of its sound each content of a device can keep at best, 0 to 1, in the order of its contents. */
export type SoundsOf = (device: Device) => readonly number[];

/**
 * Upper bounds for a space, from what its contents are and what is reached alone: every content on each screen that its picture comes to, and
 * whole sound where sound comes through at all; and all acts that depend on a player go as wanted.
 * @param pictureOn how much of its picture each content of a player can keep on a screen at best, in the order of its contents
 */
export function upperBounds(space: WiringSpace, weights: Weights, pictureOn: PictureOn): UpperBounds {
  const overLead = overLeads(space);
  const bounds = new Map(space.players.map((player) => [player.id, playerBound({ space, weights, pictureOn, overLead }, player)]));
  const shares = new Map(space.players.map(({ id }) => [id, easeShare(space, id)]));
  const share = contentShare(space.job);
  const boundOf = (player: string) => present(bounds.get(player), "the bounds of a player");
  // Of each content of a hub how much of its sound can be kept.
  const soundsOfOwn = ({ id, sources }: Device, reachFrom: (source: CableEnd) => Reach, sounds: readonly number[] | undefined) =>
    sources
      .flatMap((source) => source.contents.map((content) => ({ content, port: source.id })))
      .map(({ content, port }, index) => {
        const isHere = isFromScreen(space, content);
        const reach = reachFrom({ device: id, port });
        const most = Math.min(sounds?.[index] ?? 1, reach.byLeadAlone && !isHere ? overLead(content) : 1);
        return { isHere, sound: reach.sounds || isHere ? most : 0 };
      });
  return {
    ofPlayer: (player, plugged, kept) => boundOf(player).of(plugged, kept),
    soundOfPlayer: (player, plugged, kept) => boundOf(player).ofSound(plugged, kept),
    lostByActs: (player, { acts, alone }) =>
      weights.ease *
      (ACTS_SHARE * (present(shares.get(player), "the share of a player") - acts) + (alone ? 0 : (1 - ACTS_SHARE) / space.players.length)),
    soundOfOwn: (hub, reachFrom, soundsOf) =>
      soundsOfOwn(hub, reachFrom, soundsOf(hub)).reduce((sum, { isHere, sound }) => sum + (isHere ? 0 : sound), 0) * weights.sound * share,
    ofOwn: (hubs, reachFrom, soundsOf) =>
      [...hubs, ...space.fixedDevices].reduce((sum, device) => {
        const kept = soundsOfOwn(device, reachFrom, soundsOf?.(device)).reduce(
          (total, { sound }) => total + sound * weights.sound + weights.picture,
          0,
        );
        return sum + kept * share + hopesAtMost(space, device.id);
      }, 0),
  };
}

/** The news may be wanted from the screen's own speakers. */
export const isFromScreen = ({ job }: WiringSpace, { kind }: Content): boolean => kind === "news" && job.brief.newsFrom === "screen";

/** What one player brings at most, and how much of it is sound from the sound system. */
interface PlayerBound {
  readonly of: (plugged: PluggedBy | null, kept?: KeptUpperBound) => number;
  readonly ofSound: (plugged: PluggedBy, kept?: Pick<KeptUpperBound, "sounds">) => number;
}

/** What the bounds of all players are made of. */
interface BoundFacts {
  readonly space: WiringSpace;
  readonly weights: Weights;
  readonly pictureOn: PictureOn;
  readonly overLead: (content: Content) => number;
}

function playerBound({ space, weights, pictureOn, overLead }: BoundFacts, player: Device): PlayerBound {
  const share = contentShare(space.job);
  const acts = weights.ease * ACTS_SHARE * easeShare(space, player.id);
  const alone = (weights.ease * (1 - ACTS_SHARE)) / space.players.length;
  const contents = player.sources.flatMap((source) => source.contents);
  const hopes = hopesAtMost(space, player.id);
  const ownLead = hasOwnLead(space, player.id);
  const unplugged = acts - UNPLUGGED_POINTS + withoutSocket(space, weights, player);
  const soundsOf = ({ reach }: PluggedBy, looked?: Pick<KeptUpperBound, "sounds">) =>
    contents.map((content, index) => {
      const isHere = isFromScreen(space, content) && reach.screens.size > 0;
      if (!reach.sounds && !ownLead && !isHere) return 0;
      const seen = !content.picture || reach.screens.size > 0;
      const most = reach.byLeadAlone && !ownLead && !isHere ? overLead(content) : 1;
      return Math.min(looked?.sounds[index] ?? 1, most, seen ? 1 : WITHOUT_PICTURE);
    });
  return {
    of: (plugged, looked) => {
      if (!plugged) return unplugged;
      const { reach, wire } = plugged;
      const sounds = soundsOf(plugged, looked);
      const onScreens = [...reach.screens].map((screen) => pictureOn(player.id, screen));
      const kept = contents.reduce((sum, content, index) => {
        const direct = onScreens.reduce((total, kepts) => total + (kepts[index] ?? 1), 0);
        const shown = Math.min(direct, looked?.pictures[index] ?? Infinity);
        return sum + (sounds[index] ?? 0) * weights.sound + (content.picture ? shown / space.screens.length : 1) * weights.picture;
      }, 0);
      const ease = looked ? weights.ease * ACTS_SHARE * looked.acts + (looked.alone ? alone : 0) : acts + alone;
      return kept * share + hopes + ease - effortPoints(wireEffort(space, wire), weights);
    },
    ofSound: (plugged, looked) =>
      soundsOf(plugged, looked).reduce((sum, sound, index) => {
        const content = contents[index];
        return sum + (content && isFromScreen(space, content) ? 0 : sound);
      }, 0) *
      weights.sound *
      share,
  };
}

/** What a player brings at most without an HDMI socket: the sound of a lead of its own, and music needs no picture. */
export function withoutSocket(space: WiringSpace, weights: Weights, player: Device): number {
  if (!hasOwnLead(space, player.id)) return 0;
  const contents = player.sources.flatMap((source) => source.contents);
  const kept = contents.reduce(
    (sum, { picture }) => sum + (picture ? WITHOUT_PICTURE * weights.sound : weights.sound + weights.picture),
    0,
  );
  return kept * contentShare(space.job) + hopesAtMost(space, player.id);
}

/** How much of the ease of everyday acts depends on a player: waking it, and for the first one all that is not the waking of another. */
export function easeShare(space: WiringSpace, player: string, counts: (act: Act) => boolean = () => true): number {
  return commonActs(space).reduce((sum, { act, weight }) => (playerOfAct(space, act) === player && counts(act) ? sum + weight : sum), 0);
}
