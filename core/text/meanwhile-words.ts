import type { Meanwhile } from "@/core/chain";
import type { Job } from "@/core/job";
import { deviceName, listed, upperFirst } from "./names";

/** What the other players do while a row plays: "Streamer and Disc player wait at Receiver." One sentence for each place. */
export function meanwhileSentences(job: Job, meanwhile: readonly Meanwhile[]): readonly string[] {
  const places = [...new Set(meanwhile.map(({ does, at }) => `${does} ${at}`))];
  return places.map((place) => {
    const there = meanwhile.filter(({ does, at }) => `${does} ${at}` === place);
    const names = listed(
      there.map(({ player, at }) => (player === at ? `what ${deviceName(job, player)} plays itself` : deviceName(job, player))),
    );
    const at = there[0] ? deviceName(job, there[0].at) : "";
    const many = there.length > 1;
    if (there[0]?.does === "shows") return `${upperFirst(names)} can be shown on ${at} at the same time, without the sound system.`;
    const first = upperFirst(names);
    return there[0]?.does === "waits"
      ? `${first} ${many ? "wait" : "waits"} at ${at}: one input is chosen there at a time.`
      : `${first} can go on at ${at}.`;
  });
}
