import { arrivalsOf, compareArrivals, type Arrival } from "@/core/chain";
import type { Job, Phase } from "@/core/job";
import type { Database } from "./database";
import { findJobs, PAGE_SIZE, type JobQuery } from "./job-repository";

/** One line of the day book. */
export interface DocketLine {
  readonly id: string;
  readonly name: string;
  readonly customer: string;
  readonly visitOn: string | null;
  readonly phase: Phase;
  readonly updatedAt: string;
  readonly players: number;
  readonly rows: number;
  readonly whole: number;
  /** The row that fares worst, for the thumbnail; null while the job has none. */
  readonly worst: { readonly arrival: Arrival; readonly job: Pick<Job, "devices" | "cables"> } | null;
}

export interface DocketPage {
  readonly jobs: readonly DocketLine[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** A page of the docket, each job with its worst arrival computed from the document as it stands. */
export async function docketPage(db: Database, query: JobQuery): Promise<DocketPage> {
  const { jobs, total } = await findJobs(db, query);
  const lines = jobs.map(({ id, job, updatedAt }): DocketLine => {
    const arrivals = arrivalsOf(job);
    const worst = [...arrivals].sort(compareArrivals)[0];
    return {
      id,
      name: job.name,
      customer: job.customer,
      visitOn: job.visitOn,
      phase: job.phase,
      updatedAt,
      players: new Set(arrivals.map(({ player }) => player)).size,
      rows: arrivals.length,
      whole: arrivals.filter(({ verdict }) => verdict === "full").length,
      worst: worst ? { arrival: worst, job: { devices: job.devices, cables: job.cables } } : null,
    };
  });
  return { jobs: lines, total, page: query.page, pageSize: PAGE_SIZE };
}
