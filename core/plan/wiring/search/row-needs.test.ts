import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { effectiveSetting } from "@/core/device";
import { device, room } from "@/demo/room-under-test";
import { rooms, spaceOf } from "@/demo/small-rooms-under-test";
import { tries } from "@/demo/tries-under-test";
import { PRESETS } from "../evaluation";
import type { WiringSpace } from "../space";
import { SCHOOLS, topologiesOf, type Topology } from "../topology";
import { spaceWith, topologyOf } from "../under-test/space-with";
import { boundTopology } from "./bounded-topology";
import { newContext, withPictureBounds } from "./configurations";
import { canBeMet, mayBeMet, rowNeedsOf } from "./row-needs";
import { controlKeyOf } from "./setting-group";

/** The groups of configurations of a topology, with what is said of each. */
function groupsOf(space: WiringSpace, topology: Topology) {
  const bounded = boundTopology(withPictureBounds(newContext(space, PRESETS["best-sound"])), topology, SCHOOLS);
  const needs = rowNeedsOf(space, topology, true);
  return bounded
    .settings()
    .split(controlKeyOf)
    .map((group) => ({ bounded, needs, group, may: mayBeMet(space, bounded, group.undecided, needs) }));
}

describe("a lead for sound that a plan lays", () => {
  const space = spaceWith(
    room([device("tv-arc", "tv"), device("receiver-51", "receiver"), device("streamer-4k", "streamer"), device("disc-player-hd", "disc")]),
    "extractor",
  );

  test("carries nothing where the box keeps its way shut: it takes a return, and sits in a socket of the TV that has none", () => {
    const topology = topologyOf(space, "extractor>tv", "extractor>receiver", "receiver>tv");
    const said = groupsOf(space, topology).map(({ group, may }) => {
      const box = group.hubs.find(({ id }) => id === "extractor");
      return { takes: box && effectiveSetting(box, "arc-take", "planned"), may };
    });
    expect(new Set(said.map(({ takes }) => takes))).toEqual(new Set(["on", "off"]));
    for (const { takes, may } of said) expect(may).toBe(takes === "off");
  });

  test("that is said to carry nothing in a group carries nothing on any configuration of it", () => {
    let shut = 0;
    const check = (one: WiringSpace) => {
      for (const topology of [...topologiesOf(one)].slice(0, 12))
        for (const { bounded, needs, group, may } of groupsOf(one, topology)) {
          if (may) continue;
          for (const configuration of group.configurations().slice(0, 6)) {
            shut += 1;
            expect(canBeMet(bounded.bounds, configuration, needs, bounded.plugs.tables)).toBe(false);
          }
        }
    };
    check(space);
    fc.assert(
      fc.property(rooms, (one) => check(spaceOf(one))),
      tries(20, 80, 38),
    );
    expect(shut).toBeGreaterThan(0);
  });
});
