import { UnusableInput } from "./unusable-input";

/** A whole number from 1 that was given to an option. */
export function wholeNumber(option: string, text: string): number {
  const value = Number(text);
  if (!Number.isInteger(value) || value < 1) throw new UnusableInput(`${option}: expected a whole number from 1.`);
  return value;
}
