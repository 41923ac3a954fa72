import { done, refused, type Outcome } from "@/core/outcome";
import { asJson, askServer } from "@/ui/kit";
import type { Imported } from "./answers";
import { docketWords } from "@/ui/words";

/** The shapes of the server's answers, fetched when there is one: the docket itself does without. */
const answers = () => import("./answers");

async function make(url: string, request: RequestInit): Promise<Outcome<{ id: string }, string>> {
  const outcome = await askServer(url, request);
  return outcome.ok ? done((await answers()).Made.parse(outcome.value)) : outcome;
}

export const createJob = (name: string, template: string | null) => make("/api/jobs", asJson("POST", { name, template }));

export const copyJob = (id: string, name: string) => make("/api/jobs", asJson("POST", { copyOf: id, name }));

/** Sends a job file; a refusal names the file, the place in it and what was expected. */
export async function importJob(file: File): Promise<Outcome<Imported, string>> {
  const isZip = /\.zip$/i.test(file.name) || file.type === "application/zip";
  const headers = { "Content-Type": isZip ? "application/zip" : "application/json" };
  const outcome = await askServer("/api/jobs/import", { method: "POST", body: file, headers });
  return outcome.ok
    ? done((await answers()).Imported.parse(outcome.value))
    : refused(docketWords.wasNotTakenIn(file.name, outcome.refusal));
}

export const binJob = (id: string) => askServer(`/api/jobs/${id}`, { method: "DELETE" });
export const restoreJob = (id: string) => askServer(`/api/jobs/${id}/restore`, { method: "POST" });

export const eraseJob = (id: string) => askServer(`/api/jobs/${id}/erase`, { method: "POST" });

/** Makes a new job of what can be saved of a damaged one. */
export const salvageJob = (id: string) => make(`/api/jobs/${id}/salvage`, { method: "POST" });
