import { describe, expect, test } from "vitest";
import { device, room } from "@/demo/room-under-test";
import { arrivalsOf } from "@/core/chain";
import { withMoreSockets } from "@/core/device";

describe("more sockets like one that is there", () => {
  const tv = withMoreSockets(device("tv-arc", "tv"), "hdmi2", ["hdmi4", "hdmi5"]);

  test("are in every way like it: what arrives by the new one is what arrives by the old", () => {
    const by = (port: string) =>
      arrivalsOf(
        room(
          [tv, device("bar-arc-optical", "bar"), device("disc-player-4k", "disc")],
          "bar hdmi-out > tv hdmi1",
          `disc hdmi-out > tv ${port}`,
        ),
      )
        .filter(({ player }) => player === "disc")
        .map(({ verdict, arrives, picture, pictureLosses }) => [verdict, arrives, picture, pictureLosses.length]);
    expect(by("hdmi5")).toEqual(by("hdmi2"));
    expect(by("hdmi4")).toEqual(by("hdmi2"));
  });

  test("are none where there is none to be like, and no more than a back plate can hold", () => {
    expect(withMoreSockets(device("tv-arc", "tv"), "nowhere", ["hdmi4"])).toEqual(device("tv-arc", "tv"));
    const many = Array.from({ length: 60 }, (_, index) => `x${index}`);
    expect(withMoreSockets(device("tv-arc", "tv"), "hdmi2", many).ports).toHaveLength(32);
  });
});
