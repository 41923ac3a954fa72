import { z } from "zod";
import { Device, expandDevice } from "@/core/device";
import { done, refused, type Outcome } from "@/core/outcome";
import { migrate, STORED_VERSION, type VersionTrouble } from "@/core/versions";
import { breachesOf } from "./breaches";
import { emptyJob } from "./job";
import { formatPlace, troublesOfIssue } from "./check-job";
import { MAX_JOB_BYTES, type JobTrouble } from "./read-job";

export const SHELF_FORMAT = "octachord-shelf";
const SHELF_VERSION = STORED_VERSION;

const ShelfFile = z.strictObject({
  format: z.literal(SHELF_FORMAT),
  version: z.literal(SHELF_VERSION),
  devices: z.array(Device).min(1).max(500),
});

/** The text of a shelf file: devices of one's own, to be taken to another shelf. */
export const writeShelfFile = (devices: readonly Device[]): string =>
  `${JSON.stringify({ format: SHELF_FORMAT, version: SHELF_VERSION, devices }, null, 2)}\n`;

/** A shelf file of an older version with its devices in the form of this one, and in full. */
function liftedShelf(raw: unknown): Outcome<unknown, VersionTrouble> {
  if (typeof raw !== "object" || raw === null || !("devices" in raw) || !Array.isArray(raw.devices)) return done(raw);
  const version = "version" in raw ? raw.version : undefined;
  const devices: unknown[] = [];
  for (const device of raw.devices as readonly unknown[]) {
    const lifted = migrate("device", version, device);
    if (!lifted.ok) return lifted;
    devices.push(expandDevice(lifted.value));
  }
  return done({ ...raw, version: SHELF_VERSION, devices });
}

/** Reads a shelf file; devices may be in the short form of a job file. The answer is every device of it, or every trouble found. */
export function readShelfFile(text: string): Outcome<readonly Device[], readonly JobTrouble[]> {
  const bytes = new TextEncoder().encode(text).length;
  if (bytes > MAX_JOB_BYTES) return refused([{ code: "too-large", bytes, limit: MAX_JOB_BYTES }]);
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch (cause) {
    return refused([{ code: "not-json", detail: cause instanceof Error ? cause.message : String(cause) }]);
  }
  const lifted = liftedShelf(raw);
  if (!lifted.ok) return refused([lifted.refusal]);
  const parsed = ShelfFile.safeParse(lifted.value);
  if (!parsed.success) return refused(parsed.error.issues.flatMap(troublesOfIssue));
  const breaches = parsed.data.devices.flatMap((device, index) =>
    breachesOf({ ...emptyJob("shelf"), devices: [{ ...device, room: null }] }).map((breach) => ({
      ...breach,
      place: ["devices", index, ...breach.place.slice(2)],
    })),
  );
  if (breaches.length) return refused(breaches.map((breach) => ({ code: "breach", place: formatPlace(breach.place), breach })));
  return done(parsed.data.devices.map((device) => ({ ...device, room: null, supply: "there" as const })));
}
