import { codingFact, type Coding } from "@/core/facts";
import type { LipSyncJudgement } from "@/core/facts";
import type { SoundDescriptor } from "@/core/device";
import type { Arrival, Played, Stream, Verdict } from "@/core/chain";

/** The five verdicts, always beside their shapes. */
export const VERDICT_WORDS: Readonly<Record<Verdict, string>> = {
  full: "All of it",
  reduced: "Part of it",
  silent: "Silent",
  "no-picture": "No picture",
  unknown: "Not known",
};

/** The word for a row: "All it can play" where everything arrives that this sound system can play, and the content holds more. */
export const verdictWords = ({ verdict, losses }: Pick<Arrival, "verdict" | "losses">): string =>
  verdict === "full" && losses.some(({ scope }) => scope === "ceiling") ? "All it can play" : VERDICT_WORDS[verdict];

export const codingName = (coding: Coding): string => codingFact(coding).name;

/** "Dolby TrueHD 7.1 + objects". */
export const streamWords = (stream: Pick<Stream, "coding" | "channels" | "objects">): string =>
  `${codingName(stream.coding)} ${stream.channels}${stream.objects === "none" ? "" : " + objects"}`;

const LINEAGE_WORDS = {
  native: "original coding",
  decoded: "decoded",
  downmixed: "downmixed",
  "re-encoded": "re-encoded",
  resampled: "at a lower sampling rate",
  binaural: "rendered for headphones",
} as const satisfies Record<Stream["lineage"], string>;

/** "LPCM 2.0, mixed down". */
export const lineageWords = (stream: Stream): string => `${streamWords(stream)}, ${LINEAGE_WORDS[stream.lineage]}`;

/** "5.1.2 plays", "5.1.2 plays, filled up from 2.0". */
export function playedWords(played: Played | null, arrives: Stream | null): string {
  if (!played) return "nothing";
  if (played.upmixed && arrives && played.layout === "2.0") return "2.0 from every speaker";
  return played.upmixed && arrives ? `${played.layout} sounds, spread from ${arrives.channels}` : `${played.layout} plays`;
}

export const descriptorWords = (row: SoundDescriptor): string =>
  `${codingName(row.coding)} up to ${row.channels}${row.objects ? " with objects" : ""}`;

export const LIP_SYNC_WORDS: Readonly<Record<LipSyncJudgement, string>> = {
  "in-step": "in sync",
  "sound-early": "sound early, noticeable",
  "sound-late": "sound late, noticeable",
  "sound-far-early": "sound far too early",
  "sound-far-late": "sound far too late",
};

/** "its own app, series" or "film on Projector": what a row is, below the player's name. */
export const rowWords = ({ app, content, shownOn }: Pick<Arrival, "app" | "content" | "shownOn">): string =>
  `${app ? `${app}, ` : ""}${content.name}${shownOn ? ` on ${shownOn}` : ""}`;

/** The first track of the content, as it could leave the player. */
export function masterWords(arrival: Pick<Arrival, "content">): string {
  const track = arrival.content.tracks[0];
  return track ? streamWords(track) : "";
}
