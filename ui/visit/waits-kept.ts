import { z } from "zod";
import { jsonOnDevice, keepOnDevice } from "@/ui/kit";

const KeptWaits = z.array(z.object({ step: z.string(), until: z.number() }));

/** A wait of a step, and the moment at which it is over, in milliseconds of the clock. */
export type KeptWait = z.infer<typeof KeptWaits>[number];

const MINUTE_MS = 60_000;
const keyOf = (job: string) => `octachord-waits-${job}`;

/** The waits of a job that this device keeps; what cannot be read is none. */
export function keptWaits(job: string): readonly KeptWait[] {
  const read = KeptWaits.safeParse(jsonOnDevice(keyOf(job)));
  return read.success ? read.data : [];
}

/** Keeps them in place of those that were. */
export const keepWaits = (job: string, waits: readonly KeptWait[]): void => keepOnDevice(keyOf(job), JSON.stringify(waits));

/** With a wait of so many minutes from now on, in place of an earlier one of the same step. */
export const withWait = (waits: readonly KeptWait[], step: string, minutes: number, now: number): readonly KeptWait[] => [
  ...withoutWait(waits, step),
  { step, until: now + minutes * MINUTE_MS },
];

export const withoutWait = (waits: readonly KeptWait[], step: string): readonly KeptWait[] => waits.filter((wait) => wait.step !== step);

/** Whether one of them came to its end between two moments: that is when it rings. */
export const ringsBetween = (waits: readonly KeptWait[], before: number, now: number): boolean =>
  waits.some(({ until }) => until > before && until <= now);
