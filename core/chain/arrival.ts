import type { LipSyncJudgement } from "@/core/facts";
import type { Content } from "@/core/device";
import type { Picture, PictureLoss } from "@/core/picture";
import type { Milliseconds } from "@/core/units";
import type { Hop } from "./follow";
import type { Played } from "./play";
import type { Kept } from "./quality";
import type { Caution } from "./cautions";
import type { Loss } from "./reason";
import type { Volume } from "./volume";
import type { Stream } from "./stream";

export type Verdict = "full" | "reduced" | "silent" | "no-picture" | "unknown";

export type SoundVerdict = Exclude<Verdict, "no-picture">;

/** One player, one kind of content: what reaches the speakers of the chosen sound system, and why not more. */
export interface Arrival {
  /** Stable from solve to solve: device, source and content. */
  readonly id: string;
  readonly player: string;
  readonly source: string;
  /** The name of the app or tuner inside a device; null for a player's own media. */
  readonly app: string | null;
  readonly content: Content;
  readonly system: string | null;
  readonly screen: string | null;
  /** The name of that screen where this content reaches several, each with a row of its own. */
  readonly shownOn: string | null;
  readonly verdict: Verdict;
  /** The verdict of the sound alone, whatever the picture does. */
  readonly soundVerdict: SoundVerdict;
  readonly leaves: Stream | null;
  readonly arrives: Stream | null;
  readonly plays: Played | null;
  /** How good what sounds is, for comparing two answers for the same row; 0 where nothing arrives. */
  readonly soundRank: number;
  /** How much of the best is heard; null where nothing arrives. */
  readonly kept: Kept | null;
  /** The best form that this sound system could take of the content if nothing was between. */
  readonly best: Stream | null;
  readonly hops: readonly Hop[];
  /** The losses of the way first, in the order of the best form refused; ceilings after them. */
  readonly losses: readonly Loss[];
  readonly cautions: readonly Caution[];
  /** What moves the volume; null where nothing arrives. */
  readonly volume: Volume | null;
  readonly delayMs: Milliseconds | null;
  /** Sound delay minus picture delay: positive means sound late. */
  readonly lipSyncMs: Milliseconds | null;
  readonly lipSync: LipSyncJudgement | null;
  readonly picture: Picture | null;
  readonly pictureLosses: readonly PictureLoss[];
  /** What the screen's own speakers do meanwhile; null where they are mute. */
  readonly screenSpeakers: Played | null;
}
