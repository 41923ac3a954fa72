import { unreachable } from "@/core/outcome";
import { stepId, type Cure } from "./step";
import type { Finder } from "./finder";

/** What a household can do with its own hands and remotes. */
const isForHouseholds = (cure: Cure): boolean => {
  switch (cure.does) {
    case "set":
      return ["mute", "volume-level", "power", "input-select", "speakers", "decode-mode"].includes(cure.setting);
    case "power":
    case "own-key":
    case "restart":
    case "unpair":
    case "other-title":
      return true;
    case "seat":
      return cure.side === "from";
    case "unit":
      return cure.to === "charge" || cure.to === "place";
    case "turn":
    case "lead":
    case "cycle":
    case "update":
    case "take-pcm":
    case "go-round":
    case "other-socket":
    case "replace":
    case "follow-arrivals":
      return false;
    default:
      return unreachable(cure);
  }
};

/** What is asked of a household before it calls. */
const MOST = 5;

/** The five checks that most often bring sound or picture back in this very room, each once, that need no tool and no menu of the trade. */
export function householdChecks({ singles }: Finder): readonly Cure[] {
  const rated = singles.cures
    .filter(({ cure }) => isForHouseholds(cure))
    .map(({ cure, mends, minutes }) => ({
      cure,
      rate: singles.priors.reduce((sum, prior, index) => (mends[index] ? sum + prior : sum), 0) / minutes,
    }))
    .toSorted((a, b) => b.rate - a.rate);
  const kept: Cure[] = [];
  const covered = new Set<number>();
  for (const { cure } of rated) {
    const row = singles.cures.find(({ id }) => id === stepId(cure));
    const gains = [...(row?.mends ?? [])].flatMap((mends, index) => (mends && !covered.has(index) ? [index] : []));
    if (gains.length === 0) continue;
    for (const index of gains) covered.add(index);
    kept.push(cure);
    // Looking whether things have power is one check, however many things there are.
    if (new Set(kept.map((one) => (one.does === "power" ? "power" : stepId(one)))).size === MOST) break;
  }
  return kept;
}
