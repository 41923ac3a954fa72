import { z } from "zod";
import { LEVELS } from "@/core/practice";
import { jsonOnDevice, keepOnDevice } from "@/ui/kit";

const KEY = "octachord-practice";

/** One rig that somebody finished. */
const Finished = z.object({
  who: z.string(),
  exercise: z.enum(["find", "wire"]),
  level: z.enum(LEVELS),
  seed: z.number(),
  points: z.number(),
  minutes: z.number(),
  at: z.string(),
});
export type Finished = z.infer<typeof Finished>;

/** So many rigs are kept, the latest. */
const MOST_KEPT = 500;

/** What was practised on this device. What cannot be read counts as nothing. */
export function keptProgress(): readonly Finished[] {
  const read = z.array(Finished).safeParse(jsonOnDevice(KEY));
  return read.success ? read.data : [];
}

export function keepFinished(one: Finished): readonly Finished[] {
  const all = [...keptProgress(), one].slice(-MOST_KEPT);
  keepOnDevice(KEY, JSON.stringify(all));
  return all;
}
