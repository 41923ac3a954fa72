import type { Arrival, Stream } from "@/core/chain";
import { bedChannels } from "@/core/facts";
import type { Cable, Job } from "@/core/job";
import type { WiringPlan } from "@/core/plan";
import { deviceName, socketPrint } from "@/core/text";
import { LinkCord } from "@/ui/kit";
import { plansWords } from "@/ui/words";
import styles from "./bench.module.css";

/** A plan as a small map: each device that something is plugged into, and what comes in by which cord, the sound system first. */
export function PlanMap({ plan: { job }, board, system }: { plan: WiringPlan; board: readonly Arrival[]; system: string }) {
  const carried = carriedBy(board);
  return (
    <ul className={styles.map} aria-label={plansWords.map}>
      {hubsOf(job, system).map(({ hub, cables }) => (
        <li key={hub}>
          <b dir="auto">{deviceName(job, hub)}</b>
          <ul>
            {cables.map(({ id, from, to }) => (
              <li
                key={id}
                title={`${deviceName(job, from.device)} ${socketPrint(job, from)}, ${deviceName(job, hub)} ${socketPrint(job, to)}`}
              >
                <LinkCord stream={carried.get(id) ?? null} nothing={plansWords.noSoundIn} />
                <span dir="auto">{deviceName(job, from.device)}</span>
              </li>
            ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

/** Every device that cables lead into, with these cables: the sound system, then the others as they stand in the job. */
function hubsOf({ devices, cables }: Job, system: string): readonly { readonly hub: string; readonly cables: readonly Cable[] }[] {
  const hubs = devices.flatMap(({ id }) => {
    const into = cables.filter(({ to }) => to.device === id);
    return into.length ? [{ hub: id, cables: into }] : [];
  });
  return hubs.toSorted((a, b) => Number(b.hub === system) - Number(a.hub === system));
}

/** The fullest sound that any row of the board sends along each cable. */
function carriedBy(board: readonly Arrival[]): ReadonlyMap<string, Stream> {
  const carried = new Map<string, Stream>();
  for (const { hops } of board)
    for (const { cable, in: stream } of hops) {
      if (!cable || !stream) continue;
      const known = carried.get(cable);
      if (!known || fullness(stream) > fullness(known)) carried.set(cable, stream);
    }
  return carried;
}

/** Orders what is drawn: more strings before objects, objects before what is lossless. */
const fullness = ({ channels, objects, lossless }: Stream): number =>
  bedChannels(channels) * 4 + (objects === "none" ? 0 : 2) + (lossless ? 1 : 0);
