import { topologiesOf } from "../topology";
import { newContext, withPictureBounds, type Configuration, type PlanContext } from "../search/configurations";
import { everyConfiguration } from "../search/setting-group";
import { evaluatePlug } from "../search/evaluate-plug";
import { easeShare } from "../bounds";
import { plugsOf, type Plug } from "../search/plugs";
import { bestOption, unpluggedOption, type PlayerOption } from "../search/judge-plug";
import type { WiringSpace } from "../space";
import { ACTS_SHARE, PRESETS } from "../evaluation";

/** The points of acts that all go as wanted. */
const actsAnywhere = ({ space, weights }: PlanContext, player: string): number => weights.ease * ACTS_SHARE * easeShare(space, player);

/** A plug evaluated completely, whether or not it could win. */
const settle = (context: PlanContext, configuration: Configuration, plug: Plug): PlayerOption | null =>
  plug.wire
    ? bestOption(context, configuration, plug, evaluatePlug(context, configuration, plug), {
        atMost: () => actsAnywhere(context, plug.player),
        mostRemotes: Infinity,
      })
    : unpluggedOption(context, plug);

/** For tests: every plug of every player on the first configurations of the first topologies of a space, computed. */
export function* worked(space: WiringSpace, topologies: number, configurations: number) {
  const context = withPictureBounds(newContext(space, PRESETS["best-sound"]));
  for (const topology of [...topologiesOf(space)].slice(0, topologies)) {
    const { tables } = plugsOf(context, topology);
    const all = [...everyConfiguration(context, topology)].filter(({ isPossible }) => isPossible).slice(0, configurations);
    yield {
      context,
      topology,
      tables,
      configurations: all.map((configuration) => ({
        configuration,
        options: tables.map((plugs) => plugs.map((plug) => ({ plug, option: settle(context, configuration, plug) }))),
      })),
    };
  }
}
