import { bedChannels } from "@/core/facts";
import type { Arrival, Verdict } from "./arrival";

const STANDING: Readonly<Record<Verdict, number>> = { silent: 0, unknown: 1, "no-picture": 2, reduced: 3, full: 4 };

/** Orders two answers for the same row: positive when `a` is better. Verdict first, then what arrives. */
export function compareArrivals(a: Arrival, b: Arrival): number {
  const pairs = [
    [STANDING[a.verdict], STANDING[b.verdict]],
    [Number((a.arrives?.objects ?? "none") !== "none"), Number((b.arrives?.objects ?? "none") !== "none")],
    [a.arrives ? bedChannels(a.arrives.channels) : 0, b.arrives ? bedChannels(b.arrives.channels) : 0],
    [Number(a.arrives?.lossless ?? false), Number(b.arrives?.lossless ?? false)],
    [b.arrives?.generations ?? 0, a.arrives?.generations ?? 0],
  ] as const;
  // Above "full" there is nothing to gain but what the system's own sound mode keeps from its speakers.
  if (a.verdict === "full" && b.verdict === "full") return Number(isHeld(b)) - Number(isHeld(a));
  for (const [left, right] of pairs) if (left !== right) return left - right;
  return 0;
}

const isHeld = ({ losses }: Arrival): boolean => losses.some(({ reason }) => reason.code === "decode-mode");
