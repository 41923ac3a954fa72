import fc from "fast-check";
import { device, room, withQuirks } from "./room-under-test";
import { boxOfShelf, wiringSpace, type WiringSpace } from "@/core/plan";

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
