import { findDevice, type Command, type Job, type SingleCommand } from "@/core/job";
import type { WiringPlan } from "../search";
import { isUnchanged } from "../space";

/** The one edit that makes a plan the planned state of a job: plugs, cables, boxes and settings. Undone as one. */
export function planCommand(job: Job, plan: WiringPlan): Command {
  const kept = new Map(plan.wires.flatMap((wire) => (wire.existing ? [[wire.existing.id, wire] as const] : [])));
  const stays = (id: string) => {
    const wire = kept.get(id);
    return wire !== undefined && isUnchanged(wire);
  };
  const planned = new Set(plan.job.cables.map(({ id }) => id));
  const out = job.cables.filter(({ id }) => (kept.has(id) ? !stays(id) : !planned.has(id)));
  const boxes = plan.boxes.filter(({ device }) => !findDevice(job, device.id));
  const laid = plan.job.cables.filter(({ id }) => !job.cables.some((cable) => cable.id === id) || (kept.has(id) && !stays(id)));
  const commands: SingleCommand[] = [
    ...out.map(({ id }): SingleCommand => ({ kind: "unplug", cable: id })),
    ...boxes.flatMap(({ device }): SingleCommand[] => {
      const added = findDevice(plan.job, device.id);
      return added ? [{ kind: "add-device", device: added, at: null }] : [];
    }),
    ...laid.map((cable): SingleCommand => ({ kind: "plug", cable, at: null })),
    ...plan.settings.flatMap(({ device, key, value }): SingleCommand[] => {
      const row = findDevice(job, device)?.settings.find((setting) => setting.key === key);
      if (!row) return [];
      const wanted = value === row.found ? null : value;
      return row.planned === wanted ? [] : [{ kind: "set-setting", device, setting: key, state: "planned", value: wanted }];
    }),
  ];
  return { kind: "batch", commands };
}
