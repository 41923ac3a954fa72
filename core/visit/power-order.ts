import type { VisitStep } from "./step";

/**
 * The order of power of a room with one device earlier or later, as it is noted in the job.
 * @param steps of the visit, in their order
 */
export function poweredOtherwise(steps: readonly VisitStep[], device: string, by: -1 | 1): string[] {
  const order = steps.flatMap((step) => (step.act === "power-on" && step.device !== null ? [step.device] : []));
  const [from, to] = [order.indexOf(device), order.indexOf(device) + by];
  if (from < 0 || to < 0 || to >= order.length) return order;
  const moved = order.filter((one) => one !== device);
  return [...moved.slice(0, to), device, ...moved.slice(to)];
}
