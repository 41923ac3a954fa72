import fc from "fast-check";
import { device, room, withQuirks } from "@/demo/room-under-test";
import { backbonesOf } from "./backbones";
import { boxOfShelf } from "./at-hand";
import { groundsOf, newMeasure, sharpened, type Ground, type Measure } from "./grounds";
import { hear } from "./hear";
import { plugsOf, type Plug } from "./plugs";
import { judge, unplugged, type PlayerOption } from "./settle";
import { wiringSpace, type WiringSpace } from "./space";
import { PRESETS } from "./weights";

/** For tests: small rooms of many kinds. */
export const rooms = fc.record({
  screen: fc.constantFrom("tv-arc", "tv-earc", "tv-no-return", "projector", "tv-coaxial"),
  system: fc.constantFrom("bar-one-input", "bar-arc-optical", "receiver-51", "amplifier-knob"),
  players: fc.array(fc.constantFrom("streamer-4k", "console-mat", "disc-player-hd"), { maxLength: 3 }),
  box: fc.constantFrom(
    "earc-extractor-mixed",
    "switch-3x1",
    "arc-adapter",
    "extractor",
    "splitter-1x2",
    "matrix-4x2",
    "optical-to-coaxial",
  ),
  second: fc.boolean(),
  quarrels: fc.boolean(),
});
export type RoomParts = typeof rooms extends fc.Arbitrary<infer One> ? One : never;

export function spaceOf({ screen, system, players, box, second, quarrels }: RoomParts): WiringSpace {
  const projector = second ? [device("projector", "projector")] : [];
  const job = room([
    device(screen, "screen"),
    ...projector,
    device(system, "system"),
    ...players.map((kind, index) =>
      index === 0 && quarrels ? withQuirks(device(kind, "p0"), "wakes-by-itself", "steals-source") : device(kind, `p${index}`),
    ),
  ]);
  const space = wiringSpace(job, { boxes: [boxOfShelf(job, box, 50, "van")].flatMap((one) => one ?? []) });
  if (!space) throw new Error("nothing to plan");
  return space;
}

/** A plug worked out whole, whatever could win. */
const settle = (measure: Measure, ground: Ground, plug: Plug): PlayerOption | null =>
  plug.wire ? judge(measure, ground, plug, hear(measure, ground, plug).answer) : unplugged(measure, plug);

/** For tests: every plug of every player on the first grounds of the first backbones of a space, worked out. */
export function* worked(space: WiringSpace, backbones: number, grounds: number) {
  const measure = sharpened(newMeasure(space, PRESETS["best-sound"]));
  for (const backbone of [...backbonesOf(space)].slice(0, backbones)) {
    const { tables } = plugsOf(measure, backbone);
    const all = [...groundsOf(measure, backbone)].slice(0, grounds);
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
