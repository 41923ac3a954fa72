import { arrivalsOf, compareArrivals, type Arrival } from "@/core/chain";
import type { Job, Phase } from "@/core/job";

/** One line of the day book: what the docket tells of a job. */
export interface DocketLine {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly visitOn: string | null;
  readonly phase: Phase;
  readonly updatedAt: string;
  readonly rows: number;
  readonly whole: number;
  /** The row that fares worst, with what is needed to name its parts; null while the job has none. */
  readonly worst: { readonly arrival: Arrival; readonly job: Pick<Job, "devices" | "cables"> } | null;
}

/** Computes the line from the document as it stands. */
export function docketLine({ id, job, updatedAt }: { id: string; job: Job; updatedAt: string }): DocketLine {
  const arrivals = arrivalsOf(job);
  const worst = [...arrivals].sort(compareArrivals)[0];
  return {
    id,
    name: job.name,
    customer: job.customer,
    visitOn: job.visitOn,
    phase: job.phase,
    updatedAt,
    rows: arrivals.length,
    whole: arrivals.filter(({ verdict }) => verdict === "full").length,
    worst: worst ? { arrival: worst, job: { devices: job.devices, cables: job.cables } } : null,
  };
}
