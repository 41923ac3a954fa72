import { bedStrings } from "@/core/facts";
import type { Content } from "@/core/device";
import type { Job } from "@/core/job";
import type { Caution } from "./cautions";
import type { Stream } from "./stream";
import type { Volume } from "./volume";

const SPEECH: ReadonlySet<Content["kind"]> = new Set<Content["kind"]>(["news", "series", "film"]);

/** A row as far as the household's wishes look at it. */
interface Heard {
  readonly content: Content;
  readonly arrives: Stream | null;
  readonly best: Stream | null;
  readonly volume: Volume | null;
}

/** Speech is mixed into the centre channel. Source: ITU-R BS.775-4 annex 2. */
const hasCentre = (stream: Stream | null): boolean => stream !== null && bedStrings(stream.channels).includes("C");

/** What works on a row and is not as the brief wishes it. */
export function wishCautions({ brief }: Job, { content, arrives, best, volume }: Heard): readonly Caution[] {
  if (!arrives) return [];
  const isFolded = brief.clearSpeech && SPEECH.has(content.kind) && hasCentre(best) && !hasCentre(arrives);
  const another = brief.remotes === 1 && content.picture && (volume?.by === "own-remote" || volume?.by === "knob") ? volume.device : null;
  return [
    ...(isFolded ? [{ code: "speech-folded" } as const] : []),
    ...(another ? [{ code: "one-more-remote", device: another } as const] : []),
  ];
}
