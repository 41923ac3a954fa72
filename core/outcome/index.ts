/** An expected outcome is a value: what was asked for, or the reason it cannot be. */
export type Outcome<Value, Refusal> = { readonly ok: true; readonly value: Value } | { readonly ok: false; readonly refusal: Refusal };

export const done = <Value>(value: Value): Outcome<Value, never> => ({ ok: true, value });
export const refused = <Refusal>(refusal: Refusal): Outcome<never, Refusal> => ({ ok: false, refusal });

/** For the end of a `switch` over a union: a new member stops compiling here. */
export function unreachable(value: never): never {
  throw new Error(`Unexpected value ${JSON.stringify(value)}`);
}

/**
 * A value that an invariant of the program says is there.
 * @throws Error where the invariant is broken, naming what is missing; a default in its place would hide that
 */
export function present<Value>(value: Value | undefined | null, what: string): Value {
  if (value === undefined || value === null) throw new Error(`Missing: ${what}`);
  return value;
}
