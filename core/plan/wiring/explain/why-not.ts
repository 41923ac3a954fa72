import type { Device } from "@/core/device";
import type { PlanOptions, PlanSearch, WiringPlan } from "../search";
import type { Bond, WiringSpace } from "../space";
import type { Weights } from "../evaluation";
import { bestWithLeads } from "./own-leads";

/** What becomes of a room when something that a person asks about is forced. */
export interface WhyNot {
  /** Null: no plan keeps to it. */
  readonly best: WiringPlan | null;
  readonly proven: boolean;
  /** Points that it is behind the best plan without it. */
  readonly behind: number | null;
}

/** The space in which a setting of a device has one value, whatever is planned. */
function withSetting(space: WiringSpace, { device, key, value }: Extract<Bond, { bond: "use-setting" }>): WiringSpace {
  const set = (one: Device): Device =>
    one.id === device
      ? {
          ...one,
          settings: one.settings.map((row) =>
            row.key === key ? { ...row, options: [value], planned: value === row.found ? null : value } : row,
          ),
        }
      : one;
  return {
    ...space,
    job: { ...space.job, devices: space.job.devices.map(set) },
    system: set(space.system),
    screens: space.screens.map(set),
    players: space.players.map(set),
    boxes: space.boxes.map((box) => ({ ...box, device: set(box.device) })),
    fixedDevices: space.fixedDevices.map(set),
  };
}

/** Answers "why not so?" by planning with it. */
export function whyNot(
  space: WiringSpace,
  weights: Weights,
  before: Pick<PlanSearch, "plans">,
  forced: Bond,
  options: PlanOptions = {},
): WhyNot {
  const bound = { ...space, bonds: [...space.bonds, forced] };
  const within = forced.bond === "use-setting" ? withSetting(bound, forced) : bound;
  const { best, proven } = bestWithLeads(within, weights, options, options.mostMs ?? Infinity);
  const top = before.plans[0];
  return { best, proven, behind: best && top ? top.points - best.points : null };
}
