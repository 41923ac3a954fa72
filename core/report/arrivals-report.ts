import type { Arrival, Hop, Loss, Stream } from "@/core/chain";
import type { Job } from "@/core/job";
import type { WeighedChange } from "@/core/plan";
import { cautionSentence, changeWords, isBestOfSystem, pictureLossSentence, reasonRemedy, reasonSentence, verdictWords } from "@/core/text";

/** The machine form of the board: the outside contract of `octachord arrivals --json` and `/api/jobs/:id/arrivals`. */
export function arrivalsReport(job: Job, arrivals: readonly Arrival[], changes: readonly WeighedChange[]) {
  return { arrivals: arrivals.map((arrival) => rowReport(job, arrival, changes)) };
}
export type ArrivalsReport = ReturnType<typeof arrivalsReport>;

function rowReport(job: Job, arrival: Arrival, changes: readonly WeighedChange[]) {
  const isCured = changes.some(({ lifts }) => lifts.includes(arrival.id));
  return {
    player: arrival.player,
    content: arrival.content.id,
    ...(arrival.app ? { app: arrival.app } : {}),
    screen: arrival.screen,
    verdict: arrival.verdict,
    words: verdictWords(arrival),
    bestOfSystem: isBestOfSystem(arrival),
    leaves: streamReport(arrival.leaves),
    arrives: arrival.arrives && { ...sound(arrival.arrives), lossless: arrival.arrives.lossless, generations: arrival.arrives.generations },
    plays: arrival.plays ?? { layout: null, upmixed: false },
    best: streamReport(arrival.best),
    delayMs: arrival.delayMs,
    lipSyncMs: arrival.lipSyncMs,
    picture: arrival.picture,
    screenSpeakers: arrival.screenSpeakers?.layout ?? null,
    hops: arrival.hops.map((hop, index) =>
      hopReport(
        hop,
        arrival.losses.find((loss) => loss.hop === index && loss.scope === "path"),
      ),
    ),
    losses: arrival.losses.map((loss) => lossReport(job, loss, isCured)),
    pictureLosses: arrival.pictureLosses.map((loss) => ({ ...loss, words: pictureLossSentence(job, loss) })),
    cautions: arrival.cautions.map((caution) => ({ ...caution, words: cautionSentence(job, caution) })),
    volume: arrival.volume,
    cures: changes
      .filter((change) => change.lifts.includes(arrival.id) || change.pictureLifts.includes(arrival.id))
      .map((change) => ({
        kind: change.kind,
        words: changeWords(job, change),
        lifts: change.lifts,
        lowers: change.lowers,
        pictureLifts: change.pictureLifts,
        pictureLowers: change.pictureLowers,
        command: change.command,
      })),
  };
}

const sound = ({ coding, channels, objects }: Stream) => ({ coding, channels, objects });
const streamReport = (stream: Stream | null) => stream && sound(stream);

const hopReport = (hop: Hop, loss: Loss | undefined) => ({
  device: hop.device,
  port: hop.port,
  ...(hop.cable ? { cable: hop.cable } : {}),
  ...(hop.link ? { link: hop.link } : {}),
  in: streamReport(hop.in),
  out: streamReport(hop.out),
  delayMs: hop.delayMs,
  ...(loss ? { reason: loss.reason } : {}),
});

function lossReport(job: Job, { reason, hop, scope }: Loss, isCured: boolean) {
  const numbers = reason as { need?: unknown; have?: unknown };
  return {
    ...reason,
    hop,
    scope,
    need: numbers.need ?? null,
    have: numbers.have ?? null,
    words: reasonSentence(job, reason),
    // Where a change among this gear lifts the row, nothing else is asked for.
    remedy: isCured ? null : reasonRemedy(job, reason),
  };
}
