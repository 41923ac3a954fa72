import type { Outcome } from "@/core/outcome";
import type { Command, SingleCommand } from "./command";
import type { Job } from "./job";
import type { Refusal } from "./refusal";

/** A job after an edit, and the edit that takes it back to the byte. */
export interface Applied {
  readonly job: Job;
  readonly inverse: Command;
}
export type Result = Outcome<Applied, Refusal>;

/** One member of the edits by its name. */
export type Edit<Kind extends SingleCommand["kind"]> = Extract<SingleCommand, { kind: Kind }>;

/** The rows with one more at a place; null: at the end. */
export function insert<Row>(rows: readonly Row[], row: Row, at: number | null): Row[] {
  const place = at === null ? rows.length : Math.min(at, rows.length);
  return [...rows.slice(0, place), row, ...rows.slice(place)];
}

export const without = <Row>(rows: readonly Row[], at: number): Row[] => rows.filter((_, index) => index !== at);

/** A field given as undefined counts as not given. */
export function withoutUndefined<Fields extends object>(fields: Fields): { [Key in keyof Fields]?: Exclude<Fields[Key], undefined> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as never;
}

/** What the named fields held before. */
export const fieldsOf = <Row extends object>(row: Row, names: object): Partial<Row> =>
  Object.fromEntries(Object.keys(names).map((name) => [name, row[name as keyof Row]])) as Partial<Row>;
