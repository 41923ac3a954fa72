import { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";
import { askServer } from "@/ui/kit";

const Made = z.object({ id: z.string() });

async function make(url: string, body: string | Blob): Promise<Outcome<{ id: string }, string>> {
  const outcome = await askServer(url, { method: "POST", body, headers: { "Content-Type": "application/json" } });
  return outcome.ok ? done(Made.parse(outcome.value)) : outcome;
}

export const createJob = (name: string) => make("/api/jobs", JSON.stringify({ name }));

/** Sends a job file; a refusal names the file, the place in it and what was expected. */
export async function importJob(file: File): Promise<Outcome<{ id: string }, string>> {
  const outcome = await make("/api/jobs/import", file);
  return outcome.ok ? outcome : refused(`${file.name} was not taken in. ${outcome.refusal}`);
}

export const binJob = (id: string) => askServer(`/api/jobs/${id}`, { method: "DELETE" });
export const restoreJob = (id: string) => askServer(`/api/jobs/${id}/restore`, { method: "POST" });
