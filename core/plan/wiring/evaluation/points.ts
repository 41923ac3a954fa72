import type { Arrival } from "@/core/chain";
import type { Job } from "@/core/job";
import { effortPoints } from "./effort";
import { commonActs, remotesNeeded } from "./everyday-acts";
import type { WeighedFigures } from "./figures";
import { allowsRemotes, hopePoints, remotePoints } from "./musts";
import type { WiringSpace } from "../space";
import { HOPE_POINTS, UNPLUGGED_POINTS, type Weights } from "./weights";

/** What a wired room is worth by the weights, in points; null where it takes more remotes than there may be. */
export function pointsOf(
  space: WiringSpace,
  weights: Weights,
  { job, rows }: { readonly job: Job; readonly rows: readonly Arrival[] },
  figures: WeighedFigures,
): number | null {
  const remotes = remotesNeeded(figures.acts, commonActs(space));
  if (!allowsRemotes(space, remotes)) return null;
  const hopes = job.devices.reduce(
    (sum, { id }) => {
      const own = rows.filter(({ player }) => player === id);
      return sum + hopePoints(space, id, own);
    },
    remotePoints(space, remotes),
  );
  return (
    hopes +
    figures.sound * weights.sound +
    figures.picture * weights.picture +
    figures.ease * weights.ease -
    figures.unplugged * UNPLUGGED_POINTS -
    effortPoints(figures, weights)
  );
}

/** No plan has more points: everything whole and as easy as can be, every hope given, nothing spent. */
export const mostPoints = (space: WiringSpace, weights: Weights): number =>
  weights.sound + weights.picture + weights.ease + space.hopes.length * HOPE_POINTS;
