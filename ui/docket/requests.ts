import { z } from "zod";
import { done, refused, type Outcome } from "@/core/outcome";

const Made = z.object({ id: z.string() });
const Told = z.object({ detail: z.string() });

const AWAY = "The server does not answer. Nothing was changed; try again when it does.";

async function ask(url: string, init: RequestInit): Promise<Outcome<unknown, string>> {
  try {
    const response = await fetch(url, init);
    const body: unknown = response.status === 204 ? null : await response.json();
    if (response.ok) return done(body);
    const told = Told.safeParse(body);
    return refused(told.success ? told.data.detail : AWAY);
  } catch {
    return refused(AWAY);
  }
}

async function make(url: string, body: string | Blob): Promise<Outcome<{ id: string }, string>> {
  const outcome = await ask(url, { method: "POST", body, headers: { "Content-Type": "application/json" } });
  return outcome.ok ? done(Made.parse(outcome.value)) : outcome;
}

export const createJob = (name: string) => make("/api/jobs", JSON.stringify({ name }));

/** Sends a job file; a refusal names the file, the place in it and what was expected. */
export async function importJob(file: File): Promise<Outcome<{ id: string }, string>> {
  const outcome = await make("/api/jobs/import", file);
  return outcome.ok ? outcome : refused(`${file.name} was not taken in. ${outcome.refusal}`);
}

export const binJob = (id: string) => ask(`/api/jobs/${id}`, { method: "DELETE" });
export const restoreJob = (id: string) => ask(`/api/jobs/${id}/restore`, { method: "POST" });
