import { castOf, type Household, type JudgedAct } from "@/core/cec";
import type { Arrival, Stream } from "@/core/chain";
import { codingFact, type Channel } from "@/core/facts";
import { findDevice, type Job, type Seen } from "@/core/job";
import { unreachable } from "@/core/outcome";
import type { ProofCheck, ProofState } from "@/core/proof";
import { formatMilliseconds } from "@/core/units";
import { cautionSentence } from "./caution-words";
import { actWords, missSentence } from "./control-words";
import { deviceName, lowerFirst, upperFirst } from "./names";
import { unitName } from "./unit-name";
import { pictureWords } from "./picture-words";
import { channelName } from "./room-words";
import { codingName, playedWords, rowWords, streamWords } from "./sound-words";

/** What a check is about, as the head of its line: "Streamer: film on Projector". */
export function checkTitle(job: Job, check: ProofCheck, screen: string | undefined): string {
  switch (check.check) {
    case "row":
      return `${deviceName(job, check.row.player)}: ${rowWords(check.row)}`;
    case "act":
      return upperFirst(actWords(job, check.act, screen));
    case "speaker":
      return speakerTitle(channelName(check.channel), unitName(job, check));
    default:
      return unreachable(check);
  }
}

/** A channel and the unit that it comes from, where that has a name of its own. */
const speakerTitle = (channel: string, unit: string): string =>
  channel.toLowerCase() === unit.toLowerCase() ? upperFirst(channel) : `${upperFirst(channel)}, ${lowerFirst(unit)}`;

/** How to find a title that has the sound of a row. */
export function findTitleWords(job: Job, row: Arrival): string {
  const [track] = row.content.tracks;
  const player = findDevice(job, row.player);
  const source = player?.sources.find(({ id }) => id === row.source);
  if (!track || !source) return `Play ${row.content.name}.`;
  const coding = codingName(track.coding);
  const objects = track.objects === "atmos" ? "Dolby Atmos" : track.objects === "dtsx" ? "DTS:X" : null;
  if (row.content.kind === "game") return "Start a game whose own sound menu offers surround, and choose it there.";
  if (source.kind === "tuner" || player?.control.kind === "tuner")
    return `A broadcast with ${coding}: the programme guide or the info key names it.`;
  if (source.kind === "app")
    return `In the app search for “${objects ?? (codingFact(track.coding).lossless ? coding : "5.1")}”; the title's own page shows ${objects ? "that mark" : `“${track.channels}” or its coding`}.`;
  return `A title whose case, page or info line says ${objects ? `${objects}; in a service search for “${objects}”` : `${coding} ${track.channels}`}.`;
}

/** What the two lines of the display say, and what else is seen and heard. */
export function predictionLines(job: Job, row: Arrival): readonly { readonly name: string; readonly words: string }[] {
  const { arrives, leaves, plays, picture, lipSyncMs } = row;
  return [
    { name: "Coding", words: arrives ? displayedWords(job, row, arrives) : "nothing; the sound system stays silent" },
    ...(arrives ? [{ name: "Mode", words: modeLine(row) }] : []),
    ...(leaves && arrives ? [{ name: "At the player", words: badgeWords(row) }] : []),
    ...(plays ? [{ name: "Heard", words: playedWords(plays, arrives) }] : []),
    ...(picture ? [{ name: "Picture", words: pictureWords(picture) }] : []),
    ...(lipSyncMs === null
      ? []
      : [
          {
            name: "In step",
            words: `sound ${formatMilliseconds(Math.abs(Math.round(lipSyncMs)))} ${lipSyncMs < 0 ? "before" : "after"} the picture`,
          },
        ]),
  ];
}

/** What the display should say: the coding, and this device's own words for it where somebody wrote them down. */
export function displayedWords(job: Job, { system }: Pick<Arrival, "system">, arrives: Stream): string {
  const own = system === null ? undefined : findDevice(job, system)?.displayWords.find(({ coding }) => coding === arrives.coding);
  return `${streamWords(arrives)}${own ? ` (its display says “${own.words}”)` : ""}`;
}

/** In stereo and all-channel modes a display goes on showing the full coding, so its mode is looked at by itself. */
function modeLine({ plays }: Arrival): string {
  if (plays?.upmixed) return "a surround or all-channel mode";
  return plays?.layout === "2.0" ? "direct or stereo" : "direct or straight decoding, not “stereo” or “all channel”";
}

function badgeWords({ leaves }: Arrival): string {
  if (!leaves) return "";
  if (leaves.objects === "atmos") return "the title is marked Atmos";
  if (leaves.coding === "lpcm") return `its sound menu says PCM ${leaves.channels}`;
  return `its info line says ${streamWords(leaves)}`;
}

/** What to watch for while it plays; empty where nothing is known to go wrong. */
export const watchWords = (job: Job, row: Arrival): readonly string[] => [
  ...row.cautions.map((caution) => cautionSentence(job, caution)),
  ...(row.cautions.some(({ code }) => code === "drift") ? ["Let it play for ten minutes and watch the lips."] : []),
];

/** How an act goes: "Picture after 6 s, sound after 9 s." */
export function actPrediction(job: Job, { verdict, pictureMs, soundMs }: JudgedAct): string {
  const seconds = (ms: number) => `${(ms / 1000).toFixed(ms < 10_000 ? 1 : 0)}\u2009s`;
  const times = [
    ...(pictureMs === null ? [] : [`picture after ${seconds(pictureMs)}`]),
    ...(soundMs === null ? [] : [`sound after ${seconds(soundMs)}`]),
  ];
  const misses = "misses" in verdict ? verdict.misses.map((miss) => missSentence(job, miss)) : [];
  const quarrel = verdict.verdict === "unstable" ? ["Two devices take the screen from each other."] : [];
  const goes = misses.length + quarrel.length ? [...misses, ...quarrel] : ["Goes as wanted."];
  return [...goes, ...(times.length ? [`${upperFirst(times.join(", "))}.`] : [])].join(" ");
}

/** What is heard at a speaker. */
export const speakerPrediction = (channel: Channel): string => `The tone of the ${channelName(channel)} comes from this unit alone.`;

export const PROOF_STATE_WORDS: Readonly<Record<ProofState, string>> = {
  open: "Not looked at",
  proven: "As predicted",
  otherwise: "Seen otherwise",
  "put-off": "Put off",
};

/** What somebody saw, in words. */
export function seenWords(job: Job, sees: Seen): string {
  if (typeof sees !== "string") {
    if ("miss" in sees) {
      const { miss, device = "" } = sees;
      return miss === "no-sound"
        ? missSentence(job, { miss })
        : missSentence(job, { miss, device, input: 0 } as Parameters<typeof missSentence>[1]);
    }
    return `${codingName(sees.coding)}${sees.channels ? ` ${sees.channels}` : ""}${sees.objects ? " + objects" : ""}`;
  }
  const words: Readonly<Record<typeof sees, string>> = {
    "as-predicted": "As predicted",
    silent: "Nothing was heard",
    "no-picture": "No picture",
    "sound-early": "Sound before the picture",
    "sound-late": "Sound after the picture",
    "other-unit": "Another speaker plays",
    "other-side": "It plays on the other side",
    "level-off": "Too loud or too soft",
  };
  return words[sees];
}

/** The screen that the everyday acts are about. */
export const screenOf = (household: Household): string | undefined => castOf(household).screen?.nature.device;
