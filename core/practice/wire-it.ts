import { arrivalsOf, scoreArrival, type Arrival } from "@/core/chain";
import { generator } from "@/core/diagnose";
import { applyCommand, cableAt, freeJoins, type CableEnd, type Command, type Job } from "@/core/job";
import { checkedPlans, commandOf, smallestChanges, weightsOf, wiringSpace, wishesOf, type CheckedSearch } from "@/core/plan";
import type { Level } from "./levels";
import { madeUpRoom } from "./made-up-room";

/** A room to be wired by hand: its devices as they come from the factory, and no cable. The same seed gives the same room. */
export function roomToWire(seed: number, level: Level): Job {
  const job = madeUpRoom(generator(seed), level);
  return {
    ...job,
    cables: [],
    devices: job.devices.map((device) => ({ ...device, settings: device.settings.map((setting) => ({ ...setting, planned: null })) })),
  };
}

/** An output with what is plugged into it, and the sockets that it could go to now. */
export interface OutputToWire {
  readonly end: CableEnd;
  readonly cable: string | null;
  readonly goesTo: CableEnd | null;
  readonly open: readonly { readonly to: CableEnd; readonly command: Command }[];
}

/** Every output that could be plugged somewhere in this room. */
export function outputsToWire(job: Job): readonly OutputToWire[] {
  const joins = freeJoins(job);
  return job.devices.flatMap((device) =>
    device.ports
      .filter(({ direction, connector }) => direction === "out" && connector !== "bluetooth")
      .flatMap((port): OutputToWire[] => {
        const end = { device: device.id, port: port.id };
        const cable = cableAt(job, end);
        const open = joins.filter(({ from }) => from.device === end.device && from.port === end.port);
        return cable || open.length ? [{ end, cable: cable?.id ?? null, goesTo: cable?.to ?? null, open }] : [];
      }),
  );
}

/** A wiring beside the best that the planner proves for the same devices. */
export interface WiringScore {
  /** From 0 to 100: a hundred where as much arrives as with the best plan. */
  readonly points: number;
  readonly rows: readonly { readonly own: Arrival; readonly best: Arrival }[];
  /** Whether nothing better than the plan is possible, by the planner's own measure. */
  readonly isProven: boolean;
  /** The trainee's room with its menus set. */
  readonly own: Job;
  readonly best: Job;
}

/** So many sets of settings are tried for a wiring: nobody is scored for a menu. */
const MOST_NODES = 300;
/** A row whose picture does not come is worth a tenth. */
const WITHOUT_PICTURE = 0.1;

/** How a wiring does, with every menu set for the best; null where there is nothing to plan. */
export function scoreWiring(
  job: Job,
  bare: Job,
  limits: { readonly clock?: () => number; readonly mostMs?: number } = {},
): WiringScore | null {
  const space = wiringSpace(bare, { boxes: [] }, wishesOf(bare));
  const found: CheckedSearch | null = space && checkedPlans(space, weightsOf(bare.brief), limits);
  const plan = found?.plans[0];
  if (!found || !plan) return null;
  const best = arrivalsOf(plan.job, "planned");
  const set = wellSet(job);
  const own = new Map(arrivalsOf(set, "planned").map((row) => [row.id.replace(/@.*$/, ""), row]));
  const rows = best.flatMap((row) => {
    const mine = own.get(row.id.replace(/@.*$/, ""));
    return mine ? [{ own: mine, best: row }] : [];
  });
  const sum = (of: "own" | "best") => rows.reduce((total, row) => total + worthOf(row[of]), 0);
  const points = Math.min(100, Math.round((100 * sum("own")) / Math.max(1, sum("best"))));
  return { points, rows, isProven: found.proven, own: set, best: plan.job };
}

const worthOf = (row: Arrival): number => scoreArrival(row) * (row.content.picture && !row.picture ? WITHOUT_PICTURE : 1);

function wellSet(job: Job): Job {
  const { best } = smallestChanges(job, { kinds: ["setting"], mostNodes: MOST_NODES });
  const set = best.changes.length ? applyCommand(job, commandOf(best)) : null;
  return set?.ok ? set.value.job : job;
}
