import type { Belief } from "./belief";
import type { Case, CureRow } from "./case";

/** What people do without a plan, to compare with: the same list for every room. Source: the fixed checklist of the trade. */
const CHECKLIST: readonly ((cure: CureRow["cure"]) => boolean)[] = [
  (cure) => cure.does === "set" && cure.setting === "mute",
  (cure) => cure.does === "set" && cure.setting === "volume-level",
  (cure) => cure.does === "set" && ["input-select", "speakers", "input-sound", "sound-follows"].includes(cure.setting),
  (cure) => cure.does === "power" || cure.does === "own-key" || cure.does === "restart" || cure.does === "cycle",
  (cure) => cure.does === "set" || cure.does === "take-pcm",
  (cure) => cure.does === "unpair" || (cure.does === "unit" && cure.to === "pair"),
  (cure) => cure.does === "seat" || cure.does === "turn",
  (cure) => cure.does === "other-socket" || cure.does === "go-round",
  (cure) => cure.does === "update",
  (cure) => cure.does !== "replace",
  () => true,
];

/** The next cure of the fixed checklist that was not tried. */
export function nextOfChecklist({ cures }: Case, belief: Belief, taken: ReadonlySet<string>): CureRow | null {
  for (const belongs of CHECKLIST) {
    // Nobody tries what cannot bring about what they hear.
    const next = cures.find(
      ({ id, cure, mends }) =>
        !taken.has(id) && belongs(cure) && mends.some((isMended, index) => isMended === 1 && (belief[index] ?? 0) > 0),
    );
    if (next) return next;
  }
  return null;
}

/** The cure with the highest probability for its cost: optimal only where repairs are independent and nothing can be asked. */
export function nextByProbabilityOverCost({ cures }: Case, belief: Belief, taken: ReadonlySet<string>): CureRow | null {
  const rated = cures
    .filter(({ id }) => !taken.has(id))
    .map((row) => ({ row, rate: belief.reduce((sum, one, index) => (row.mends[index] ? sum + one : sum), 0) / row.minutes }));
  const best = rated.toSorted((a, b) => b.rate - a.rate)[0];
  return best && best.rate > 0 ? best.row : null;
}
