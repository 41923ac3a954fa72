import { linkFact } from "@/core/facts";
import type { Arrival, Hop } from "@/core/chain";
import { findPort, type Job } from "@/core/job";
import { deviceName, drawingWords } from "@/core/text";
import type { CordStop } from "./cord";

/** A bar line of the score with its heading. */
export interface ScoreColumn {
  readonly key: string;
  readonly heading: string;
}

const START = "start";
const SYSTEM = "system";

/** The stops of one row: where it leaves, each device it passes, each return or optical link, the sound system. */
export function stopsOf(arrival: Arrival, passed: ReadonlySet<string>): readonly CordStop[] {
  const stops: { key: string; lastHop: number }[] = [{ key: passed.has(arrival.player) ? `device:${arrival.player}` : START, lastHop: 0 }];
  arrival.hops.forEach((hop, index) => {
    if (index === 0 && hop.port !== "speakers") return;
    const key =
      hop.port === "speakers" || (hop.link === "hdmi" && hop.device === arrival.system)
        ? SYSTEM
        : hop.link === null
          ? (stops.at(-1)?.key ?? START)
          : entersBox(hop, arrival.system)
            ? `device:${hop.device}`
            : `link:${hop.cable ?? ""}`;
    const last = stops.at(-1);
    if (last?.key === key) last.lastHop = index;
    else stops.push({ key, lastHop: index });
  });
  return stops;
}

/** Whether a hop brings sound forward into a device on the way: that device gets the bar line, and not the lead before it. */
const entersBox = ({ link, device }: Hop, system: string | null): boolean =>
  link === "hdmi" || (link !== null && link !== "arc" && link !== "earc" && device !== system);

/** Devices that some row passes through on its way: each gets a bar line of its own. */
export const passedDevices = (arrivals: readonly Arrival[]): ReadonlySet<string> =>
  new Set(
    arrivals.flatMap(({ hops, system }) =>
      hops.filter((hop, index) => index > 0 && entersBox(hop, system) && hop.device !== system).map(({ device }) => device),
    ),
  );

/** All bar lines that the rows need, in the order the sound meets them. */
export function scoreColumns(job: Job, arrivals: readonly Arrival[]): readonly ScoreColumn[] {
  const passed = passedDevices(arrivals);
  const depth = new Map<string, number>([[START, 0]]);
  for (const arrival of arrivals) {
    stopsOf(arrival, passed).forEach(({ key }, index) => {
      const own =
        key === SYSTEM
          ? Number.MAX_SAFE_INTEGER
          : Math.max(depth.get(key) ?? 0, key === START ? 0 : Math.max(1, index) + (key.startsWith("link:") ? 0.5 : 0));
      depth.set(key, own);
    });
  }
  const heading = (key: string): string => {
    if (key === START) return drawingWords.leaves;
    if (key === SYSTEM) return arrivals[0]?.system ? deviceName(job, arrivals[0].system) : drawingWords.soundSystem;
    return key.startsWith("device:") ? deviceName(job, key.slice("device:".length)) : linkHeading(job, arrivals, key.slice("link:".length));
  };
  return [...depth].sort(([, a], [, b]) => a - b).map(([key]) => ({ key, heading: heading(key) }));
}

/** "ARC, HDMI 3": the link as it is, and the socket it leaves by. */
function linkHeading(job: Job, arrivals: readonly Arrival[], cable: string): string {
  const found = job.cables.find((row) => row.id === cable);
  const hops = arrivals.flatMap(({ hops: row }) => row).filter((row) => row.cable === cable);
  const hop = hops.find(({ out }) => out !== null) ?? hops[0];
  if (!found || !hop?.link) return drawingWords.return;
  const isReturn = hop.link === "arc" || hop.link === "earc";
  const label = findPort(job, isReturn ? found.to : found.from)?.label ?? "";
  // A return that carries nothing is neither ARC nor eARC: it is only where sound would have to come back.
  const name = hop.out || !isReturn ? linkFact(hop.link).name : drawingWords.return;
  if (!isReturn) return name;
  return label.startsWith(name) ? label : `${name}, ${label.replace(/\s*e?ARC$/i, "")}`;
}
