import type { Supply } from "@/core/device";
import { findDevice, type Job } from "@/core/job";
import type { VisitStep } from "./step";

/** A cable or device that a step fits, and where it comes from. */
export interface FittedPart {
  readonly kind: "cable" | "device";
  readonly id: string;
  readonly supply: Exclude<Supply, "there">;
}

/**
 * What each step takes from the van or the shop, by the step's id: a cable where it is plugged, a device where the first of it is put in its
 * place. Parts that are there already are none.
 */
export function partsOfSteps(job: Job, steps: readonly VisitStep[]): ReadonlyMap<string, readonly FittedPart[]> {
  const parts = new Map<string, FittedPart[]>();
  const fitted = new Set<string>();
  const fit = (step: VisitStep, kind: FittedPart["kind"], id: string | null) => {
    const found = kind === "cable" ? job.cables.find((cable) => cable.id === id) : id === null ? undefined : findDevice(job, id);
    if (!found || found.supply === "there" || fitted.has(`${kind} ${found.id}`)) return;
    fitted.add(`${kind} ${found.id}`);
    parts.set(step.id, [...(parts.get(step.id) ?? []), { kind, id: found.id, supply: found.supply }]);
  };
  for (const step of steps) {
    if (step.act === "plug") fit(step, "cable", step.cable);
    if (step.act === "place" || step.act === "mount" || step.act === "power-on") fit(step, "device", step.device);
  }
  return parts;
}
