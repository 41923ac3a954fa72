import { backbonesOf } from "./backbones";
import { everyGround, newMeasure, sharpened, type Ground, type Measure } from "./grounds";
import { hear } from "./hear";
import { easeShare } from "./most";
import { plugsOf, type Plug } from "./plugs";
import { judge, unplugged, type PlayerOption } from "./settle";
import { type WiringSpace } from "./space";
import { ACTS_SHARE, PRESETS } from "./weights";

/** The points of acts that all go as wanted. */
const actsAnywhere = ({ space, weights }: Measure, player: string): number => weights.ease * ACTS_SHARE * easeShare(space, player);

/** A plug worked out whole, whatever could win. */
const settle = (measure: Measure, ground: Ground, plug: Plug): PlayerOption | null =>
  plug.wire
    ? judge(measure, ground, plug, hear(measure, ground, plug).answer, {
        atMost: () => actsAnywhere(measure, plug.player),
        mostRemotes: Infinity,
      })
    : unplugged(measure, plug);

/** For tests: every plug of every player on the first grounds of the first backbones of a space, worked out. */
export function* worked(space: WiringSpace, backbones: number, grounds: number) {
  const measure = sharpened(newMeasure(space, PRESETS["best-sound"]));
  for (const backbone of [...backbonesOf(space)].slice(0, backbones)) {
    const { tables } = plugsOf(measure, backbone);
    const all = everyGround(measure, backbone)
      .filter(({ isPossible }) => isPossible)
      .slice(0, grounds);
    yield {
      measure,
      backbone,
      tables,
      grounds: all.map((ground) => ({
        ground,
        options: tables.map((plugs) => plugs.map((plug) => ({ plug, option: settle(measure, ground, plug) }))),
      })),
    };
  }
}
