import { done, refused, type Outcome } from "@/core/outcome";
import { STEPS } from "./steps";

/** All that is kept: in the database, in files, in a browser. A job or a command that holds devices lifts them by the rule of a device. */
export const STORED_KINDS = ["job", "device", "command", "stock", "preferences"] as const;
export type StoredKind = (typeof STORED_KINDS)[number];

/** From one version to the next: what becomes of a value of each kind, as it was parsed from JSON. A landed step is never changed. */
export interface VersionStep {
  readonly to: number;
  readonly name: string;
  readonly up: Readonly<Record<StoredKind, (value: unknown) => unknown>>;
}

export type VersionTrouble =
  | { readonly code: "newer-version"; readonly version: number; readonly known: number }
  | { readonly code: "unknown-version"; readonly version: unknown };

/**
 * Lifts a value that an older program kept, step by step, to what this one understands. Whether it is sound is for the reader of its kind.
 * @param version as it was kept beside the value
 */
export function migrate(
  kind: StoredKind,
  version: unknown,
  value: unknown,
  steps: readonly VersionStep[] = STEPS,
): Outcome<unknown, VersionTrouble> {
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return refused({ code: "unknown-version", version: version ?? null });
  const known = versionAfter(steps);
  if (version > known) return refused({ code: "newer-version", version, known });
  return done(steps.filter(({ to }) => to > version).reduce((lifted, { up }) => up[kind](lifted), value));
}

function versionAfter(steps: readonly VersionStep[]): number {
  return steps.at(-1)?.to ?? 1;
}
