import { done, refused, type Outcome } from "@/core/outcome";
import type { Job } from "./job";
import { readJob, type JobTrouble } from "./read-job";

/** What could be saved of a document that does not read, and the places that had to be left out. */
export interface Salvaged {
  readonly job: Job;
  readonly leftOut: readonly string[];
}

const MOST_TRIES = 500;

/**
 * Leaves out whatever does not read, one smallest part after another, until the rest is a sound job. Refused where even that does not
 * help, with the troubles as they stand. The value given is never changed.
 */
export function salvageJob(raw: unknown): Outcome<Salvaged, readonly JobTrouble[]> {
  let current: unknown = structuredClone(raw);
  const leftOut: string[] = [];
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const read = readJob(current);
    if (read.ok) return done({ job: read.value, leftOut });
    const place = read.refusal.map((trouble) => ("place" in trouble ? trouble.place : "")).find((text) => text !== "");
    const cut = place === undefined ? null : without(current, pathOf(place));
    if (!cut || place === undefined) return refused(read.refusal);
    current = cut.value;
    leftOut.push(cut.place);
  }
  return readJob(current).ok ? refused([]) : refused([{ code: "not-a-job" }]);
}

/** `devices[3].ports[1].connector` as its steps. */
const pathOf = (place: string): readonly (string | number)[] =>
  place.split(/[.[\]]+/).flatMap((part) => (part === "" ? [] : [/^\d+$/.test(part) ? Number(part) : part]));

/** The value without the row of a list that a place lies in (the outermost list of the document), or without the field itself. */
function without(value: unknown, path: readonly (string | number)[]): { value: unknown; place: string } | null {
  if (typeof value !== "object" || value === null) return null;
  const row = path.findIndex((step) => typeof step === "number");
  const cut = row < 0 ? path.slice(0, 1) : path.slice(0, row + 1);
  const last = cut.at(-1);
  const holder = cut.slice(0, -1).reduce<unknown>((inner, step) => (inner as Record<string, unknown> | null)?.[step as string], value);
  if (last === undefined || typeof holder !== "object" || holder === null || !(last in holder)) return null;
  if (Array.isArray(holder) && typeof last === "number") holder.splice(last, 1);
  else delete (holder as Record<string, unknown>)[String(last)];
  return {
    value,
    place: cut.reduce<string>((text, step) => (typeof step === "number" ? `${text}[${step}]` : text ? `${text}.${step}` : step), ""),
  };
}
