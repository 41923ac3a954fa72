import { solve } from "@/core/chain";
import { effectiveSetting } from "@/core/device";
import type { Job } from "@/core/job";
import { figuresOf, solvedRoom } from "../evaluation";
import { menusOf, type SettingChoice, sitsIn, suppliedBy, type Wire, type WiringSpace } from "../space";
import { toBuy, type WiringPlan } from "../search";
import { effortOf } from "./check";

/** The same plan with its room changed: its settings, wires and figures are read off the room. */
export function planAs(space: WiringSpace, plan: WiringPlan, job: Job, points: number): WiringPlan {
  const settings = settingsOf(space.job, job, plan.settings);
  const wires = wiresOf(space, job, plan.wires);
  const menus = menusOf(job.devices, settings);
  const room = solvedRoom(space, solve(job, "planned"));
  const figures = figuresOf(space, room, effortOf(space, job), { menus, toBuy: toBuy(plan.boxes, wires) });
  const places = new Map(space.players.map((player) => [player.id, sitsIn(job, player)?.device ?? null]));
  return { ...plan, job, points, figures, settings, wires, places };
}

/** The wires of a plan as they are in a room now, and those that came to it; a cable of another class is a new one. */
function wiresOf(space: WiringSpace, job: Job, planned: readonly Wire[]): readonly Wire[] {
  const fixed = new Set(space.fixedCables.map(({ id }) => id));
  const wires = job.cables.flatMap((cable): Wire[] => {
    if (fixed.has(cable.id)) return [];
    const existing = planned.find((wire) => wire.cable.id === cable.id)?.existing ?? null;
    return [existing?.class === cable.class ? { cable, existing } : { cable: { ...cable, supply: "buy" }, existing: null }];
  });
  return suppliedBy(space, wires);
}

/** The settings that a room plans: those of the plan as they stand now, and whatever else stands otherwise than before. */
function settingsOf(before: Job, job: Job, planned: readonly SettingChoice[]): readonly SettingChoice[] {
  return job.devices.flatMap((device) =>
    device.settings.flatMap((setting): SettingChoice[] => {
      const value = effectiveSetting(device, setting.key, "planned");
      const was = before.devices.find(({ id }) => id === device.id);
      const isPlanned = planned.some((choice) => choice.device === device.id && choice.key === setting.key);
      const isOther = was !== undefined && effectiveSetting(was, setting.key, "planned") !== value;
      return typeof value === "string" && (isPlanned || isOther) ? [{ device: device.id, key: setting.key, value }] : [];
    }),
  );
}
