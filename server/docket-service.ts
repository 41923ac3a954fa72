import { docketLine, type DocketLine } from "@/core/report";
import type { Database } from "./database";
import { findJobs, PAGE_SIZE, type JobQuery } from "./job-repository";

export interface DocketPage {
  readonly jobs: readonly DocketLine[];
  readonly total: number;
  readonly page: number;
  readonly pageSize: number;
}

/** A page of the docket, each job with its worst arrival. */
export async function docketPage(db: Database, query: JobQuery): Promise<DocketPage> {
  const { jobs, total } = await findJobs(db, query);
  return { jobs: jobs.map(docketLine), total, page: query.page, pageSize: PAGE_SIZE };
}
