import type { Content, Device, Source } from "@/core/device";
import { chosenSoundSystem } from "@/core/job";
import { systemOf } from "./arrivals-of-content";
import { bestWay } from "./best-way";
import { pictureArrival } from "./picture-arrival";
import { pictureWays } from "./picture-way";
import type { Question } from "./read-set";
import type { Rig } from "./rig";

/** What the sound of a content rests on, and what its picture does. */
export interface RowQuestions {
  readonly sound: ReadonlySet<Question>;
  readonly picture: ReadonlySet<Question>;
}

/** The questions behind the rows of one content, its sound and its picture apart. Another answer to none of them moves neither. */
export function rowQuestions(rig: Rig, player: Device, source: Source, content: Content): RowQuestions {
  const picture = rig.traced(() => pictureWays(rig, player, source.id).map((way) => pictureArrival(rig, player, way, content)));
  const ways = pictureWays(rig, player, source.id);
  const system = chosenSoundSystem(rig.job);
  const sound = rig.traced(() => {
    for (const way of ways.length ? ways : [null]) {
      const meant = systemOf(rig.job, player, content, way?.screen, system);
      if (meant) bestWay(way ? rig.litBy(way.outputs) : rig, player, source.id, content, meant);
    }
  });
  // Where sound follows the screen in use, or the news is meant for the screen, the way of the picture is a question of the sound.
  const isJoined =
    (rig.job.brief.newsFrom === "screen" && content.kind === "news") ||
    rig.job.devices.some(({ settings }) => settings.some(({ key }) => key === "sound-follows"));
  const [heard, seen] = [sound.asked.questions, picture.asked.questions];
  return { sound: isJoined ? new Set([...heard, ...seen]) : heard, picture: seen };
}
