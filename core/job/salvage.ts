import { done, refused, type Outcome } from "@/core/outcome";
import type { Job } from "./job";
import { MAX_JOB_BYTES, readJob, type JobTrouble } from "./read-job";
import { textToKeep } from "./keep-edit";

/** What could be saved of a document that does not read, and the places that had to be left out. */
export interface Salvaged {
  readonly job: Job;
  readonly leftOut: readonly string[];
}

const MOST_TRIES = 500;

/**
 * Leaves out whatever does not read, the smallest part first and what holds it only where that does not help, until the rest is a sound job
 * that can be kept. Refused where even that does not help, with the troubles as they stand. The value given is never changed.
 */
export function salvageJob(raw: unknown): Outcome<Salvaged, readonly JobTrouble[]> {
  const current: unknown = structuredClone(raw);
  const leftOut: string[] = [];
  /** How often a place was in the way, each time a wider part of it is left out. */
  const widened = new Map<string, number>();
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const read = readJob(current);
    if (read.ok) return withinSize(read.value, leftOut);
    const place = read.refusal.map((trouble) => ("place" in trouble ? trouble.place : "")).find((text) => text !== "");
    if (place === undefined) return refused(read.refusal);
    const wider = widened.get(place) ?? 0;
    widened.set(place, wider + 1);
    const path = pathOf(place);
    const cut = leaveOut(current, path, wider);
    if (cut === null) {
      if (wider >= path.length) return refused(read.refusal);
      continue;
    }
    leftOut.push(cut);
    // The rows behind it move up: what was tried at their places is forgotten.
    if (/\]$/.test(cut)) {
      const list = cut.slice(0, cut.lastIndexOf("["));
      for (const known of widened.keys()) if (known.startsWith(`${list}[`)) widened.delete(known);
    }
  }
  return refused([{ code: "not-a-job" }]);
}

/** A job that is too large for a file gives up the states that it keeps, the oldest first. */
function withinSize(job: Job, leftOut: readonly string[]): Outcome<Salvaged, readonly JobTrouble[]> {
  const kept = textToKeep(job);
  if (kept.ok) return done({ job: kept.value.job, leftOut });
  if (kept.refusal.code !== "too-large" || job.snapshots.length === 0)
    return refused([kept.refusal.code === "too-large" ? { ...kept.refusal, limit: MAX_JOB_BYTES } : kept.refusal]);
  return withinSize({ ...job, snapshots: job.snapshots.slice(1) }, [...leftOut, "snapshots[0]"]);
}

type Path = readonly (string | number)[];

/** `devices[3].ports[1].connector` as its steps. */
const pathOf = (place: string): Path =>
  place.split(/[.[\]]+/).flatMap((part) => (part === "" ? [] : [/^\d+$/.test(part) ? Number(part) : part]));

const placeOf = (path: Path): string =>
  path.reduce<string>((text, step) => (typeof step === "number" ? `${text}[${step}]` : text ? `${text}.${step}` : step), "");

/**
 * Takes a part out of a value, so many steps wider than its path says: a field, a row of a list, and of a list that is itself in the way
 * its last row. Gives the place that was left out; null where nothing is there.
 */
function leaveOut(value: unknown, path: Path, wider: number): string | null {
  const whole = holderOf(value, [...path, ""]);
  if (Array.isArray(whole) && whole.length > 0) {
    whole.pop();
    return placeOf([...path, whole.length]);
  }
  const cut = path.slice(0, path.length - wider);
  const last = cut.at(-1);
  const holder = holderOf(value, cut);
  if (last === undefined || typeof holder !== "object" || holder === null || !(last in holder)) return null;
  if (Array.isArray(holder) && typeof last === "number") holder.splice(last, 1);
  else delete (holder as Record<string, unknown>)[String(last)];
  return placeOf(cut);
}

/** What holds the last step of a path. */
const holderOf = (value: unknown, path: Path): unknown =>
  path
    .slice(0, -1)
    .reduce<unknown>(
      (inner, step) => (typeof inner === "object" && inner !== null ? (inner as Record<string, unknown>)[step as string] : undefined),
      value,
    );
