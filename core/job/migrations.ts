/** A landed step is never edited; a later need gets a step of its own, with a before and after fixture beside its test. */
interface MigrationStep {
  readonly to: number;
  readonly name: string;
  readonly up: (raw: Record<string, unknown>) => Record<string, unknown>;
}

/** From each version to the next. Version 1 is the first, so there is nothing to lift yet. */
export const JOB_MIGRATIONS: readonly MigrationStep[] = [];

/** Lifts an older document, step by step, to the version that this program writes. */
export function migrateJob(raw: Record<string, unknown> & { version: number }): Record<string, unknown> {
  return JOB_MIGRATIONS.filter((step) => step.to > raw.version).reduce<Record<string, unknown>>(
    (document, step) => ({ ...step.up(document), version: step.to }),
    raw,
  );
}
