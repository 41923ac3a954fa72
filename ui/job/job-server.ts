import { z } from "zod";
import { Job, type Command } from "@/core/job";
import { asJson, outlivingItsPage } from "@/ui/kit";

/** A job as the server has it. */
export const Envelope = z.object({ revision: z.number(), updatedAt: z.string(), document: Job });
export type Envelope = z.infer<typeof Envelope>;

/** Edits to be kept by the server, under the name by which it knows them again. */
export interface Save {
  /** The revision of the job on which they were made. */
  readonly revision: number;
  readonly saveId: string;
  readonly commands: readonly Command[];
}

/** The server's side of one job. */
export interface JobServer {
  /** Sends a save; it rejects where the server is away. */
  readonly put: (save: Save) => Promise<Response>;
  /** The job as it is now; null where the server gives none. It rejects where the server is away. */
  readonly fetched: () => Promise<Envelope | null>;
}

/** The server's side of a job by its id. */
export function serverOf(id: string): JobServer {
  const url = `/api/jobs/${id}`;
  return {
    put: (save) => fetch(url, outlivingItsPage(asJson("PUT", save))),
    fetched: async () => {
      const response = await fetch(url);
      return response.ok ? Envelope.parse(await response.json()) : null;
    },
  };
}
