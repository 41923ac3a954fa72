import { CONTENT_CATALOGUE, expandDevice, SHELF } from "@/core/device";
import { refused, type Outcome } from "@/core/outcome";
import { migrate, type VersionTrouble } from "@/core/versions";
import { checkJob, type DocumentTrouble } from "./check-job";
import { JOB_FORMAT, JOB_VERSION, type Job } from "./job";
import { isTooDeep, MOST_NESTING } from "./nesting";

/** Why a text or value is no job document: what is wrong, at which place of it. */
export type JobTrouble =
  | { readonly code: "not-json"; readonly detail: string }
  | { readonly code: "too-large"; readonly bytes: number; readonly limit: number }
  | { readonly code: "not-a-job" }
  | VersionTrouble
  | DocumentTrouble
  /** A name that stands for something of the shelf or the catalogue, and that is not there. */
  | {
      readonly code: "unknown-name";
      readonly place: string;
      readonly name: string;
      readonly of: "content" | "archetype";
      readonly near: readonly string[];
    };

/** Job files beyond this are refused before they are read. */
export const MAX_JOB_BYTES = 10 * 1024 * 1024;

/** Reads the text of a job file. Nothing is guessed: the answer is a sound job or every trouble found, the first one first. */
export function readJobText(text: string): Outcome<Job, readonly JobTrouble[]> {
  const bytes = new TextEncoder().encode(text).length;
  if (bytes > MAX_JOB_BYTES) return refused([{ code: "too-large", bytes, limit: MAX_JOB_BYTES }]);
  if (isTooDeep(text))
    return refused([{ code: "wrong-value", place: "", expected: `lists and objects nested at most ${MOST_NESTING} deep` }]);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (cause) {
    return refused([{ code: "not-json", detail: cause instanceof Error ? cause.message : String(cause) }]);
  }
  return readJob(raw);
}

/** Reads a parsed value as a job: format and version first, then short forms, schema, and the rules between parts. */
export function readJob(raw: unknown): Outcome<Job, readonly JobTrouble[]> {
  if (typeof raw !== "object" || raw === null || !("format" in raw) || raw.format !== JOB_FORMAT) return refused([{ code: "not-a-job" }]);
  const lifted = migrate("job", "version" in raw ? raw.version : undefined, raw);
  if (!lifted.ok) return refused([lifted.refusal]);
  const current: Record<string, unknown> = { ...(lifted.value as Record<string, unknown>), version: JOB_VERSION };
  const devices = Array.isArray(current.devices) ? current.devices.map(expandDevice) : current.devices;
  const checked = checkJob({ ...current, ...(devices === undefined ? {} : { devices }) });
  if (checked.ok) return checked;
  const named = unknownNames(devices);
  // What a wrong name makes of the rest of its place is not told as well.
  const others = checked.refusal.filter(({ place }) => !named.some(({ covers }) => place.startsWith(covers)));
  return refused([...named.map(({ trouble }) => trouble), ...others]);
}

interface UnknownName {
  readonly trouble: JobTrouble;
  /** Faults at places that begin so come of the wrong name. */
  readonly covers: string;
}

/** Names of contents and archetypes that nobody knows, in the devices of a file. */
function unknownNames(devices: unknown): readonly UnknownName[] {
  return listOf(devices).flatMap((device, index) => {
    const place = `devices[${index}]`;
    const { archetype, role, sources } = fieldsOf(device);
    const isUnknown = typeof archetype === "string" && role === undefined && !SHELF.some((row) => row.archetype === archetype);
    const kinds = SHELF.map((row) => row.archetype);
    const ownKind: UnknownName[] = isUnknown
      ? [
          {
            trouble: {
              code: "unknown-name",
              place: `${place}.archetype`,
              name: archetype,
              of: "archetype",
              near: nearest(archetype, kinds),
            },
            covers: place,
          },
        ]
      : [];
    const names = CONTENT_CATALOGUE.map(({ id }) => id);
    const contents = listOf(sources).flatMap((source, at) =>
      listOf(fieldsOf(source).contents).flatMap((content, row): UnknownName[] => {
        const where = `${place}.sources[${at}].contents[${row}]`;
        return typeof content === "string"
          ? [
              {
                trouble: { code: "unknown-name", place: where, name: content, of: "content", near: nearest(content, names) },
                covers: where,
              },
            ]
          : [];
      }),
    );
    return [...ownKind, ...contents];
  });
}

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);
const fieldsOf = (value: unknown): Readonly<Record<string, unknown>> =>
  typeof value === "object" && value !== null ? (value as Readonly<Record<string, unknown>>) : {};

const MOST_NEAR = 3;

/** Known names that share most parts with one that is not known. */
function nearest(name: string, known: readonly string[]): readonly string[] {
  const parts = new Set(name.toLowerCase().split(/[^a-z0-9]+/));
  const shared = (other: string) => other.split("-").filter((part) => parts.has(part)).length;
  return known
    .filter((other) => shared(other) > 0)
    .toSorted((a, b) => shared(b) - shared(a))
    .slice(0, MOST_NEAR);
}
